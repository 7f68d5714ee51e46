import { placeIn, type Band } from '../document/bands.js';
import { spanIn } from '../fluid/columns.js';
import { placeItems, type GridArea, type PlacementItem } from '../grid/place.js';
import { areaIn, areaMap } from './areaMap.js';
import type { Arrangement, CollectionDocument, Tile } from '../document/types.js';

/** What a tile takes that is hidden in a band: no cell. */
const NO_CELLS: GridArea = { column: 1, row: 1, columnSpan: 0, rowSpan: 0 };

export const isHidden = ({ columnSpan }: Pick<GridArea, 'columnSpan'>) => columnSpan === 0;

/** What each tile of a level asks for in a band, in reading order; null for one that is hidden there. */
export function bentoWishes(document: CollectionDocument, band: Band): (PlacementItem | null)[] {
  const { arrangement } = band;
  return document.order.map((id) => {
    const place = placeIn(document, document.tiles[id] as Tile, band.index);
    const { columnSpan, rowSpan, pin } = place;
    if (place.hidden) return null;
    if (arrangement.kind === 'fluid') {
      const span = spanIn(band, columnSpan, arrangement.columns.length);
      return { column: null, row: null, columnSpan: span, rowSpan };
    }
    const area = place.area === null ? null : areaIn(arrangement, place.area);
    return area ?? { columnSpan, rowSpan, column: pin?.column ?? null, row: pin?.row ?? null };
  });
}

/** Positions in reading order, in the order in which the tiles of a band are placed. */
export function placingOrder(document: CollectionDocument, band: Band): number[] {
  const orders = document.order.map((id) => placeIn(document, document.tiles[id] as Tile, band.index).order);
  const positions = orders.map((_, k) => k);
  return orders.some((order) => order !== 0)
    ? positions.sort((a, b) => (orders[a] ?? 0) - (orders[b] ?? 0) || a - b)
    : positions;
}

/** How many rows a bento has: its explicit ones, those of its map, and as many as the tiles take. */
export function bentoRowCount(arrangement: Arrangement, areas: readonly GridArea[]): number {
  const mapped = arrangement.kind === 'fluid' ? 0 : (areaMap(arrangement)?.rows ?? 0);
  return areas.reduce(
    (most, area) => Math.max(most, area.row + area.rowSpan - 1),
    Math.max(arrangement.rows.length, mapped),
  );
}

/**
 * The cells that each tile takes in a band, in reading order; none for one that is hidden there. In a
 * bento they do not depend on the width.
 */
export function bentoAreas(document: CollectionDocument, band: Band): GridArea[] {
  const { columns, flow } = band.arrangement;
  const wishes = bentoWishes(document, band);
  const placed = placingOrder(document, band).filter((position) => wishes[position]);
  const found = placeItems(
    placed.map((position) => wishes[position] as PlacementItem),
    columns.length,
    flow,
  );
  const areas: GridArea[] = wishes.map(() => NO_CELLS);
  placed.forEach((position, k) => (areas[position] = found[k] as GridArea));
  return areas;
}
