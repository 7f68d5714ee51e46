import { inlineContribution } from '../engine/box/intrinsic.js';
import { layoutBox } from '../engine/box/layoutBox.js';
import { tileBox } from './tileBox.js';
import '../engine/layoutTree.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../engine/text/types.js';

/** What a tile needs by its content, px; border boxes. */
export interface TileSize {
  /** The narrowest it can be without a word sticking out. */
  readonly minInlineSize: number;
  /** As wide as it would be without breaking a line. */
  readonly maxInlineSize: number;
  /** How high its content makes it at a width. */
  readonly blockSizeAt: (inlineSize: number) => number;
}

/**
 * Measures a tile by its content: the tile is written as the page shows it, and laid out by the same
 * rules. Words are measured once; a height at another width is arithmetic.
 *
 * @throws whatever the measurer throws
 */
export function tileSize(document: CollectionDocument, tile: Tile, measurer: TextMeasurer): TileSize {
  const box = tileBox(document, tile, measurer);
  const space = { inline: NaN, block: NaN, inlineSize: NaN, blockSize: NaN };
  return {
    minInlineSize: inlineContribution(box, 'min-content', NaN),
    maxInlineSize: inlineContribution(box, 'max-content', NaN),
    blockSizeAt: (inlineSize) =>
      layoutBox(box, { ...space, inline: inlineSize, inlineSize }).fragment.blockSize,
  };
}
