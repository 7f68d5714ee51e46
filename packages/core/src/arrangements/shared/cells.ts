import { placeIn, type Band } from '../../document/bands.js';
import { placeInColumns, type PlacementItem } from '../../engine/grid/placeInColumns.js';
import type { GridArea } from '../../geometry/area.js';
import type { Arrangement, CollectionDocument, Tile } from '../../document/types.js';

/** What a tile takes that is hidden in a band: no cell. */
const NO_CELLS: GridArea = { column: 1, row: 1, columnSpan: 0, rowSpan: 0 };

/** Whether the cells of a tile are none, since it is hidden. */
export const isHidden = ({ columnSpan }: Pick<GridArea, 'columnSpan'>) => columnSpan === 0;

/** Positions in reading order, in the order in which the tiles of a band are placed. */
function placingOrder(document: CollectionDocument, band: Pick<Band, 'index'>): number[] {
  const orders = document.order.map((id) => placeIn(document, document.tiles[id] as Tile, band.index).order);
  const positions = orders.map((_, k) => k);
  return orders.some((order) => order !== 0)
    ? positions.sort((a, b) => (orders[a] ?? 0) - (orders[b] ?? 0) || a - b)
    : positions;
}

/** The cells that tiles take by what they ask for, in reading order; none for one that is hidden. */
export function areasOf(
  document: CollectionDocument,
  band: Pick<Band, 'index' | 'arrangement'>,
  columns: number,
  wishes: readonly (PlacementItem | null)[],
): GridArea[] {
  const placed = placingOrder(document, band).filter((position) => wishes[position]);
  const found = placeInColumns(
    placed.map((position) => wishes[position] as PlacementItem),
    columns,
    band.arrangement.flow,
  );
  const areas: GridArea[] = wishes.map(() => NO_CELLS);
  placed.forEach((position, k) => (areas[position] = found[k] as GridArea));
  return areas;
}

/** How many rows there are: the explicit ones, those of a map, and as many as the tiles take. */
export const rowCount = (
  { rows }: Pick<Arrangement, 'rows'>,
  areas: readonly GridArea[],
  mapped: number,
): number =>
  areas.reduce((most, area) => Math.max(most, area.row + area.rowSpan - 1), Math.max(rows.length, mapped));
