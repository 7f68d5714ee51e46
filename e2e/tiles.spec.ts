import {
  createCollection,
  downloadedPage,
  drag,
  expect,
  expectAccessible,
  hand,
  openCompose,
  readStored,
  saved,
  stageBoxes,
  test,
} from './noria';
import type { Page } from '@playwright/test';

test.beforeEach(async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
});

/** Drags from the middle of one tile to a share of another. */
async function dragOnto(page: Page, from: string, to: string, share = 0.5): Promise<void> {
  const [a, b] = [await hand(page, from).boundingBox(), await hand(page, to).boundingBox()];
  if (!a || !b) throw new Error('There is no such tile on the stage.');
  const x = b.x + b.width * share - a.x - a.width / 2;
  await drag(page, hand(page, from), x, b.y + b.height * share - a.y - a.height / 2);
}

test('dropped on the middle of another, two tiles change places', async ({ page }) => {
  const before = await stageBoxes(page);
  await dragOnto(page, 'beds', 'opening');
  const after = await stageBoxes(page);
  expect(after.beds).toEqual(before.opening);
  expect(after.opening).toEqual(before.beds);
  await page.getByRole('button', { name: 'Undo: Swap' }).click();
  await expect.poll(() => stageBoxes(page)).toEqual(before);
});

test('grips stretch from either end; several in hand are stretched together', async ({ page }) => {
  await hand(page, 'booking').click();
  const box = await hand(page, 'booking').boundingBox();
  await drag(page, page.getByTestId('grip-inlineStart'), -(box?.width ?? 0) - 8, 0);
  await expect(hand(page, 'booking')).toHaveAccessibleName(/2 by 1 at column 3, row 4/);
  await page.getByRole('button', { name: 'Undo: Span' }).click();
  await hand(page, 'beds').click();
  await hand(page, 'highest').click({ modifiers: ['Shift'] });
  const highest = await hand(page, 'highest').boundingBox();
  await drag(page, page.getByTestId('grip-block'), 0, (highest?.height ?? 0) + 8);
  await expect(hand(page, 'beds')).toHaveAccessibleName(/1 by 2/);
  await expect(hand(page, 'highest')).toHaveAccessibleName(/1 by 2/);
});

test('with Alt a tile lies over another, a layer above it', async ({ page, application, collection }) => {
  const [a, b] = [await hand(page, 'beds').boundingBox(), await hand(page, 'hut-at-dusk').boundingBox()];
  await page.keyboard.down('Alt');
  await drag(page, hand(page, 'beds'), (b?.x ?? 0) - (a?.x ?? 0), (b?.y ?? 0) - (a?.y ?? 0));
  await page.keyboard.up('Alt');
  const boxes = await stageBoxes(page);
  expect(boxes.beds?.slice(0, 2)).toEqual(boxes['hut-at-dusk']?.slice(0, 2));
  await page.keyboard.press('PageUp');
  await saved(page);
  expect((await readStored(application, collection)).document.tiles.beds?.place).toMatchObject({
    pin: { column: 1, row: 1 },
    layer: 2,
  });
  await page.getByRole('button', { name: 'Undo: Bring forward' }).click();
  await page.getByRole('button', { name: 'Undo: Place over' }).click();
  await expect(hand(page, 'beds')).toHaveAccessibleName(/at column 6, row 1$/);
});

test('a duplicate lies beside its original, is selected and has the focus; no hole comes of it', async ({
  page,
}) => {
  const before = await stageBoxes(page);
  await hand(page, 'highest').click();
  await page.keyboard.press('Control+d');
  const after = await stageBoxes(page);
  const id = Object.keys(after).find((each) => !(each in before)) ?? '';
  const [x, y, width] = after.highest ?? [];
  expect(after[id]?.[1]).toBe(y);
  expect(Math.abs((after[id]?.[0] ?? 0) - (x ?? 0) - (width ?? 0))).toBeLessThan(20);
  await expect(hand(page, id)).toBeFocused();
  await expect(hand(page, id)).toHaveAttribute('aria-pressed', 'true');
});

test('tiles are taken by a rectangle, copied and pasted into another collection', async ({
  page,
  application,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const [a, b] = [await hand(page, 'opening').boundingBox(), await hand(page, 'beds').boundingBox()];
  await page.mouse.move((a?.x ?? 0) - 5, (a?.y ?? 0) - 8);
  await page.mouse.down();
  await page.mouse.move((b?.x ?? 0) + 20, (b?.y ?? 0) + 20, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: '2 tiles' })).toBeVisible();
  await page.keyboard.press('Control+c');
  const { id } = await createCollection(application, { name: 'Another' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByText('No tiles yet').first()).toBeVisible();
  await page.keyboard.press('Control+v');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(2);
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.order.map((tile) => document.tiles[tile]?.name)).toEqual(['Opening', 'Beds']);
  await page.keyboard.press('Control+x');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(0);
});

test('own size, alignment, badges: set for all selected, in one step', async ({
  page,
  application,
  collection,
}) => {
  await hand(page, 'beds').click();
  await hand(page, 'booking').click({ modifiers: ['Shift'] });
  const across = page.getByLabel('Across', { exact: true });
  await across.getByRole('radio', { name: 'End' }).click();
  await expect.poll(async () => (await stageBoxes(page)).booking?.[2] ?? 0).toBeLessThan(190);
  await page.getByLabel('Own width, how').getByRole('radio', { name: 'Own size' }).click();
  await page.getByLabel('Own width', { exact: true }).fill('100% / 2');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Undo: Own width' }).click();
  await page.getByRole('button', { name: 'Undo: Fit' }).click();
  await page.getByRole('button', { name: 'Undo: Fit' }).click();
  await hand(page, 'ridge-path').click();
  await page.getByRole('button', { name: 'Add badge' }).click();
  await page.getByLabel('Words of badge 1').fill('Open now');
  await page.getByRole('radio', { name: 'bottom start' }).click();
  await expect(page.locator('[data-slot="ridge-path"] .badge')).toHaveText('Open now');
  await saved(page);
  expect((await readStored(application, collection)).document.tiles['ridge-path']?.badges).toMatchObject([
    { words: 'Open now', inline: 'start', block: 'end' },
  ]);
});

test('groups: made, entered, worked in, left, taken apart, by keyboard alone', async ({
  page,
  application,
  collection,
}) => {
  const before = await stageBoxes(page);
  await hand(page, 'opening').click();
  await hand(page, 'ridge-path').click({ modifiers: ['Shift'] });
  await page.keyboard.press('g');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(13);
  await page.keyboard.press('Enter');
  const trail = page.getByRole('navigation', { name: 'Groups around' });
  await expect(trail).toContainText('Winter at the huts/Opening and 1 more');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(2);
  await page.keyboard.press('1');
  await expect(hand(page, 'opening')).toHaveAccessibleName(/1 by 1 at column 1, row 1/);
  await page.keyboard.press('g');
  await page.keyboard.press('Enter');
  await expect(trail).toContainText('Winter at the huts/Opening and 1 more/Opening');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await trail.getByRole('button', { name: 'Winter at the huts' }).click();
  await expect(trail).toHaveCount(0);
  await saved(page);
  const { document } = await readStored(application, collection);
  const group = Object.values(document.tiles).find(({ kind }) => kind === 'group');
  expect(group).toMatchObject({ order: ['opening', 'ridge-path'] });
  await page.locator(`[data-tile-hand="${group?.id}"]`).click();
  await page.keyboard.press('u');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(14);
  await page.getByRole('button', { name: 'History' }).click();
  await page.getByRole('button', { name: '0 As opened' }).click();
  await expect.poll(() => stageBoxes(page)).toEqual(before);
});

test('the history lists every step by its name, and goes to any', async ({ page }) => {
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await page.keyboard.press('p');
  await page.keyboard.press('Control+d');
  await page.getByRole('button', { name: 'History' }).click();
  const steps = page.getByRole('dialog', { name: 'History' }).getByRole('button');
  await expect(steps).toHaveText([/^0As opened$/, /^1SpanBeds, 2$/, /^2PinBeds$/, /^3Duplicate/]);
  await steps.nth(1).click();
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1 .*(?<!pinned)$/);
  await steps.nth(3).click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(15);
});

test('a command is found by its words and run by keyboard alone', async ({ page }) => {
  await hand(page, 'beds').click();
  await hand(page, 'highest').click({ modifiers: ['Shift'] });
  const before = await stageBoxes(page);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('swap');
  await expect(page.getByPlaceholder('Search commands')).toHaveValue('swap');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await stageBoxes(page)).beds).toEqual(before.highest);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('nothing like this');
  await expect(page.getByText('No command matches.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(hand(page, 'highest')).toBeFocused();
  await hand(page, 'beds').click();
  await page.keyboard.press('Control+ArrowDown');
  await expect(page.getByRole('heading', { name: '2 tiles' })).toBeVisible();
  await page.keyboard.press('Control+a');
  await expect(page.getByRole('heading', { name: '14 tiles' })).toBeVisible();
});

test('a press on a free cell asks what comes there; Escape in the middle of drawing draws nothing', async ({
  page,
}) => {
  await hand(page, 'beds').click();
  await page.keyboard.press('Delete');
  await page.getByTestId('hole').first().scrollIntoViewIfNeeded();
  const hole = await page.getByTestId('hole').first().boundingBox();
  const [x, y] = [(hole?.x ?? 0) + 12, (hole?.y ?? 0) + 12];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y + 20, { steps: 4 });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(13);
  await page.mouse.click(x, y);
  await page.getByRole('menuitem', { name: 'Quote' }).click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(14);
  await expect(page.locator('[data-tile-hand][aria-pressed=true]')).toHaveAccessibleName(/quote/);
});

test('a card is composed of any parts, in any order and line, and becomes another kind without losing a word', async ({
  page,
  application,
  collection,
}, info) => {
  await hand(page, 'opening').click();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const choose = async (menu: string, item: string) => {
    await settings.getByRole('button', { name: `${menu}: more`, exact: true }).click();
    await page.getByRole('menu').getByText(item, { exact: true }).click();
  };
  const add = async (part: string) => {
    await settings.getByRole('button', { name: 'Add part' }).click();
    await page.getByRole('menuitem', { name: new RegExp(`^${part}`) }).click();
  };
  await add('Figure');
  await settings.getByLabel('Figure', { exact: true }).fill('12');
  await add('Label');
  await settings.getByLabel('Label', { exact: true }).fill('beds');
  await choose('Label', 'In line with the part before');
  await add('Divider');
  await choose('Divider', 'Move up');
  await choose('Eyebrow', 'Remove');
  await choose('Text', 'Hide');
  await expect(settings.getByRole('button', { name: 'Show text' })).toBeVisible();
  await choose('Heading', 'End');
  expect(await settings.evaluate((panel) => panel.scrollWidth - panel.clientWidth)).toBe(0);
  await expectAccessible(page);
  await saved(page);
  const parts = async () => {
    const { document } = await readStored(application, collection);
    const tile = document.tiles.opening;
    return tile?.kind === 'card' ? tile.parts : [];
  };
  expect((await parts()).map(({ kind, hidden, beside, align }) => [kind, hidden, beside, align])).toEqual([
    ['heading', undefined, undefined, 'end'],
    ['text', true, undefined, undefined],
    ['figure', undefined, undefined, undefined],
    ['divider', undefined, undefined, undefined],
    ['label', undefined, true, undefined],
  ]);

  // What the stage shows is what the page has.
  const said = (element: Element) =>
    [...element.children].map((each) => [each.tagName, each.className, each.textContent]);
  const shown = [
    ['H2', '', 'Open all winter'],
    ['STRONG', '', '12'],
    ['DIV', 'row', 'beds'],
  ];
  await expect
    .poll(() => page.locator('[data-stage-page] [data-tile="opening"]').evaluate(said))
    .toEqual(shown);

  // By keyboard: the menu of a part, and another kind.
  await settings.getByRole('button', { name: 'Divider: more' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('End');
  await page.keyboard.press('Escape');
  await expect(settings.getByRole('button', { name: 'Divider: more' })).toBeFocused();
  const wordsHeld = async () =>
    (await parts()).flatMap((part) => ('words' in part ? [[part.kind, part.words, part.hidden]] : []));
  const kind = async (name: string) => {
    await settings.getByRole('combobox', { name: 'Kind' }).click();
    await page.getByRole('option', { name, exact: true }).click();
  };
  await kind('Stat');
  await saved(page);
  expect(await wordsHeld()).toEqual([
    ['figure', '12', undefined],
    ['label', 'beds', undefined],
    ['heading', 'Open all winter', true],
    ['text', 'Seven huts, stove lit, key with the warden.', true],
  ]);
  await kind('Text');
  await saved(page);
  expect(await wordsHeld()).toEqual([
    ['eyebrow', '', undefined],
    ['heading', 'Open all winter', undefined],
    ['text', 'Seven huts, stove lit, key with the warden.', undefined],
    ['figure', '12', true],
    ['label', 'beds', true],
  ]);
  await page.goto(await downloadedPage(page, info));
  await expect(page.locator('[data-tile="opening"] h2')).toHaveText('Open all winter');
  await expect(page.locator('[data-tile="opening"]')).not.toContainText('beds');
});
