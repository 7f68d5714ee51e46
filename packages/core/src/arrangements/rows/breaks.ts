import { layoutRows, type RowItem } from './layoutRows.js';
import type { RowHeights } from '../../document/types.js';

/** Rows are broken anew at every so many px of inner width, and only grow between. */
const BREAK_STEP = 32;

/** Kept free in every row, as a share of it, so that rounding never sends its last picture to the next. */
export const ROOM = 0.00002;

export interface BrokenRow {
  readonly first: number;
  readonly count: number;
  /** Σ aspect of the pictures in it. */
  readonly aspects: number;
  readonly blockSize: number;
}

/** Where rows are broken at a step of widths, and what is in each. */
type Breaks = readonly Pick<BrokenRow, 'first' | 'count' | 'aspects'>[];

const stepOf = (inner: number) => Math.max(BREAK_STEP, Math.floor(inner / BREAK_STEP) * BREAK_STEP);

/**
 * The rows of a gallery in an inner width. They are broken for the next lower step of widths, so that
 * pictures keep their row while a width is dragged a little and a page can say all its breaks; the
 * height follows the width itself: (W − (k − 1)·g) ÷ Σ aspect.
 * @param known the breaks of steps that were asked for before; filled in here
 * @param inner px, above 0
 */
export function breakRows(
  items: readonly RowItem[],
  rowHeights: RowHeights<number>,
  inner: number,
  columnGap: number,
  known = new Map<number, Breaks>(),
): BrokenRow[] {
  const step = stepOf(inner);
  let breaks = known.get(step);
  if (!breaks) known.set(step, (breaks = breaksAt(items, rowHeights, step, columnGap)));
  const { target, lastRow } = rowHeights;
  return breaks.map(({ first, count, aspects }, k) => {
    const full = (Math.max(0, inner - (count - 1) * columnGap) * (1 - ROOM)) / aspects;
    const isHeld = k === breaks.length - 1 && lastRow === 'keep-height' && full > target;
    return { first, count, aspects, blockSize: isHeld ? target : full };
  });
}

function breaksAt(
  items: readonly RowItem[],
  { target, min: least, max: most, lastRow }: RowHeights<number>,
  inlineSize: number,
  columnGap: number,
): Breaks {
  const { rows } = layoutRows(items, {
    inlineSize,
    columnGap,
    rowGap: 0,
    targetBlockSize: target,
    minBlockSize: Math.min(least, target),
    maxBlockSize: Math.max(most, target),
    lastRow,
    mostUpscale: Infinity,
  });
  return rows.map(({ first, count }) => {
    let aspects = 0;
    for (let item = first; item < first + count; item++) aspects += (items[item] as RowItem).aspect;
    return { first, count, aspects };
  });
}
