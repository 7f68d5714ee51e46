import {
  createCollection,
  drag,
  expect,
  hand,
  openCompose,
  readStored,
  saved,
  showWidth,
  stageBoxes,
  test,
} from './noria';

test.beforeEach(async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
});

const packed = '[data-testid=packed]';

test.describe('the grid as a whole', () => {
  test('the matrix is swept with the result in sight, and by keys', async ({ page }) => {
    const matrix = page.getByRole('slider', { name: 'Columns and rows' });
    const columns = page.getByRole('group', { name: 'Columns' }).getByRole('button');
    const box = await matrix.boundingBox();
    const { x = 0, y = 0, width = 0 } = box ?? {};
    await page.mouse.move(x + 5, y + 5);
    await page.mouse.down();
    await page.mouse.move(x + (width / 12) * 8 - 6, y + 20, { steps: 5 });
    await expect(columns).toHaveCount(8);
    await page.mouse.up();
    await expect(page.getByTestId('even-column')).toContainText('of');
    await matrix.focus();
    await page.keyboard.press('ArrowLeft');
    await expect(columns).toHaveCount(7);
    await page.getByRole('button', { name: 'Undo: Grid' }).click();
    await page.getByRole('button', { name: 'Undo: Grid' }).click();
    await expect(columns).toHaveCount(6);
  });

  test('numbers are dragged in one step, stepped, and take sums', async ({
    page,
    application,
    collection,
  }) => {
    const gap = page.getByLabel('Gap', { exact: true });
    await drag(page, gap, 40, 0);
    await expect(gap).toHaveValue('36');
    await page.getByRole('button', { name: 'Undo: Gap' }).click();
    await expect(gap).toHaveValue('16');
    await gap.fill('96 / 4');
    await gap.press('Enter');
    await expect(gap).toHaveValue('24');
    await gap.press('Shift+ArrowDown');
    await expect(gap).toHaveValue('14');
    await page.getByRole('button', { name: 'Set sides one by one' }).click();
    await page.getByLabel('Padding, top').fill('100% / 32');
    await page.keyboard.press('Enter');
    await saved(page);
    const { arrangement } = (await readStored(application, collection)).document;
    expect(arrangement).toMatchObject({
      columnGap: 14,
      rowGap: 14,
      padding: { blockStart: 'calc(100% / 32)', blockEnd: 24 },
    });
    await expect(page.getByRole('button', { name: 'The sides differ' })).toBeDisabled();
  });

  test('height by content, fixed or a share of the screen; a maximum width, centred', async ({ page }) => {
    const height = () =>
      page.locator('[data-stage-page]').evaluate((page) => (page as HTMLElement).offsetHeight);
    const content = await height();
    await page.getByRole('radio', { name: 'Screen' }).click();
    await page.getByLabel('Minimum height').fill('200');
    await page.keyboard.press('Enter');
    await expect.poll(height).toBe(1600);
    await page.getByRole('radio', { name: 'Fixed' }).click();
    await page.getByLabel('Fixed height').fill('700');
    await page.keyboard.press('Enter');
    await expect.poll(height).toBe(700);
    // Rows share the height at once: nothing of it stays empty.
    const lowest = async () =>
      Math.max(...Object.values(await stageBoxes(page)).map(([, y, , high]) => y + high));
    expect(await lowest()).toBe(700 - 24);
    await page.getByRole('radio', { name: 'Content' }).click();
    await expect.poll(height).toBe(content);
    await page.getByLabel('Maximum width').fill('900');
    await page.keyboard.press('Enter');
    await expect.poll(async () => (await stageBoxes(page))['hut-at-dusk']?.[0]).toBe(190 + 24);
  });

  test('rows as designers say them; a row that is none is refused in words', async ({ page }) => {
    const field = page.getByLabel('In words');
    await field.fill('2, 3, two');
    await expect(page.locator('#design-says')).toContainText('“two” is no row');
    await field.fill('2, 3, 2 with halves');
    await expect(page.locator('#design-says')).toContainText('6 × 4');
    await field.press('Enter');
    await expect(hand(page, 'hut-at-dusk')).toHaveAccessibleName(/3 by 1 at column 1, row 1/);
    await expect(hand(page, 'panorama')).toHaveAccessibleName(/3 by 1 at column 4, row 4/);
  });
});

test.describe('tracks', () => {
  const column = (page: Parameters<typeof hand>[0], n: number) =>
    page.getByRole('group', { name: 'Columns' }).getByRole('button', { name: `Column ${n},` });

  test('any CSS size is typed; a boundary is dragged and Escape takes it back', async ({ page }) => {
    await column(page, 1).click();
    await page.keyboard.type('minmax(300px, 2fr)');
    await page.keyboard.press('Enter');
    await expect(column(page, 1)).toHaveAccessibleName('Column 1, minmax(300px, 2fr)');
    await column(page, 2).click();
    await page.keyboard.type('auto');
    await page.keyboard.press('Enter');
    await page.getByRole('group', { name: 'Rows' }).getByRole('button', { name: 'Row 2,' }).click();
    await page.keyboard.type('40%');
    await page.keyboard.press('Enter');
    await expect.poll(async () => (await stageBoxes(page))['hut-at-dusk']?.[2] ?? 0).toBeGreaterThan(400);

    const before = await stageBoxes(page);
    await drag(page, page.getByTestId('column-boundary-4'), 60, 0, { hold: true });
    await expect.poll(() => stageBoxes(page)).not.toEqual(before);
    await page.keyboard.press('Escape');
    await expect.poll(() => stageBoxes(page)).toEqual(before);
    await page.mouse.up();
    await drag(page, page.getByTestId('row-boundary-1'), 0, 50);
    await expect(page.getByRole('button', { name: 'Undo: Row size' })).toBeEnabled();
  });

  test('tracks are inserted, duplicated, removed and evened out, and tiles keep their place', async ({
    page,
  }) => {
    const columns = page.getByRole('group', { name: 'Columns' }).getByRole('button');
    await column(page, 2).click({ button: 'right' });
    await page.getByRole('menuitem', { name: 'Insert a column after' }).click();
    await expect(columns).toHaveCount(7);
    await expect(hand(page, 'hut-at-dusk')).toHaveAccessibleName(/4 by 2 at column 1, row 1/);
    await column(page, 3).click();
    await page.getByRole('button', { name: 'Delete the column' }).click();
    await expect(columns).toHaveCount(6);
    await expect(hand(page, 'hut-at-dusk')).toHaveAccessibleName(/3 by 2 at column 1, row 1/);
    await column(page, 6).focus();
    await page.keyboard.press('Shift+F10');
    await page.getByRole('menuitem', { name: 'Duplicate the column' }).click();
    await expect(columns).toHaveCount(7);
    await column(page, 1).click();
    await page.keyboard.type('3fr');
    await page.keyboard.press('Enter');
    await column(page, 1).click();
    await page.getByRole('button', { name: 'Make all columns equal' }).click();
    await expect(column(page, 1)).toHaveAccessibleName('Column 1, 1fr');
  });
});

test('closing the gaps shows what it would change, is tried, taken or left', async ({ page }) => {
  await hand(page, 'beds').click();
  await page.keyboard.press('Shift+Digit2');
  await page.keyboard.press('Escape');
  await expect(page.locator(packed)).not.toHaveText('Packed 100 %');
  await page.keyboard.press('h');
  const panel = page.getByRole('complementary', { name: 'Close the gaps' });
  await expect(panel.getByRole('status')).toContainText('No gap is left');
  await expect(
    panel.getByRole('list', { name: 'What would change' }).getByRole('listitem').first(),
  ).toBeVisible();
  await expect(page.locator(packed)).toHaveText('Packed 100 %');
  await panel.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.locator(packed)).not.toHaveText('Packed 100 %');
  await page.keyboard.press('h');
  await expect(panel.getByRole('button', { name: 'Apply' })).toBeFocused();
  await expect(panel.getByRole('status')).toContainText('No gap is left');
  await page.keyboard.press('Enter');
  await expect(page.locator(packed)).toHaveText('Packed 100 %');
  await page.getByRole('button', { name: 'Undo: Close the gaps' }).click();
  await expect(page.locator(packed)).not.toHaveText('Packed 100 %');
});

test('gaps that can’t be closed within the bounds: it says so and shows the best', async ({ page }) => {
  await hand(page, 'beds').click();
  await page.keyboard.press('Shift+Digit2');
  await page.keyboard.press('Escape');
  await page.keyboard.press('h');
  const panel = page.getByRole('complementary', { name: 'Close the gaps' });
  await panel.getByLabel('Span changes').fill('0');
  await page.keyboard.press('Enter');
  await expect(panel.getByRole('status')).toContainText(
    /Nothing within these bounds|Not all gaps can be closed/,
  );
});

test('at least eight proposals, looked at by pointing, taken by a press', async ({ page }) => {
  await page.keyboard.press('o');
  const panel = page.getByRole('complementary', { name: 'Proposals' });
  const all = panel.getByRole('button', { name: /^Proposal / });
  await expect(all.nth(7)).toBeVisible();
  const scores = await all.evaluateAll((buttons) =>
    buttons.map((each) => Number(/\d+$/.exec(each.ariaLabel ?? '')?.[0])),
  );
  expect(scores).toEqual([...scores].sort((a, b) => b - a));
  const before = await stageBoxes(page);
  await all.nth(4).hover();
  await expect.poll(() => stageBoxes(page)).not.toEqual(before);
  await expect(page.locator(packed)).toHaveText('Packed 100 %');
  await all.nth(4).click();
  await expect(panel).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Undo: Proposal' })).toBeEnabled();
  await expect(page.locator(packed)).toHaveText('Packed 100 %');
});

test('areas are painted, seen over the page, one map a band, and tiles put in', async ({
  page,
  application,
  collection,
}) => {
  await hand(page, 'highest').click();
  await page.getByLabel('Area', { exact: true }).fill('words');
  await page.keyboard.press('Enter');
  await page.getByLabel('Area', { exact: true }).blur();
  await page.keyboard.press('Escape');
  await page.keyboard.press('l');
  await expect(page.getByTestId('area')).toHaveText('words');
  await showWidth(page, 500);
  await page.getByRole('button', { name: 'Remove area words' }).click();
  await expect(page.getByTestId('area')).toHaveCount(0);
  await showWidth(page, 1280);
  await expect(page.getByTestId('area')).toHaveText('words');
  await hand(page, 'beds').click();
  await page.getByLabel('Area', { exact: true }).fill('a b c!');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Write a word of letters, digits and hyphens');
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.arrangement.areas?.some((row) => row.includes('words'))).toBe(true);
  expect(document.bands[1]?.arrangement.areas).toEqual([]);
  expect(document.tiles.highest?.place.area).toBe('words');
});

test('a pointer paints an area on an empty collection', async ({ page, application }) => {
  const { id } = await createCollection(application, { name: 'Empty' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await page.getByRole('button', { name: 'Paint areas' }).click();
  const ground = await page.getByTestId('stage-ground').boundingBox();
  const [x, y] = [(ground?.x ?? 0) + 100, (ground?.y ?? 0) + 60];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 700, y, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByLabel('Name of the area')).toHaveValue('header');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('area')).toHaveText('header');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(1);
});
