import { readPage } from '../html/readPage.js';
import { toBoxes } from '../html/toBoxes.js';
import { contentCss, tileCss } from './contentCss.js';
import { tileHtml } from './tileHtml.js';
import type { Box } from '../box/box.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../text/types.js';

interface Known extends Pick<CollectionDocument, 'look' | 'pictures'> {
  readonly measurer: TextMeasurer;
  readonly box: Box;
}

const known = new WeakMap<Tile, Known>();

/**
 * A tile as boxes: written as the page shows it, and read back by the same rules. The same tile in
 * the same look gives the same box, so its words are measured once.
 * @throws whatever the measurer throws
 */
export function tileBox(document: CollectionDocument, tile: Tile, measurer: TextMeasurer): Box {
  const { look, pictures } = document;
  const before = known.get(tile);
  if (before?.look === look && before.pictures === pictures && before.measurer === measurer)
    return before.box;
  const box = readTile(document, tile, measurer);
  known.set(tile, { look, pictures, measurer, box });
  return box;
}

function readTile(document: CollectionDocument, tile: Tile, measurer: TextMeasurer): Box {
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
