import AxeBuilder from '@axe-core/playwright';
import {
  change,
  groupTiles,
  onLevel,
  setArrangement,
  setBreakBefore,
  setKind,
  setOfKind,
  setSpan,
  writePage,
  type ArrangementName,
  type CollectionDocument,
  type Command,
  type TextMeasurer,
} from '@noria/core';
import { chromium, type Page } from '@playwright/test';
import { HtmlValidate } from 'html-validate';
import { fontMeasurer } from '../packages/cli/dist/fonts.js';
import {
  createCollection,
  demo,
  DEMOS,
  drag,
  expect,
  expectAccessible,
  expectAsCoreAt,
  exported,
  hand,
  pageBoxes,
  readStored,
  saved,
  showWidth,
  stageBoxes,
  test,
  type Application,
  fontsThere,
} from './noria';

const WIDTHS = [280, 320, 360, 414, 560, 700, 768, 900, 1024, 1280, 1600, 1920];

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

async function expectAsCore(page: Page, document: CollectionDocument): Promise<void> {
  await fontsThere(page);
  for (const width of WIDTHS) await expectAsCoreAt(page, document, measurer, width);
}

const hasLanes = (page: Page) => page.evaluate(() => CSS.supports('display: grid-lanes'));

/** A browser with lanes, where there is one: by itself, or when it is asked for what is not finished yet. */
async function withLanes(use: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--enable-blink-features=CSSGridLanesLayout'],
  });
  try {
    const page = await browser.newPage({ reducedMotion: 'reduce' });
    if (await hasLanes(page)) await use(page);
  } finally {
    await browser.close();
  }
}

test('a page in masonry lies alike with lanes and without them, and has no script', async ({
  page,
}, info) => {
  const document = await demo('sent-in-by-guests');
  const address = await exported('sent-in-by-guests', info);
  await page.goto(address);
  await expectAsCore(page, document);
  expect(await page.locator('script').count()).toBe(0);
  await withLanes(async (other) => {
    await other.goto(address);
    expect(await other.locator('.collection').evaluate((element) => getComputedStyle(element).display)).toBe(
      'grid-lanes',
    );
    await expectAsCore(other, document);
  });
});

test('masonry along its lanes lies as core says, is scrolled by keys, and has a name', async ({
  page,
}, info) => {
  const along = { direction: 'inline', laneSize: 150, count: 2 } as const;
  const commands: Command[] = [
    setKind('masonry', 0, 'all'),
    setOfKind('masonry', along, 0, 'all'),
    setKind('bento', 2, 'band'),
  ];
  const document = commands.reduce(
    (made, command) => change(made, command).document,
    await demo('winter-at-the-huts'),
  );
  const address = await exported(document, info);
  await page.goto(address);
  await expectAsCore(page, document);
  await page.setViewportSize({ width: 1024, height: 800 });
  const main = page.getByRole('main', { name: 'Winter at the huts' });
  await main.focus();
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowRight', { delay: 200 });
  await expect.poll(() => main.evaluate((element) => element.scrollLeft)).toBeGreaterThan(0);
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await withLanes(async (other) => {
    await other.goto(address);
    await expectAsCore(other, document);
  });
});

/** The winter collection with a group of one kind in it, another kind in its narrower bands, and spans. */
function mixed(
  start: CollectionDocument,
  outer: ArrangementName,
  inner: ArrangementName,
): CollectionDocument {
  const commands: Command[] = [
    groupTiles(['night', 'map', 'work-days', 'weather'], 'g', 0),
    setSpan({ tiles: ['g'], band: 0, setFor: 'all', columnSpan: 2, rowSpan: 2 }),
    onLevel('g', setKind(inner, 0, 'all')),
    setKind(outer, 1, 'band'),
    setArrangement({ autoRows: 'minmax(156px, auto)' }, 0, 'all'),
    setBreakBefore(['ridge-path'], true, 0, 'all'),
  ];
  return commands.reduce((document, command) => change(document, command).document, start);
}

for (const [outer, inner] of [
  ['masonry', 'rows'],
  ['rows', 'masonry'],
  ['fluid', 'mosaic'],
  ['fan', 'fluid'],
  ['mosaic', 'bento'],
] as const) {
  test(`bands in ${outer} and a group in ${inner} lie in the page as core says, with lanes too`, async ({
    page,
  }, info) => {
    const document = mixed(await demo('winter-at-the-huts'), outer, inner);
    const address = await exported(document, info);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(address);
    await expectAsCore(page, document);
    await withLanes(async (other) => {
      await other.goto(address);
      await expectAsCore(other, document);
    });
  });
}

test('pages of all demo collections are valid HTML; a script is only where pictures open large', async () => {
  const validator = new HtmlValidate({
    extends: ['html-validate:standard'],
    rules: { 'no-inline-style': 'off' },
  });
  for (const name of DEMOS) {
    const html = writePage(await demo(name), measurer).files['index.html'] ?? '';
    const { results } = await validator.validateString(html);
    expect({
      name,
      messages: results.flatMap(({ messages }) => messages.map(({ message }) => message)),
    }).toEqual({
      name,
      messages: [],
    });
    const { enlarges } = await demo(name);
    expect(html.includes('<script')).toBe(enlarges === 'all');
  }
});

async function open(page: Page, application: Application, name: string, first: string): Promise<string> {
  const { id } = await createCollection(application, { document: await demo(name) });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(hand(page, first)).toBeVisible();
  return id;
}

test('the same tiles in every kind, spans kept; the settings of each are accessible', async ({
  page,
  application,
  collection,
}) => {
  await page.goto(`${application.url}/collections/${collection}/compose`);
  await expect(hand(page, 'hut-at-dusk')).toBeVisible();
  const before = (await readStored(application, collection)).document.tiles;
  const strip = page.getByRole('radiogroup', { name: 'Arrangement' });
  for (const kind of ['Masonry', 'Rows', 'Mosaic', 'Fan', 'Fluid']) {
    await strip.getByRole('radio', { name: kind }).click();
    await expect(page.locator('[data-tile-hand]')).toHaveCount(14);
    await expectAccessible(page);
  }
  await strip.getByRole('radio', { name: 'Bento' }).click();
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.tiles).toEqual(before);
  expect(document.arrangement.kind).toBe('bento');
});

test('a kind of one band alone, by the keyboard', async ({ page, application, collection }) => {
  await page.goto(`${application.url}/collections/${collection}/compose`);
  await showWidth(page, 500);
  await page.getByRole('radio', { name: 'Bento' }).focus();
  // A key is held for as long as the page takes to follow.
  await page.keyboard.press('ArrowRight', { delay: 300 });
  await expect(page.getByRole('radio', { name: 'Fluid' })).toBeChecked();
  await page.keyboard.press('ArrowRight', { delay: 300 });
  await expect(page.getByRole('radio', { name: 'Masonry' })).toBeChecked();
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.arrangement.kind).toBe('bento');
  expect(document.bands.find(({ id }) => id === 'narrow')?.arrangement.kind).toBe('masonry');
});

test('masonry: lanes are drawn, its ends are evened, order runs as a line, a drag reorders', async ({
  page,
  application,
}) => {
  const id = await open(page, application, 'sent-in-by-guests', 'call');
  await expect(page.getByTestId('lane')).toHaveCount(5);
  await page.keyboard.press('t');
  await expect(page.getByTestId('reading-line').locator('circle')).toHaveCount(20);
  await page.keyboard.press('t');
  const uneven = async () =>
    Number(/[\d.]+/.exec((await page.getByTestId('uneven').textContent()) ?? '')?.[0] ?? NaN);
  const before = (await readStored(application, id)).document.order;
  // Out of order first, so that there is something to even.
  await page.getByRole('button', { name: /^1, / }).first().focus();
  await drag(page, hand(page, 'tower-peak'), -590, -100);
  await saved(page);
  const moved = (await readStored(application, id)).document.order;
  expect(moved).not.toEqual(before);
  await page.keyboard.press('Escape');
  const bad = await uneven();
  await page.getByRole('button', { name: /^Balance to/ }).click();
  await expect.poll(uneven).toBeLessThan(bad);
  await saved(page);
  const { order } = (await readStored(application, id)).document;
  order.forEach((tile, k) => expect(Math.abs(k - moved.indexOf(tile))).toBeLessThanOrEqual(3));
});

test('a hole in a lane is hatched, found, and closed', async ({ page, application }) => {
  const id = await open(page, application, 'sent-in-by-guests', 'call');
  await showWidth(page, 700);
  await expect(page.getByTestId('lane')).toHaveCount(2);
  await hand(page, 'after-the-storm').click();
  await page.keyboard.press('2');
  await expect(page.getByTestId('lane-open').first()).toHaveAttribute(
    'title',
    '524 px of this lane stay empty',
  );
  await page.getByRole('link', { name: /^Check/ }).click();
  await page.getByRole('button', { name: /A hole before “After the storm”.*560/ }).click();
  await page.getByRole('button', { name: 'Over one lane' }).click();
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.tiles['after-the-storm']?.place.columnSpan).toBe(1);
});

test('rows: a break is pinned by a key, a row’s edge is dragged, the page follows', async ({
  page,
  application,
}) => {
  const id = await open(page, application, 'the-long-way-round', 'panorama');
  const rowOf = async (tile: string) => (await stageBoxes(page))[tile]?.[0];
  expect(await rowOf('ridge-path')).toBeGreaterThan(8);
  await hand(page, 'ridge-path').click();
  await page.keyboard.press('p');
  await expect.poll(() => rowOf('ridge-path')).toBeCloseTo(8, 0);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('held')).toHaveCount(1);
  await drag(page, page.getByTestId('row-edge-1'), 0, -60);
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.arrangement.rowHeights?.target).toBeGreaterThan(300);
  expect(document.tiles['ridge-path']?.place.breakBefore).toBe(true);
});

test('a mosaic: another at a press, a locked picture stays', async ({ page, application }) => {
  await open(page, application, 'one-valley-many-lights', 'hut-at-dusk');
  await hand(page, 'moss-valley').click();
  await page.keyboard.press('p');
  await page.keyboard.press('Escape');
  const before = await stageBoxes(page);
  for (let again = 0; again < 3; again++)
    await page.getByRole('button', { name: 'Shuffle', exact: true }).click();
  await expect.poll(() => stageBoxes(page)).not.toEqual(before);
  expect((await stageBoxes(page))['moss-valley']).toEqual(before['moss-valley']);
  // With fewer modules than its lock needs it lies elsewhere, and that is said in three places.
  await expect(page.getByTestId('held')).not.toHaveAttribute('data-lost');
  await page.getByRole('radio', { name: 'Fixed' }).first().click();
  await page.getByRole('textbox', { name: 'Number of modules' }).fill('3');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/fits around “Moss valley”/)).toBeVisible();
  await expect(page.getByTestId('held')).toHaveAttribute('data-lost');
  await page.getByRole('link', { name: /^Check/ }).click();
  await page.getByRole('button', { name: /“Moss valley” does not stay where it is locked/ }).click();
  await page.getByRole('button', { name: 'Unlock it' }).click();
  await expect(page.getByRole('list', { name: 'Open findings' })).not.toContainText('locked');
});

test('a fan opens on pointing, by tap, by keys, and says so to no script', async ({ page }, info) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(await exported('six-huts-six-evenings', info));
  expect(await page.locator('script').count()).toBe(0);
  const left = async (id: string) => (await pageBoxes(page))[id]?.[0] ?? NaN;
  const strip = async () => (await left('after-the-storm')) - (await left('dawn-column'));
  const closed = await strip();
  expect(closed).toBeLessThan(170);
  const box = await page.locator('[data-tile="dawn-column"]').boundingBox();
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 200);
  await expect.poll(strip).toBeCloseTo(440, 0);
  await page.mouse.move(5, 5);
  await expect.poll(strip).toBeCloseTo(closed, 0);
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Dawn column' })).toBeChecked();
  await expect.poll(strip).toBeCloseTo(440, 0);
  await page.getByRole('radio', { name: 'Larch gate' }).click({ position: { x: 20, y: 100 } });
  await page.mouse.move(5, 5);
  await expect
    .poll(async () => (await left('violet-slope')) - (await left('larch-gate')))
    .toBeCloseTo(440, 0);
});

test('equal cells with a large one on top; a page skeleton whose content is in masonry', async ({
  page,
  application,
  collection,
}) => {
  await page.goto(`${application.url}/collections/${collection}/compose`);
  await expect(hand(page, 'hut-at-dusk')).toBeVisible();
  await page.getByRole('button', { name: 'Equal…' }).click();
  await page.getByLabel('Cells across').fill('4');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Make cells equal' }).click();
  await expect
    .poll(async () => (await stageBoxes(page)).opening?.slice(2).map(Math.round))
    .toEqual([308, 308]);
  expect((await stageBoxes(page))['hut-at-dusk']?.map(Math.round)).toEqual([24, 24, 1232, 616]);
  await page.getByRole('radio', { name: 'Masonry' }).click();
  await page.getByRole('button', { name: 'Page skeletons…' }).click();
  await page.getByRole('button', { name: /^Sidebar/ }).click();
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.order).toHaveLength(4);
  const content = Object.values(document.tiles).find(({ name }) => name === 'Content');
  expect(content).toMatchObject({ kind: 'group', arrangement: { kind: 'masonry' } });
  await hand(page, content?.id ?? '').dblclick();
  await expect(page.getByTestId('lane').first()).toBeVisible();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(14);
});
