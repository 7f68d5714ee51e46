import { firstFrom } from '../../geometry/firstFrom.js';
import { cellsOf, rowCountOf, wishesOf } from '../../arrangements/cells.js';
import { placeIn } from '../../document/bands.js';
import { placeInColumns, type PlacementItem } from '../../engine/grid/placeInColumns.js';
import { coverage } from '../../geometry/coverage.js';
import { areaAt } from '../../arrangements/bento/areaMap.js';
import { hasCell, isBefore } from '../../geometry/relations.js';
import { assignArea } from '../../edit/commands/areas.js';
import { moveByCells } from '../../edit/commands/moveToCell.js';
import { setOrder } from '../../edit/commands/place.js';
import { change, type Command } from '../../edit/patch/change.js';
import { packBeam } from './packBeam.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { CollectionDocument, Pin, Tile, TileId } from '../../document/types.js';
import type { GridArea } from '../../geometry/area.js';

export interface Rearrange {
  /** The tiles that are moved; the first is the one that is brought to the cell. */
  readonly tiles: readonly TileId[];
  readonly cell: Pin;
  /** The cells, 1-based, that will do where the cell itself leaves a hole; left out: those that overlap it. */
  readonly accepts?: (cell: Pin) => boolean;
}

export interface Rearranged {
  /** Where the first tile comes to lie; null: nowhere else without a hole, and all stays as it is. */
  readonly cell: Pin | null;
  readonly command: Command;
}

/** So many cells near the one that is asked for are tried. */
const TRIES = 12;
/** As far as a tile may give way in reading order. */
const DISTANCE = 24;
/** With more tiles than these, others only move along and are not packed anew, so that a drag keeps its pace. */
const MOST_PACKED = 160;

const STAYS: Rearranged = { cell: null, command: () => undefined };

/**
 * Brings tiles to a cell of a band as one who arranges them by hand would: they take their place in the
 * order there and go on flowing, and the others make room. Of all ways that leave no cell empty that was
 * not, the one is taken that brings the first tile nearest to the cell, over it at least; of those, one that
 * only moves it in reading order, else one that moves the fewest others. Where there is none, it comes before
 * or after the tile at the cell, or last where nothing lies. Nothing is pinned. Tiles that are pinned already
 * are pinned at the cell, and the others make room; one in an area changes places with the area at the cell.
 * @throws RangeError when the band has no columns
 */
export function rearrange(
  document: CollectionDocument,
  band: ResolvedBand,
  { tiles: ids, cell, accepts }: Rearrange,
): Rearranged {
  const [lead] = ids;
  const tile = lead === undefined ? undefined : document.tiles[lead];
  if (lead === undefined || !tile) return STAYS;
  const place = placeIn(document, tile, band.index);
  const own = cellsOf(document, band)[document.order.indexOf(lead)];
  if (!own) return STAYS;
  const target = {
    column: Math.max(1, Math.min(cell.column, band.columns.length - own.columnSpan + 1)),
    row: Math.max(1, cell.row),
  };
  if (own.column === target.column && own.row === target.row) return STAYS;
  const flow = flowOf(document, band);
  if (place.pin) return pinnedElsewhere(document, band, ids, own, target);
  const at = flow.ids.indexOf(lead);
  if (at === -1) return toArea(document, band, lead, place.area, cell);

  const away = (one: Pin) => (one.column - target.column) ** 2 + (one.row - target.row) ** 2;
  const overlaps = (one: Pin) =>
    Math.abs(one.column - target.column) < own.columnSpan && Math.abs(one.row - target.row) < own.rowSpan;
  const near = cellsFor(flow, own.columnSpan)
    .filter(accepts ?? overlaps)
    .sort((a, b) => away(a) - away(b))
    .slice(0, TRIES);
  const moving = new Set(ids);
  for (const one of near) {
    if (one.column === own.column && one.row === own.row) break;
    const order = movedTo(flow, at, moving, one) ?? packedAround(flow, at, moving, one);
    if (order) return { cell: one, command: reordered(document, band, flow, inOrderSeen(flow, order)) };
  }
  const beside = accepts ? null : movedBeside(flow, at, moving, target);
  if (!beside) return STAYS;
  const cellAt = placed(flow, beside).areas[beside.indexOf(at)] as GridArea;
  return {
    cell: { column: cellAt.column, row: cellAt.row },
    command: reordered(document, band, flow, inOrderSeen(flow, beside)),
  };
}

/** Whether what is moved in a band moves at all widths: it does where tiles are seen in the order in which they are read. */
export const movesAtAllWidths = (
  document: CollectionDocument,
  { index }: Pick<ResolvedBand, 'index'>,
): boolean =>
  document.bands.length > 0 &&
  document.order.every((id) => placeIn(document, document.tiles[id] as Tile, index).order === 0);

/** The cells at which a tile of so many columns may begin, row by row. */
const cellsFor = ({ columns, rows }: Flow, span: number): Pin[] =>
  Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns - span + 1 }, (_, column) => ({ column: column + 1, row: row + 1 })),
  ).flat();

/** An order in which a tile comes before or after the one that lies at a cell; at its end where none does. */
function movedBeside(flow: Flow, at: number, moving: ReadonlySet<TileId>, cell: Pin): Order | null {
  const { rest, together } = split(flow, at, moving);
  const now = flow.ids.map((_, k) => k);
  const { areas } = placed(flow, now);
  const there = rest.findIndex((k) => hasCell(areas[k] as GridArea, cell));
  const positions = there === -1 ? [rest.length] : [there, there + 1];
  return (
    positions
      .map((position) => putAt(rest, together, position))
      .filter((order) => !sameOrder(order, now) && placed(flow, order).empty <= flow.empty)
      .sort((a, b) => awayFrom(flow, a, at, cell) - awayFrom(flow, b, at, cell))[0] ?? null
  );
}

function awayFrom(flow: Flow, order: Order, at: number, cell: Pin): number {
  const area = placed(flow, order).areas[order.indexOf(at)] as GridArea;
  return (area.column - cell.column) ** 2 + (area.row - cell.row) ** 2;
}

/** A tile in an area goes to the one at a cell, and those that are there to where it was; else it stays. */
function toArea(
  document: CollectionDocument,
  band: ResolvedBand,
  lead: TileId,
  from: string | null,
  cell: Pin,
): Rearranged {
  const to = areaAt(band.arrangement, cell);
  if (from === null || to === null || to === from) return STAYS;
  const there = document.order.filter(
    (id) => placeIn(document, document.tiles[id] as Tile, band.index).area === to,
  );
  return {
    cell,
    command: (draft) => {
      assignArea([lead], to, band.index, 'band')(draft);
      assignArea(there, from, band.index, 'band')(draft);
    },
  };
}

/** Pinned tiles are pinned elsewhere; what flows is packed around them where that leaves fewer holes. */
function pinnedElsewhere(
  document: CollectionDocument,
  band: ResolvedBand,
  ids: readonly TileId[],
  own: GridArea,
  target: Pin,
): Rearranged {
  const pinned = ids.filter((id) => placeIn(document, document.tiles[id] as Tile, band.index).pin);
  const move = moveByCells(document, pinned, band, target.column - own.column, target.row - own.row);
  const made = change(document, move).document;
  const flow = flowOf(made, band);
  const order =
    flow.empty > flowOf(document, band).empty
      ? packed(
          flow,
          flow.ids.map((_, k) => k),
          null,
        )
      : null;
  const better = order && placed(flow, order).empty < flow.empty ? reordered(made, band, flow, order) : null;
  return {
    cell: target,
    command: (draft) => {
      move(draft);
      better?.(draft);
    },
  };
}

/** What flows in a level at a band, in the order in which it is placed, and what is held. */
interface Flow {
  readonly columns: number;
  readonly dense: boolean;
  readonly ids: readonly TileId[];
  readonly wishes: readonly PlacementItem[];
  readonly held: readonly PlacementItem[];
  /** Whether tiles are seen in the order in which they are read. */
  readonly isPlain: boolean;
  readonly rows: number;
  /** Cells that nothing covers now. */
  readonly empty: number;
  readonly emptyOf: (areas: readonly GridArea[]) => number;
}

function flowOf(document: CollectionDocument, band: ResolvedBand): Flow {
  const wishes = wishesOf(document, band);
  const columns = band.columns.length;
  const flowing: { readonly id: TileId; readonly wish: PlacementItem; readonly order: number }[] = [];
  const held: PlacementItem[] = [];
  document.order.forEach((id, k) => {
    const wish = wishes[k];
    if (!wish) return;
    if (wish.column !== null || wish.row !== null) held.push(wish);
    else flowing.push({ id, wish, order: placeIn(document, document.tiles[id] as Tile, band.index).order });
  });
  const isPlain = flowing.every(({ order }) => order === 0);
  if (!isPlain) flowing.sort((a, b) => a.order - b.order);
  const rowsOf = (areas: readonly GridArea[]) => rowCountOf(band.arrangement, band.columns, areas);
  const emptyOf = (areas: readonly GridArea[]) => {
    const { cells, covered } = coverage([...areas], columns, rowsOf(areas));
    return cells - covered;
  };
  const now = cellsOf(document, band).filter(({ columnSpan }) => columnSpan > 0);
  return {
    columns,
    dense: band.arrangement.flow === 'dense',
    ids: flowing.map(({ id }) => id),
    wishes: flowing.map(({ wish }) => wish),
    held,
    isPlain,
    rows: rowsOf(now),
    empty: emptyOf(now),
    emptyOf,
  };
}

/** An order of what flows: indices of `ids`. */
type Order = readonly number[];

function placed(flow: Flow, order: Order) {
  const items = [...order.map((k) => flow.wishes[k] as PlacementItem), ...flow.held];
  const areas = placeInColumns(items, flow.columns, flow.dense ? 'dense' : 'sparse');
  return { areas, empty: flow.emptyOf(areas) };
}

/** Whether an order brings the tile at `at` to a cell and leaves no cell empty that was not. */
function works(flow: Flow, order: Order, at: number, cell: Pin): boolean {
  const { areas, empty } = placed(flow, order);
  const area = areas[order.indexOf(at)] as GridArea;
  return area.column === cell.column && area.row === cell.row && empty <= flow.empty;
}

/** The others in their order, and where in it those that move come. */
const split = (flow: Flow, at: number, moving: ReadonlySet<TileId>) => {
  const all = flow.ids.map((_, k) => k);
  const isMoving = (k: number) => k === at || moving.has(flow.ids[k] as TileId);
  return { rest: all.filter((k) => !isMoving(k)), together: all.filter(isMoving) };
};

const putAt = (rest: Order, together: Order, position: number): Order => [
  ...rest.slice(0, position),
  ...together,
  ...rest.slice(position),
];

/** An order in which only those that move have another place in it; null where none works. */
function movedTo(flow: Flow, at: number, moving: ReadonlySet<TileId>, cell: Pin): Order | null {
  const { rest, together } = split(flow, at, moving);
  const orderAt = (position: number) => putAt(rest, together, position);
  const lies = (position: number): Pin => {
    const order = orderAt(position);
    return placed(flow, order).areas[order.indexOf(at)] as GridArea;
  };
  // The more tiles come before it, the further on it flows; so the positions that lead there are a run.
  const positions = rest.length + 1;
  const first = firstFrom(positions, (position) => !isBefore(lies(position), cell));
  const after = firstFrom(positions, (position) => isBefore(cell, lies(position)));
  const now = rest.filter((k) => k < at).length;
  const nearest = Array.from({ length: after - first }, (_, k) => first + k)
    .sort((a, b) => Math.abs(a - now) - Math.abs(b - now))
    .slice(0, TRIES);
  const position = nearest.find((each) => works(flow, orderAt(each), at, cell));
  return position === undefined ? null : orderAt(position);
}

/** An order in which the others are packed around the tile at the cell; null where none works. */
function packedAround(flow: Flow, at: number, moving: ReadonlySet<TileId>, cell: Pin): Order | null {
  if (flow.ids.length > MOST_PACKED) return null;
  const { rest, together } = split(flow, at, moving);
  const now = rest.filter((k) => k < at).length;
  const others = putAt(
    rest,
    together.filter((k) => k !== at),
    now,
  );
  const wish = { ...(flow.wishes[at] as PlacementItem), ...cell };
  const order = packed(flow, others, { at, wish });
  return order && works(flow, order, at, cell) ? order : null;
}

/** Tiles in an order near to the one that they have in which they leave the fewest cells empty. */
function packed(
  flow: Flow,
  others: Order,
  held: { readonly at: number; readonly wish: PlacementItem } | null,
): Order | null {
  const span = ({ columnSpan, rowSpan }: PlacementItem) => ({ columns: columnSpan, rows: rowSpan });
  const fixed = placeInColumns([...flow.held, ...(held ? [held.wish] : [])], flow.columns, 'dense');
  const [best] = packBeam({
    columns: flow.columns,
    held: fixed.map((area) => ({ ...span(area), column: area.column - 1, row: area.row - 1 })),
    tiles: others.map((k) => {
      const { columns, rows } = span(flow.wishes[k] as PlacementItem);
      return { spans: [{ columns: Math.min(columns, flow.columns), rows }] };
    }),
    distance: DISTANCE,
    mostSpans: 0,
  });
  if (!best) return null;
  const order = best.placed.map(({ tile }) => others[tile] as number);
  if (!held) return order;
  // Where it lies among the others as they are placed, from row to row, is where it comes in the order.
  const items = [...order.map((k) => flow.wishes[k] as PlacementItem), held.wish, ...flow.held];
  const areas = placeInColumns(items, flow.columns, 'dense');
  const before = order.filter((_, n) => isBefore(areas[n] as GridArea, held.wish as Pin)).length;
  return putAt(order, [held.at], before);
}

/**
 * The order in which tiles are seen, where that lays them out alike: dense flow may show a tile before one
 * that is read earlier. Where they were not read as they are seen before, their order is left.
 */
function inOrderSeen(flow: Flow, order: Order): Order {
  const start = flow.ids.map((_, k) => k);
  if (!flow.dense || !sameOrder(seen(flow, start), start)) return order;
  const made = seen(flow, order);
  const cells = (each: Order) => new Map(placed(flow, each).areas.map((area, k) => [each[k], area]));
  const [was, is] = [cells(order), cells(made)];
  const alike = order.every((k) => {
    const [a, b] = [was.get(k), is.get(k)];
    return a?.column === b?.column && a?.row === b?.row;
  });
  return alike ? made : order;
}

function seen(flow: Flow, order: Order): Order {
  const { areas } = placed(flow, order);
  return order
    .map((k, n) => ({ k, at: areas[n] as GridArea }))
    .sort((a, b) => (isBefore(a.at, b.at) ? -1 : 1))
    .map(({ k }) => k);
}

const sameOrder = (a: Order, b: Order) => a.every((k, n) => k === b[n]);

/** Puts what flows into an order, in the places that it has among what is held or hidden. */
function reordered(document: CollectionDocument, band: ResolvedBand, flow: Flow, order: Order): Command {
  const ids = order.map((k) => flow.ids[k] as TileId);
  if (!flow.isPlain) return (draft) => ids.forEach((id, k) => setOrder([id], k, band.index, 'band')(draft));
  const flowing = new Set(ids);
  let next = 0;
  const whole = document.order.map((id) => (flowing.has(id) ? (ids[next++] as TileId) : id));
  return (draft) => void (draft.order = whole);
}
