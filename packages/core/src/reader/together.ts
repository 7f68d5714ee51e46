import { LIMITS } from '../document/limits.js';
import { newGroup } from '../parts/newTile.js';
import { ID } from '../look/checks.js';
import { HOLDING } from '../arrangements/index.js';
import { INITIAL_STYLE } from '../engine/box/style.js';
import { toArrangement } from './arrangement.js';
import {
  differencesOf,
  lookOf,
  readLevel,
  stylesOf,
  type CardType,
  type ReadBand,
  type ReadLevel,
  type Reading,
} from './level.js';
import type { Arrangement, Tile, TileId } from '../document/types.js';
import type { Around, BandGrid } from './grids.js';
import type { Element } from 'domhandler';

/** Between grids that lie one below the other, px: pages have other things there. */
const APART = 24;

/** What holds grids of a page: one below the other. */
const COLUMN: Arrangement = {
  kind: HOLDING,
  columns: ['1fr'],
  rows: [],
  autoRows: 'auto',
  columnGap: 0,
  rowGap: APART,
  padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 },
  flow: 'sparse',
  maxInlineSize: null,
};

/**
 * Reads several grids of a page as groups, one below the other.
 * @param all of each grid, it at the width of each band, from wide to narrow; it is there at the first one
 */
export function readTogether(
  all: readonly (readonly [BandGrid, ...(BandGrid | null)[]])[],
  reading: Reading,
): ReadLevel {
  const taken = new Set<TileId>();
  const tiles: Record<TileId, Tile> = {};
  const order: TileId[] = [];
  const elements: Element[] = [];
  const types = new Map<TileId, CardType>();
  const sources = new Map<TileId, Element>();
  const bands: ReadBand[] = reading.widths.slice(1).map(() => ({ arrangement: {}, tiles: {}, groups: {} }));
  // What all of them lie in is around the column.
  const shared = reading.widths.map((_, k) =>
    commonStart(all.flatMap((grids) => (grids[k] ? [grids[k].around ?? []] : []))),
  );
  const columns = reading.widths.map((width, k) => columnIn(shared[k] ?? [], width));
  bands.forEach((band, k) => {
    const [before, own] = [columns[k] ?? COLUMN, columns[k + 1] ?? COLUMN];
    Object.assign(band.arrangement, differencesOf(before, own));
  });
  for (const each of all) {
    const grids = each.map((grid, k) => grid && within(grid, shared[k]?.length ?? 0));
    const widest = grids[0] as BandGrid;
    const id = groupId(widest.element, taken);
    const level = readLevel(widest, grids, reading, taken, 2);
    const group = {
      ...newGroup(id),
      name: nameOf(widest.element),
      arrangement: level.arrangement,
      order: level.order,
    };
    const { element, grid, elementOf } = widest;
    Object.assign(tiles, level.tiles, {
      [id]: { ...group, look: lookOf(group, { element, box: grid }, elementOf, reading) },
    });
    order.push(id);
    sources.set(id, element);
    elements.push(...level.elements);
    for (const [each, type] of level.types) types.set(each, type);
    for (const [each, from] of level.sources) sources.set(each, from);
    level.bands.forEach((band, k) => {
      const own = bands[k];
      if (!band || !own) return;
      Object.assign(own.tiles, band.tiles);
      Object.assign(own.groups, band.groups);
      if (Object.keys(band.arrangement).length > 0) own.groups[id] = band.arrangement;
    });
  }
  return { arrangement: columns[0] ?? COLUMN, tiles, order, bands, elements, types, sources };
}

/** The elements that all of several grids lie in. */
function commonStart([first = [], ...more]: readonly (readonly Around[])[]): readonly Around[] {
  const end = first.findIndex(({ element }, k) => more.some((other) => other[k]?.element !== element));
  return end === -1 ? first : first.slice(0, end);
}

/** The column as far from the edges of the page as in what it lies in. */
function columnIn(around: readonly Around[], width: number): Arrangement {
  const { padding, maxInlineSize } = toArrangement(INITIAL_STYLE, width, () => undefined, stylesOf(around));
  return { ...COLUMN, padding, maxInlineSize };
}

/** A grid without the outermost of what it lies in. */
const within = (grid: BandGrid, left: number): BandGrid => {
  const around = grid.around?.slice(left) ?? [];
  return { ...grid, around: around.length > 0 ? around : null };
};

function groupId({ attribs, name }: Element, taken: Set<TileId>): TileId {
  const called = (attribs.id ?? attribs.class?.trim().split(/\s+/)[0] ?? name).toLowerCase();
  const base = ID.test(called) ? called : 'group';
  let id = base;
  for (let count = 2; taken.has(id); count++) id = `${base}-${count}`;
  taken.add(id);
  return id;
}

/** “opening-hours” is called “Opening hours”. */
function nameOf({ attribs, name }: Element): string {
  const words = (attribs.id ?? attribs.class?.trim().split(/\s+/)[0] ?? name).replace(/[-_]+/g, ' ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`.slice(0, LIMITS.name);
}
