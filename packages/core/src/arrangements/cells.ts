import { areaMap } from './bento/areaMap.js';
import { bentoWishes } from './bento/wishes.js';
import { kindOf } from './index.js';
import { areasOf, rowCount } from './shared/cells.js';
import type { ResolvedBand } from './bands.js';
import type { Arrangement, CollectionDocument, TrackSize } from '../document/types.js';
import type { PlacementItem } from '../engine/grid/placeInColumns.js';
import type { GridArea } from '../geometry/area.js';

export { isHidden } from './shared/cells.js';

/**
 * What each tile of a level asks for among the columns of a band, in reading order; null for one that is
 * hidden there. Where tiles take no cells it is what they would ask for if they did.
 */
export const wishesOf = (document: CollectionDocument, band: ResolvedBand): (PlacementItem | null)[] =>
  (kindOf(band.arrangement).wishes ?? bentoWishes)(document, band, band.columns);

/** The cells that each tile of a level takes in a band, in reading order; none for one that is hidden there. */
export const cellsOf = (document: CollectionDocument, band: ResolvedBand): GridArea[] =>
  areasOf(document, band, band.columns.length, wishesOf(document, band));

/** How many rows a grid has: its explicit ones, those of its map, and as many as the tiles take. */
export function rowCountOf(
  arrangement: Arrangement,
  columns: readonly TrackSize[],
  areas: readonly GridArea[],
): number {
  const map = kindOf(arrangement).cells === 'flowing' ? null : areaMap({ ...arrangement, columns });
  return rowCount(arrangement, areas, map?.rows ?? 0);
}
