import { placeIn, type Band } from '../document/bands.js';
import { placeItems, type GridArea } from '../grid/place.js';
import type { CollectionDocument, Tile } from '../document/types.js';

/** The cells that each tile takes in a band, in reading order. They do not depend on the width. */
export function bentoAreas(document: CollectionDocument, band: Band): GridArea[] {
  const items = document.order.map((id) => {
    const { columnSpan, rowSpan, pin } = placeIn(document, document.tiles[id] as Tile, band.index);
    return { columnSpan, rowSpan, column: pin?.column ?? null, row: pin?.row ?? null };
  });
  return placeItems(items, band.arrangement.columns.length, band.arrangement.flow);
}
