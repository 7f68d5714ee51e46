import { slotAspect, shownIn } from './spans.js';
import type { MosaicItem, MosaicOptions, MosaicSlot } from './types.js';

/**
 * A mosaic in stripes, each as wide as the whole and of one height, broken so that the least is cropped
 * (dynamic programming over the breaks). There is one for any pictures, so it is what a mosaic falls
 * back on.
 */
export function fallbackStripes(items: readonly MosaicItem[], options: MosaicOptions): MosaicSlot[] {
  const count = items.length;
  const cost = new Float64Array(count + 1).fill(Infinity);
  const from = new Int32Array(count + 1);
  const height = new Int32Array(count + 1);
  cost[0] = 0;
  for (let end = 1; end <= count; end++) {
    for (let first = Math.max(0, end - options.columns); first < end; first++) {
      // A picture alone in a stripe may need it higher than it is wide.
      const highest = end - first === 1 ? options.columns : 3;
      for (let rows = 1; rows <= highest; rows++) {
        const spans = stripeSpans(items, first, end, rows, options);
        const crop = spans.reduce(
          (sum, columnSpan, k) =>
            sum +
            1 -
            shownIn((items[first + k] as MosaicItem).aspect, { columnSpan, rowSpan: rows }, options),
          0,
        );
        const total = (cost[first] as number) + crop;
        if (total < (cost[end] as number)) {
          cost[end] = total;
          from[end] = first;
          height[end] = rows;
        }
      }
    }
  }
  const breaks: number[] = [];
  for (let end = count; end > 0; end = from[end] as number) breaks.push(end);
  const slots: MosaicSlot[] = [];
  let row = 0;
  for (const end of breaks.reverse()) {
    const rowSpan = height[end] as number;
    let column = 0;
    for (const columnSpan of stripeSpans(items, from[end] as number, end, rowSpan, options)) {
      slots.push({ column, row, columnSpan, rowSpan });
      column += columnSpan;
    }
    row += rowSpan;
  }
  return slots;
}

/** Spans that add up to all columns, each as near as may be to what its picture would have. */
function stripeSpans(
  items: readonly MosaicItem[],
  first: number,
  end: number,
  rowSpan: number,
  options: MosaicOptions,
): number[] {
  const module = slotAspect({ columnSpan: 1, rowSpan }, options);
  const wishes = items.slice(first, end).map(({ aspect }) => aspect / module);
  const sum = wishes.reduce((total, wish) => total + wish, 0);
  const scaled = wishes.map((wish) => (wish * options.columns) / sum);
  const spans = scaled.map((wish) => Math.max(1, Math.floor(wish)));
  let left = options.columns - spans.reduce((total, span) => total + span, 0);
  // What rounding left over goes where it is missed most, or comes from where it is missed least.
  while (left !== 0) {
    const step = Math.sign(left);
    let best = -1;
    spans.forEach((span, k) => {
      if (step < 0 && span === 1) return;
      const need = ((scaled[k] as number) - span) * step;
      const leader = best < 0 ? -Infinity : ((scaled[best] as number) - (spans[best] as number)) * step;
      if (need > leader) best = k;
    });
    spans[best] = (spans[best] as number) + step;
    left -= step;
  }
  return spans;
}
