import { columnsThatFit } from './columnCount.js';
import { isMeasured, measured } from '../../document/measured.js';
import type { Arrangement, ColumnCount, MeasuredArrangement } from '../../document/types.js';

/** Wider pages are not looked at, px. */
const WIDEST = 100_000;

/** What an arrangement says of how many columns fit. */
type CountOf = (arrangement: MeasuredArrangement) => Pick<ColumnCount<number>, 'min' | 'max'>;

/** The page width from which so many columns fit, px; Infinity where they never do. */
export function widthOf(countOf: CountOf, arrangement: Arrangement, columns: number): number {
  if (columns <= 1) return 0;
  const { max } = countOf(measured(arrangement, WIDEST));
  if (max !== null && columns > max) return Infinity;
  if (!isMeasured(arrangement)) return widthTried(countOf, arrangement, columns);
  const { min } = countOf(arrangement);
  const { padding, columnGap, maxInlineSize } = arrangement;
  const width = columns * min + (columns - 1) * columnGap + padding.inlineStart + padding.inlineEnd;
  return width > (maxInlineSize ?? Infinity) ? Infinity : width;
}

/** The same where lengths follow the width: the first whole px at which they fit. */
function widthTried(countOf: CountOf, arrangement: Arrangement, columns: number): number {
  const fitAt = (page: number) => {
    const here = measured(arrangement, page);
    return columnsThatFit(countOf(here), innerAt(here, page), here.columnGap);
  };
  let [low, high] = [0, WIDEST];
  if (fitAt(high) < columns) return Infinity;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (fitAt(middle) >= columns) high = middle;
    else low = middle;
  }
  return high;
}

const innerAt = ({ padding, maxInlineSize }: MeasuredArrangement, page: number) =>
  Math.max(0, Math.min(page, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd);
