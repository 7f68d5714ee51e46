import { cellsOf, rowCountOf, wishesOf } from '../../arrangements/cells.js';
import { placeIn } from '../../document/bands.js';
import { placeInColumns, type PlacementItem } from '../../engine/grid/placeInColumns.js';
import { coverage } from '../../geometry/coverage.js';
import { isBefore } from '../../geometry/relations.js';
import { setOrder } from '../../edit/commands/place.js';
import { packBeam } from './packBeam.js';
import type { Command } from '../../edit/patch/change.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { CollectionDocument, Pin, Tile, TileId } from '../../document/types.js';
import type { GridArea } from '../../geometry/area.js';

/** As far as a tile may give way in reading order. */
const DISTANCE = 24;
/** What flows in a level at a band, in the order in which it is placed, and what is held. */
export interface Flow {
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

export function flowOf(document: CollectionDocument, band: ResolvedBand): Flow {
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
export type Order = readonly number[];

export function placed(flow: Flow, order: Order) {
  const items = [...order.map((k) => flow.wishes[k] as PlacementItem), ...flow.held];
  const areas = placeInColumns(items, flow.columns, flow.dense ? 'dense' : 'sparse');
  return { areas, empty: flow.emptyOf(areas) };
}

export const putAt = (rest: Order, together: Order, position: number): Order => [
  ...rest.slice(0, position),
  ...together,
  ...rest.slice(position),
];

/** Tiles in an order near to the one that they have in which they leave the fewest cells empty. */
export function packed(
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
export function inOrderSeen(flow: Flow, order: Order): Order {
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

export const sameOrder = (a: Order, b: Order) => a.every((k, n) => k === b[n]);

/** Puts what flows into an order, in the places that it has among what is held or hidden. */
export function reordered(
  document: CollectionDocument,
  band: ResolvedBand,
  flow: Flow,
  order: Order,
): Command {
  const ids = order.map((k) => flow.ids[k] as TileId);
  if (!flow.isPlain) return (draft) => ids.forEach((id, k) => setOrder([id], k, band.index, 'band')(draft));
  const flowing = new Set(ids);
  let next = 0;
  const whole = document.order.map((id) => (flowing.has(id) ? (ids[next++] as TileId) : id));
  return (draft) => void (draft.order = whole);
}
