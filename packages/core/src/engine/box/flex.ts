import { autoMarginShare, alignOffset } from './flexAlign.js';
import { movePending, offsetRelative } from './block.js';
import { clampBlock, clampInline, contentInlineSize, inlineContribution } from './intrinsic.js';
import { fitInlineSize, layoutBox, stretchInlineSize } from './layoutBox.js';
import { type LaidOut } from './displays.js';
import {
  blockSum,
  borderBoxSize,
  clamp,
  frameOf,
  inlineSum,
  isDefinite,
  isReplaced,
  resolveSides,
} from './sizes.js';
import { gapOf } from '../css/gap.js';
import { shareOut, type FlexItem } from './shareOut.js';
import type { Box, Fragment, Space, Inside } from './box.js';
import type { Constraint, Display, Filled, Pending } from './displays.js';
import type { Aligned, SelfAlignment, Sides } from './style.js';

/** Flexible boxes in one direction, in one line or wrapped (Flexbox 1, section 9), without reversal. */
export const flex: Display = {
  inlineSize: (box, constraint) => {
    const { style } = box;
    const flow = inFlow(box);
    const widest = (each: Constraint) =>
      Math.max(0, ...flow.map((child) => inlineContribution(child, each, NaN)));
    if (style.flexDirection === 'column') return widest(constraint);
    // In lines of their own, items are no wider than their content, whatever their basis.
    const wrapped = style.flexWrap ? widest('min-content') : 0;
    if (style.flexWrap && constraint === 'min-content') return wrapped;
    const gaps = gapOf(style.columnGap, NaN) * Math.max(0, flow.length - 1);
    return Math.max(
      wrapped,
      flow.reduce((sum, child) => sum + flexContribution(child, constraint), gaps),
    );
  },
  fill: (box, inside) => (box.style.flexDirection === 'row' ? fillRow(box, inside) : fillColumn(box, inside)),
};

const inFlow = ({ children }: Box) =>
  children.filter(({ style }) => style.position !== 'absolute').sort((a, b) => a.style.order - b.style.order);

/** What an item asks for: no less than its basis unless it shrinks, no more unless it grows (section 9.9.2). */
function flexContribution(box: Box, constraint: Constraint): number {
  const { style } = box;
  const size = inlineContribution(box, constraint, NaN);
  const basis = style.flexBasis === 'auto' ? style.inlineSize : style.flexBasis;
  if (!isDefinite(basis, NaN)) return size;
  const margin = inlineSum(resolveSides(style.margin, NaN));
  const base = borderBoxSize(style, basis, NaN, inlineSum(frameOf(style, NaN))) + margin;
  const least = style.flexShrink === 0 ? base : 0;
  const most = style.flexGrow === 0 ? base : Infinity;
  return clampInline(box, Math.max(least, Math.min(size, most)) - margin, NaN) + margin;
}

const NORMAL: Aligned<'normal'> = { at: 'normal', safe: false };
const crossOf = (item: Box, box: Box): Aligned<SelfAlignment> =>
  item.style.alignSelf ?? (box.style.alignItems.at === 'normal' ? NORMAL : box.style.alignItems);
const stretches = ({ at }: Aligned<SelfAlignment>) => at === 'normal' || at === 'stretch';

function fillRow(box: Box, inside: Inside): Filled {
  const { style } = box;
  const { frame } = inside;
  const gap = gapOf(style.columnGap, inside.inlineSize);
  const space: Space = {
    inline: inside.inlineSize,
    block: inside.blockSize,
    inlineSize: NaN,
    blockSize: NaN,
  };
  const items = inFlow(box).map((item) => rowItem(item, space));
  const lines = style.flexWrap ? wrap(items, inside.inlineSize, gap) : [items];
  const rowGap = gapOf(style.rowGap, inside.blockSize);
  const laid: { readonly done: LaidOut; readonly item: FlexItem; readonly margin: Sides<number> }[][] = [];
  const heights = lines.map((line) => {
    shareOut(line, inside.inlineSize - gap * Math.max(0, line.length - 1));
    const done = line.map((item) => ({
      item,
      margin: resolveSides(item.box.style.margin, inside.inlineSize),
      done: layoutBox(item.box, { ...space, inlineSize: item.size }),
    }));
    laid.push(done);
    return Math.max(
      0,
      ...done.map(({ done: { fragment }, margin }) => fragment.blockSize + blockSum(margin)),
    );
  });
  if (!style.flexWrap && !Number.isNaN(inside.blockSize)) heights[0] = inside.blockSize;
  else if (!style.flexWrap) heights[0] = clamp(heights[0] ?? 0, inside.minBlockSize, inside.maxBlockSize);
  const content = heights.reduce((sum, height) => sum + height, rowGap * Math.max(0, heights.length - 1));
  const blockSize = Number.isNaN(inside.blockSize)
    ? clamp(content, inside.minBlockSize, inside.maxBlockSize)
    : inside.blockSize;
  const stretchesLines = style.alignContent.at === 'normal' || style.alignContent.at === 'stretch';
  const acrossLines = alignOffset(blockSize - content, heights.length, style.alignContent);
  if (stretchesLines && blockSize > content) {
    heights.forEach((height, l) => (heights[l] = height + (blockSize - content) / heights.length));
  }
  const children: Fragment[] = [];
  const pending: Pending[] = [];
  let y = frame[0] + acrossLines.offset;
  laid.forEach((line, l) => {
    const height = heights[l] as number;
    const used = line.reduce(
      (sum, { item, margin }) => sum + item.size + inlineSum(margin),
      gap * Math.max(0, line.length - 1),
    );
    const free = inside.inlineSize - used;
    const auto = autoMarginShare(
      line.map(({ item }) => item.box),
      free,
      'inline',
    );
    const { offset, between } = alignOffset(
      auto.count > 0 ? Math.min(0, free) : free,
      line.length,
      style.justifyContent,
    );
    let x = offset;
    for (const { item, margin, done } of line) {
      const own = item.box.style;
      const cross = crossOf(item.box, box);
      const fills =
        stretches(cross) &&
        own.blockSize === 'auto' &&
        own.margin[0] !== 'auto' &&
        own.margin[2] !== 'auto' &&
        !isReplaced(item.box);
      const final = fills
        ? layoutBox(item.box, {
            ...space,
            inlineSize: item.size,
            blockSize: clampBlock(item.box, height - blockSum(margin), space.block, space.inline),
          })
        : done;
      const { fragment } = final;
      const before = margin[3] + (own.margin[3] === 'auto' ? auto.share : 0);
      const at = x + before;
      fragment.x = frame[3] + (style.direction === 'rtl' ? inside.inlineSize - at - item.size : at);
      fragment.y =
        y +
        margin[0] +
        crossOffset(height - fragment.blockSize - blockSum(margin), own.margin[0], own.margin[2], cross);
      offsetRelative(fragment, inside.inlineSize, inside.blockSize);
      children.push(fragment);
      pending.push(...movePending(final.pending, fragment));
      x = at + item.size + margin[1] + (own.margin[1] === 'auto' ? auto.share : 0) + gap + between;
    }
    y += height + rowGap + acrossLines.between;
  });
  return { blockSize, children, pending: [...pending, ...absolutes(box, inside, blockSize)] };
}

function rowItem(box: Box, space: Space): FlexItem {
  const { style } = box;
  const frame = inlineSum(frameOf(style, space.inline));
  const basis = style.flexBasis === 'auto' ? style.inlineSize : style.flexBasis;
  const hug = () => frame + contentInlineSize(box, 'max-content');
  const base = isDefinite(basis, space.inline)
    ? borderBoxSize(style, basis, space.inline, frame)
    : basis === 'min-content'
      ? frame + contentInlineSize(box, 'min-content')
      : style.aspectRatio !== null && isDefinite(style.blockSize, space.block)
        ? fitInlineSize(box, space)
        : hug();
  const most = isDefinite(style.maxInlineSize, space.inline)
    ? borderBoxSize(style, style.maxInlineSize, space.inline, frame)
    : Infinity;
  const content = () => {
    const least = frame + contentInlineSize(box, 'min-content');
    const specified = isDefinite(style.inlineSize, space.inline)
      ? borderBoxSize(style, style.inlineSize, space.inline, frame)
      : Infinity;
    return Math.min(least, specified, most);
  };
  const least = isDefinite(style.minInlineSize, space.inline)
    ? borderBoxSize(style, style.minInlineSize, space.inline, frame)
    : style.scrolls
      ? frame
      : content();
  return {
    box,
    base,
    least: Math.max(frame, least),
    most: Math.max(least, most),
    outer: inlineSum(resolveSides(style.margin, space.inline)),
    frame,
    size: base,
  };
}

function wrap(items: readonly FlexItem[], inlineSize: number, gap: number): FlexItem[][] {
  const lines: FlexItem[][] = [];
  let used = 0;
  for (const item of items) {
    const outer = clamp(item.base, item.least, item.most) + item.outer;
    const line = lines.at(-1);
    if (line && used + gap + outer <= inlineSize + 1 / 64) {
      line.push(item);
      used += gap + outer;
    } else {
      lines.push([item]);
      used = outer;
    }
  }
  return lines;
}

function fillColumn(box: Box, inside: Inside): Filled {
  const { style } = box;
  const { frame } = inside;
  const gap = gapOf(style.rowGap, inside.blockSize);
  const space: Space = {
    inline: inside.inlineSize,
    block: inside.blockSize,
    inlineSize: NaN,
    blockSize: NaN,
  };
  const flow = inFlow(box);
  const widths = flow.map((item) => {
    const { margin } = item.style;
    const fills = stretches(crossOf(item, box)) && margin[1] !== 'auto' && margin[3] !== 'auto';
    return fills ? stretchInlineSize(item, space) : fitInlineSize(item, space);
  });
  const items = flow.map((item, k) => columnItem(item, widths[k] as number, space));
  const gaps = gap * Math.max(0, items.length - 1);
  const wanted = items.reduce(
    (sum, item) => sum + clamp(item.base, item.least, item.most) + item.outer,
    gaps,
  );
  const blockSize = Number.isNaN(inside.blockSize)
    ? clamp(wanted, inside.minBlockSize, inside.maxBlockSize)
    : inside.blockSize;
  shareOut(items, blockSize - gaps);
  const used = items.reduce((sum, item) => sum + item.size + item.outer, gaps);
  const auto = autoMarginShare(flow, blockSize - used, 'block');
  const { offset, between } = alignOffset(
    auto.count > 0 ? Math.min(0, blockSize - used) : blockSize - used,
    items.length,
    style.justifyContent,
  );
  const children: Fragment[] = [];
  const pending: Pending[] = [];
  let y = offset;
  items.forEach((item, k) => {
    const own = item.box.style;
    const margin = resolveSides(own.margin, inside.inlineSize);
    const final = layoutBox(item.box, { ...space, inlineSize: widths[k] as number, blockSize: item.size });
    const { fragment } = final;
    const free = inside.inlineSize - fragment.inlineSize - inlineSum(margin);
    const rtl = style.direction === 'rtl';
    const [before, after] = rtl
      ? ([own.margin[1], own.margin[3]] as const)
      : ([own.margin[3], own.margin[1]] as const);
    const shift = crossOffset(free, before, after, crossOf(item.box, box));
    fragment.x =
      frame[3] + (rtl ? inside.inlineSize - margin[1] - shift - fragment.inlineSize : margin[3] + shift);
    y += margin[0] + (own.margin[0] === 'auto' ? auto.share : 0);
    fragment.y = frame[0] + y;
    y += item.size + margin[2] + (own.margin[2] === 'auto' ? auto.share : 0) + gap + between;
    offsetRelative(fragment, inside.inlineSize, inside.blockSize);
    children.push(fragment);
    pending.push(...movePending(final.pending, fragment));
  });
  return { blockSize, children, pending: [...pending, ...absolutes(box, inside, blockSize)] };
}

function columnItem(box: Box, inlineSize: number, space: Space): FlexItem {
  const { style } = box;
  const frame = blockSum(frameOf(style, space.inline));
  const natural = layoutBox(box, { ...space, inlineSize }).fragment.blockSize;
  const content = isDefinite(style.blockSize, space.block)
    ? Math.min(
        natural,
        layoutBox(
          { ...box, style: { ...style, blockSize: 'auto', aspectRatio: null } },
          { ...space, inlineSize },
        ).fragment.blockSize,
      )
    : natural;
  const basis = style.flexBasis === 'auto' ? style.blockSize : style.flexBasis;
  const base = isDefinite(basis, space.block) ? borderBoxSize(style, basis, space.block, frame) : natural;
  const most = isDefinite(style.maxBlockSize, space.block)
    ? borderBoxSize(style, style.maxBlockSize, space.block, frame)
    : Infinity;
  const least = isDefinite(style.minBlockSize, space.block)
    ? borderBoxSize(style, style.minBlockSize, space.block, frame)
    : style.scrolls
      ? frame
      : Math.min(content, most);
  return {
    box,
    base,
    least: Math.max(frame, least),
    most: Math.max(least, most),
    outer: blockSum(resolveSides(style.margin, space.inline)),
    frame,
    size: base,
  };
}

function crossOffset(
  free: number,
  before: unknown,
  after: unknown,
  { at, safe }: Aligned<SelfAlignment>,
): number {
  if (before === 'auto') return after === 'auto' ? Math.max(0, free) / 2 : Math.max(0, free);
  if (after === 'auto' || (safe && free < 0)) return 0;
  return at === 'end' ? free : at === 'center' ? free / 2 : 0;
}

function absolutes(box: Box, { frame, inlineSize }: Inside, blockSize: number): Pending[] {
  return box.children
    .filter(({ style }) => style.position === 'absolute')
    .map((child) => ({
      box: child,
      at: { x: frame[3], y: frame[0], inlineSize, blockSize },
      justify: NORMAL,
      align: crossOf(child, box),
      rtl: box.style.direction === 'rtl',
    }));
}
