import { inlineContribution } from '../../engine/box/intrinsic.js';
import { layoutBox } from '../../engine/box/layoutBox.js';
import { tileGrows, typeSizeOf } from '../../look/named.js';
import { shownParts } from '../../document/card.js';
import { flows } from '../../parts/compositions/index.js';
import { partKindOf } from '../../parts/index.js';
import { tileBox } from '../../parts/tileBox.js';
import { partElements } from '../../parts/tileHtml.js';
import { linesOf } from '../../parts/shared/inCard.js';
import '../../engine/layoutTree.js';
import { whileSame } from '../../memo.js';
import type { Box } from '../../engine/box/box.js';
import type { CollectionDocument, Tile, TypeSize } from '../../document/types.js';
import type { Sources } from '../../parts/part.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What a tile needs of its place at a width of the page. */
export interface Need {
  /** The least width at which it is legible, px of its border box; 0: any. */
  readonly inlineSize: number;
  /** What says so. */
  readonly by: 'hand' | 'figure' | 'words' | 'line' | 'nothing';
}

/** How many characters a line of running text has at least, and how wide one is on the average, em. */
const LEAST_CHARACTERS = 12;
const CHARACTER = 0.5;

const NOTHING: Need = { inlineSize: 0, by: 'nothing' };

/** Whether a tile's words lie in the tile itself. */
export const hasWords = (tile: Tile) => flows(tile);

interface Known {
  readonly box: Box;
  need?: Need;
  readonly blockSizes: Map<number, BlockNeed>;
}

/** How high what is in a tile makes it at an inline size, px. */
interface BlockNeed {
  /** Its border box, by its words, or by its caption alone. */
  readonly words: number;
  /** How much higher it is with its pictures whole: those between its parts give way to its words. */
  readonly pictures: number;
}

/** What is known of a tile by the width of the page, where type grows with it. */
const pagesOf = whileSame<Tile, Map<number, Known>>();
const MOST_PAGES = 1000;

/** What is known of a tile at a width of the page; measured once, however often it is asked for. */
function knownOf(document: CollectionDocument, tile: Tile, measurer: TextMeasurer, page: number): Known {
  const { look, pictures, namedLooks, films, icons } = document;
  const of = [measurer, look, pictures, namedLooks, films, icons];
  const pages = pagesOf(tile, of, () => new Map<number, Known>());
  const key = tileGrows(document, tile) ? page : 0;
  let at = pages.get(key);
  if (!at) {
    if (pages.size > MOST_PAGES) pages.clear();
    at = { box: tileBox(document, tile, measurer, page), blockSizes: new Map<number, BlockNeed>() };
    pages.set(key, at);
  }
  return at;
}

/**
 * The least legible width of a tile: what was set by hand, else a figure in one line, the longest
 * word, and a line of twelve characters where there is running text.
 * @param page width of the page, px; type may grow with it
 * @throws whatever the measurer throws
 */
export function needOf(document: CollectionDocument, tile: Tile, measurer: TextMeasurer, page: number): Need {
  if (tile.minimumWidth !== undefined) return { inlineSize: tile.minimumWidth, by: 'hand' };
  if (!hasWords(tile) && !tile.badges) return NOTHING;
  const found = knownOf(document, tile, measurer, page);
  return (found.need ??= withBadges(
    tile,
    found.box,
    hasWords(tile) ? read(document, tile, found.box, page) : NOTHING,
  ));
}

/** How far a badge stands in from its edge, px. */
const BADGE_INSET = 10;

/** A badge does not break, so the tile is at least as wide as it. */
function withBadges(tile: Tile, box: Box, need: Need): Need {
  if (!tile.badges) return need;
  const badges = box.children.filter(({ style }) => style.position === 'absolute');
  const widest = Math.max(0, ...badges.map((badge) => inlineContribution(badge, 'max-content', NaN)));
  const inlineSize = widest + 2 * BADGE_INSET;
  return widest > 0 && inlineSize > need.inlineSize ? { inlineSize, by: 'words' } : need;
}

function read(document: CollectionDocument, tile: Tile, box: Box, page: number): Need {
  const least = inlineContribution(box, 'min-content', NaN);
  const asked = new Set(shownParts(tile).map((part) => partKindOf(part).least));
  const whole = asked.has('whole') ? wholeLine(document, tile, box, least) : 0;
  if (whole > least) return { inlineSize: whole, by: 'figure' };
  if (!asked.has('line') || tile.look.writingDirection === 'vertical')
    return { inlineSize: least, by: 'words' };
  const size = pxOf(typeSizeOf(document.namedLooks, tile.look.bodySize ?? document.look.bodySize, page));
  const padding = box.style.padding;
  const beside = Number(padding[1]) + Number(padding[3]) || 0;
  const line = Math.min(
    inlineContribution(box, 'max-content', NaN),
    LEAST_CHARACTERS * CHARACTER * size + beside,
  );
  return line > least ? { inlineSize: line, by: 'line' } : { inlineSize: least, by: 'words' };
}

/** How wide a tile is in which every part that is to stay in one line does, px of its border box. */
function wholeLine(document: CollectionDocument, tile: Tile, box: Box, least: number): number {
  if (tile.kind !== 'card') return 0;
  const flowing = box.children.filter(({ style }) => style.position !== 'absolute');
  const beside =
    least - Math.max(0, ...box.children.map((child) => inlineContribution(child, 'min-content', NaN)));
  const written = partElements(document, tile, NO_SOURCES);
  let [next, k] = [0, 0];
  const wide = linesOf(shownParts(tile)).map((line) => {
    const elements = written.slice(k, (k += line.length)).flat();
    // Parts beside each other are in one element.
    const boxes = flowing.slice(
      next,
      (next += line.length > 1 ? Math.min(1, elements.length) : elements.length),
    );
    if (line.every((part) => partKindOf(part).least !== 'whole')) return 0;
    return Math.max(0, ...boxes.map((each) => inlineContribution(each, 'max-content', NaN)));
  });
  return Math.max(...wide) + Math.max(0, beside);
}

/** How many elements a part is does not depend on where its pictures lie. */
const NO_SOURCES: Sources = { picture: () => ({ src: '' }), small: () => '', film: () => '' };

const pxOf = (size: TypeSize): number =>
  typeof size === 'number' ? size : typeof size === 'object' ? Math.min(size.from, size.to) : 16;

/** Browsers lay out in 64ths of a px. */
const STEPS = 64;
/** What is read off a line between two widths may be a step short; a word that just fits still does. */
const SHORT = 2;

/** Whether a tile has words that can be clipped: its own, or a caption over its picture. */
export const canClip = (tile: Tile) =>
  hasWords(tile) || shownParts(tile).some((part) => (partKindOf(part).over?.(part) ?? '') !== '');

/** Whether it is a picture or film between the parts of a card. */
const givesWay = ({ children }: Box) => children.some(({ natural }) => natural !== null);

const withoutPictures = (card: Box): Box => ({
  ...card,
  children: card.children.map((child) =>
    givesWay(child) ? { ...child, children: [], style: { ...child.style, blockSize: 0 } } : child,
  ),
});

/**
 * How high a tile is at an inline size by its words, or its caption alone, and how much higher with its pictures whole; px. What
 * is missing of that is cropped from its pictures, from each as large a share.
 * @throws whatever the measurer throws
 */
export function blockNeedOf(
  document: CollectionDocument,
  tile: Tile,
  measurer: TextMeasurer,
  page: number,
  inlineSize: number,
): BlockNeed {
  const { box, blockSizes } = knownOf(document, tile, measurer, page);
  const key = Math.round(inlineSize * STEPS) + SHORT;
  let size = blockSizes.get(key);
  if (size === undefined) {
    const inline = key / STEPS;
    const space = { inline, block: NaN, inlineSize: inline, blockSize: NaN };
    // The last thing in a picture's figure is its caption, which lies over it.
    const whole = hasWords(tile) ? box : box.children.at(-1);
    const high = (each: Box) => layoutBox(each, space).fragment.blockSize;
    const natural = whole ? high(whole) : 0;
    const words = box.children.some(givesWay) && whole === box ? high(withoutPictures(box)) : natural;
    size = { words, pictures: Math.max(0, natural - words) };
    blockSizes.set(key, size);
  }
  return size;
}
