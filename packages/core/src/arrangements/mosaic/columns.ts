import { countColumns } from '../shared/columnCount.js';
import { mosaicOf } from './values.js';
import type { MeasuredArrangement } from '../../document/types.js';

/**
 * How many modules a mosaic has across an inner width: never fewer than two.
 * @param inner px inside the padding
 */
export const moduleCount = (
  arrangement: Pick<MeasuredArrangement, 'mosaic' | 'columnGap'>,
  inner: number,
): number => Math.max(2, countColumns(mosaicOf(arrangement), inner, arrangement.columnGap));
