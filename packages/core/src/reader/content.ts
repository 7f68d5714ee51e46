import { isTag, isText, type ChildNode, type Element } from 'domhandler';
import { newTile } from '../parts/newTile.js';
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
  const named = (tile: Tile, name: string): Tile => ({
    ...tile,
    name: name.slice(0, 40).trim() || tile.name,
  });
  const own = (names: readonly string[]) => (names.includes(element.name) ? element : find(element, names));
  const heading = own(HEADINGS);
  const picture = own(['img', 'picture', 'video', 'svg', 'canvas']);
  const quote = own(['blockquote', 'q']);
  const words = wordsOf(element);

  if (picture && !heading && !quote) {
    say(
      `The ${picture.name === 'video' ? 'film' : 'picture'} “${picture.attribs.src ?? picture.name}” is not in the page; choose it for its tile.`,
    );
    const tile = named(newTile('picture', id), picture.attribs.alt ?? '');
    return tile.kind === 'picture'
      ? { ...tile, caption: wordsOf(find(element, ['figcaption']) ?? element) }
      : tile;
  }
  if (picture) say('A picture beside words is left out: a tile here holds one or the other.');
  const tile = safe(contentTile(element, id, words, heading, quote), say);
  const label = 'heading' in tile ? tile.heading : 'figure' in tile ? `${tile.figure} ${tile.label}` : words;
  return named(tile, label);
}

/** A tile without the link that a page should not have. */
function safe(tile: Tile, say: (message: string) => void): Tile {
  if (tile.kind !== 'action' || isAddress(tile.address)) return tile;
  const address = readAddress(tile.address);
  if (address !== null && isAddress(address)) return { ...tile, address };
  say(`A link to “${tile.address.slice(0, 60)}” is left out: say in its tile where it leads.`);
  return { ...tile, address: '#' };
}

function contentTile(
  element: Element,
  id: TileId,
  words: string,
  heading: Element | null,
  quote: Element | null,
): Tile {
  const kind = newTile('text', id);
  const base = { id, name: kind.name, place: kind.place, look: kind.look };
  if (quote) {
    const source = find(element, ['cite', 'figcaption', 'footer']);
    const from = source ? wordsOf(source) : '';
    const said = wordsOf(quote);
    return {
      ...base,
      kind: 'quote',
      words: from === '' ? said : said.replace(from, '').trim(),
      source: from,
    };
  }
  const link = element.name === 'a' || element.name === 'button' ? element : find(element, ['a', 'button']);
  if (link && !heading && wordsOf(link) === words && words !== '') {
    return { ...base, kind: 'action', label: words, address: link.attribs.href || '#' };
  }
  const parts = element.children.map(wordsOf).filter((part) => part !== '');
  const [first = '', ...rest] = parts;
  if (!heading && parts.length > 0 && FIGURE.test(first))
    return { ...base, kind: 'stat', figure: first, label: rest.join(' ') };
  const title = heading ? wordsOf(heading) : '';
  const at = heading ? words.indexOf(title) : 0;
  return {
    ...base,
    kind: 'text',
    eyebrow: heading ? words.slice(0, at).trim() : '',
    heading: title,
    body: heading ? words.slice(at + title.length).trim() : words,
  };
}
