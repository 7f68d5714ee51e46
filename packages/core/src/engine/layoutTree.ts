import { block } from './box/block.js';
import { custom } from './box/custom.js';
import { displays, type Display, type DisplayName } from './box/displays.js';
import { flex } from './box/flex.js';
import { layoutBox } from './box/layoutBox.js';
import { INITIAL_STYLE, type BoxStyle } from './box/style.js';
import { grid } from './grid/layoutGrid.js';
import { lanes } from './lanes/layoutLanes.js';
import type { Box, Fragment } from './box/box.js';

const all: Readonly<Record<DisplayName, Display>> = { block, grid, flex, lanes, custom };
Object.assign(displays, all);

const WINDOW_STYLE: BoxStyle = { ...INITIAL_STYLE, position: 'relative' };

/**
 * Lays a tree of boxes out at a width, as a page shows it.
 * @param width px of the page's content
 * @param height px that percentages of the outermost box's height refer to; NaN when it has none
 * @throws RangeError when the width is not a number of px, or a grid would be too large to hold
 */
export function layoutTree(box: Box, width: number, height = NaN): Fragment {
  if (!Number.isFinite(width) || width < 0) {
    throw new RangeError(`A width is a number of px, 0 or more; this is ${String(width)}.`);
  }
  const page: Box = {
    id: null,
    isGridRoot: false,
    style: WINDOW_STYLE,
    children: [box],
    text: null,
    natural: null,
  };
  // Absolutely placed boxes that nothing else holds are held by the window.
  const blockSize = Number.isNaN(height) ? NaN : height;
  return layoutBox(page, { inline: width, block: height, inlineSize: width, blockSize }).fragment;
}
