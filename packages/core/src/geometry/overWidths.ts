import { SLACK } from './slack.js';

/** Whole widths of the page from one to another, both included, px. */
interface Widths {
  readonly from: number;
  readonly to: number;
}

/** Where something is too large, and by how much at its worst. */
export interface OverWidths {
  readonly ranges: readonly Widths[];
  /** px, at the worst width. */
  readonly badness: number;
  readonly worst: number;
  readonly said: { readonly by: number; readonly width: number };
}

/**
 * Where something that grows or shrinks along a straight line is above 0 by more than is rounding.
 * @param a px at the first width
 * @param b px at the last width
 * @returns null when it nowhere is
 */
export function overWidths({ from, to }: Widths, a: number, b: number): OverWidths | null {
  if (a <= SLACK && b <= SLACK) return null;
  const at = (width: number) => a + ((b - a) * (width - from)) / Math.max(1, to - from);
  let [low, high] = [from, to];
  while (low < high && at(low) <= SLACK) low++;
  while (high > low && at(high) <= SLACK) high--;
  const worst = at(low) >= at(high) ? low : high;
  return {
    ranges: [{ from: low, to: high }],
    badness: at(worst),
    worst,
    said: { by: at(worst), width: worst },
  };
}
