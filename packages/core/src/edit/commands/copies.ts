import { clone } from '../../document/clone.js';
import { placeIn } from '../../document/bands.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { wishesOf } from '../../arrangements/cells.js';
import { placeInColumns } from '../../engine/grid/placeInColumns.js';
import { type Command } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { emptyDocument } from '../emptyDocument.js';
import { withContents } from '../../document/levels.js';
import { assetsOf, carryAssets, type Assets } from './assets.js';
import { insertTile } from './tiles.js';
import { FORMAT_VERSION } from '../../document/types.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { Draft } from './draft.js';

/** A copy comes so many positions after its original at most. */
const FURTHEST = 60;

/** Gives a new id for a copy of a tile. */
export type FreshId = (tile: Tile) => TileId;

/**
 * Copies a tile with all that is in it, free, with the same spans in every band. It lies beside it: right after it in reading order, or as soon after it as the grid has the
 * fewest rows, so that no cell stays empty in it for the copy's sake.
 * @throws RangeError when there is no such band
 */
export function duplicateTile(
  document: CollectionDocument,
  original: TileId,
  band: number,
  freshId: FreshId,
): Command {
  const tile = document.tiles[original];
  if (!tile || !document.order.includes(original)) return () => undefined;
  const ids = new Map(
    withContents(document, original).map((id) => [id, freshId(document.tiles[id] as Tile)]),
  );
  const copyAt =
    (position: number): Command =>
    (draft) => {
      for (const [from, to] of ids)
        if (from !== original) draft.tiles[to] = copied(document, from, ids) as Draft['tiles'][string];
      insertTile(draft, copied(document, original, ids), position);
      for (const each of draft.bands) copyBand(each, ids);
    };
  const found = resolvedBandOf(document, band);
  const { arrangement, columns } = found;
  const all = wishesOf(document, found);
  const wishes = all.filter((each) => each !== null);
  const first = document.order.indexOf(original) + 1;
  const { columnSpan, rowSpan } = placeIn(document, tile, band);
  const wish = { columnSpan, rowSpan, column: null, row: null };
  const cells = [...wishes, wish].reduce((sum, each) => sum + each.columnSpan * each.rowSpan, 0);
  let best = { position: first, rows: Infinity };
  const last = Math.min(document.order.length, first + FURTHEST);
  for (let position = first; position <= last; position++) {
    const shown = all.slice(0, position).filter((each) => each !== null).length;
    const areas = placeInColumns(wishes.toSpliced(shown, 0, wish), columns.length, arrangement.flow);
    const rows = areas.reduce((most, area) => Math.max(most, area.row + area.rowSpan - 1), 0);
    if (rows < best.rows) best = { position, rows };
    if (best.rows <= Math.ceil(cells / columns.length)) break;
  }
  return copyAt(best.position);
}

export function copied(
  { tiles }: Pick<CollectionDocument, 'tiles'>,
  from: TileId,
  ids: ReadonlyMap<TileId, TileId>,
): Tile {
  const tile = clone(tiles[from]) as Tile;
  const id = ids.get(from) as TileId;
  const outermost = ids.keys().next().value === from;
  const own = { ...tile, id, place: outermost ? { ...tile.place, pin: null } : tile.place };
  return own.kind === 'group' ? { ...own, order: own.order.map((each) => ids.get(each) ?? each) } : own;
}

function copyBand(band: Draft['bands'][number], ids: ReadonlyMap<TileId, TileId>): void {
  const outermost = ids.keys().next().value;
  for (const [from, to] of ids) {
    const own = band.tiles[from];
    if (own) {
      const { pin, ...rest } = clone(own);
      const kept = from === outermost || !pin ? rest : { ...rest, pin };
      if (Object.keys(kept).length > 0) band.tiles[to] = kept;
    }
    const look = band.looks?.[from];
    if (look && band.looks) band.looks[to] = { ...look };
    const group = band.groups?.[from];
    if (group && band.groups) band.groups[to] = clone(group);
  }
}

/** Tiles taken along: what is put on the clipboard, and read from it in this or another collection. */
export interface TakenTiles extends Assets {
  readonly order: readonly TileId[];
  readonly tiles: Readonly<Record<TileId, Tile>>;
}

const MARK = 'noria-tiles';

/** Tiles as text, with what is in them and all that they show and follow. */
export function tilesToText(document: CollectionDocument, ids: readonly TileId[]): string {
  const all = ids.flatMap((id) => withContents(document, id)).map((id) => document.tiles[id] as Tile);
  const tiles = Object.fromEntries(all.map((tile) => [tile.id, tile]));
  return JSON.stringify({ [MARK]: FORMAT_VERSION, order: ids, tiles, ...assetsOf(document, all) });
}

/** Tiles from text that `tilesToText` wrote; null when it is something else, or not sound. */
export function tilesFromText(text: string): TakenTiles | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof value !== 'object' || value === null || !(MARK in value)) return null;
  const {
    [MARK]: formatVersion,
    order,
    tiles,
    pictures,
    ...rest
  } = value as Partial<TakenTiles> & {
    readonly [MARK]: unknown;
  };
  const { films = {}, icons = {}, families = {}, namedLooks = {}, styles = {}, recipes = {} } = rest;
  const taken = { order, tiles, pictures, films, icons, families, namedLooks, styles, recipes };
  return checkDocument({ ...emptyDocument('Taken along'), ...taken, formatVersion }).document;
}

/** Puts tiles that were taken along at a position of the reading order, free. */
export function pasteTiles(taken: TakenTiles, position: number, freshId: FreshId): Command {
  const copies = taken.order.map(
    (id) => new Map(withContents(taken, id).map((each) => [each, freshId(taken.tiles[each] as Tile)])),
  );
  return (draft) => {
    const here = carryAssets(draft, taken);
    copies.forEach((ids, k) => {
      for (const [from, to] of ids) {
        const own = here(copied(taken, from, ids));
        if (from === taken.order[k]) insertTile(draft, own, position + k);
        else draft.tiles[to] = own as Draft['tiles'][string];
      }
    });
  };
}

/** Two tiles change places in every band: position in reading order, spans, pin, area and all. */
export function swapTiles(a: TileId, b: TileId): Command {
  return (draft) => {
    const [one, other] = [draft.tiles[a], draft.tiles[b]];
    const [from, to] = [draft.order.indexOf(a), draft.order.indexOf(b)];
    if (!one || !other || from === -1 || to === -1 || a === b) return;
    [one.place, other.place] = [other.place, one.place];
    for (const { tiles } of draft.bands) {
      const [first, second] = [tiles[a], tiles[b]];
      if (second) tiles[a] = second;
      else delete tiles[a];
      if (first) tiles[b] = first;
      else delete tiles[b];
    }
    const order = [...draft.order];
    [order[from], order[to]] = [b, a];
    draft.order = order;
  };
}
