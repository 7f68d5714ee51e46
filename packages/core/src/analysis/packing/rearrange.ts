import { firstFrom } from '../../geometry/firstFrom.js';
import { cellsOf } from '../../arrangements/cells.js';
import { placeIn } from '../../document/bands.js';
import type { PlacementItem } from '../../engine/grid/placeInColumns.js';
import { hasCell, isBefore } from '../../geometry/relations.js';
import {
  flowOf,
  inOrderSeen,
  packed,
  placed,
  putAt,
  reordered,
  sameOrder,
  type Flow,
  type Order,
} from './flow.js';
import { fromArea, pinnedElsewhere, STAYS, type Rearranged } from './rearrangeHeld.js';
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

/** So many cells near the one that is asked for are tried. */
const TRIES = 12;
/** With more tiles than these, others only move along and are not packed anew, so that a drag keeps its pace. */
const MOST_PACKED = 160;

/**
 * Brings tiles to a cell of a band as one who arranges them by hand would: they take their place in the
 * order there and go on flowing, and the others make room. Of all ways that leave no cell empty that was
 * not, the one is taken that brings the first tile nearest to the cell, over it at least; of those, one that
 * only moves it in reading order, else one that moves the fewest others. Where there is none, it comes before
 * or after the tile at the cell, or last where nothing lies. Nothing is pinned. Tiles that are pinned already
 * are pinned at the cell, and the others make room; one in an area changes places with the area at the cell, or is let out of it and pinned at a cell of none.
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
  if (at === -1) return fromArea(document, band, { lead, own, from: place.area, cell, target });

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
