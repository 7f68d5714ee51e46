import { pictureOf } from '@noria/core';
import { file } from './files';
import {
  createCollection,
  drag,
  expect,
  hand,
  openCompose,
  readStored,
  saved,
  stageBoxes,
  test,
} from './noria';

/** Rules of the hand: what one points at is what one gets, and nothing covers what one works on. */

test('a tile that is dragged takes its place in the flow: nothing is pinned, no hole comes', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const before = await stageBoxes(page);
  const from = before.voice ?? [0, 0, 0, 0];
  const to = before.beds ?? [0, 0, 0, 0];
  // The scale of the stage, by the tile on it.
  const box = await hand(page, 'voice').boundingBox();
  const scale = (box?.width ?? 0) / from[2];
  await drag(page, hand(page, 'voice'), 0, (to[1] - from[1]) * scale);
  await expect(page.getByRole('button', { name: 'Undo: Move' })).toBeEnabled();
  await expect(page.getByTestId('packed')).toHaveText('Packed 100 %');
  await expect(page.getByTestId('hole')).toHaveCount(0);
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(Object.values(document.tiles).filter(({ place }) => place.pin !== null)).toEqual([]);
  await page.keyboard.press('Control+z');
  await expect.poll(() => stageBoxes(page)).toEqual(before);
});

test('with Shift a tile is held where it is let go, and the bar lets it go again', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const beds = await hand(page, 'beds').boundingBox();
  await page.mouse.move((beds?.x ?? 0) + 20, (beds?.y ?? 0) + 20);
  await page.mouse.down();
  await page.keyboard.down('Shift');
  await page.mouse.move((beds?.x ?? 0) + 20, (beds?.y ?? 0) + (beds?.height ?? 0) * 1.2, { steps: 6 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/at column 6, row 2, pinned/);
  const bar = page.getByRole('toolbar', { name: 'Selected tiles' });
  await bar.getByRole('button', { name: 'Unpin' }).click();
  await expect(hand(page, 'beds')).not.toHaveAccessibleName(/pinned/);
});

test('the bar and the pad lie over no tile: a press on any other tile takes that tile', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  for (const id of ['opening', 'beds', 'ridge-path', 'highest', 'wardens-week', 'voice']) {
    await hand(page, id).click();
    await expect(hand(page, id)).toHaveAttribute('aria-pressed', 'true');
    const bar = await page.getByRole('toolbar', { name: 'Selected tiles' }).boundingBox();
    const covered = await page
      .locator('[data-tile-hand]')
      .evaluateAll(
        (all, { y, height }) => all.filter((each) => each.getBoundingClientRect().top < y + height).length,
        bar ?? { x: 0, y: 0, width: 0, height: 0 },
      );
    expect(covered).toBe(0);
  }
});

test('what one needs most is on the bar, and in a menu by the right button and by a key', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await hand(page, 'opening').click();
  const bar = page.getByRole('toolbar', { name: 'Selected tiles' });
  await bar.getByRole('button', { name: 'Fill' }).click();
  await expect(page.getByRole('dialog', { name: 'Fill' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Fill' })).toHaveCount(0);

  await hand(page, 'beds').click({ button: 'right' });
  const menu = page.getByRole('menu', { name: 'Selected tiles' });
  await expect(hand(page, 'beds')).toHaveAttribute('aria-pressed', 'true');
  await menu.getByRole('menuitem', { name: /^Group/ }).click();
  await expect(page.getByRole('button', { name: 'Undo: Group' })).toBeEnabled();
  await page.keyboard.press('Control+z');

  await hand(page, 'highest').click();
  await page.keyboard.press('Shift+F10');
  await expect(menu).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(menu).toHaveCount(0);
  await expect(hand(page, 'highest')).toBeFocused();
  await page.keyboard.press('Shift+F10');
  await menu.getByRole('menuitem', { name: /^Delete/ }).click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(13);
});

test('a picture has a menu of its own: moved, centred, taken out, replaced', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const menu = page.getByRole('menu', { name: 'Selected tiles' });
  const choose = async (name: string) => {
    await hand(page, 'hut-at-dusk').click({ button: 'right' });
    await menu.getByRole('menuitem', { name }).click();
    await saved(page);
    const { tiles } = (await readStored(application, collection)).document;
    return tiles['hut-at-dusk'] && pictureOf(tiles['hut-at-dusk']);
  };
  expect(await choose('Centre the picture in its tile')).toMatchObject({ focalPoint: { x: 0.5, y: 0.5 } });
  const chosen = page.waitForEvent('filechooser');
  await hand(page, 'hut-at-dusk').click({ button: 'right' });
  await menu.getByRole('menuitem', { name: 'Replace the picture…' }).click();
  await (await chosen).setFiles([await file('lake.jpg', 300, 200, '#446688')]);
  await expect(page.getByRole('button', { name: 'Undo: Picture' })).toBeEnabled();
  expect(await choose('Take the picture out')).toMatchObject({ picture: null });
  await hand(page, 'hut-at-dusk').click({ button: 'right' });
  await expect(menu.getByRole('menuitem', { name: 'Take the picture out' })).toHaveCount(0);
});

test('cells, the ruler and its devices answer to a press of either button', async ({ page, application }) => {
  const { id } = await createCollection(application, { name: 'Begun' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByRole('main').getByText('No tiles yet')).toBeVisible();
  const ground = await page.getByTestId('stage-ground').boundingBox();
  await page.mouse.click((ground?.x ?? 0) + 140, (ground?.y ?? 0) + 80, { button: 'right' });
  await page.getByRole('menuitem', { name: 'Add a tile here…' }).click();
  await page.getByRole('menuitem', { name: 'Stat' }).click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(1);
  // A row that is being filled is not scolded, until one asks.
  await expect(page.getByTestId('packed')).toHaveCount(0);
  await expect(page.getByTestId('hole')).toHaveCount(0);
  await page.keyboard.press('f');
  await expect(page.getByTestId('packed')).toBeVisible();

  await page.getByRole('button', { name: 'Phone, 390 px' }).click();
  await expect(page.getByLabel('Width shown, px')).toHaveValue('390');
  const ruler = page.getByRole('region', { name: 'Width ruler' });
  const box = await ruler.boundingBox();
  await ruler.click({ button: 'right', position: { x: (box?.width ?? 0) * 0.5, y: 30 } });
  await page.getByRole('menuitem', { name: /^Add a breakpoint at/ }).click();
  await expect(page.getByRole('button', { name: 'Undo: Add breakpoint' })).toBeEnabled();
});

test('steps are undone after a reload', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1/);
  await saved(page);
  await page.reload();
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1/);
  await page.getByRole('button', { name: 'Undo: Span' }).click();
  await expect(hand(page, 'beds')).toHaveAccessibleName(/1 by 1/);
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.tiles.beds?.place.columnSpan).toBe(1);
});
