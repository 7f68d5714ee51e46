import { firstFrom } from '../../geometry/firstFrom.js';
import { placeIn } from '../../document/bands.js';
import { resolvedBandOf, type ResolvedBand } from '../../arrangements/bands.js';
import { cellsOf, wishesOf } from '../../arrangements/cells.js';
import { kindOf } from '../../arrangements/index.js';
import { areasMeet, isBefore } from '../../geometry/relations.js';
import { change, type Command } from '../patch/change.js';
import { moveInOrder } from './tiles.js';
import { setLayer, setPin, setSpan, type SetFor } from './place.js';
import { placeInColumns, type PlacementItem } from '../../engine/grid/placeInColumns.js';
import { type GridArea } from '../../geometry/area.js';
import type { CollectionDocument, Pin, Tile, TileId } from '../../document/types.js';

/** A band by its index, or as it is at a width: where columns are fluid, their number depends on that. */
export type BandOrIndex = number | ResolvedBand;

const resolve = (document: CollectionDocument, band: BandOrIndex): ResolvedBand =>
  typeof band === 'number' ? resolvedBandOf(document, band) : band;

/** Whether everything flows, so that there is nothing to hold tiles at. */
const flows = ({ arrangement }: ResolvedBand) => kindOf(arrangement).cells === 'flowing';

/** How a tile gets to a cell: further forward or back in reading order, or held there. */
export interface MoveToCell {
  readonly by: 'order' | 'pin' | 'nothing';
  readonly command: Command;
}

/**
 * The least that brings a tile to a cell of a band: a free tile stays free when some position in
 * reading order, the nearest first, lets it flow right there; else it is pinned. A pinned tile's pin
 * moves, and a tile in an area leaves it.
 * @throws RangeError when there is no such band
 */
export function moveToCell(
  document: CollectionDocument,
  id: TileId,
  bandOrIndex: BandOrIndex,
  cell: Pin,
): MoveToCell {
  const band = resolve(document, bandOrIndex);
  const bandIndex = band.index;
  const isFluid = flows(band);
  const place = placeIn(document, document.tiles[id] as Tile, bandIndex);
  const { columns } = band;
  const { flow } = band.arrangement;
  const span = Math.min(place.columnSpan, columns.length);
  const target = {
    column: Math.max(1, Math.min(cell.column, columns.length - span + 1)),
    row: Math.max(1, cell.row),
  };
  const from = document.order.indexOf(id);
  const here = cellsOf(document, band)[from];
  if (here?.column === target.column && here.row === target.row) {
    return { by: 'nothing', command: () => undefined };
  }
  const held = { by: 'pin', command: setPin([id], bandIndex, target) } as const;
  if (!isFluid && (place.pin || place.area !== null)) return held;

  const wishes = wishesOf(document, band);
  const own = wishes[from];
  // Where tiles are shown in another order than they are read, a position says nothing about a cell.
  const isPlain = document.order.every(
    (each) => placeIn(document, document.tiles[each] as Tile, bandIndex).order === 0,
  );
  if (!own) return { by: 'nothing', command: () => undefined };
  if (!isPlain) return isFluid ? { by: 'nothing', command: () => undefined } : held;
  const rest = wishes.filter((wish, k) => wish !== null && k !== from) as PlacementItem[];
  const isHeld = ({ column, row }: PlacementItem) => column !== null || row !== null;
  // What flows after it does not matter to it.
  const at = (position: number) => {
    const moved = [...rest.slice(0, position), own, ...rest.slice(position).filter(isHeld)];
    return placeInColumns(moved, columns.length, flow)[position] as GridArea;
  };
  // The more tiles come before it, the further on it flows; so the positions that lead there are a run.
  const first = firstFrom(rest.length + 1, (position) => !isBefore(at(position), target));
  const after = firstFrom(rest.length + 1, (position) => isBefore(target, at(position)));
  // Where everything flows, the nearest that it can come to is the first position after the cell.
  if (first < after || isFluid) {
    const shownBefore = wishes.slice(0, from).filter(Boolean).length;
    const position =
      first < after ? Math.min(after - 1, Math.max(first, shownBefore)) : Math.min(first, rest.length);
    return { by: 'order', command: moveInOrder([id], positionOf(wishes, from, position)) };
  }
  return held;
}

/** A position among the tiles that are shown, as one among all but the tile that moves. */
function positionOf(wishes: readonly (PlacementItem | null)[], from: number, position: number): number {
  const others = wishes.filter((_, k) => k !== from);
  let shown = 0;
  for (let k = 0; k < others.length; k++) {
    if (others[k] && shown++ === position) return k;
  }
  return others.length;
}

/**
 * Brings a tile to cells: its spans are set, then it is moved as {@link moveToCell} does.
 * @throws RangeError when there is no such band
 */
export function placeAt(
  document: CollectionDocument,
  id: TileId,
  bandOrIndex: BandOrIndex,
  { column, row, columnSpan, rowSpan }: GridArea,
  setFor: SetFor,
): Command {
  const band = resolve(document, bandOrIndex);
  const span = setSpan({ tiles: [id], band: band.index, setFor, columnSpan, rowSpan });
  const spanned = change(document, span).document;
  const move = moveToCell(spanned, id, band, { column, row }).command;
  return (draft) => {
    span(draft);
    move(draft);
  };
}

/**
 * Brings a tile that is new to cells, as {@link placeAt} does. Where it is held there, it is read where it
 * is seen: after all that lies before it.
 * @throws RangeError when there is no such band
 */
export function placeNewAt(
  document: CollectionDocument,
  id: TileId,
  bandOrIndex: BandOrIndex,
  area: GridArea,
  setFor: SetFor,
): Command {
  const place = placeAt(document, id, bandOrIndex, area, setFor);
  const placed = change(document, place).document;
  const { index } = resolve(document, bandOrIndex);
  if (!placeIn(placed, placed.tiles[id] as Tile, index).pin) return place;
  const position = positionAt(placed, bandOrIndex, area, id);
  return (draft) => {
    place(draft);
    moveInOrder([id], position)(draft);
  };
}

/**
 * Where in reading order a tile comes that lies at a cell: after all that lies before it.
 * @param but a tile that does not count
 * @throws RangeError when there is no such band
 */
export function positionAt(
  document: CollectionDocument,
  bandOrIndex: BandOrIndex,
  cell: Pin,
  but: TileId | null = null,
): number {
  const areas = cellsOf(document, resolve(document, bandOrIndex));
  const others = document.order.flatMap((id, k) => (id === but ? [] : [areas[k]]));
  return (
    others.findLastIndex((area) => area !== undefined && area.columnSpan > 0 && isBefore(area, cell)) + 1
  );
}

/** Moves tiles by so many cells, all held where they then are; as far as the grid's edges let them all go. */
export function moveByCells(
  document: CollectionDocument,
  ids: readonly TileId[],
  bandOrIndex: BandOrIndex,
  columns: number,
  rows: number,
): Command {
  const band = resolve(document, bandOrIndex);
  const bandIndex = band.index;
  if (flows(band)) return () => undefined;
  const areas = cellsOf(document, band);
  const moving = ids.flatMap((id) => {
    const area = areas[document.order.indexOf(id)];
    return area ? [{ id, area }] : [];
  });
  if (moving.length === 0) return () => undefined;
  const right = Math.min(
    ...moving.map(({ area }) => band.columns.length - area.column - area.columnSpan + 1),
  );
  const left = 1 - Math.min(...moving.map(({ area }) => area.column));
  const up = 1 - Math.min(...moving.map(({ area }) => area.row));
  const [dx, dy] = [Math.min(right, Math.max(left, columns)), Math.max(up, rows)];
  if (dx === 0 && dy === 0) return () => undefined;
  return (draft) => {
    for (const { id, area } of moving)
      setPin([id], bandIndex, { column: area.column + dx, row: area.row + dy })(draft);
  };
}

/**
 * Lays a tile at a cell over those that are there: they are held where they are, and it comes a layer
 * above them.
 * @throws RangeError when there is no such band
 */
export function placeOver(
  document: CollectionDocument,
  id: TileId,
  bandOrIndex: BandOrIndex,
  cell: Pin,
): Command {
  const band = resolve(document, bandOrIndex);
  const bandIndex = band.index;
  if (flows(band)) return () => undefined;
  const areas = cellsOf(document, band);
  const own = areas[document.order.indexOf(id)];
  if (!own) return () => undefined;
  const column = Math.max(1, Math.min(cell.column, band.columns.length - own.columnSpan + 1));
  const under = document.order.flatMap((each, k) => {
    const area = areas[k] as GridArea;
    const meets = each !== id && area.columnSpan > 0 && areasMeet(area, { ...own, column, row: cell.row });
    return meets
      ? [{ id: each, area, layer: placeIn(document, document.tiles[each] as Tile, bandIndex).layer }]
      : [];
  });
  const layer = Math.max(0, ...under.map((each) => each.layer + 1));
  return (draft) => {
    for (const { id: each, area } of under)
      setPin([each], bandIndex, { column: area.column, row: area.row })(draft);
    setPin([id], bandIndex, { column, row: cell.row })(draft);
    if (layer > 0) setLayer([id], layer, bandIndex, 'band')(draft);
  };
}
