import { resolveLength } from '../css/length.js';
import { clampInline, contentInlineSize } from './intrinsic.js';
import { frameOf, inlineSum, isDefinite, resolveSides } from './sizes.js';
import type { Box, Fragment, Space } from './box.js';
import type { Area, Constraint, Edges, LaidOut, Pending } from './displays.js';
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

/** One axis of a containing block, and what a box asks of it; px, null for `auto`. */
interface AxisPlace {
  readonly start: number;
  readonly size: number;
  readonly before: number | null;
  readonly after: number | null;
  readonly marginBefore: number;
  readonly marginAfter: number;
  readonly alignment: Aligned<SelfAlignment>;
  /** Where it would lie, and how it is aligned there, if it took part in the flow. */
  readonly at: { readonly start: number; readonly size: number };
  readonly atRest: Aligned<SelfAlignment>;
}

const NORMAL: Aligned<SelfAlignment> = { at: 'normal', safe: false };

function placeOne(
  { box, at, justify, align, rtl }: Pending,
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
  const inline: AxisPlace = {
    start: area.x,
    size: area.inlineSize,
    before: left,
    after: right,
    marginBefore: margin[3],
    marginAfter: margin[1],
    alignment: style.justifySelf ?? NORMAL,
    at: { start: at.x, size: at.inlineSize },
    atRest: justify,
  };
  const block: AxisPlace = {
    start: area.y,
    size: area.blockSize,
    before: top,
    after: bottom,
    marginBefore: margin[0],
    marginAfter: margin[2],
    alignment: style.alignSelf ?? NORMAL,
    at: { start: at.y, size: at.blockSize },
    atRest: align,
  };
  const inlineSize = inlineSizeIn(box, inline, area);
  const { fragment } = layout(box, {
    inline: area.inlineSize,
    block: area.blockSize,
    inlineSize: Number.isNaN(inlineSize) ? NaN : clampInline(box, inlineSize, area.inlineSize),
    blockSize: blockSizeIn(box, block),
  });
  fragment.x = placeIn(inline, fragment.inlineSize, rtl, containerRtl);
  fragment.y = placeIn(block, fragment.blockSize, false, false);
  into.push(fragment);
}

/** Room for a box between its insets and margins, px. */
const roomIn = ({ before, after, marginBefore, marginAfter, size, at }: AxisPlace) =>
  (before === null && after === null ? at.size : size) -
  (before ?? 0) -
  (after ?? 0) -
  marginBefore -
  marginAfter;

/** Whether a box is held at both ends and fills what is between. */
const fills = ({ before, after, alignment: { at } }: AxisPlace) =>
  before !== null && after !== null && (at === 'normal' || at === 'stretch');

/** px of the border box; NaN: by its own size. */
function inlineSizeIn(box: Box, axis: AxisPlace, area: Area): number {
  const { style, natural } = box;
  if (style.inlineSize !== 'auto' || natural !== null) return NaN;
  const room = Math.max(0, roomIn(axis));
  const hasBlockSize = isDefinite(style.blockSize, area.blockSize);
  if (fills(axis) && !(style.aspectRatio !== null && hasBlockSize)) return room;
  if (style.aspectRatio !== null) return NaN;
  const frame = inlineSum(frameOf(style, area.inlineSize));
  const hug = (constraint: Constraint) => frame + contentInlineSize(box, constraint);
  return Math.min(hug('max-content'), Math.max(hug('min-content'), room));
}

/** px of the border box; NaN: by its own size. */
function blockSizeIn({ style, natural }: Box, axis: AxisPlace): number {
  const stretches =
    style.blockSize === 'auto' && fills(axis) && natural === null && style.aspectRatio === null;
  return stretches ? Math.max(0, roomIn(axis)) : NaN;
}

/**
 * Where a box begins, px.
 * @param own its size, px
 */
function placeIn(axis: AxisPlace, own: number, rtl: boolean, containerRtl: boolean): number {
  const { before, after, marginBefore, marginAfter, at, atRest } = axis;
  if (before !== null || after !== null) return position(axis, own, containerRtl);
  return at.start + marginBefore + shift(at.size - (marginBefore + marginAfter) - own, atRest, rtl);
}

function shift(free: number, { at }: Aligned<SelfAlignment>, rtl = false): number {
  if (at === 'center') return free / 2;
  return (at === 'end') !== rtl ? free : 0;
}

/** Where a box begins that has an inset, px. */
function position(axis: AxisPlace, own: number, rtl: boolean): number {
  const { start, size, before, after, marginBefore, marginAfter, alignment } = axis;
  if (rtl) {
    const turned: AxisPlace = {
      ...axis,
      start: 0,
      before: after,
      after: before,
      marginBefore: marginAfter,
      marginAfter: marginBefore,
    };
    return start + size - position(turned, own, false) - own;
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
