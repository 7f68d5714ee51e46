import type { WidthRange } from './types.js';

/** Adds widths to ranges that were found from narrow to wide; those that touch become one. */
export function addRange(ranges: WidthRange[], from: number, to: number): void {
  const last = ranges.at(-1);
  if (last && from <= last.to + 1) {
    ranges[ranges.length - 1] = { from: Math.min(last.from, from), to: Math.max(last.to, to) };
  } else ranges.push({ from, to });
}

/** What holds over whole widths from one to another: everywhere, nowhere, or that is not known. */
export type Judgement = 'all' | 'none' | 'some';

/**
 * The widths at which something holds, in whole px, by cutting in two until each part is judged. A
 * single width has to be judged `all` or `none`.
 */
export function rangesWhere(
  from: number,
  to: number,
  judge: (from: number, to: number) => Judgement,
): WidthRange[] {
  const found: WidthRange[] = [];
  const visit = (low: number, high: number): void => {
    const judged = judge(low, high);
    if (judged === 'none') return;
    if (judged === 'all' || low === high) return addRange(found, low, high);
    const middle = (low + high) >> 1;
    visit(low, middle);
    visit(middle + 1, high);
  };
  visit(from, to);
  return found;
}

/** How many whole widths there are in ranges. */
export const widthsIn = (ranges: readonly WidthRange[]) =>
  ranges.reduce((sum, { from, to }) => sum + to - from + 1, 0);

/** The ranges as people read them: “240–262, 1405–1479”. */
export const rangeWords = (ranges: readonly WidthRange[]) =>
  ranges.map(({ from, to }) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
