import { visibleShare } from '../../geometry/visibleShare.js';
import type { Span } from './fillCells.js';

const WAYS: readonly Span[] = [
  { columns: 1, rows: 1 },
  { columns: 2, rows: 1 },
  { columns: 1, rows: 2 },
];

/** Of those that fit one cell, so many come between two that take four, and at the end none does. */
const REST = 5;

/**
 * Spans by the shapes of pictures, so that little of them is cut: wide ones two columns, tall ones two rows,
 * and of those that fit one cell the first and every sixth two of both,
 * but for the end, where small ones fill what is left. What has no picture takes one cell.
 * @param aspects width ÷ height of each tile’s picture, in reading order; null: it has none
 * @param cell width and height of one cell, px
 * @param gap between cells, px
 */
export function spansByShape(
  aspects: readonly (number | null)[],
  cell: { readonly inlineSize: number; readonly blockSize: number },
  gap: number,
): Span[] {
  const shape = ({ columns, rows }: Span) =>
    (columns * cell.inlineSize + (columns - 1) * gap) / (rows * cell.blockSize + (rows - 1) * gap);
  const shown = (aspect: number, span: Span) => visibleShare(aspect, shape(span));
  let plain = 0;
  return aspects.map((aspect, k) => {
    const [one, ...others] = WAYS as [Span, ...Span[]];
    if (aspect === null) return one;
    const best = others.reduce(
      (first, next) => (shown(aspect, next) > shown(aspect, first) ? next : first),
      one,
    );
    if (best !== one) return best;
    const isLarge = plain++ % (REST + 1) === 0 && k < aspects.length - REST;
    return isLarge ? { columns: 2, rows: 2 } : one;
  });
}
