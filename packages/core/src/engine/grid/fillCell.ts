import { itemBlockSize, itemInlineSize, itemOffset, alignOf, justifyOf } from './gridItem.js';
import { rowSubgridWidth } from './asking.js';
import { clampInline } from '../box/intrinsic.js';
import { blockSum, inlineSum, resolveSides } from '../box/sizes.js';
import type { Box, Space } from '../box/box.js';
import type { Area } from '../box/displays.js';
import type { LaidOut } from '../box/displays.js';
import type { BoxStyle } from '../box/style.js';

/** Lays an item out in its area of the grid and puts it in its place (CSS Grid 2, sections 6.2 and 11). */
export function fillCell(
  box: Box,
  area: Area,
  container: BoxStyle,
  layoutBox: (box: Box, space: Space) => LaidOut,
): LaidOut {
  const { style } = box;
  const justify = justifyOf(style, container);
  const align = alignOf(style, container);
  const space: Space = { inline: area.inlineSize, block: area.blockSize, inlineSize: NaN, blockSize: NaN };
  const fillsInline =
    style.margin[1] !== 'auto' &&
    style.margin[3] !== 'auto' &&
    style.inlineSize === 'auto' &&
    (justify.at === 'normal' || justify.at === 'stretch');
  // A subgrid fills the tracks that it takes over, whatever its own sizes and alignment say.
  const blockSize = box.inherited?.row
    ? Math.max(0, area.blockSize - blockSum(resolveSides(style.margin, area.inlineSize)))
    : itemBlockSize(box, space, align, fillsInline);
  const hugs = !fillsInline && typeof style.inlineSize === 'string';
  let inlineSize: number;
  if (box.inherited?.column) {
    inlineSize = Math.max(0, area.inlineSize - inlineSum(resolveSides(style.margin, area.inlineSize)));
  } else {
    const yields = !Number.isNaN(blockSize) && align.at !== 'stretch';
    inlineSize = itemInlineSize(box, { ...space, blockSize, yields }, justify);
    if (box.inherited?.row && hugs)
      inlineSize = clampInline(box, rowSubgridWidth(box, inlineSize), area.inlineSize);
  }
  // A stretch that was not asked for gives way to the height that the aspect ratio makes of the width.
  const keeps = Boolean(box.inherited?.row) || style.aspectRatio === null || align.at === 'stretch';
  const laid = layoutBox(box, { ...space, inlineSize, blockSize: keeps ? blockSize : NaN });
  const { fragment } = laid;
  const margin = resolveSides(style.margin, area.inlineSize);
  const side = (k: 0 | 1 | 2 | 3) => (style.margin[k] === 'auto' ? 'auto' : margin[k]);
  const rtl = container.direction === 'rtl';
  const offset = rtl
    ? itemOffset(area.inlineSize, fragment.inlineSize, side(1), side(3), justify)
    : itemOffset(area.inlineSize, fragment.inlineSize, side(3), side(1), justify);
  fragment.x = area.x + (rtl ? area.inlineSize - offset - fragment.inlineSize : offset);
  fragment.y = area.y + itemOffset(area.blockSize, fragment.blockSize, side(0), side(2), align);
  return laid;
}
