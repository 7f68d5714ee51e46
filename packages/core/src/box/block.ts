import { inlineContribution } from './intrinsic.js';
import { layoutBox, stretchInlineSize } from './layoutBox.js';
import { inlineSum, resolveSides } from './sizes.js';
import type { Box, Fragment } from './box.js';
import type { Display, Filled, Inside, Pending } from './displays.js';

/**
 * Block flow (CSS 2, section 9.4.1): boxes below one another, margins of neighbours collapsed into
 * the larger. Margins do not collapse through the edges of the parent: grid items, which is what
 * tiles are, keep them in.
 */
export const block: Display = {
  inlineSize: (box, constraint) =>
    Math.max(
      0,
      ...box.children
        .filter(({ style }) => style.position !== 'absolute')
        .map((child) => inlineContribution(child, constraint, NaN)),
    ),
  fill: fillBlock,
};

const START = { at: 'start', safe: false } as const;

function fillBlock(box: Box, inside: Inside): Filled {
  const { frame } = inside;
  const children: Fragment[] = [];
  const pending: Pending[] = [];
  let y = frame[0];
  let collapsing = 0;
  for (const child of box.children) {
    const { style } = child;
    const margin = resolveSides(style.margin, inside.inlineSize);
    if (style.position === 'absolute') {
      const at = { x: frame[3], y: y + collapsing, inlineSize: inside.inlineSize, blockSize: 0 };
      pending.push({ box: child, at, justify: START, align: START, rtl: box.style.direction === 'rtl' });
      continue;
    }
    y += collapse(collapsing, margin[0]);
    const space = { inline: inside.inlineSize, block: inside.blockSize, inlineSize: NaN, blockSize: NaN };
    const inlineSize = stretchInlineSize(child, space);
    const laid = layoutBox(child, { ...space, inlineSize });
    const free = inside.inlineSize - inlineSize - inlineSum(margin);
    laid.fragment.x = frame[3] + margin[3] + autoShift(child, free, box.style.direction);
    laid.fragment.y = y;
    offsetRelative(laid.fragment, inside.inlineSize, inside.blockSize);
    children.push(laid.fragment);
    pending.push(...movePending(laid.pending, laid.fragment));
    y += laid.fragment.blockSize;
    if (collapsesThrough(laid.fragment)) {
      // Its own two margins adjoin each other, and the one before.
      y -= collapse(collapsing, margin[0]);
      collapsing = joinMargins([collapsing, margin[0], margin[2]]);
    } else collapsing = margin[2];
  }
  return { blockSize: Math.max(0, y + collapsing - frame[0]), children, pending };
}

/** Adjoining margins (CSS 2, section 8.3.1): the largest, less the most negative. */
const joinMargins = (margins: readonly number[]) => Math.max(0, ...margins) + Math.min(0, ...margins);
const collapse = (before: number, after: number) => joinMargins([before, after]);

/** A box without height, frame or words lets its margins adjoin. */
const collapsesThrough = ({ blockSize, box }: Fragment) =>
  blockSize === 0 && box.style.display === 'block' && box.text === null && box.natural === null;

function autoShift({ style: { margin } }: Box, free: number, direction: 'ltr' | 'rtl'): number {
  if (free > 0 && margin[3] === 'auto') return margin[1] === 'auto' ? free / 2 : free;
  if (direction === 'rtl' && margin[1] !== 'auto') return free;
  return 0;
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
