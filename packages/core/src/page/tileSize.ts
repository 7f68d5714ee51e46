import { inlineContribution } from '../box/intrinsic.js';
import { layoutBox } from '../box/layoutBox.js';
import { readPage } from '../html/readPage.js';
import { toBoxes } from '../html/toBoxes.js';
import { contentCss, tileCss } from './contentCss.js';
import { tileHtml } from './tileHtml.js';
import '../engine.js';
import type { Box } from '../box/box.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../text/types.js';

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

function tileBox(document: CollectionDocument, tile: Tile, measurer: TextMeasurer): Box {
  const html = tileHtml(document, tile, (picture) => ({ src: picture.id }));
  const page = readPage(
    `<!doctype html><style>${contentCss(document)}${tileCss(tile)}</style><div style="display: grid">${html}</div>`,
  );
  const width = { inlineSize: 1280, blockSize: 800, units: { em: 16, rem: 16, vw: 12.8, vh: 8, cqw: 12.8 } };
  const { root } = toBoxes(page, {
    units: width.units,
    environment: { media: width, containerOf: () => null },
    measurer,
    pictureSize: (address) => document.pictures[address] ?? null,
  });
  const found = search(root, tile.id);
  if (!found) throw new Error(`The tile ${tile.id} wrote a page without itself.`);
  return found;
}

function search(box: Box, id: string): Box | null {
  if (box.id === id) return box;
  for (const child of box.children) {
    const found = search(child, id);
    if (found) return found;
  }
  return null;
}
