import { LIMITS } from '../../document/limits.js';
import type { ColumnCount, TrackSize, WrittenLength } from '../../document/types.js';

/** What division leaves of a column that just fits. */
const ROUNDING = 1e-6;

/**
 * Columns that fit a least width m in an inner width W with gap g: max(1, ⌊(W + g) ÷ (m + g)⌋)
 * (CSS Grid 2, section 7.2.3.2). With at most k columns the least width is
 * max(m, (W − (k − 1)·g) ÷ k), so that the gap and the limit stay linked.
 * @param inner px inside the padding
 */
export function columnsThatFit(
  { min, max }: Pick<ColumnCount<number>, 'min' | 'max'>,
  inner: number,
  gap: number,
): number {
  const least = max === null ? min : Math.max(min, (inner - (max - 1) * gap) / max);
  return Math.max(1, Math.floor((inner + gap) / (least + gap) + ROUNDING));
}

/**
 * The least widths of a column that give exactly so many columns at an inner width: above
 * (W − n·g) ÷ (n + 1), up to (W − (n − 1)·g) ÷ n.
 * @param inner px inside the padding
 * @example minimumsFor(4, 1200, 24) // { above: 220.8, upTo: 282 }
 */
export const minimumsFor = (columns: number, inner: number, gap: number) => ({
  above: Math.max(0, (inner - columns * gap) / (columns + 1)),
  upTo: Math.max(0, (inner - (columns - 1) * gap) / columns),
});

/** No more columns than a file may say, however little each asks for. */
export const bounded = <L extends WrittenLength>({ count, min, max }: ColumnCount<L>): ColumnCount<L> => ({
  count,
  min,
  max: max ?? LIMITS.columns,
});

/** How many columns there are in an inner width, px: so many, or as many as fit. */
export const countColumns = (value: ColumnCount<number>, inner: number, gap: number): number =>
  value.count ?? columnsThatFit(bounded(value), inner, gap);

/** So many columns of one width. */
export const evenShares = (count: number): TrackSize[] => Array.from({ length: count }, () => '1fr');
