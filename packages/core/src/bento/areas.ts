import { placeIn, type Band } from '../document/bands.js';
import { placeItems, type GridArea, type PlacementItem } from '../grid/place.js';
import { areaIn, areaMap } from './areaMap.js';
import type { BentoArrangement, CollectionDocument, Tile } from '../document/types.js';

/** What each tile of a level asks for in a band, in reading order. */
export function bentoWishes(document: CollectionDocument, band: Band): PlacementItem[] {
  return document.order.map((id) => {
    const place = placeIn(document, document.tiles[id] as Tile, band.index);
    const area = place.area === null ? null : areaIn(band.arrangement, place.area);
    return area ?? { ...place, column: place.pin?.column ?? null, row: place.pin?.row ?? null };
  });
}

/** How many rows a bento has: its explicit ones, those of its map, and as many as the tiles take. */
export function bentoRowCount(arrangement: BentoArrangement, areas: readonly GridArea[]): number {
  return areas.reduce(
    (most, area) => Math.max(most, area.row + area.rowSpan - 1),
    Math.max(arrangement.rows.length, areaMap(arrangement)?.rows ?? 0),
  );
}

/** The cells that each tile takes in a band, in reading order. They do not depend on the width. */
export function bentoAreas(document: CollectionDocument, band: Band): GridArea[] {
  const { columns, flow } = band.arrangement;
  return placeItems(bentoWishes(document, band), columns.length, flow);
}
