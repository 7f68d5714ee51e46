import { INITIAL_STYLE } from '../engine/box/style.js';
import { inlineContribution } from '../engine/box/intrinsic.js';
import { layoutBox } from '../engine/box/layoutBox.js';
import { element } from '../engine/html/node.js';
import { pageOf, readRules, type SourcePage } from '../engine/html/sourcePage.js';
import { toBoxes } from '../engine/html/toBoxes.js';
import { tileGrows } from '../look/named.js';
import { whileSame } from '../memo.js';
import { contentCss, namedRule } from './contentCss.js';
import { flows } from './compositions/index.js';
import { partKindOf } from './index.js';
import { shownParts } from '../document/card.js';
import { tileCss } from './tileRules.js';
import { tileElement } from './tileHtml.js';
import { SCREEN_BLOCK_SIZE } from '../document/screen.js';
import type { Box } from '../engine/box/box.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { TextMeasurer } from '../engine/text/types.js';
import type { PictureImage, Sources } from './part.js';

/** A tile's page, while the looks that it stands in are the same; and its box, while the measurer is. */
const pages = whileSame<Tile, SourcePage>();
const boxes = whileSame<Tile, Box>();

/** The width that is meant where type does not grow with the page, or nobody says how wide that is, px. */
const ANY_PAGE = 1280;

/**
 * A tile as boxes: the elements that the page shows, by the rules of its style sheet. The same tile in
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
  // Only what grows with the page makes another box of the same page.
  const page = pages(tile, [look, pictures, namedLooks, films, icons], () => pageAround(document, tile));
  return boxes(tile, [page, measurer, tileGrows(document, tile) ? pageInlineSize : null], () => {
    const read = boxOf(document, page, tile, measurer, pageInlineSize);
    return tile.look.writingDirection === 'vertical' && flows(tile) ? turned(read) : read;
  });
}

/** What lies behind words takes no part in layout. */
const NO_IMAGE: PictureImage = () => 'none';

const SOURCES: Sources = {
  picture: ({ id }) => ({ src: id }),
  small: ({ id }) => id,
  film: ({ id }) => id,
};

const rulesOf = whileSame<CollectionDocument['look'], ReturnType<typeof readRules>>();

/** The rules that all tiles of a collection share; read once for a look. */
const sharedRules = ({ look, namedLooks }: CollectionDocument): ReturnType<typeof readRules> =>
  rulesOf(look, [namedLooks], () =>
    readRules(`${namedRule(':root', { namedLooks })}${contentCss({ look }, { apart: true, line: true })}`),
  );

/** The page that a tile is alone in. */
function pageAround(document: CollectionDocument, tile: Tile): SourcePage {
  const around = element('div', { style: 'display: grid' }, [tileElement(document, tile, SOURCES)]);
  return pageOf([around], [...sharedRules(document), ...readRules(tileCss(document, tile, NO_IMAGE))]);
}

function boxOf(
  document: CollectionDocument,
  page: SourcePage,
  tile: Tile,
  measurer: TextMeasurer,
  pageInlineSize: number,
): Box {
  const units = {
    em: 16,
    rem: 16,
    vw: pageInlineSize / 100,
    vh: SCREEN_BLOCK_SIZE / 100,
    cqw: pageInlineSize / 100,
  };
  const media = { inlineSize: pageInlineSize, blockSize: SCREEN_BLOCK_SIZE, units };
  const { root } = toBoxes(page, {
    units,
    environment: { media, containerOf: () => null },
    measurer,
    // A picture in a row of icons has the size that the page says.
    pictureSize: (address) => (isSized(tile) ? null : (document.pictures[address] ?? null)),
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

const isSized = (tile: Tile) => shownParts(tile).some((part) => partKindOf(part).sizesPictures);

function search(box: Box, id: string): Box | null {
  if (box.id === id) return box;
  for (const child of box.children) {
    const found = search(child, id);
    if (found) return found;
  }
  return null;
}
