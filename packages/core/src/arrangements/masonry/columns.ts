import { bounded, countColumns, evenShares } from '../shared/columnCount.js';
import { isAlong, laneCountOf, masonryOf } from './values.js';
import type { Band } from '../../document/bands.js';
import type { Arrangement, CollectionDocument, ColumnCount, TrackSize } from '../../document/types.js';

/** Lanes, of one width or of one height. */
export function masonryColumns(_: CollectionDocument, { arrangement }: Band, inner: number): TrackSize[] {
  const lanes = masonryOf(arrangement);
  return evenShares(
    isAlong(arrangement) ? laneCountOf(lanes) : countColumns(lanes, inner, arrangement.columnGap),
  );
}

/** How many lanes there are. */
export function masonryCount(arrangement: Arrangement): ColumnCount {
  const lanes = masonryOf(arrangement);
  return isAlong(arrangement) ? { ...lanes, count: laneCountOf(lanes) } : bounded(lanes);
}
