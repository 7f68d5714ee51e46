import { resolveLength } from '../css/length.js';
import { placeAbsolute } from './absolute.js';
import { displays, type Constraint, type Filled, type LaidOut } from './displays.js';
import { clampInline, contentInlineSize, holdTransferred, inlineFromAspect } from './intrinsic.js';
import {
  blockSum,
  borderBoxSize,
  clamp,
  frameOf,
  fromAspect,
  inlineSum,
  isDefinite,
  isReplaced,
  resolveSides,
} from './sizes.js';
import type { Box, Fragment, Space, Inside } from './box.js';
import type { BoxStyle, Sides } from './style.js';

/**
 * Lays one box out in a space, with all that is in it.
 * @returns the fragment at 0, 0: whoever asked puts it in its place
 */
export function layoutBox(box: Box, space: Space): LaidOut {
  const { style } = box;
  const frame = frameOf(style, space.inline);
  const inlineSize = Number.isNaN(space.inlineSize) ? fitInlineSize(box, space) : space.inlineSize;
  const given = Number.isNaN(space.blockSize) ? ownBlockSize(box, space, inlineSize, frame) : space.blockSize;
  const bounds = blockBounds(style, space.block, blockSum(frame));
  const known = Number.isNaN(space.blockSize) ? clamp(given, bounds.least, bounds.most) : given;
  const inside: Inside = {
    inlineSize: Math.max(0, inlineSize - inlineSum(frame)),
    blockSize: Math.max(0, known - blockSum(frame)),
    minBlockSize: Math.max(0, bounds.least - blockSum(frame)),
    maxBlockSize: Math.max(0, bounds.most - blockSum(frame)),
    frame: style.direction === 'rtl' ? fromTheRight(frame, inlineSize) : frame,
    collapses: space.collapses ?? NO_COLLAPSE,
  };
  const filled = fill(box, inside);
  const content = filled.blockSize + blockSum(frame);
  let blockSize = known;
  if (Number.isNaN(known)) blockSize = clamp(content, bounds.least, bounds.most);
  else if (Number.isNaN(space.blockSize) && growsWithContent(box)) {
    blockSize = Math.max(known, Math.min(content, bounds.most));
  }
  blockSize = Math.max(blockSize, blockSum(frame));
  const fragment: Fragment = {
    box,
    x: 0,
    y: 0,
    inlineSize,
    blockSize,
    children: filled.children,
    ...(filled.tracks && { tracks: filled.tracks }),
    ...(filled.cells && { cells: filled.cells }),
  };
  if (filled.pending.length === 0 || style.position === 'static')
    return { fragment, pending: filled.pending };
  placeAbsolute(fragment, filled.children, filled.pending, filled.areaOf, layoutBox);
  return { fragment, pending: [] };
}

function fill(box: Box, inside: Inside): Filled {
  if (box.natural) return { blockSize: box.natural.blockSize, children: [], pending: [] };
  if (box.text) return { blockSize: box.text.blockSizeAt(inside.inlineSize), children: [], pending: [] };
  if (box.children.length === 0 && box.style.display === 'block') return EMPTY;
  return displays[box.style.display as keyof typeof displays].fill(box, inside);
}

const NO_COLLAPSE = [false, false] as const;
const EMPTY: Filled = { blockSize: 0, children: [], pending: [] };

/** A box whose height comes from its aspect ratio still makes room for its content (CSS Sizing 4, 5.2). */
const growsWithContent = ({ style, natural }: Box) =>
  style.aspectRatio !== null &&
  natural === null &&
  style.blockSize === 'auto' &&
  style.minBlockSize === 'auto' &&
  !style.scrolls;

/** The block size that a box has of itself before its content is known; NaN when it has none. */
function ownBlockSize(box: Box, space: Space, inlineSize: number, frame: Sides<number>): number {
  const { style } = box;
  if (isDefinite(style.blockSize, space.block)) {
    return borderBoxSize(style, style.blockSize, space.block, blockSum(frame));
  }
  if (style.aspectRatio !== null) {
    return fromAspect(style, { inline: inlineSize }, inlineSum(frame), blockSum(frame));
  }
  return NaN;
}

/** Least and greatest border-box block size. */
function blockBounds(style: BoxStyle, basis: number, frame: number): { least: number; most: number } {
  const least = isDefinite(style.minBlockSize, basis)
    ? borderBoxSize(style, style.minBlockSize, basis, frame)
    : 0;
  const most = isDefinite(style.maxBlockSize, basis)
    ? borderBoxSize(style, style.maxBlockSize, basis, frame)
    : Infinity;
  return { least, most: Math.max(least, most) };
}

/** Inline size of a box that fills its containing block when it says nothing else. */
export function stretchInlineSize(box: Box, space: Space): number {
  return resolveInlineSize(box, space, 'stretch');
}

/** Inline size of a box that hugs its content when it says nothing else (`fit-content`). */
export function fitInlineSize(box: Box, space: Space): number {
  return resolveInlineSize(box, space, 'fit-content');
}

function resolveInlineSize(box: Box, space: Space, otherwise: 'stretch' | 'fit-content'): number {
  const { style } = box;
  const frame = frameOf(style, space.inline);
  const [inlineFrame, blockFrame] = [inlineSum(frame), blockSum(frame)];
  const available = Math.max(0, space.inline - inlineSum(resolveSides(style.margin, space.inline)));
  const block = knownBlockSize(style, space, blockFrame);
  // A height that comes of filling an area holds the width to it; one of the box's own leaves room for its content.
  const transfer = space.yields
    ? (size: number) => fromAspect(style, { block: size }, inlineFrame, blockFrame)
    : (size: number) => inlineFromAspect(box, size, inlineFrame, blockFrame);
  const transferred = style.aspectRatio === null || Number.isNaN(block) ? NaN : transfer(block);
  const say = (size: number) => clampInline(box, size, space.inline, transferred);
  if (isDefinite(style.inlineSize, space.inline)) {
    return say(borderBoxSize(style, style.inlineSize, space.inline, inlineFrame));
  }
  const keyword = typeof style.inlineSize === 'string' ? style.inlineSize : 'auto';
  if (keyword === 'stretch') return say(available);
  if (!Number.isNaN(transferred)) return say(transferred);
  const content = style.display === 'grid' ? space.blockSize - blockFrame : NaN;
  const measured = withKnownBounds(box, space.inline);
  const hug = (constraint: Constraint) => inlineFrame + contentInlineSize(measured, constraint, content);
  if (keyword === 'min-content' || keyword === 'max-content') return say(hug(keyword));
  if (isReplaced(box)) return say(hug('max-content'));
  const hold = (size: number) => say(holdTransferred(box, size, space.block, inlineFrame, blockFrame));
  if (otherwise === 'stretch' && keyword === 'auto') return hold(available);
  return hold(Math.min(hug('max-content'), Math.max(hug('min-content'), available)));
}

/** Where a box is narrower than its padding and border, its content begins at the side it reads from. */
const fromTheRight = (frame: Sides<number>, inlineSize: number): Sides<number> =>
  inlineSize < inlineSum(frame) ? [frame[0], frame[1], frame[2], inlineSize - frame[1]] : frame;

/** A grid whose least and greatest width are shares of a known one repeats its tracks in these, in px. */
function withKnownBounds(box: Box, basis: number): Box {
  const { style } = box;
  const { minInlineSize, maxInlineSize } = style;
  const isShare = typeof minInlineSize === 'object' || typeof maxInlineSize === 'object';
  if (!isShare || style.display !== 'grid' || Number.isNaN(basis)) return box;
  return {
    ...box,
    style: {
      ...style,
      minInlineSize: typeof minInlineSize === 'object' ? resolveLength(minInlineSize, basis) : minInlineSize,
      maxInlineSize: typeof maxInlineSize === 'object' ? resolveLength(maxInlineSize, basis) : maxInlineSize,
    },
  };
}

/** The border-box block size as far as it is known before the inline size; else NaN. */
function knownBlockSize(style: BoxStyle, space: Space, frame: number): number {
  const size = !Number.isNaN(space.blockSize)
    ? space.blockSize
    : isDefinite(style.blockSize, space.block)
      ? borderBoxSize(style, style.blockSize, space.block, frame)
      : NaN;
  const bounds = blockBounds(style, space.block, frame);
  return clamp(size, bounds.least, bounds.most);
}
