import { resolveLength } from '../css/length.js';
import { clampInline, contentInlineSize } from './intrinsic.js';
import { frameOf, inlineSum, isDefinite, resolveSides } from './sizes.js';
import type { Box, Fragment, Space } from './box.js';
import type { Area, Constraint, Edges, Pending } from './displays.js';
import type { LaidOut } from './displays.js';
import type { Aligned, SelfAlignment } from './style.js';

/**
 * Places boxes in the padding box of a positioned box, or in their grid area when that box is their
 * grid (CSS Position 3, section 4; CSS Grid 2, section 9).
 */
export function placeAbsolute(
  owner: Fragment,
  into: Fragment[],
  pending: readonly Pending[],
  areaOf: ((box: Box) => Edges) | undefined,
  layout: (box: Box, space: Space) => LaidOut,
): void {
  const { border } = owner.box.style;
  const paddingBox: Area = {
    x: border[3],
    y: border[0],
    inlineSize: owner.inlineSize - border[3] - border[1],
    blockSize: owner.blockSize - border[0] - border[2],
  };
  for (const each of pending) {
    const rtl = owner.box.style.direction === 'rtl';
    const area = areaOf ? resolveEdges(areaOf(each.box), paddingBox, rtl) : paddingBox;
    // A child of the grid itself would lie in its area, one from further in where it is.
    const isChild = areaOf !== undefined && owner.box.children.includes(each.box);
    placeOne(isChild ? { ...each, at: area } : each, area, rtl, into, layout);
  }
}

/** An area whose end lies before its start is empty, at its start. */
function resolveEdges(edges: Edges, { x, y, inlineSize, blockSize }: Area, rtl: boolean): Area {
  const or = (edge: number, otherwise: number) => (Number.isNaN(edge) ? otherwise : edge);
  const left = or(edges.inlineStart, x);
  const right = or(edges.inlineEnd, x + inlineSize);
  const top = or(edges.blockStart, y);
  return {
    x: rtl ? Math.min(left, right) : left,
    y: top,
    inlineSize: Math.max(0, right - left),
    blockSize: Math.max(0, or(edges.blockEnd, y + blockSize) - top),
  };
}

function placeOne(
  { box, at, justify: staticJustify, align: staticAlign, rtl }: Pending,
  area: Area,
  containerRtl: boolean,
  into: Fragment[],
  layout: (box: Box, space: Space) => LaidOut,
): void {
  const { style } = box;
  const [top, right, bottom, left] = style.inset.map((side, k) =>
    side === 'auto' ? null : resolveLength(side, k % 2 === 0 ? area.blockSize : area.inlineSize),
  ) as [number | null, number | null, number | null, number | null];
  const margin = resolveSides(style.margin, area.inlineSize);

  const justify = style.justifySelf ?? { at: 'normal', safe: false };
  const align = style.alignSelf ?? { at: 'normal', safe: false };
  const inlineRoom = Math.max(
    0,
    (left === null && right === null ? at.inlineSize : area.inlineSize) -
      (left ?? 0) -
      (right ?? 0) -
      inlineSum(margin),
  );
  const stretchesInline = left !== null && right !== null && isStretch(justify) && box.natural === null;
  let inlineSize = NaN;
  if (
    style.inlineSize === 'auto' &&
    stretchesInline &&
    !(style.aspectRatio !== null && hasBlock(box, area))
  ) {
    inlineSize = inlineRoom;
  } else if (style.inlineSize === 'auto' && box.natural === null && style.aspectRatio === null) {
    const frame = inlineSum(frameOf(style, area.inlineSize));
    const hug = (constraint: Constraint) => frame + contentInlineSize(box, constraint);
    inlineSize = Math.min(hug('max-content'), Math.max(hug('min-content'), inlineRoom));
  }
  const blockRoom = area.blockSize - (top ?? 0) - (bottom ?? 0) - margin[0] - margin[2];
  const stretchesBlock =
    style.blockSize === 'auto' &&
    top !== null &&
    bottom !== null &&
    isStretch(align) &&
    box.natural === null &&
    style.aspectRatio === null;
  const space: Space = {
    inline: area.inlineSize,
    block: area.blockSize,
    inlineSize: Number.isNaN(inlineSize) ? NaN : clampInline(box, inlineSize, area.inlineSize),
    blockSize: stretchesBlock ? Math.max(0, blockRoom) : NaN,
  };
  const { fragment } = layout(box, space);
  const x =
    left === null && right === null
      ? at.x + margin[3] + shift(at.inlineSize - inlineSum(margin) - fragment.inlineSize, staticJustify, rtl)
      : position(
          area.x,
          area.inlineSize,
          left,
          right,
          margin[3],
          margin[1],
          fragment.inlineSize,
          justify,
          containerRtl,
        );
  const y =
    top === null && bottom === null
      ? at.y + margin[0] + shift(at.blockSize - margin[0] - margin[2] - fragment.blockSize, staticAlign)
      : position(area.y, area.blockSize, top, bottom, margin[0], margin[2], fragment.blockSize, align);
  fragment.x = x;
  fragment.y = y;
  into.push(fragment);
}

const hasBlock = ({ style }: Box, area: Area) => isDefinite(style.blockSize, area.blockSize);
const isStretch = ({ at }: Aligned<SelfAlignment>) => at === 'normal' || at === 'stretch';

function shift(free: number, { at }: Aligned<SelfAlignment>, rtl = false): number {
  if (at === 'center') return free / 2;
  return (at === 'end') !== rtl ? free : 0;
}

function position(
  start: number,
  size: number,
  before: number | null,
  after: number | null,
  marginBefore: number,
  marginAfter: number,
  own: number,
  alignment: Aligned<SelfAlignment>,
  rtl = false,
): number {
  if (rtl) {
    const mirrored = position(0, size, after, before, marginAfter, marginBefore, own, alignment);
    return start + size - mirrored - own;
  }
  if (before !== null && after !== null) {
    const from = start + before;
    const room = Math.max(0, size - before - after);
    const outer = own + marginBefore + marginAfter;
    if (alignment.at === 'normal' || alignment.at === 'stretch') return from + marginBefore;
    const wanted = from + shift(room - outer, alignment);
    // What overflows is pushed back into the containing block (CSS Position 3, section 4.4).
    const least = Math.min(start, from);
    const most = Math.max(start + size, from + room);
    return marginBefore + Math.max(least, Math.min(wanted, most - outer));
  }
  if (before !== null) return start + before + marginBefore;
  return start + size - (after ?? 0) - marginAfter - own;
}
