import { measuredIn } from '../../document/measured.js';
import { bounded, countColumns, evenShares } from '../shared/columnCount.js';
import { isAlong, laneCountOf, masonryOf } from './values.js';
import type { Band } from '../../document/bands.js';
import type {
  Arrangement,
  CollectionDocument,
  ColumnCount,
  TrackSize,
  WrittenLength,
} from '../../document/types.js';

/** Lanes, of one width or of one height. */
export function masonryColumns(_: CollectionDocument, band: Band, inner: number): TrackSize[] {
  const arrangement = measuredIn(band);
  const lanes = masonryOf(arrangement);
  return evenShares(
    isAlong(arrangement) ? laneCountOf(lanes) : countColumns(lanes, inner, arrangement.columnGap),
  );
}

/** How many lanes there are. */
export function masonryCount<L extends WrittenLength>(arrangement: Arrangement<L>): ColumnCount<L | number> {
  const lanes = masonryOf(arrangement);
  return isAlong(arrangement) ? { ...lanes, count: laneCountOf(lanes) } : bounded(lanes);
}
