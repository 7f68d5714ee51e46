import {
  borderBoxContribution,
  clampBlock,
  clampInline,
  contentInlineSize,
  inlineFromAspect,
} from '../box/intrinsic.js';
import type { Constraint } from '../box/displays.js';
import { fitInlineSize, layoutBox, stretchInlineSize } from '../box/layoutBox.js';
import {
  blockSum,
  borderBoxSize,
  frameOf,
  inlineSum,
  isDefinite,
  isReplaced,
  resolveSides,
} from '../box/sizes.js';
import { toUnits } from '../css/length.js';
import { AUTO, FIXED, FLEX, type AxisTracks } from './tracks.js';
import type { AxisItem } from './axisItem.js';
import type { Box, Space } from '../box/box.js';
import type { Aligned, BoxStyle, SelfAlignment } from '../box/style.js';

/**
 * An item that asks for columns: how narrow and how wide its content would have it.
 * @param blockSize px that its rows give it when these are known and its aspect ratio makes a width of it; else NaN
 */
export function columnItem(box: Box, start: number, span: number, gap: number, blockSize = NaN): AxisItem {
  const contribution = (constraint: Constraint) => () =>
    Number.isNaN(blockSize)
      ? borderBoxContribution(box, constraint, NaN) + inlineSum(resolveSides(box.style.margin, NaN))
      : transferredContribution(box, constraint, blockSize);
  const minContent = lazily(contribution('min-content'));
  const maxContent = lazily(contribution('max-content'));
  return {
    start,
    span,
    minContentContribution: minContent,
    maxContentContribution: maxContent,
    minimumContribution: (tracks, start, extra) => {
      const { style } = box;
      if (isDefinite(style.inlineSize, NaN) || isKeyword(style.inlineSize)) return minContent() + extra;
      const frame = inlineSum(frameOf(style, NaN));
      const margin = inlineSum(resolveSides(style.margin, NaN)) + extra;
      const bound = style.minInlineSize;
      if (bound === 'min-content' || bound === 'max-content') {
        if (tracks.maxKind[start] === FLEX) return frame + contentInlineSize(box, bound) + margin;
        return (bound === 'min-content' ? minContent() : maxContent()) + extra;
      }
      if (bound !== 'auto') {
        const least = isDefinite(bound, NaN) ? borderBoxSize(style, bound, NaN, frame) : frame;
        return least + margin;
      }
      if (!hasAutomaticMinimum(style, tracks, start, span)) return frame + margin;
      return Math.max(frame + margin, Math.min(minContent() + extra, fixedLimit(tracks, start, span, gap)));
    },
  };
}

/**
 * An item that asks for rows: its height at the width that its columns give it.
 * @param area px of its columns
 */
export function rowItem(
  box: Box,
  start: number,
  span: number,
  gap: number,
  area: number,
  container: BoxStyle,
): AxisItem {
  const size = lazily(() => outerBlockSize(box, area, container));
  return {
    start,
    span,
    minContentContribution: size,
    maxContentContribution: size,
    minimumContribution: (tracks, start, extra) => {
      const { style } = box;
      if (isDefinite(style.blockSize, NaN)) return size() + extra;
      const frame = blockSum(frameOf(style, area));
      const margin = blockSum(resolveSides(style.margin, area)) + extra;
      const bound = style.minBlockSize;
      if (bound === 'min-content' || bound === 'max-content') return size() + extra;
      if (bound !== 'auto') {
        const least = isDefinite(bound, NaN) ? borderBoxSize(style, bound, NaN, frame) : frame;
        return least + margin;
      }
      if (!hasAutomaticMinimum(style, tracks, start, span)) return frame + margin;
      return Math.max(frame + margin, Math.min(size() + extra, fixedLimit(tracks, start, span, gap)));
    },
  };
}

/** Whether the height that rows give an item says how wide it would be: by its aspect ratio or one inside of it. */
export function transfersBlockSize(item: Box, container: BoxStyle): boolean {
  const { style, natural, children } = item;
  if (isDefinite(style.inlineSize, NaN)) return false;
  if (style.aspectRatio === null) {
    const inner =
      style.display === 'grid' &&
      style.rows.kind !== 'subgrid' &&
      children.some((child) => child.style.position !== 'absolute' && transfersBlockSize(child, style));
    if (!inner) return false;
  }
  if (typeof style.blockSize === 'object') return true;
  if (style.blockSize !== 'auto' || style.margin[0] === 'auto' || style.margin[2] === 'auto') return false;
  const { at } = alignOf(style, container);
  return at === 'stretch' || (at === 'normal' && natural === null);
}

/** Its width at the height that `area` px of rows give it, with its margins. */
function transferredContribution(box: Box, constraint: Constraint, area: number): number {
  const { style } = box;
  const frame = frameOf(style, NaN);
  const margin = resolveSides(style.margin, NaN);
  const wanted = isDefinite(style.blockSize, area)
    ? borderBoxSize(style, style.blockSize, area, blockSum(frame))
    : Math.max(blockSum(frame), area - blockSum(margin));
  const block = clampBlock(box, wanted, area);
  const asked = isKeyword(style.inlineSize) ? style.inlineSize : constraint;
  const inline =
    style.aspectRatio === null
      ? inlineSum(frame) + contentInlineSize(box, asked, block - blockSum(frame))
      : inlineFromAspect(box, block, inlineSum(frame), blockSum(frame));
  return clampInline(box, inline, NaN, style.aspectRatio === null ? NaN : inline) + inlineSum(margin);
}

function lazily(work: () => number): () => number {
  let known = NaN;
  return () => (Number.isNaN(known) ? (known = toUnits(work())) : known);
}

const isKeyword = (size: BoxStyle['inlineSize']): size is Constraint =>
  size === 'min-content' || size === 'max-content';

/** Whether `min-*-size: auto` asks for the content (CSS Grid 2, section 6.6). */
function hasAutomaticMinimum(style: BoxStyle, tracks: AxisTracks, start: number, span: number): boolean {
  if (style.scrolls) return false;
  let auto = false;
  for (let k = start; k < start + span; k++) {
    if (tracks.minKind[k] === AUTO && tracks.collapsed[k] === 0) auto = true;
    if (span > 1 && tracks.maxKind[k] === FLEX) return false;
  }
  return auto;
}

/** What tracks with fixed maximums allow together; Infinity when one of them is not fixed. */
function fixedLimit(tracks: AxisTracks, start: number, span: number, gap: number): number {
  let sum = (span - 1) * gap;
  for (let k = start; k < start + span; k++) {
    if (tracks.maxKind[k] !== FIXED) return Infinity;
    sum += tracks.growthLimit[k] as number;
  }
  return sum;
}

function outerBlockSize(box: Box, area: number, container: BoxStyle): number {
  const margin = resolveSides(box.style.margin, area);
  const space: Space = { inline: area, block: NaN, inlineSize: NaN, blockSize: NaN };
  const inlineSize = itemInlineSize(box, space, justifyOf(box.style, container));
  return Math.max(0, layoutBox(box, { ...space, inlineSize }).fragment.blockSize + blockSum(margin));
}

export const justifyOf = (style: BoxStyle, container: BoxStyle): Aligned<SelfAlignment> =>
  style.justifySelf ?? container.justifyItems;
export const alignOf = (style: BoxStyle, container: BoxStyle): Aligned<SelfAlignment> =>
  style.alignSelf ?? container.alignItems;

/** The inline size of an item in its area (CSS Grid 2, section 6.2); border box. */
export function itemInlineSize(box: Box, space: Space, { at }: Aligned<SelfAlignment>): number {
  const { style } = box;
  const hasAutoMargin = style.margin[1] === 'auto' || style.margin[3] === 'auto';
  const fills = !hasAutoMargin && (at === 'stretch' || (at === 'normal' && !isReplaced(box)));
  if (!fills) return fitInlineSize(box, space);
  if (at === 'stretch' && style.inlineSize === 'auto') {
    // Said in so many words, it comes before the aspect ratio.
    return stretchInlineSize({ ...box, natural: null, style: { ...style, aspectRatio: null } }, space);
  }
  return stretchInlineSize(box, space);
}

/** The block size that an item's area gives it, border box; NaN where it keeps its own. */
export function itemBlockSize(
  box: Box,
  space: Space,
  { at }: Aligned<SelfAlignment>,
  inlineStretched: boolean,
): number {
  const { style } = box;
  if (style.blockSize !== 'auto' && style.blockSize !== 'stretch') return NaN;
  if (style.margin[0] === 'auto' || style.margin[2] === 'auto') return NaN;
  const explicit = at === 'stretch' || style.blockSize === 'stretch';
  if (!explicit && (at !== 'normal' || isReplaced(box))) return NaN;
  if (!explicit && style.aspectRatio !== null && inlineStretched) return NaN;
  const size = space.block - blockSum(resolveSides(style.margin, space.inline));
  return clampBlock(box, size, space.block, space.inline);
}

/**
 * Where an item lies in its area along one axis, from the area's start: auto margins first, then its
 * self alignment.
 */
export function itemOffset(
  area: number,
  size: number,
  before: number | 'auto',
  after: number | 'auto',
  { at, safe }: Aligned<SelfAlignment>,
): number {
  const free = area - size - (before === 'auto' ? 0 : before) - (after === 'auto' ? 0 : after);
  if (before === 'auto') return free <= 0 ? 0 : after === 'auto' ? free / 2 : free;
  if (after === 'auto') return before;
  if (safe && free < 0) return before;
  if (at === 'end') return before + free;
  if (at === 'center') return before + free / 2;
  return before;
}
