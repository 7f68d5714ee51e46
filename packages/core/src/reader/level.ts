import { isTag, type Element } from 'domhandler';
import { expandTracks, namedLines } from '../engine/grid/lines.js';
import { DEFAULT_UNITS as UNITS } from '../engine/css/parseLength.js';
import { ID } from '../look/checks.js';
import { LIMITS } from '../document/limits.js';
import { newGroup } from '../parts/newTile.js';
import { isUsualGap, readLook } from './look.js';
import { sayDress } from './dress.js';
import { airIn, commonGap, type Air } from './air.js';
import { rounded, toArrangement, type Say } from './arrangement.js';
import { toCard, type ReadContent } from './content.js';
import { toPlace } from './place.js';
import { readType, type ReadType } from './type.js';
import type { InheritedStyle } from '../engine/html/inheritedStyle.js';
import type { PartName } from '../document/parts.js';
import type { Arrangement, FourSides, Measure, Place, Tile, TileId } from '../document/types.js';
import { isGrid, type Around, type BandGrid, type GridItem } from './grids.js';
import type { Cascaded } from '../engine/html/cascade.js';

/** What a page is read with. */
export interface Reading {
  /** Of each band, from wide to narrow, a width that stands for it, px. */
  readonly widths: readonly number[];
  readonly cascaded: (element: Element) => Cascaded;
  readonly sayOf: (element: Element) => Say;
  readonly contentOf: (element: Element) => ReadContent;
  readonly styleOf: (element: Element) => InheritedStyle;
}

/** How the words of a card are set; null where it has none of them. */
export interface CardType {
  readonly large: { readonly part: PartName; readonly type: ReadType } | null;
  readonly small: ReadType;
}

/** What a narrower band says of the grids and tiles of a page. */
export interface ReadBand {
  readonly arrangement: Partial<Arrangement>;
  readonly tiles: Record<TileId, Partial<Place>>;
  readonly groups: Record<TileId, Partial<Arrangement>>;
}

/** A grid with all that is in it. */
export interface ReadLevel {
  readonly arrangement: Arrangement;
  readonly order: readonly TileId[];
  readonly tiles: Readonly<Record<TileId, Tile>>;
  /** Null where the grid is none. */
  readonly bands: readonly (ReadBand | null)[];
  /** The elements that became grids or tiles. */
  readonly elements: readonly Element[];
  readonly types: ReadonlyMap<TileId, CardType>;
  /** What each tile was read from. */
  readonly sources: ReadonlyMap<TileId, Element>;
}

/**
 * Reads a grid and the grids in it.
 * @param grids it at the width of each band, from wide to narrow
 * @param taken ids that there are already; those of this grid are added
 */
export function readLevel(
  widest: BandGrid,
  grids: readonly (BandGrid | null)[],
  reading: Reading,
  taken: Set<TileId>,
  depth = 1,
): ReadLevel {
  const { widths, sayOf } = reading;
  const arrangement = toArrangement(
    widest.grid.style,
    widths[0] ?? LIMITS.widest,
    sayOf(widest.element),
    stylesOf(widest.around),
  );
  const tiles: Record<TileId, Tile> = {};
  const elements: Element[] = [widest.element];
  const ids = new Map<Element, TileId>();
  const inner = new Map<TileId, ReadLevel>();
  const types = new Map<TileId, CardType>();
  const sources = new Map<TileId, Element>();
  for (const { element, box } of widest.items) {
    const id = idOf(element, taken);
    ids.set(element, id);
    sources.set(id, element);
    const within = widest.inner(element, box);
    const isGroup = depth < LIMITS.depth && isGroupOf(within);
    let tile: Tile;
    if (isGroup) {
      const there = grids.map((band) => {
        const item = band?.items.find((each) => each.element === element);
        return band && item && isGrid(item.box) ? band.inner(element, item.box) : null;
      });
      const level = readLevel(within, there, reading, taken, depth + 1);
      inner.set(id, level);
      Object.assign(tiles, level.tiles);
      elements.push(...level.elements);
      for (const [each, type] of level.types) types.set(each, type);
      for (const [each, from] of level.sources) sources.set(each, from);
      tile = { ...newGroup(id), arrangement: level.arrangement, order: level.order };
    } else {
      const { card, large, small } = toCard(element, id, reading.contentOf(element));
      tile = card;
      types.set(id, {
        large: large && { part: large.part, type: typeOf(large.element, reading) },
        small: typeOf(small ?? element, reading),
      });
      elements.push(element);
      sayDress(element, reading.cascaded, sayOf);
    }
    const name = nameOf(element);
    tiles[id] = {
      ...tile,
      ...(name !== null && { name }),
      place: placeAt(widest, box, sayOf(element)),
      look: lookOf(tile, { element, box }, widest.elementOf, reading),
    };
  }
  return {
    arrangement,
    tiles,
    elements,
    types,
    sources,
    order: widest.items.map(({ element }) => ids.get(element) as TileId),
    bands: bandsOf(grids.slice(1), { arrangement, tiles, ids, inner }, reading),
  };
}

/** What a grid or an item of one looks like. */
export function lookOf(
  tile: Tile,
  { element, box }: GridItem,
  elementOf: BandGrid['elementOf'],
  { cascaded, sayOf, contentOf, styleOf }: Reading,
): Tile['look'] {
  const picture = (address: string) => contentOf(element).picture(address, '');
  const look = {
    ...tile.look,
    ...readLook(cascaded(element), box.style, UNITS, styleOf(element), picture, sayOf(element)),
  };
  if (tile.kind === 'card')
    return { ...look, ...airLook(airIn(box, elementOf), look, styleOf(element), sayOf(element)) };
  // The air in a group is that of its arrangement.
  const { padding: _, ...rest } = look;
  return rest;
}

/** The air in a card as looks: margins at its edges are padding, those between its parts are its gap. */
function airLook(
  air: Air | null,
  look: Tile['look'],
  words: InheritedStyle,
  say: Say,
): Pick<Tile['look'], 'padding' | 'gap'> {
  if (!air) return {};
  const common = commonGap(air);
  if (common?.isEven === false)
    say('margin', `differs between its parts; all are ${rounded(common.gap)} px apart now`);
  return {
    ...(common && !isUsualGap(common.gap, words) && { gap: Math.min(LIMITS.gap, rounded(common.gap)) }),
    ...((air.before > 0 || air.after > 0) && { padding: widened(look.padding ?? 0, air) }),
  };
}

/** A padding with more of it above and below. */
function widened(padding: NonNullable<Tile['look']['padding']>, { before, after }: Air) {
  const sides: FourSides<Measure> =
    typeof padding === 'object' && 'blockStart' in padding
      ? padding
      : { blockStart: padding, inlineEnd: padding, blockEnd: padding, inlineStart: padding };
  const more = (value: Measure, by: number) =>
    typeof value === 'number' ? Math.min(LIMITS.padding, rounded(value + by)) : value;
  const [blockStart, blockEnd] = [more(sides.blockStart, before), more(sides.blockEnd, after)];
  return { ...sides, blockStart, blockEnd };
}

const typeOf = (element: Element, { styleOf, cascaded, sayOf }: Reading): ReadType =>
  readType(styleOf(element), cascaded(element).values.get('font-size'), sayOf(element));

/** Whether an item is a grid of tiles, and not a card whose contents stand in a grid. */
function isGroupOf({ grid, items }: BandGrid): boolean {
  if (!isGrid(grid) || items.length === 0) return false;
  const columns = Math.max(
    expandTracks(grid.style.columns.parts, 2).sizings.length,
    grid.style.areas?.columns ?? 0,
  );
  return (
    items.some(({ element }) => element.attribs['data-tile'] !== undefined) ||
    (items.length > 1 && columns > 1)
  );
}

interface Wider {
  readonly arrangement: Arrangement;
  readonly tiles: Readonly<Record<TileId, Tile>>;
  readonly ids: ReadonlyMap<Element, TileId>;
  readonly inner: ReadonlyMap<TileId, ReadLevel>;
}

/** What each narrower band changes of the next wider one. */
function bandsOf(
  grids: readonly (BandGrid | null)[],
  { arrangement, tiles, ids, inner }: Wider,
  { widths, sayOf }: Reading,
): (ReadBand | null)[] {
  let inherited = arrangement;
  const places = new Map([...ids].map(([element, id]) => [element, tiles[id]?.place as Place]));
  return grids.map((band, k) => {
    if (!band) return null;
    const own = toArrangement(
      band.grid.style,
      widths[k + 1] ?? LIMITS.narrowest,
      sayOf(band.element),
      stylesOf(band.around),
    );
    const changed: Record<TileId, Partial<Place>> = {};
    for (const { element, box } of band.items) {
      const id = ids.get(element);
      const before = places.get(element);
      if (id === undefined || !before) continue;
      const place = placeAt(band, box, sayOf(element));
      const difference = differencesOf(before, place);
      if (Object.keys(difference).length > 0) changed[id] = difference;
      places.set(element, place);
    }
    const groups: Record<TileId, Partial<Arrangement>> = {};
    for (const [id, { bands }] of inner) {
      const within = bands[k];
      if (!within) continue;
      Object.assign(changed, within.tiles);
      Object.assign(groups, within.groups);
      if (Object.keys(within.arrangement).length > 0) groups[id] = within.arrangement;
    }
    const difference = differencesOf(inherited, own);
    inherited = own;
    return { arrangement: difference, tiles: changed, groups };
  });
}

function placeAt({ grid }: BandGrid, { style }: GridItem['box'], say: Say): Place {
  const lines = (axis: 'column' | 'row') =>
    namedLines(
      axis,
      expandTracks((axis === 'column' ? grid.style.columns : grid.style.rows).parts, 1),
      grid.style.areas,
    );
  return toPlace(style, lines('column'), lines('row'), say);
}

export const stylesOf = (around: readonly Around[] | null) => around?.map(({ style }) => style) ?? null;

/** What of an arrangement or a place is other than before. */
export function differencesOf<T extends Arrangement | Place>(before: T, after: T): Partial<T> {
  const entries = Object.entries(after).filter(
    ([key, value]) => key !== 'kind' && JSON.stringify(before[key as keyof T]) !== JSON.stringify(value),
  );
  return Object.fromEntries(entries) as Partial<T>;
}

/** What a tile is called in its page, where it is; else the next number. */
function idOf({ attribs }: Element, taken: Set<TileId>): TileId {
  const called = attribs['data-tile'] ?? '';
  let id = called;
  for (let count = taken.size + 1; !ID.test(id) || taken.has(id); count++) id = `tile-${count}`;
  taken.add(id);
  return id;
}

/** “hut-at-dusk” is called “Hut at dusk”. */
function nameOf(element: Element): string | null {
  const called = element.attribs['data-tile'] ?? '';
  if (!isTag(element) || !ID.test(called)) return null;
  const words = called.replaceAll('-', ' ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`.slice(0, LIMITS.name);
}
