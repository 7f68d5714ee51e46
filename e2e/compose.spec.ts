import { kindTitle } from '@noria/core';
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

test('a drag shows its result while it lasts, and Escape takes all back', async ({ page }) => {
  const before = await stageBoxes(page);
  await drag(page, hand(page, 'hut-at-dusk'), 320, 130, { hold: true });
  await expect.poll(async () => (await stageBoxes(page))['hut-at-dusk']).not.toEqual(before['hut-at-dusk']);
  await page.keyboard.press('Escape');
  await expect.poll(() => stageBoxes(page)).toEqual(before);
  await page.mouse.up();
  expect(await stageBoxes(page)).toEqual(before);
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled();
});

test('a drag is one step, named, and a hole it leaves is hatched and counted', async ({ page }) => {
  const night = await hand(page, 'night').boundingBox();
  await drag(page, hand(page, 'night'), 0, -(night?.height ?? 0) * 1.1);
  await hand(page, 'beds').click();
  const beds = await hand(page, 'beds').boundingBox();
  await drag(page, page.getByTestId('grip-block'), 0, beds?.height ?? 0);
  await expect(hand(page, 'beds')).toHaveAccessibleName(/1 by 2/);
  await expect(page.getByTestId('hole').first()).toBeVisible();
  await expect(page.getByTestId('packed')).not.toHaveText('Packed 100 %');
  await page.getByRole('button', { name: 'Undo: Span' }).click();
  await page.getByRole('button', { name: 'Undo: Move' }).click();
  await expect(page.getByTestId('hole')).toHaveCount(0);
  await expect(page.getByTestId('packed')).toHaveText('Packed 100 %');
});

test('the span pad says what a span would do, and sets it in one press', async ({ page }) => {
  await hand(page, 'opening').click();
  const pad = page.getByRole('group', { name: 'Span pad' });
  await pad.getByRole('button', { name: '1 by 1' }).hover();
  await expect(pad).toContainText('1 × 1 leaves');
  await pad.getByRole('button', { name: '3 by 1', exact: true }).click();
  await expect(hand(page, 'opening')).toHaveAccessibleName(/3 by 1/);
});

test('everything by keyboard alone', async ({ page, application, collection }) => {
  const said = page.getByTestId('announcements');
  const first = hand(page, 'hut-at-dusk');
  for (let k = 0; k < 90 && !(await first.evaluate((element) => element === document.activeElement)); k++) {
    await page.keyboard.press('Tab');
  }
  await expect(first).toBeFocused();
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('ArrowRight');
  await expect(hand(page, 'opening')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(hand(page, 'ridge-path')).toBeFocused();
  await page.keyboard.press('3');
  await expect(hand(page, 'ridge-path')).toHaveAccessibleName(/3 by 2/);
  await expect(said).toContainText('“Ridge path”: 3 by 2');
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Shift+Digit1');
  await expect(hand(page, 'ridge-path')).toHaveAccessibleName(/2 by 1/);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(hand(page, 'ridge-path')).toHaveAccessibleName(/2 by 2/);
  await page.keyboard.press('Alt+ArrowDown');
  await expect(hand(page, 'ridge-path')).toHaveAccessibleName(/at column 4, row 3/);
  await page.keyboard.press('p');
  await expect(said).toContainText(/pinned here|free, flowing/);
  await page.keyboard.press(']');
  await expect(said).toContainText('in reading order');
  await page.keyboard.press(',');
  await expect(page.getByLabel('Width shown, px')).toHaveValue('1079');
  await page.keyboard.press('.');
  await expect(page.getByLabel('Width shown, px')).toHaveValue('1080');
  await page.keyboard.press('Shift+Equal');
  await page.keyboard.press('Minus');
  await expect(page.getByLabel('Width shown, px')).toHaveValue('1099');
  await page.keyboard.press('l');
  await expect(page.getByTestId('grid-lines')).toBeVisible();
  await page.keyboard.press('Control+d');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(15);
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(14);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);
  expect((await readStored(application, collection)).revision).toBeGreaterThan(1);
});

test('a value set here is marked, and inherited again by its drop', async ({ page }) => {
  await showWidth(page, 800);
  await hand(page, 'panorama').click();
  await page.keyboard.press('2');
  const drop = page.getByRole('button', { name: 'Span: inherit' });
  await expect(drop).toBeVisible();
  await showWidth(page, 1280);
  await expect(hand(page, 'panorama')).toHaveAccessibleName(/3 by 1/);
  await showWidth(page, 800);
  await expect(hand(page, 'panorama')).toHaveAccessibleName(/2 by 1/);
  await drop.click();
  await expect(hand(page, 'panorama')).toHaveAccessibleName(/3 by 1/);
  await page.getByRole('radio', { name: 'All widths' }).click();
  await page.getByLabel('Column span').fill('1');
  await page.keyboard.press('Enter');
  for (const width of [1280, 800, 360]) {
    await showWidth(page, width);
    await expect(hand(page, 'panorama')).toHaveAccessibleName(/1 by 1/);
  }
});

test('tracks are typed on the ledges, Tab goes on, a double click resets', async ({ page }) => {
  const column = (n: number) =>
    page.getByRole('group', { name: 'Columns' }).getByRole('button', { name: `Column ${n},` });
  await column(1).click();
  await page.keyboard.type('220px');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Column 2, size')).toBeFocused();
  await page.keyboard.type('2fr');
  await page.keyboard.press('Enter');
  await expect(column(1)).toHaveAccessibleName('Column 1, 220px');
  await expect(column(2)).toHaveAccessibleName('Column 2, 2fr');
  const boxes = await stageBoxes(page);
  expect(boxes.map?.[2]).toBe(220);
  await column(3).click();
  await page.keyboard.type('wide');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText(
    'Write a size like 72px, 1fr, auto or minmax(200px, 1fr).',
  );
  await page.keyboard.press('Escape');
  await column(1).dblclick();
  await expect(column(1)).toHaveAccessibleName('Column 1, 1fr');
});

test('breakpoints are dragged, moved by keys, added and taken off', async ({ page }) => {
  const points = page.getByRole('slider', { name: 'Breakpoint' });
  await expect(points).toHaveCount(3);
  const wide = page.getByRole('slider', { name: 'Breakpoint between 4 and 6 columns' });
  await drag(page, wide, -60, 0);
  await expect.poll(async () => Number(await wide.getAttribute('aria-valuenow'))).toBeLessThan(960);
  const moved = Number(await wide.getAttribute('aria-valuenow'));
  await wide.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(wide).toHaveAttribute('aria-valuenow', String(moved + 20));
  const axis = await page.getByRole('region', { name: 'Width ruler' }).locator('> div').boundingBox();
  await page.mouse.dblclick((axis?.x ?? 0) + 60, (axis?.y ?? 0) + 30);
  await expect(points).toHaveCount(4);
  await drag(page, points.last(), 0, 120);
  await expect(points).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo: Remove breakpoint' }).click();
  await expect(points).toHaveCount(4);
});

test('the belt reorders, by pointer and by keyboard', async ({ page, application, collection }) => {
  const order = async () => (await readStored(application, collection)).document.order;
  const belt = page.getByRole('list', { name: 'Belt' });
  await drag(page, belt.getByRole('button', { name: '1, Hut at dusk' }), 165, 0);
  await expect(belt.getByRole('button', { name: '3, Hut at dusk' })).toBeVisible();
  await saved(page);
  expect((await order()).slice(0, 3)).toEqual(['opening', 'beds', 'hut-at-dusk']);
  await belt.getByRole('button', { name: '1, Opening' }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(300);
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(belt.getByRole('button', { name: '2, Opening' })).toBeVisible();
});

test('several in hand are set together', async ({ page }) => {
  await hand(page, 'beds').click();
  await hand(page, 'highest').click({ modifiers: ['Shift'] });
  await expect(page.getByRole('heading', { name: '2 tiles' })).toBeVisible();
  await page.keyboard.press('Shift+Digit2');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/1 by 2/);
  await expect(hand(page, 'highest')).toHaveAccessibleName(/1 by 2/);
  await page.getByRole('button', { name: 'Undo: Span' }).click();
  await expect(hand(page, 'highest')).toHaveAccessibleName(/1 by 1/);
});

test('words are typed and seen at once, in one step', async ({ page }) => {
  await hand(page, 'opening').click();
  await page.getByLabel('Heading', { exact: true }).fill('');
  await page.getByLabel('Heading', { exact: true }).pressSequentially('Snow <b>& ice</b>', { delay: 10 });
  await expect(page.locator('[data-slot="opening"] h2')).toHaveText('Snow <b>& ice</b>');
  await page.getByRole('button', { name: 'Undo: Heading' }).click();
  await expect(page.locator('[data-slot="opening"] h2')).toHaveText('Open all winter');
});

test('a tile of each kind is added to an empty collection', async ({ page, application }) => {
  const { id } = await createCollection(application, { name: 'Empty' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByRole('main').getByText('No tiles yet')).toBeVisible();
  for (const kind of ['Text', 'Picture', 'Stat', 'Quote', 'Action']) {
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('menuitem', { name: kind }).first().click();
  }
  await expect(page.locator('[data-tile-hand]')).toHaveCount(5);
  await saved(page);
  expect(
    Object.values((await readStored(application, id)).document.tiles)
      .map(kindTitle)
      .sort(),
  ).toEqual(['Action', 'Picture', 'Quote', 'Stat', 'Text']);
});

test('a recipe is added from the same menu, as it looks', async ({ page, application }) => {
  const { id } = await createCollection(application, { name: 'Empty' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const item = page.getByRole('menuitem', { name: 'Big figure', exact: true });
  await expect(item).toBeVisible();
  await item.click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(1);
  await saved(page);
  const { document } = await readStored(application, id);
  const [tile] = Object.values(document.tiles);
  expect(document.recipes?.[tile?.recipe?.recipe ?? '']?.name).toBe('Big figure');
});
