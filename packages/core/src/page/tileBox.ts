import { INITIAL_STYLE } from '../box/style.js';
import { inlineContribution } from '../box/intrinsic.js';
import { layoutBox } from '../box/layoutBox.js';
import { readPage } from '../html/readPage.js';
import { toBoxes } from '../html/toBoxes.js';
import { contentCss, namedRule } from './contentCss.js';
import { tileCss, type PictureImage } from './tileRules.js';
import { tileHtml, type Sources } from './tileHtml.js';
import type { Box } from '../box/box.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../text/types.js';

interface Known {
  readonly look: CollectionDocument['look'];
  readonly pictures: CollectionDocument['pictures'];
  readonly namedLooks: CollectionDocument['namedLooks'];
  readonly films: CollectionDocument['films'];
  readonly icons: CollectionDocument['icons'];
  readonly measurer: TextMeasurer;
  /** 0 where the tile is the same at every width of the page. */
  readonly pageInlineSize: number;
  readonly box: Box;
}

const known = new WeakMap<Tile, Known>();

/** The width that is meant where type does not grow with the page, or nobody says how wide that is, px. */
const ANY_PAGE = 1280;

/**
 * A tile as boxes: written as the page shows it, and read back by the same rules. The same tile in
 * the same look gives the same box, so its words are measured once.
 * @param pageInlineSize px; type sizes may grow with it
 * @throws whatever the measurer throws
 */
export function tileBox(
  document: CollectionDocument,
  tile: Tile,
  measurer: TextMeasurer,
  pageInlineSize: number = ANY_PAGE,
): Box {
  const { look, pictures, namedLooks, films, icons } = document;
  const before = known.get(tile);
  if (
    before?.look === look &&
    before.pictures === pictures &&
    before.namedLooks === namedLooks &&
    before.films === films &&
    before.icons === icons &&
    before.measurer === measurer &&
    (before.pageInlineSize === 0 || before.pageInlineSize === pageInlineSize)
  )
    return before.box;
  const css = `${namedRule(':root', document)}${contentCss(document)}${tileCss(document, tile, NO_IMAGE)}`;
  const read = readTile(document, css, tile, measurer, pageInlineSize);
  const box = tile.look.textDirection === 'block' && hasFlow(tile) ? turned(read) : read;
  known.set(tile, {
    look,
    pictures,
    namedLooks,
    films,
    icons,
    measurer,
    box,
    pageInlineSize: css.includes('cqi') ? pageInlineSize : 0,
  });
  return box;
}

/** What lies behind words takes no part in layout. */
const NO_IMAGE: PictureImage = () => 'none';

const SOURCES: Sources = {
  picture: ({ id }) => ({ src: id }),
  small: ({ id }) => id,
  film: ({ id }) => id,
};

const hasFlow = ({ kind }: Tile) => kind !== 'picture' && kind !== 'film' && kind !== 'group';

function readTile(
  document: CollectionDocument,
  css: string,
  tile: Tile,
  measurer: TextMeasurer,
  pageInlineSize: number,
): Box {
  const html = tileHtml(document, tile, SOURCES);
  const page = readPage(`<!doctype html><style>${css}</style><div style="display: grid">${html}</div>`);
  const units = { em: 16, rem: 16, vw: pageInlineSize / 100, vh: 8, cqw: pageInlineSize / 100 };
  const media = { inlineSize: pageInlineSize, blockSize: 800, units };
  const { root } = toBoxes(page, {
    units,
    environment: { media, containerOf: () => null },
    measurer,
    // A mark's picture has the size that the page says.
    pictureSize: (address) => (tile.kind === 'marks' ? null : (document.pictures[address] ?? null)),
  });
  const found = search(root, tile.id);
  if (!found) throw new Error(`The tile ${tile.id} wrote a page without itself.`);
  return found;
}

/**
 * Contents that run down the block axis: as wide as their lines are high, and as high as they are long
 * without a break (CSS Writing Modes 4, section 7.3, where nothing says how high they may be).
 */
function turned(box: Box): Box {
  const bare: Box = {
    ...box,
    style: {
      ...box.style,
      padding: [0, 0, 0, 0],
      border: [0, 0, 0, 0],
      inlineSize: 'auto',
      blockSize: 'auto',
    },
  };
  const length = inlineContribution(bare, 'max-content', NaN);
  const space = { inline: length, block: NaN, inlineSize: length, blockSize: NaN };
  const thickness = layoutBox(bare, space).fragment.blockSize;
  const { padding, border, boxSizing, position } = box.style;
  return {
    ...box,
    children: [],
    style: { ...INITIAL_STYLE, padding, border, boxSizing, position, minInlineSize: 0, minBlockSize: 0 },
    text: { minContent: thickness, maxContent: thickness, blockSizeAt: () => length },
  };
}

function search(box: Box, id: string): Box | null {
  if (box.id === id) return box;
  for (const child of box.children) {
    const found = search(child, id);
    if (found) return found;
  }
  return null;
}
