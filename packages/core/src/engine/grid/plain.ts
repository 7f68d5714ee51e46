import type { Box } from '../box/box.js';
import type { BoxStyle } from '../box/style.js';

/** A box that only fills its cell: most tiles of a collection, so the way for them is short. */
export function isPlain({ children, text, natural, style }: Box, container: BoxStyle): boolean {
  return (
    children.length === 0 &&
    text === null &&
    natural === null &&
    style.inlineSize === 'auto' &&
    style.blockSize === 'auto' &&
    style.minInlineSize === 'auto' &&
    style.minBlockSize === 'auto' &&
    style.maxInlineSize === 'none' &&
    style.maxBlockSize === 'none' &&
    style.aspectRatio === null &&
    isZero(style.margin) &&
    isZero(style.padding) &&
    isZero(style.border) &&
    style.position === 'static' &&
    style.display !== 'grid' &&
    style.justifySelf === null &&
    style.alignSelf === null &&
    fills(container.justifyItems.at) &&
    fills(container.alignItems.at)
  );
}

const isZero = (sides: BoxStyle['margin'] | BoxStyle['border']) =>
  sides[0] === 0 && sides[1] === 0 && sides[2] === 0 && sides[3] === 0;
const fills = (at: string) => at === 'normal' || at === 'stretch';
