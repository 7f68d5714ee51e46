import {
  blockSum,
  borderBoxSize,
  frameOf,
  fromAspect,
  inlineSum,
  isDefinite,
  isReplaced,
  resolveSides,
} from './sizes.js';
import { hasPercent } from '../css/length.js';
import { displays, type Constraint } from './displays.js';
import type { Box } from './box.js';
import type { Size } from './style.js';

const cache = new WeakMap<Box, Partial<Record<Constraint, number>>>();

/**
 * Inline size of the content box by its content alone (CSS Sizing 3, section 5); its own size is ignored.
 * @param blockSize content height that the boxes around give it, px, if that is known and matters; else NaN
 */
export function contentInlineSize(box: Box, constraint: Constraint, blockSize = NaN): number {
  if (!Number.isNaN(blockSize)) return measure(box, constraint, blockSize);
  let known = cache.get(box);
  if (!known) cache.set(box, (known = {}));
  return (known[constraint] ??= measure(box, constraint, NaN));
}

function measure(box: Box, constraint: Constraint, blockSize: number): number {
  const { style, text, natural } = box;
  if (natural) return natural.inlineSize;
  if (style.containsInlineSize || style.display === 'none') return 0;
  if (text) return constraint === 'min-content' ? text.minContent : text.maxContent;
  return displays[style.display].inlineSize(box, constraint, blockSize);
}

/**
 * Outer inline size that a box contributes to the box around, its own size, minimum and maximum
 * included (CSS Sizing 3, section 5.2).
 * @param basis what percentages refer to; NaN while that itself is being measured
 */
export function inlineContribution(box: Box, constraint: Constraint, basis: number): number {
  const margin = inlineSum(resolveSides(box.style.margin, basis));
  return Math.max(0, borderBoxContribution(box, constraint, basis) + margin);
}

/** The same without margins. */
export function borderBoxContribution(box: Box, constraint: Constraint, basis: number): number {
  const { style } = box;
  const frame = frameOf(style, basis);
  const inlineFrame = inlineSum(frame);
  let size: number;
  if (isDefinite(style.inlineSize, basis)) size = borderBoxSize(style, style.inlineSize, basis, inlineFrame);
  else if (style.aspectRatio !== null && isDefinite(style.blockSize, NaN)) {
    const block = borderBoxSize(style, style.blockSize, NaN, blockSum(frame));
    size = inlineFromAspect(box, clampBlock(box, block), inlineFrame, blockSum(frame));
  } else if (isReplaced(box) && constraint === 'min-content' && isCyclic(style.inlineSize, basis)) {
    size = inlineFrame;
  } else {
    const kept =
      style.inlineSize === 'min-content' || style.inlineSize === 'max-content'
        ? style.inlineSize
        : constraint;
    size = Math.max(
      leastTransferred(box, NaN, inlineFrame, blockSum(frame)),
      inlineFrame + contentInlineSize(box, kept),
    );
  }
  if (isReplaced(box) && constraint === 'min-content' && isCyclic(style.maxInlineSize, basis))
    size = inlineFrame;
  return clampInline(box, size, basis);
}

const isCyclic = (size: Size | 'none', basis: number) =>
  typeof size === 'object' && Number.isNaN(basis) && hasPercent(size);

/**
 * Held between the box's own minimum and maximum; a border-box size.
 * @param transferred the width that its aspect ratio makes of its height, which then is its content's; else NaN
 */
export function clampInline(box: Box, size: number, basis: number, transferred = NaN): number {
  const { style } = box;
  const frame = inlineSum(frameOf(style, basis));
  const resolve = (bound: Size | 'none', otherwise: number): number => {
    if (bound === 'min-content' || bound === 'max-content') {
      return Number.isNaN(transferred) ? frame + contentInlineSize(box, bound) : transferred;
    }
    return isDefinite(bound, basis) ? borderBoxSize(style, bound, basis, frame) : otherwise;
  };
  const most = resolve(style.maxInlineSize, Infinity);
  return Math.max(frame, resolve(style.minInlineSize, 0), Math.min(size, most));
}

/** Held between the minimum and maximum block size, where these are lengths without percentages. */
export function clampBlock({ style }: Box, size: number, basis = NaN, inlineBasis = NaN): number {
  const frame = blockSum(frameOf(style, inlineBasis));
  const most = isDefinite(style.maxBlockSize, basis)
    ? borderBoxSize(style, style.maxBlockSize, basis, frame)
    : Infinity;
  const least = isDefinite(style.minBlockSize, basis)
    ? borderBoxSize(style, style.minBlockSize, basis, frame)
    : 0;
  return Math.max(frame, least, Math.min(size, most));
}

/**
 * The inline size that an aspect ratio makes of a block size, border boxes. It still makes room for
 * its content unless the box scrolls (CSS Sizing 4, section 5.2).
 */
export function inlineFromAspect(box: Box, block: number, inlineFrame: number, blockFrame: number): number {
  const { style } = box;
  const size = fromAspect(style, { block }, inlineFrame, blockFrame);
  if (style.minInlineSize !== 'auto' || style.scrolls || isReplaced(box)) return size;
  const content = inlineFrame + contentInlineSize(box, 'min-content');
  return Math.max(
    size,
    isDefinite(style.maxInlineSize, NaN)
      ? Math.min(content, borderBoxSize(style, style.maxInlineSize, NaN, inlineFrame))
      : content,
  );
}

/**
 * A minimum or maximum height holds the width as well, through the aspect ratio (CSS Sizing 4,
 * section 5.2.1); border boxes.
 */
export function holdTransferred(
  box: Box,
  size: number,
  blockBasis: number,
  inlineFrame: number,
  blockFrame: number,
): number {
  const { style } = box;
  if (style.aspectRatio === null) return size;
  const most = isDefinite(style.maxBlockSize, blockBasis)
    ? fromAspect(
        style,
        { block: borderBoxSize(style, style.maxBlockSize, blockBasis, blockFrame) },
        inlineFrame,
        blockFrame,
      )
    : Infinity;
  return Math.max(leastTransferred(box, blockBasis, inlineFrame, blockFrame), Math.min(size, most));
}

/** The width that the least height makes by the aspect ratio; not even an empty box is lower than its frame. */
function leastTransferred(
  { style }: Box,
  blockBasis: number,
  inlineFrame: number,
  blockFrame: number,
): number {
  if (style.aspectRatio === null) return 0;
  const least = isDefinite(style.minBlockSize, blockBasis)
    ? borderBoxSize(style, style.minBlockSize, blockBasis, blockFrame)
    : 0;
  return fromAspect(style, { block: Math.max(least, blockFrame) }, inlineFrame, blockFrame);
}
