import {
  addPart,
  addTile,
  areasMeet,
  cellsOf,
  change,
  emptyDocument,
  groupTiles,
  newTile,
  resolvedBandOf,
  type CollectionDocument,
  type Tile,
} from '@noria/core';
import {
  createCollection,
  demo,
  expect,
  hand,
  readStored,
  saved,
  showWidth,
  test,
  type Application,
  fontsThere,
} from './noria';
import { drop, file, hover, film } from './files';
import type { Page } from '@playwright/test';

/** What one points at is what one gets: every way of letting something go over the stage or the belt. */

/** Five figures in four columns, the last alone in the second row, beside three free cells. */
function five(): CollectionDocument {
  const { narrowerBands: _, ...empty } = emptyDocument('Drops');
  const tiles = Object.fromEntries(
    ['a', 'b', 'c', 'd', 'e'].map((id): [string, Tile] => [
      id,
      { ...newTile('stat', id), name: id.toUpperCase() },
    ]),
  );
  return {
    ...empty,
    arrangement: { ...empty.arrangement, columns: ['1fr', '1fr', '1fr', '1fr'], autoRows: '160px' },
    tiles,
    order: Object.keys(tiles),
  };
}

async function open(page: Page, application: Application, id: string, last = 'e') {
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(hand(page, last)).toBeVisible();
  await fontsThere(page);
}

/** Where a cell is on the screen: by the tiles of the first row, and the row below. */
async function middleOf(page: Page, column: number, row: number) {
  const above = await hand(page, 'abcd'[column - 1] ?? 'a').boundingBox();
  const below = await hand(page, 'e').boundingBox();
  const { x = 0, y = 0, width = 0, height = 0 } = above ?? {};
  const down = (below?.y ?? 0) - y;
  return { x: x + width / 2, y: y + height / 2 + down * (row - 1) };
}

type Point = Readonly<Record<'x' | 'y', number>>;

async function carry(page: Page, from: Point, to: Point, key?: 'Alt' | 'Shift') {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  if (key) await page.keyboard.down(key);
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
}

interface Result {
  readonly document: CollectionDocument;
  /** Column and row of each tile, by id. */
  readonly at: Readonly<Record<string, string>>;
  /** Pairs of tiles of one layer that share a cell. */
  readonly covered: number;
  readonly pinned: readonly string[];
}

function resultOf(document: CollectionDocument): Result {
  const areas = cellsOf(document, resolvedBandOf(document, 0));
  const layer = (k: number) => document.tiles[document.order[k] ?? '']?.place.layer ?? 0;
  const covered = areas.flatMap((area, k) =>
    areas.slice(k + 1).filter((other, j) => areasMeet(area, other) && layer(k) === layer(k + 1 + j)),
  ).length;
  return {
    document,
    at: Object.fromEntries(document.order.map((id, k) => [id, `${areas[k]?.column} ${areas[k]?.row}`])),
    covered,
    pinned: document.order.filter((id) => document.tiles[id]?.place.pin),
  };
}

interface Drop {
  readonly name: string;
  readonly go: (page: Page) => Promise<unknown>;
  /** What is said before one lets go; left out: nothing. */
  readonly says?: string;
  readonly becomes: (result: Result) => void;
}

const newId = ({ document }: Result) => document.order.find((id) => !'abcde'.includes(id)) ?? '';

const DROPS: readonly Drop[] = [
  {
    name: 'a tile onto the middle of another changes places with it',
    go: async (page) => carry(page, await middleOf(page, 1, 1), await middleOf(page, 3, 1)),
    says: 'changes places',
    becomes: ({ at, pinned }) => {
      expect([at.a, at.c, pinned]).toEqual(['3 1', '1 1', []]);
    },
  },
  {
    name: 'a tile with Shift on a free cell is held there',
    go: async (page) => carry(page, await middleOf(page, 1, 1), await middleOf(page, 4, 2), 'Shift'),
    says: 'pinned here',
    becomes: ({ at, pinned }) => {
      expect([at.a, pinned]).toEqual(['4 2', ['a']]);
    },
  },
  {
    name: 'a tile with Alt lies over another, a layer above it',
    go: async (page) => carry(page, await middleOf(page, 5 - 4, 1), await middleOf(page, 2, 1), 'Alt'),
    says: 'lies over',
    becomes: ({ at, document }) => {
      expect([at.a, at.b, document.tiles.a?.place.layer]).toEqual(['2 1', '2 1', 1]);
    },
  },
  {
    name: 'a drag over free cells draws a tile there',
    go: async (page) => carry(page, await middleOf(page, 2, 2), await middleOf(page, 3, 2)),
    says: '2 × 1',
    becomes: (result) => {
      expect([result.at[newId(result)], result.covered]).toEqual(['2 2', 0]);
    },
  },
  {
    name: 'a drag that reaches over a tile moves it on, and says so before',
    go: async (page) => carry(page, await middleOf(page, 2, 2), await middleOf(page, 1, 2)),
    says: '2 × 1, moves “E” on',
    becomes: (result) => {
      expect([result.at[newId(result)], result.covered]).toEqual(['1 2', 0]);
      expect(result.at.e).not.toBe('1 2');
    },
  },
  {
    name: 'a drag with Alt lies over the tile that it reaches, and says so before',
    go: async (page) => carry(page, await middleOf(page, 2, 2), await middleOf(page, 1, 2), 'Alt'),
    says: '2 × 1, lies over “E”',
    becomes: (result) => {
      const id = newId(result);
      expect([result.at[id], result.at.e, result.document.tiles[id]?.place.layer]).toEqual(['1 2', '1 2', 1]);
    },
  },
];

for (const { name, go, says, becomes } of DROPS) {
  test(name, async ({ page, application }) => {
    const { id } = await createCollection(application, { document: five() });
    await open(page, application, id);
    await go(page);
    if (says) await expect(page.getByLabel('Stage')).toContainText(says, { ignoreCase: true });
    await page.mouse.up();
    for (const key of ['Alt', 'Shift']) await page.keyboard.up(key);
    await saved(page);
    const result = resultOf((await readStored(application, id)).document);
    becomes(result);
    await expect(hand(page, newId(result) || 'a')).toHaveAttribute('aria-pressed', 'true');
  });
}

test('a picture dropped on a free cell lies at that cell', async ({ page, application }) => {
  const { id } = await createCollection(application, { document: five() });
  await open(page, application, id);
  const stage = page.getByLabel('Stage');
  const box = await stage.boundingBox();
  const { x, y } = await middleOf(page, 3, 2);
  const at = [(x - (box?.x ?? 0)) / (box?.width ?? 1), (y - (box?.y ?? 0)) / (box?.height ?? 1)] as const;
  await drop(stage, [await file('lake.jpg', 300, 200, '#446688')], { at });
  await expect(page.getByText('Six tiles, in reading order')).toBeVisible();
  await saved(page);
  const result = resultOf((await readStored(application, id)).document);
  const fresh = newId(result);
  expect([result.at[fresh], result.covered]).toEqual(['3 2', 0]);
  await expect(hand(page, fresh)).toHaveAttribute('aria-pressed', 'true');
});

/** Tiles of every kind that files can be dropped on, and where each takes a picture. */
const TAKERS: readonly {
  readonly onto: string;
  readonly takes: (document: CollectionDocument) => string | null | undefined;
}[] = [
  { onto: 'opening', takes: ({ tiles }) => fillOf(tiles.opening) },
  { onto: 'beds', takes: ({ tiles }) => fillOf(tiles.beds) },
  { onto: 'voice', takes: ({ tiles }) => fillOf(tiles.voice) },
  { onto: 'booking', takes: ({ tiles }) => fillOf(tiles.booking) },
  { onto: 'night', takes: ({ tiles }) => partOf(tiles.night, 'picture') },
  { onto: 'film', takes: ({ tiles }) => partOf(tiles.film, 'poster') },
  { onto: 'composed', takes: ({ tiles }) => partOf(tiles.composed, 'picture') },
  { onto: 'group', takes: ({ tiles }) => partOf(tiles.inside, 'picture') },
  { onto: 'words', takes: ({ tiles }) => fillOf(tiles.words) },
];
const fillOf = (tile: Tile | undefined) => {
  const fill = tile?.look.fill;
  if (typeof fill !== 'object') return null;
  return fill.kind === 'picture' ? fill.picture : fill.kind === 'film' ? fill.film : null;
};
const partOf = (tile: Tile | undefined, field: 'picture' | 'poster' | 'film') =>
  tile?.kind === 'card'
    ? tile.parts.flatMap((part) =>
        field in part ? [(part as unknown as Record<string, string>)[field]] : [],
      )[0]
    : null;

/** The winter collection with a film, a card with a picture in it, a group with one and a group of words. */
async function withTakers(): Promise<CollectionDocument> {
  const start = await demo('winter-at-the-huts');
  const commands = [
    addTile('film', 'film'),
    addTile('text', 'composed'),
    addPart(['composed'], 'picture'),
    addTile('picture', 'inside'),
    addTile('text', 'said'),
    groupTiles(['inside', 'said'], 'group', 0),
    addTile('text', 'more'),
    addTile('stat', 'figures'),
    groupTiles(['more', 'figures'], 'words', 0),
  ];
  return commands.reduce<CollectionDocument>((each, command) => change(each, command).document, start);
}

test('a picture dropped on a tile of any kind goes into it, as is said before', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { document: await withTakers() });
  await open(page, application, id, 'words');
  const stage = page.getByLabel('Stage');
  for (const [k, { onto, takes }] of TAKERS.entries()) {
    const lake = await file(`lake-${k}.jpg`, 300 + k, 200, '#446688');
    const before = Object.keys((await readStored(application, id)).document.tiles).length;
    await hover(hand(page, onto), [lake]);
    await expect(stage).toContainText(/Drop: “.+” takes the picture\./);
    await expect(page.getByTestId('takes')).toHaveCount(1);
    const outlined = await page.getByTestId('takes').boundingBox();
    const pointed = await hand(page, onto).boundingBox();
    expect(Math.abs((outlined?.x ?? 0) - (pointed?.x ?? 99))).toBeLessThan(2);
    await drop(hand(page, onto), [lake]);
    await expect
      .poll(async () => {
        const { document } = await readStored(application, id);
        return document.pictures[takes(document) ?? '']?.name;
      })
      .toBe(`lake-${k}`);
    expect(Object.keys((await readStored(application, id)).document.tiles)).toHaveLength(before);
    await expect(page.getByTestId('takes')).toHaveCount(0);
  }
});

test('a set dropped on one of alike cards fills those after it in order, and the rest become tiles', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { document: five() });
  await open(page, application, id);
  const files = await Promise.all([1, 2, 3].map((k) => file(`n${k}.jpg`, 300 + k, 200, '#446688')));
  await hover(hand(page, 'd'), files);
  await expect(page.getByLabel('Stage')).toContainText('one picture more becomes a new tile');
  await expect(page.getByTestId('takes')).toHaveText(['1', '2']);
  await drop(hand(page, 'd'), files);
  await expect(page.getByText('Six tiles, in reading order')).toBeVisible();
  await saved(page);
  const { document } = await readStored(application, id);
  const filled = document.order.flatMap((tile) => {
    const picture = fillOf(document.tiles[tile]) ?? partOf(document.tiles[tile], 'picture');
    return picture ? [document.pictures[picture]?.name] : [];
  });
  expect(filled).toEqual(['n1', 'n2', 'n3']);
  expect(document.order).toHaveLength(6);
});

test('pictures and films of one set fill alike cards in one order, as is said before', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { document: five() });
  await open(page, application, id);
  const files = [
    await file('s1.jpg', 300, 200, '#446688'),
    await film(page, 's2.webm'),
    await file('s3.jpg', 320, 200, '#446688'),
  ];
  await hover(hand(page, 'c'), files);
  await expect(page.getByLabel('Stage')).toContainText('three tiles take pictures and films in order');
  await expect(page.getByTestId('takes')).toHaveText(['1', '2', '3']);
  await drop(hand(page, 'c'), files);
  await expect(page.getByText(/3 pictures and films are in/)).toBeAttached();
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.order).toHaveLength(5);
  const shown = ['c', 'd', 'e'].map((tile) => {
    const behind = fillOf(document.tiles[tile]) ?? '';
    return (document.films?.[behind] ?? document.pictures[behind])?.name;
  });
  expect(shown).toEqual(['s1', expect.stringMatching(/^s2/), 's3']);
  await page.keyboard.press('Control+z');
  await saved(page);
  expect((await readStored(application, id)).document.films).toBeUndefined();
});

test('a picture tile without a picture asks for it, by a button on it and by a double press', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { name: 'Asks' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page
    .getByRole('menuitem', { name: /^Picture/ })
    .first()
    .click();
  const ask = page.getByRole('button', { name: 'Choose picture…' });
  const dialog = page.getByRole('dialog', { name: 'Choose a picture' });
  await ask.click();
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  await expect(ask).toBeFocused();
  await page.locator('[data-tile-hand]').dblclick({ position: { x: 30, y: 30 } });
  await expect(dialog.getByRole('textbox', { name: 'Find a picture' })).toBeFocused();
  await dialog.getByTestId('picture-file').setInputFiles([await file('asked for.jpg', 300, 200, '#335577')]);
  await expect(page.locator('[data-stage-page] img')).toHaveCount(1);
  await expect(ask).toHaveCount(0);
  await saved(page);
  expect(Object.values((await readStored(application, id)).document.pictures)).toMatchObject([
    { name: 'asked for' },
  ]);
});

test('a row of icons without icons asks for them, by a button on it and by Enter', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { name: 'Asks' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page
    .getByRole('menuitem', { name: /^Icons/ })
    .first()
    .click();
  const ask = page.getByRole('button', { name: 'Choose icons…' });
  const find = page.getByRole('textbox', { name: 'Find an icon' });
  await ask.click();
  await expect(find).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(ask).toBeFocused();
  await page.locator('[data-tile-hand]').focus();
  await page.keyboard.press('Enter');
  await find.fill('mountain');
  await page.getByRole('button', { name: 'Mountain', exact: true }).click();
  await page.getByRole('button', { name: /^Add/ }).last().click();
  await expect(page.locator('[data-stage-page] svg')).toHaveCount(1);
  await expect(ask).toHaveCount(0);
  await saved(page);
  expect(Object.keys((await readStored(application, id)).document.icons ?? {})).toEqual(['mountain']);
});

test('a tile dragged in a narrower band says that it moves at all widths', async ({ page, application }) => {
  const wide = five();
  const document = { ...wide, bands: [{ id: 'narrow', below: 700, arrangement: {}, tiles: {} }] };
  const { id } = await createCollection(application, { document });
  await open(page, application, id);
  const edgeOf = async (column: number) => {
    const { x, y } = await middleOf(page, column, 1);
    const { width = 0 } = (await hand(page, 'a').boundingBox()) ?? {};
    return { x: x + width * 0.35, y };
  };
  await carry(page, await middleOf(page, 1, 1), await edgeOf(3));
  await expect(page.getByLabel('Stage')).not.toContainText('Moves at all widths');
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await showWidth(page, 650);
  await carry(page, await middleOf(page, 1, 1), await edgeOf(3));
  await expect(page.getByLabel('Stage')).toContainText('Moves at all widths');
  await page.mouse.up();
  await saved(page);
  const { order } = (await readStored(application, id)).document;
  expect(order).not.toEqual(wide.order);
});

test('a tile of which nothing is seen is counted beside what is packed', async ({ page, application }) => {
  const { id } = await createCollection(application, { document: five() });
  await open(page, application, id);
  await carry(page, await middleOf(page, 1, 1), await middleOf(page, 2, 1), 'Alt');
  await page.mouse.up();
  await page.keyboard.up('Alt');
  await expect(page.getByText('1 not seen')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('1 not seen')).toBeHidden();
});
