import {
  bandAt,
  inheritHere,
  change,
  checkDocument,
  flatTiles,
  layoutCollection,
  setBandLook,
  setBandTypeSizes,
  setLook,
  setOfKind,
  setHereIn,
  setHidden,
  setKind,
  setOrder,
  setQueries,
  type ArrangementName,
  type CollectionDocument,
  type Command,
  type TextMeasurer,
} from '@noria/core';
import { join } from 'node:path';
import { fontMeasurer } from '../packages/cli/dist/fonts.js';
import {
  createCollection,
  DEMOS,
  demo,
  drag,
  expect,
  expectAccessible,
  exported,
  expectSameBoxes,
  hand,
  noria,
  openCompose,
  pageBoxes,
  readStored,
  root,
  saved,
  showWidth,
  stageBoxes,
  test,
  fontsThere,
} from './noria';
import type { Page } from '@playwright/test';

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

/** Sixty widths from 240 to 2560, the breakpoints on both sides among them. */
function sampled({ bands }: CollectionDocument): number[] {
  const edges = bands.flatMap(({ below }) => [below - 1, below]);
  const even = Array.from({ length: 60 - edges.length }, (_, k) =>
    Math.round(240 + (k * 2320) / (59 - edges.length)),
  );
  return [...new Set([...even, ...edges])].sort((a, b) => a - b);
}

/** What is wrong with an exported page as the browser shows it, told by its boxes alone. */
const wrongInPage = (page: Page, kind: ArrangementName) =>
  page.evaluate((of) => {
    // Cards of a fan lie over each other, and the lanes of a masonry need not end alike.
    const isFan = of === 'fan';
    const covers = !isFan && of !== 'masonry';
    const wrong: string[] = [];
    const grid = document.querySelector<HTMLElement>('.collection');
    if (!grid) return ['there is no collection'];
    const style = getComputedStyle(grid);
    const outer = grid.getBoundingClientRect();
    const side = (name: string) => Number.parseFloat(style.getPropertyValue(name));
    const inner = {
      left: outer.left + side('padding-left'),
      right: outer.right - side('padding-right'),
      top: outer.top + side('padding-top'),
      bottom: outer.bottom - side('padding-bottom'),
    };
    if (document.documentElement.scrollWidth > innerWidth) wrong.push('the page scrolls sideways');
    const tiles = [...grid.querySelectorAll<HTMLElement>(':scope > [data-tile]')];
    const boxes = tiles.map((tile) => tile.getBoundingClientRect());
    let covered = 0;
    const [columnGap, rowGap] = [side('column-gap'), side('row-gap')];
    tiles.forEach((tile, k) => {
      const name = tile.dataset.tile ?? '';
      const box = boxes[k] as DOMRect;
      covered += (box.width + columnGap) * (box.height + rowGap);
      if (
        !isFan &&
        (box.right > inner.right + 0.6 || box.left < inner.left - 0.6 || box.bottom > inner.bottom + 0.6)
      )
        wrong.push(`${name} overflows`);
      // A ring of a gradient lies over the border, which is outside of what scrolls.
      const ring = getComputedStyle(tile, '::before').content !== 'none';
      const { borderBottomWidth: below, borderRightWidth: right } = getComputedStyle(tile);
      const [high, wide] = ring ? [parseFloat(below), parseFloat(right)] : [0, 0];
      if (tile.scrollHeight > tile.clientHeight + 1 + high || tile.scrollWidth > tile.clientWidth + 1 + wide)
        wrong.push(`${name} is clipped`);
      boxes.slice(k + 1).forEach((other, j) => {
        const across = Math.min(box.right, other.right) - Math.max(box.left, other.left);
        const down = Math.min(box.bottom, other.bottom) - Math.max(box.top, other.top);
        if (!isFan && across > 0.6 && down > 0.6)
          wrong.push(`${name} overlaps ${tiles[k + 1 + j]?.dataset.tile ?? ''}`);
      });
      const next = boxes[k + 1];
      // In masonry the lane that ends first is next, wherever it is: there a tile may begin on one line
      // with the one before and left of it.
      const isBefore =
        of !== 'masonry' && next && Math.abs(next.top - box.top) < 0.6 && next.right <= box.left;
      if (next && (next.bottom <= box.top || isBefore)) wrong.push(`what follows ${name} is seen before it`);
      const image = tile.matches('img') ? tile : tile.matches('.group') ? null : tile.querySelector('img');
      if (image) {
        const aspect = Number(image.getAttribute('width')) / Number(image.getAttribute('height'));
        const ratio = aspect / (box.width / box.height);
        if (Math.min(ratio, 1 / ratio) < 0.499)
          wrong.push(`${name} shows ${Math.min(ratio, 1 / ratio).toFixed(2)}`);
        if (image.alt.trim() === '') wrong.push(`${name} has no alternative text`);
        const drawn = Math.max(box.width, box.height * aspect);
        if (Number(image.getAttribute('width')) < drawn - 1) wrong.push(`${name} is soft`);
      }
    });
    const cells = (inner.right - inner.left + columnGap) * (inner.bottom - inner.top + rowGap);
    if (covers && Math.abs(covered - cells) > cells * 0.002)
      wrong.push(`${Math.round((100 * covered) / cells)} % is covered`);
    return wrong;
  }, kind);

for (const name of DEMOS) {
  test(`“${name}” is sound at sixty widths in the browser, as the check says of all`, async ({
    page,
  }, info) => {
    const document = await demo(name);
    const checked = await noria('check', join(root, 'demo', `${name}.noria.json`), '--fail-on', 'any');
    expect(checked.stdout).toContain('nothing found at 2321 widths from 240 to 2560 px');
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(await exported(name, info));
    await fontsThere(page);
    const widths = sampled(document);
    expect(widths.length).toBeGreaterThanOrEqual(58);
    for (const width of widths) {
      await page.setViewportSize({ width, height: 900 });
      const { kind } = bandAt(document, width).arrangement;
      expect({ width, wrong: await wrongInPage(page, kind) }).toEqual({ width, wrong: [] });
    }
  });
}

for (const queries of ['container', 'media'] as const) {
  test(`fluid below a bento, order, hidden tiles and type by band lie in the page as core says, by ${queries} queries`, async ({
    page,
  }, info) => {
    const commands: Command[] = [
      setQueries(queries),
      setKind('fluid', 2, 'band'),
      setOfKind('fluid', { min: 150, max: 3 }, 2, 'band'),
      setHidden(['map', 'booking'], true, 1, 'band'),
      setHidden(['map'], false, 2, 'band'),
      setHidden(['night'], true, 0, 'band'),
      setOrder(['panorama'], -1, 1, 'band'),
      setBandTypeSizes({ headingSize: 17, bodySize: 12 }, 1),
      setBandLook(['voice'], { headingSize: 15, spread: 'start', align: 'center' }, 2),
      setBandLook(['opening'], { direction: 'row' }, 1),
      setBandLook(['opening'], { direction: 'column', writingDirection: 'horizontal' }, 2),
      setLook(['kitchen'], { writingDirection: 'vertical' }),
      setBandLook(['kitchen'], { writingDirection: 'horizontal' }, 1),
    ];
    const document = commands.reduce(
      (made, command) => change(made, command).document,
      await demo('winter-at-the-huts'),
    );
    const rows: CollectionDocument = {
      ...document,
      arrangement: { ...document.arrangement, autoRows: 'minmax(120px, auto)' },
      bands: document.bands.map((band) => {
        const { autoRows: _, ...arrangement } = band.arrangement;
        return { ...band, arrangement };
      }),
    };
    expect(checkDocument(rows).problems).toEqual([]);
    await page.goto(await exported(rows, info));
    await fontsThere(page);
    for (const width of [240, 327, 328, 380, 492, 500, 639, 640, 800, 1079, 1080, 1400, 1900, 2560]) {
      await page.setViewportSize({ width, height: 800 });
      const layout = layoutCollection(rows, width, { measurer });
      const offset = (width - layout.inlineSize) / 2;
      const shown = Object.fromEntries(
        Object.entries(await pageBoxes(page)).filter(([, [, , inline]]) => inline > 0),
      );
      const expected = flatTiles(layout).map(
        (tile) => [tile.id, [tile.x + offset, tile.y, tile.inlineSize, tile.blockSize]] as const,
      );
      expectSameBoxes(shown, Object.fromEntries(expected));
    }
  });
}

const found = (page: Page) => page.getByTestId('found-count');
const bandPanel = (page: Page) => page.getByRole('complementary', { name: 'Band' });

test('the whole work of a band by pointer: added, moved, derived, corrected, inherited, removed', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const ruler = page.getByRole('region', { name: 'Width ruler' });
  const box = await ruler.boundingBox();
  if (!box) throw new Error('the ruler is there');
  const at = (width: number) => (Math.log(width / 240) / Math.log(2560 / 240)) * (box.width - 16);
  await page.mouse.dblclick(box.x + at(860), box.y + 40);
  const added = page.getByRole('slider', { name: /^Breakpoint/ }).nth(1);
  await expect(added).toHaveAttribute('aria-valuetext', /^8[56]\d px$/);
  await drag(page, added, at(900) - at(860), 0);
  await expect(added).toHaveAttribute('aria-valuetext', /^9\d\d px$|^89\d px$/);

  await showWidth(page, 700);
  await page.getByRole('button', { name: 'All inherited' }).click();
  await expect(bandPanel(page)).toContainText(/everything is inherited/i);
  await bandPanel(page).getByRole('button', { name: 'Derive', exact: true }).click();
  await expect(bandPanel(page)).toContainText('Derived from the wider band');
  await expect(page.getByTestId('packed')).toHaveText('Packed 100 %');

  // A correction by hand: set here, marked, listed, and inherited again with one press.
  await page.getByRole('button', { name: 'Close band' }).click();
  await hand(page, 'panorama').click();
  await page
    .getByRole('group', { name: 'Span pad' })
    .getByRole('button', { name: /^2 by 1/ })
    .click();
  await expect(page.getByRole('button', { name: /^Span: inherit/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /set here$/ }).click();
  const list = bandPanel(page).getByRole('list', { name: 'Set by hand' });
  await expect(list).toContainText('Span of Panorama');
  await list.getByRole('button', { name: /^Span of Panorama: inherit/ }).click();
  await expect(bandPanel(page)).not.toContainText('Span of Panorama');

  await bandPanel(page).getByRole('button', { name: 'Keep structure' }).click();
  await expect(page.getByRole('group', { name: 'Columns' }).getByRole('button')).toHaveCount(4);
  await bandPanel(page).getByRole('button', { name: 'Stack' }).click();
  await expect(page.getByRole('group', { name: 'Columns' }).getByRole('button')).toHaveCount(1);
  await bandPanel(page).getByRole('button', { name: 'Inherit all' }).click();
  await expect(bandPanel(page)).toContainText(/everything is inherited/i);
  await drag(page, added, 0, 120);
  await expect(page.getByRole('slider', { name: /^Breakpoint/ })).toHaveCount(3);
});

test('the whole work of a band by keyboard', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  const before = (await readStored(application, collection)).document;
  const breakpoint = page.getByRole('slider', { name: /^Breakpoint/ }).first();
  await breakpoint.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(breakpoint).toHaveAttribute('aria-valuenow', '1060');
  await page.keyboard.press('Shift+ArrowRight');
  await breakpoint.blur();
  await page.keyboard.press(',');
  await expect(page.getByLabel('Width shown, px')).toHaveValue('1079');
  await page.keyboard.press('w');
  await expect(bandPanel(page)).toBeVisible();
  await bandPanel(page).getByRole('button', { name: 'Derive again' }).focus();
  await page.keyboard.press('Enter');
  await expect(bandPanel(page).getByRole('list', { name: 'Derived' })).toBeVisible();
  await bandPanel(page).getByRole('button', { name: 'Derive again' }).blur();
  await page.keyboard.press('w');

  await hand(page, 'beds').focus();
  await page.keyboard.press('2');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1/);
  const mark = page.getByRole('button', { name: /^Span: inherit/ });
  await mark.focus();
  await page.keyboard.press('Enter');
  await expect(mark).toHaveCount(0);
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.bands[0]?.below).toBe(before.bands[0]?.below);
  expect(setHereIn(document, 1).filter(({ id }) => id === 'beds')).toEqual([]);
  const inherited = change(document, inheritHere(setHereIn(document, 1), 1)).document;
  expect(setHereIn(inherited, 1)).toEqual([]);
});

test('order, hidden, never below and the run of text are set for a band or for all, and stay after a reload', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await showWidth(page, 800);
  await hand(page, 'voice').click();
  await page.getByRole('radio', { name: 'Hidden' }).click();
  await expect(hand(page, 'voice')).toHaveCount(0);
  await hand(page, 'kitchen').click();
  await expect(page.getByRole('heading', { name: 'Kitchen' })).toBeVisible();
  await page.getByLabel('Writing').getByRole('radio', { name: 'Vertical' }).click();
  await expect(page.getByRole('button', { name: /^Writing: inherit/ })).toBeVisible();
  await showWidth(page, 1280);
  await expect(hand(page, 'voice')).toBeVisible();
  await hand(page, 'opening').click();
  await page.getByRole('radio', { name: 'All widths' }).click();
  await page.getByLabel('Order', { exact: true }).fill('2');
  await page.keyboard.press('Enter');
  await page.getByLabel('Minimum width', { exact: true }).fill('240');
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: 'On', exact: true }).click();
  await saved(page);
  await page.reload();
  const { document } = await readStored(application, collection);
  expect(document.bands[0]?.tiles.voice?.hidden).toBe(true);
  expect(document.bands[0]?.looks).toEqual({ kitchen: { writingDirection: 'vertical' } });
  expect(document.tiles.kitchen?.look.writingDirection).toBeUndefined();
  expect(document.tiles.opening).toMatchObject({
    minimumWidth: 240,
    keepWithNext: true,
    place: { order: 2 },
  });
});

test('a fluid arrangement is chosen with both kinds in sight; the helper gives the range of minimums', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await page.getByRole('radio', { name: 'Fluid' }).click();
  await expect(page.getByRole('radiogroup', { name: 'Few tiles' }).getByRole('radio')).toHaveCount(2);
  await page.getByLabel('Gap', { exact: true }).fill('24');
  await page.keyboard.press('Enter');
  await page.getByLabel('Padding', { exact: true }).fill('40');
  await page.keyboard.press('Enter');
  // 1280 less twice 40 is 1200; with a gap of 24, four columns take more than 220.8 and up to 282.
  await page.getByLabel('Columns wanted at this width').fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('minimum-range')).toHaveText('Column width above 220.8, up to 282 px.');
  await page.getByRole('button', { name: 'Set 282' }).click();
  await expect(page.getByRole('group', { name: 'Columns' })).toHaveText('282 px282 px282 px282 px');
  await showWidth(page, 1279);
  await expect(page.getByRole('group', { name: 'Columns' })).toHaveText(/^(\d+ px){3}$/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await showWidth(page, 1280);
  await page.getByRole('radio', { name: 'Bento' }).click();
  await expect(page.getByRole('group', { name: 'Columns' }).getByRole('button')).toHaveCount(6);
});

/** The demo with a tile too wide for its column, words that are too faint, and a hole. */
async function broken(): Promise<CollectionDocument> {
  const document = await demo('winter-at-the-huts');
  const { beds, opening } = document.tiles;
  if (!beds || !opening) throw new Error('the demo has these tiles');
  return {
    ...document,
    tiles: {
      ...document.tiles,
      beds: { ...beds, minimumWidth: 180 },
      opening: { ...opening, look: { ...opening.look, fill: '#888888', textColour: '#999999' } },
    },
  };
}

test('a finding is seen on the strip, gone to, and put right from the Check view', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { document: await broken() });
  await openCompose(page, application, id);
  await expect(found(page)).toBeVisible();
  await expect(page.getByTestId('heat-strip').locator('[data-severity=wrong]').first()).toBeVisible();
  await page.getByTestId('finding-mark').first().click();
  await expect(page.getByRole('complementary', { name: 'Findings' })).toBeVisible();

  await page.getByRole('link', { name: /^Check/ }).click();
  const list = page.getByRole('list', { name: 'Open findings' });
  await list.getByRole('button', { name: /The words of “Opening” are faint/ }).click();
  await list.getByRole('button', { name: 'Automatic text colour' }).click();
  await expect(list).not.toContainText('faint');
  await list
    .getByRole('button', { name: /“Beds” is squashed/ })
    .first()
    .click();
  await list.getByRole('button', { name: 'Show' }).click();
  await expect(hand(page, 'beds')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('link', { name: /^Check/ }).click();
  await expect(list.getByRole('listitem').first()).toBeVisible();
  const open = await list.getByRole('listitem').count();
  await page.getByRole('button', { name: 'Apply all safe fixes' }).click();
  await expect.poll(() => list.getByRole('listitem').count(), { timeout: 60_000 }).toBeLessThan(open);
  await saved(page);
  await expectAccessible(page);
});

test('a fix is tried on the stage while it is pointed at, and a finding can be ignored', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { document: await broken() });
  await openCompose(page, application, id);
  await expect(found(page)).toBeVisible();
  await page.keyboard.press('f');
  const panel = page.getByRole('complementary', { name: 'Findings' });
  await panel
    .getByRole('button', { name: /“Beds” is squashed/ })
    .first()
    .click();
  const item = panel.locator('[data-finding*=squashed][data-finding*=beds]').first();
  const fix = item.getByRole('button', { name: /^(Make it|Derive|Move|Add)/ }).first();
  await expect(fix).toBeVisible({ timeout: 30_000 });
  const before = await stageBoxes(page);
  await fix.hover();
  await expect.poll(() => stageBoxes(page)).not.toEqual(before);
  await page.getByRole('heading', { name: 'Findings' }).hover();
  await expect.poll(() => stageBoxes(page)).toEqual(before);
  const count = await found(page).innerText();
  await item.getByRole('button', { name: 'Ignore finding' }).click();
  await expect(found(page)).not.toHaveText(count);
  await expect(panel.getByRole('list', { name: 'Ignored findings' })).toContainText('Beds');
});

test('breakpoints are found in one press, and undone in one', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  await page.keyboard.press('w');
  await page.getByRole('button', { name: 'Find breakpoints' }).click();
  await expect(page.getByRole('button', { name: 'Undo: Find breakpoints' })).toBeEnabled({ timeout: 60_000 });
  await expect(found(page)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: Find breakpoints' }).click();
  await expect(page.getByRole('slider', { name: /^Breakpoint/ })).toHaveCount(3);
});

test('all bands side by side: the one pointed at is edited by the same gestures, selection goes along', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await page.getByRole('link', { name: 'Widths' }).click();
  const panes = page.locator('[data-pane]');
  await expect(panes).toHaveCount(4);
  await page.getByLabel('Width to add').fill('1920');
  await page.keyboard.press('Enter');
  await expect(panes).toHaveCount(5);
  const middle = page.locator('[data-pane="768"]');
  await middle.hover();
  await expect(page.getByLabel('Width shown, px')).toHaveValue('768');
  await middle.locator('[data-tile-hand=panorama]').click();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(middle.locator('[data-tile-hand=panorama]')).toHaveAccessibleName(/2 by 1/);
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.bands[0]?.tiles.panorama).toEqual({ columnSpan: 2 });
  await page.getByRole('button', { name: 'Remove 1920 px' }).click();
  await expect(panes).toHaveCount(4);
  await expectAccessible(page);
});
