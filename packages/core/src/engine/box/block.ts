import { inlineContribution } from './intrinsic.js';
import { layoutBox, stretchInlineSize } from './layoutBox.js';
import { inlineSum, resolveSides } from './sizes.js';
import type { Box, Fragment, Inside } from './box.js';
import type { Display, Filled, Pending } from './displays.js';

/**
 * Block flow (CSS 2, section 9.4.1): boxes below one another, adjoining margins collapsed (8.3.1),
 * also through the edges of a block that has neither padding nor border there.
 */
export const block: Display = {
  inlineSize: (box, constraint) =>
    Math.max(0, ...inFlow(box).map((child) => inlineContribution(child, constraint, NaN))),
  fill: fillBlock,
};

const START = { at: 'start', safe: false } as const;

const inFlow = ({ children }: Box) => children.filter(({ style }) => style.position !== 'absolute');

function fillBlock(box: Box, inside: Inside): Filled {
  const { frame } = inside;
  const [startOutside, endOutside] = inside.collapses;
  const children: Fragment[] = [];
  const pending: Pending[] = [];
  let y = frame[0];
  let margins: readonly number[] = [];
  let isFirst = startOutside;
  for (const child of box.children) {
    const { style } = child;
    if (style.position === 'absolute') {
      const at = { x: frame[3], y: y + joinMargins(margins), inlineSize: inside.inlineSize, blockSize: 0 };
      pending.push({ box: child, at, justify: START, align: START, rtl: box.style.direction === 'rtl' });
      continue;
    }
    const before = isFirst ? [] : [...margins, ...marginsAt(child, 'start', inside.inlineSize)];
    y += joinMargins(before);
    const space = { inline: inside.inlineSize, block: inside.blockSize, inlineSize: NaN, blockSize: NaN };
    const inlineSize = stretchInlineSize(child, space);
    const collapses = [collapsesAt(child, 'start'), collapsesAt(child, 'end')] as const;
    const { fragment, pending: inner } = layoutBox(child, { ...space, inlineSize, collapses });
    const margin = resolveSides(style.margin, inside.inlineSize);
    const free = inside.inlineSize - inlineSize - inlineSum(margin);
    fragment.x = frame[3] + margin[3] + autoShift(child, free, box.style.direction);
    fragment.y = y;
    offsetRelative(fragment, inside.inlineSize, inside.blockSize);
    children.push(fragment);
    pending.push(...movePending(inner, fragment));
    const after = marginsAt(child, 'end', inside.inlineSize);
    if (fragment.blockSize === 0 && collapses[0] && collapses[1]) {
      // Nothing stands between its own margins, so that they adjoin each other and the one before.
      y -= joinMargins(before);
      margins = [...before, ...after];
    } else {
      y += fragment.blockSize;
      margins = after;
      isFirst = false;
    }
  }
  const end = endOutside ? y : y + joinMargins(margins);
  return { blockSize: Math.max(0, end - frame[0]), children, pending };
}

/** Adjoining margins together: the largest, less the most negative. */
const joinMargins = (margins: readonly number[]) => Math.max(0, ...margins) + Math.min(0, ...margins);

type Side = 'start' | 'end';

/** Whether a block's margin on a side adjoins that of the first or last box in it. */
function collapsesAt({ style, text, natural }: Box, side: Side): boolean {
  if (style.display !== 'block' || style.scrolls || style.containsInlineSize || text || natural) return false;
  const k = side === 'start' ? 0 : 2;
  if (style.padding[k] !== 0 || style.border[k] !== 0) return false;
  return (
    side === 'start' ||
    (style.blockSize === 'auto' && style.minBlockSize === 'auto' && style.aspectRatio === null)
  );
}

/** The margins that adjoin on one side of a block: its own, and those of boxes in it that reach its edge. */
function marginsAt(box: Box, side: Side, inline: number): number[] {
  const own = resolveSides(box.style.margin, inline);
  const margins = [own[side === 'start' ? 0 : 2]];
  if (!collapsesAt(box, side)) return margins;
  const inner = side === 'start' ? inFlow(box) : inFlow(box).reverse();
  for (const child of inner) {
    margins.push(...marginsAt(child, side, inline));
    if (!isEmpty(child)) break;
    margins.push(...marginsAt(child, side === 'start' ? 'end' : 'start', inline));
  }
  return margins;
}

/** A block that takes no height, so that margins reach through it. */
function isEmpty(box: Box): boolean {
  const { blockSize } = box.style;
  return (
    collapsesAt(box, 'start') && collapsesAt(box, 'end') && blockSize === 'auto' && inFlow(box).every(isEmpty)
  );
}

function autoShift({ style: { margin } }: Box, free: number, direction: 'ltr' | 'rtl'): number {
  const [, after, , before] = margin;
  if (free > 0 && before === 'auto') return after === 'auto' ? free / 2 : free;
  return direction === 'rtl' && (free <= 0 || after !== 'auto') ? free : 0;
}

/** What a pending box knew is now said from the border box one further out. */
export function movePending(pending: readonly Pending[], { x, y }: Fragment): Pending[] {
  return pending.map((each) => ({ ...each, at: { ...each.at, x: each.at.x + x, y: each.at.y + y } }));
}

/** `position: relative` moves a box without moving its neighbours. */
export function offsetRelative(fragment: Fragment, inline: number, blockBasis: number): void {
  const { style } = fragment.box;
  if (style.position !== 'relative') return;
  const [top, right, bottom, left] = style.inset;
  const insets = resolveSides(style.inset, inline);
  const vertical = resolveSides(style.inset, blockBasis);
  if (left !== 'auto') fragment.x += insets[3];
  else if (right !== 'auto') fragment.x -= insets[1];
  if (top !== 'auto') fragment.y += vertical[0];
  else if (bottom !== 'auto') fragment.y -= vertical[2];
}
