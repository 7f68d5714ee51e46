import { placeIn, type Band } from '../../document/bands.js';
import { areaIn } from './areaMap.js';
import type { CollectionDocument, Tile, TrackSize } from '../../document/types.js';
import type { PlacementItem } from '../../engine/grid/placeInColumns.js';

/** What each tile of a bento asks for among the columns of a band, in reading order; null for one that is hidden there. */
export function bentoWishes(
  document: CollectionDocument,
  { index, arrangement: { areas = [] } }: Pick<Band, 'index' | 'arrangement'>,
  columns: readonly TrackSize[],
): (PlacementItem | null)[] {
  return document.order.map((id) => {
    const { columnSpan, rowSpan, pin, area, hidden } = placeIn(document, document.tiles[id] as Tile, index);
    if (hidden) return null;
    const held = area === null ? null : areaIn({ areas, columns }, area);
    return held ?? { columnSpan, rowSpan, column: pin?.column ?? null, row: pin?.row ?? null };
  });
}
