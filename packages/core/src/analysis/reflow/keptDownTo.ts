import { LEAST_BAND } from './search.js';
import { same } from '../../same.js';

/** A band reaches at least so far down, as a factor of its widths, before its groups get fewer columns. */
const LEAST_REACH = 1.5;

/**
 * How far down a band should reach where what is in groups has fewer columns the further it does: as far
 * as they keep those that they have where it begins, but never less than two thirds of its breakpoint.
 * @param range how far down it works, and its breakpoint, px
 * @param columnsTo the columns of groups in a band that reaches down to a width
 * @returns px; the same as `low` where nothing is won by a band that is cut in two
 */
export function keptDownTo(
  { low, below }: { readonly low: number; readonly below: number },
  columnsTo: (end: number) => readonly number[],
): number {
  const whole = columnsTo(low);
  const first = columnsTo(Math.max(low, below - LEAST_BAND));
  if (same(whole, first)) return low;
  let kept = Math.max(low, Math.round(below / LEAST_REACH));
  if (same(columnsTo(kept), first)) {
    let lost = low;
    while (kept - lost > LEAST_BAND) {
      const middle = (lost + kept) >> 1;
      if (same(columnsTo(middle), first)) kept = middle;
      else lost = middle;
    }
  }
  return kept - low < LEAST_BAND || same(columnsTo(kept), whole) ? low : kept;
}
