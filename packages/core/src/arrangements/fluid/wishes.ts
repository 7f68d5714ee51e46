import { fluidWish } from './columns.js';
import type { Band } from '../../document/bands.js';
import type { CollectionDocument, Tile, TrackSize } from '../../document/types.js';
import type { PlacementItem } from '../../engine/grid/placeInColumns.js';

/** What each tile of a fluid level asks for among so many columns, in reading order; null for one that is hidden. */
export const fluidWishes = (
  document: CollectionDocument,
  band: Band,
  columns: readonly TrackSize[],
): (PlacementItem | null)[] =>
  document.order.map((id) => fluidWish(document.tiles[id] as Tile, document, band, columns.length));
