import type { Box } from './box.js';

/** One flexible box while its line is shared out; sizes are border boxes along the line, px. */
export interface FlexItem {
  readonly box: Box;
  readonly base: number;
  readonly least: number;
  readonly most: number;
  /** Its margins along the line. */
  readonly outer: number;
  readonly frame: number;
  size: number;
}

/** Resolves flexible lengths (Flexbox 1, section 9.7): grows or shrinks the items of a line to fill it. */
export function shareOut(items: readonly FlexItem[], space: number): void {
  const hypothetical = items.reduce((sum, item) => sum + hold(item, item.base) + item.outer, 0);
  const grows = hypothetical < space;
  const factor = ({ box: { style } }: FlexItem) => (grows ? style.flexGrow : style.flexShrink);
  const open = new Set<FlexItem>();
  for (const item of items) {
    const target = hold(item, item.base);
    item.size = target;
    const fixed = factor(item) === 0 || (grows ? item.base > target : item.base < target);
    if (!fixed) open.add(item);
  }
  const left = () =>
    items.reduce((free, item) => free - (open.has(item) ? item.base : item.size) - item.outer, space);
  const initial = left();
  while (open.size > 0) {
    const factors = [...open].reduce((sum, item) => sum + factor(item), 0);
    let free = left();
    // Factors that add up to less than one take only that part of what is left.
    if (factors < 1 && Math.abs(initial * factors) < Math.abs(free)) free = initial * factors;
    const weight = (item: FlexItem) =>
      grows ? factor(item) : factor(item) * Math.max(0, item.base - item.frame);
    const weights = [...open].reduce((sum, item) => sum + weight(item), 0);
    let violation = 0;
    const wanted = new Map<FlexItem, number>();
    for (const item of open) {
      const size = weights > 0 ? item.base + (free * weight(item)) / weights : item.base;
      wanted.set(item, size);
      item.size = hold(item, size);
      violation += item.size - size;
    }
    for (const item of [...open]) {
      const off = item.size - (wanted.get(item) as number);
      const isFrozen = Math.abs(violation) < 1e-9 || (violation > 0 ? off > 0 : off < 0);
      if (isFrozen) open.delete(item);
    }
  }
}

const hold = ({ least, most }: FlexItem, size: number) => Math.max(least, Math.min(size, most));
