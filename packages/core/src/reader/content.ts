import { isTag, isText, type ChildNode, type Element } from 'domhandler';
import { newCard } from '../parts/newTile.js';
import { isAddress, readAddress } from '../engine/css/address.js';
import { LIMITS } from '../document/limits.js';
import type { Tile, TileId } from '../document/types.js';

/** The words in an element as they are read, white space collapsed. */
export function wordsOf(node: ChildNode | Element): string {
  const read = (each: ChildNode): string =>
    isText(each)
      ? each.data
      : isTag(each)
        ? each.name === 'br'
          ? ' '
          : each.children.map(read).join('')
        : '';
  return read(node).replace(/\s+/g, ' ').trim().slice(0, LIMITS.words);
}

function find(element: Element, names: readonly string[]): Element | null {
  for (const child of element.children) {
    if (!isTag(child)) continue;
    if (names.includes(child.name)) return child;
    const inner = find(child, names);
    if (inner) return inner;
  }
  return null;
}

const HEADINGS = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'];
const FIGURE = /^[\d\s.,:+−–-]*\d[\d\s.,:+−–-]*\s?[%°€$£]?$/;

/**
 * An element's content as a tile: a picture, a quote, an action, a big figure with its label, or text.
 * @param say says what of it could not be taken over
 */
export function toTile(element: Element, id: TileId, say: (message: string) => void): Tile {
  const own = (names: readonly string[]) => (names.includes(element.name) ? element : find(element, names));
  const heading = own(HEADINGS);
  const picture = own(['img', 'picture', 'video', 'svg', 'canvas']);
  const quote = own(['blockquote', 'q']);
  const words = wordsOf(element);

  if (picture && !heading && !quote) {
    say(
      `The ${picture.name === 'video' ? 'film' : 'picture'} “${picture.attribs.src ?? picture.name}” is not in the page; choose it for its tile.`,
    );
    const caption = wordsOf(find(element, ['figcaption']) ?? element);
    const tile = newCard('picture', id, { picture: { caption } });
    const name = (picture.attribs.alt ?? '').trim().slice(0, LIMITS.name);
    return name === '' ? tile : { ...tile, name };
  }
  if (picture) say('A picture beside words is left out: a tile here holds one or the other.');
  return contentTile(element, { id, words, heading, quote, say });
}

/** An address that a page should have, or `#`. */
function safe(asked: string, say: (message: string) => void): string {
  if (isAddress(asked)) return asked;
  const address = readAddress(asked);
  if (address !== null && isAddress(address)) return address;
  say(`A link to “${asked.slice(0, 60)}” is left out: say in its tile where it leads.`);
  return '#';
}

interface Content {
  readonly id: TileId;
  readonly words: string;
  readonly heading: Element | null;
  readonly quote: Element | null;
  readonly say: (message: string) => void;
}

/** A card of an element's words. */
function contentTile(element: Element, { id, words, heading, quote, say }: Content): Tile {
  if (quote) {
    const source = find(element, ['cite', 'figcaption', 'footer']);
    const from = source ? wordsOf(source) : '';
    const said = wordsOf(quote);
    const bare = from === '' ? said : said.replace(from, '').trim();
    return newCard('quote', id, { quote: { words: bare }, source: { words: from } });
  }
  const link = element.name === 'a' || element.name === 'button' ? element : find(element, ['a', 'button']);
  if (link && !heading && wordsOf(link) === words && words !== '') {
    const address = safe(link.attribs.href || '#', say);
    return newCard('action', id, { action: { words, address } });
  }
  const pieces = element.children.map(wordsOf).filter((piece) => piece !== '');
  const [first = '', ...rest] = pieces;
  if (!heading && pieces.length > 0 && FIGURE.test(first)) {
    return newCard('stat', id, { figure: { words: first }, label: { words: rest.join(' ') } });
  }
  const title = heading ? wordsOf(heading) : '';
  const at = heading ? words.indexOf(title) : 0;
  return newCard('text', id, {
    eyebrow: { words: heading ? words.slice(0, at).trim() : '' },
    heading: { words: title },
    text: { words: heading ? words.slice(at + title.length).trim() : words },
  });
}
