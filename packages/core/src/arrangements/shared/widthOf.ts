import type { Arrangement, ColumnCount } from '../../document/types.js';

type Frame = Pick<Arrangement, 'padding' | 'columnGap' | 'maxInlineSize'>;

/** The page width from which so many columns fit, px; Infinity where they never do. */
export function widthOf(
  { min, max }: Pick<ColumnCount, 'min' | 'max'>,
  { padding, columnGap, maxInlineSize }: Frame,
  columns: number,
): number {
  if (columns <= 1) return 0;
  if (max !== null && columns > max) return Infinity;
  const width = columns * min + (columns - 1) * columnGap + padding.inlineStart + padding.inlineEnd;
  return width > (maxInlineSize ?? Infinity) ? Infinity : width;
}
