import { isTag, isText, type ChildNode, type Element } from 'domhandler';
import { addressOf, asWords, isPhrase, isSilent, listOf, spansOf, wordsOf, type SayOf } from './words.js';
import { iconRow, within, type ReadIcons } from './icons.js';
import { LIMITS } from '../document/limits.js';
import type { Crop } from './look.js';
import { newCard } from '../parts/newTile.js';
import { partKindOf } from '../parts/index.js';
import type { Block } from '../document/content.js';
import type { Card, Part, PartName, TileId } from '../document/types.js';

/** What content is read with. */
export interface ReadContent extends ReadIcons {
  /** How a picture is cropped to its place. */
  readonly croppedAs: (image: Element) => Crop;
  /** Whether the children of an element are laid out one by one, as those of a grid are. */
  readonly isApart: (element: Element) => boolean;
}

/** A part before it is told apart from the others of its card. */
type Bare = { [Name in PartName]: Omit<Extract<Part, { readonly kind: Name }>, 'id'> }[PartName];

/** What was found in an element, in the order in which it is read. */
type Found =
  | { readonly kind: 'line'; readonly nodes: readonly ChildNode[]; readonly of: Element }
  | { readonly kind: 'list'; readonly block: Block }
  | { readonly kind: 'part'; readonly part: Bare };

const HEADING = /^h([1-6])$/;
const FIGURE = /^[\d\s.,:+−–-]*\d[\d\s.,:+−–-]*\s?[%°€$£]?$/;
/** What stands over a heading is no longer, in characters. */
const EYEBROW = 60;
/** What a figure counts is no longer. */
const LABEL = 120;

/** What designers call room between other things. */
const SPACER = /(^|[\s_-])(space|spacer)$/;

/** What designers call parts in class names, by the parts. */
const CALLED: Partial<Record<PartName, RegExp>> = {
  eyebrow: /(^|[-_])(eyebrow|kicker|overline)$/,
  figure: /(^|[-_])(figure|number|value|stat)$/,
  label: /(^|[-_])(label|unit)$/,
  source: /(^|[-_])(source|author|attribution)$/,
};

/** A card, and the elements by whose type its words are set: the first of those that are large, and of the others. */
export interface ReadCard {
  readonly card: Card;
  readonly large: { readonly part: PartName; readonly element: Element } | null;
  readonly small: Element | null;
}

/** An element’s content as a card: its parts in their order. */
export function toCard(element: Element, id: TileId, read: ReadContent): ReadCard {
  const found = new Reading(read).of(element);
  const { parts, figure, small } = inParts(found.all, read.say);
  if (parts.length > LIMITS.parts) read.say(`It has more than ${LIMITS.parts} parts; the first are kept.`);
  const kept = parts.slice(0, LIMITS.parts);
  const [only] = kept;
  const card = newCard('text', id);
  const name = kept.length === 1 && only?.kind === 'picture' ? found.alternativeText : '';
  return {
    card: {
      ...card,
      parts: withIds(kept.length > 0 ? kept : [{ kind: 'text', words: '' }]),
      ...(name !== '' && { name: name.slice(0, LIMITS.name) }),
      ...(found.link !== null && !kept.some(({ kind }) => kind === 'action') && { link: found.link }),
    },
    large: figure ?? found.large,
    small,
  };
}

/** Reads one tile. */
class Reading {
  readonly all: Found[] = [];
  link: string | null = null;
  /** Of the last picture. */
  alternativeText = '';
  /** The first heading, quote or action. */
  large: ReadCard['large'] = null;

  constructor(readonly read: ReadContent) {}

  of(element: Element): this {
    const { name, attribs } = element;
    if (name === 'a' && !this.isAction(element)) this.linked(attribs.href ?? '');
    this.block(element);
    return this;
  }

  private linked(href: string): void {
    const address = addressOf(href, this.read.say);
    if (address === null) return;
    if (this.link !== null && this.link !== address)
      this.read.say(`A second link, to “${address.slice(0, 60)}”, is left out: a tile leads to one place.`);
    else this.link = address;
  }

  private part(part: { readonly kind: PartName } & Readonly<Record<string, unknown>>): void {
    this.all.push({
      kind: 'part',
      part: { ...partKindOf(part).empty, ...part } as unknown as Bare,
    });
  }

  /** Whether an element is a link or button that says a few words and nothing else. */
  private isAction({ name, children }: Element): boolean {
    return (name === 'a' || name === 'button') && children.every(isPhrase);
  }

  /** The children of an element: words in lines, and what stands between them. */
  private inside(element: Element): void {
    let line: ChildNode[] = [];
    const flush = () => {
      const said = line.filter((node) => !isText(node) || node.data.trim() !== '');
      const [only] = said;
      if (said.length === 1 && only && isTag(only)) this.alone(only);
      else if (said.length > 0) this.all.push({ kind: 'line', nodes: line, of: element });
      line = [];
    };
    const isApart = this.read.isApart(element) || isFigured(element);
    for (const child of element.children) {
      if (!isPhrase(child)) {
        flush();
        if (isTag(child)) this.block(child);
      } else {
        if (isApart && isTag(child)) flush();
        line.push(child);
        if (isApart && isTag(child)) flush();
      }
    }
    flush();
  }

  /** An element of words that stands alone in its line. */
  private alone(element: Element): void {
    if (this.isAction(element)) this.action(element);
    else if (wordsOf(element) !== '') this.all.push({ kind: 'line', nodes: [element], of: element });
  }

  private action(element: Element): void {
    const words = wordsOf(element);
    if (words === '') return;
    const address = element.name === 'a' ? addressOf(element.attribs.href ?? '', this.read.say) : null;
    this.large ??= { part: 'action', element };
    this.part({ kind: 'action', words, address: address ?? '#' });
  }

  private block(element: Element): void {
    const { name, attribs, children } = element;
    const { say } = this.read;
    if (isSilent(element)) return;
    const [, level] = HEADING.exec(name) ?? [];
    if (level !== undefined) {
      const link = children.filter((each) => !isText(each) || each.data.trim() !== '');
      const [only] = link;
      if (link.length === 1 && only && isTag(only) && only.name === 'a') this.linked(only.attribs.href ?? '');
      this.large ??= { part: 'heading', element };
      this.part({ kind: 'heading', words: wordsOf(element), level: Number(level) });
    } else if (name === 'img' || name === 'picture') this.picture(element, '');
    else if (name === 'hr') this.part({ kind: 'divider' });
    else if (name === 'blockquote') this.quote(element);
    else if (name === 'figure') this.figure(element);
    else if (name === 'ul' || name === 'ol' || name === 'menu') {
      const row = iconRow(element, this.read);
      const block = row === null ? listOf(element, say) : null;
      if (row) this.part({ kind: 'icons', ...row, ...lineOf(element) });
      else if (block) this.all.push({ kind: 'list', block });
      else this.inside(element);
    } else if (name === 'svg' && this.icon(element)) return;
    else if (children.length === 0 && SPACER.test(attribs.class ?? '')) this.part({ kind: 'spacer' });
    else if (name === 'video' || name === 'svg' || name === 'canvas' || name === 'iframe') {
      const what = { video: 'film', svg: 'drawing', canvas: 'canvas', iframe: 'page in it' }[name];
      say(
        `The ${what} “${attribs.src ?? attribs['aria-label'] ?? name}” is left out: choose it for its tile.`,
      );
      if (name === 'video') this.part({ kind: 'film' });
    } else if (this.isAction(element)) this.action(element);
    else {
      if (name === 'a') this.linked(attribs.href ?? '');
      if (name === 'table' || name === 'form')
        say(`A <${name}> is taken over as its words alone.`, 'changed');
      this.inside(element);
    }
  }

  /** A drawing that is an icon, as a row of one. */
  private icon(svg: Element): boolean {
    const title = within(svg, ['title']);
    const label = svg.attribs['aria-label'] ?? (title ? wordsOf(title) : '');
    const icon = this.read.icon(svg, label);
    if (icon === null) return false;
    const size = Number.parseFloat(svg.attribs.height ?? '') || 28;
    this.part({
      kind: 'icons',
      icons: [{ icon, picture: null, label, address: '' }],
      size: Math.max(8, Math.min(200, size)),
      showLabels: false,
    });
    return true;
  }

  private picture(element: Element, caption: string): void {
    const image =
      element.name === 'img' ? element : element.children.filter(isTag).find(({ name }) => name === 'img');
    const { src = '', srcset = '', alt = '', 'data-src': later = '' } = image?.attribs ?? {};
    const address = largest(srcset) ?? (src === '' ? later : src);
    this.alternativeText = alt.trim();
    const picture = this.read.picture(address, this.alternativeText);
    if (picture === null)
      this.read.say(`The picture “${address.slice(0, 80)}” is not in the page; choose it for its tile.`);
    this.part({ kind: 'picture', picture, caption, ...(image && this.read.croppedAs(image)) });
  }

  private quote(element: Element): void {
    const source = within(element, ['cite', 'footer']);
    this.large ??= { part: 'quote', element };
    const from = source ? wordsOf(source) : '';
    const said = wordsOf(element);
    this.part({ kind: 'quote', words: from === '' ? said : said.replace(from, '').trim() });
    if (from !== '') this.part({ kind: 'source', words: from });
  }

  private figure(element: Element): void {
    const caption = within(element, ['figcaption']);
    const words = caption ? wordsOf(caption) : '';
    const picture = within(element, ['picture', 'img']);
    if (picture && !within(element, ['blockquote'])) {
      const link = within(element, ['a']);
      if (link && within(link, ['img'])) this.linked(link.attribs.href ?? '');
      this.picture(picture, words);
      return;
    }
    for (const child of element.children) {
      if (child === caption) continue;
      if (isTag(child)) this.block(child);
    }
    if (words !== '') this.part({ kind: 'source', words });
  }
}

/** Whether an element holds a figure and, in elements beside it, what that counts. */
function isFigured({ children }: Element): boolean {
  const said = children.filter((node) => !isText(node) || node.data.trim() !== '');
  const [first] = said;
  return said.length > 1 && said.every(isTag) && first !== undefined && FIGURE.test(wordsOf(first));
}

/** Whether a row of icons runs in one line: as the page of one says it. */
function lineOf({ parent }: Element): { readonly line?: 'centred' | 'scrolling' } {
  const classes = parent && isTag(parent) ? (parent.attribs.class ?? '').split(/\s+/) : [];
  if (!classes.includes('line')) return {};
  return { line: classes.includes('scrolls') ? 'scrolling' : 'centred' };
}

/** The widest of the files that a picture comes in. */
function largest(srcset: string): string | null {
  const files = srcset.split(/,\s+/).flatMap((each) => {
    const [address = '', size = ''] = each.trim().split(/\s+/);
    return address === '' ? [] : [{ address, size: Number.parseFloat(size) || 1 }];
  });
  return files.sort((a, b) => b.size - a.size)[0]?.address ?? null;
}

/** Lines as the parts that they are: by what they are called, by what they say, and by what comes after them. */
function inParts(
  found: readonly Found[],
  say: SayOf,
): { readonly parts: Bare[]; readonly figure: ReadCard['large']; readonly small: Element | null } {
  const parts: Bare[] = [];
  let figure: ReadCard['large'] = null;
  let small: Element | null = null;
  let blocks: Block[] = [];
  const flush = () => {
    if (blocks.length > 0) parts.push({ kind: 'text', words: asWords(blocks) });
    blocks = [];
  };
  found.forEach((each, k) => {
    if (each.kind === 'list') blocks.push(each.block);
    else if (each.kind === 'part') {
      flush();
      parts.push(each.part);
    } else {
      const kind = kindOf(each, found[k + 1], blocks.length === 0 ? parts.at(-1) : undefined, parts);
      const spans = spansOf(each.nodes, say);
      if (spans.length === 0) return;
      if (kind === 'text') {
        small ??= each.of;
        blocks.push({ kind: 'paragraph', spans });
      } else {
        if (kind === 'figure') figure ??= { part: kind, element: lowest(each) };
        flush();
        const words = spans
          .map(({ text }) => text)
          .join('')
          .replace(/\s+/g, ' ');
        parts.push({ kind, words });
      }
    }
  });
  flush();
  return { parts, figure, small };
}

/** The element that a line is in, or that is all of it. */
function lowest({ of, nodes }: Line): Element {
  const [only] = nodes.filter((node) => !isText(node) || node.data.trim() !== '');
  return only && isTag(only) ? only : of;
}

type Line = Extract<Found, { readonly kind: 'line' }>;

function kindOf(
  line: Line,
  next: Found | undefined,
  last: Bare | undefined,
  before: readonly Bare[],
): 'text' | 'eyebrow' | 'figure' | 'label' | 'source' {
  const words = line.nodes.map(wordsOf).join(' ').trim();
  const called = calledIn(line);
  const isMarked = line.nodes.some((node) => isTag(node) && node.name === 'a');
  if (called === 'source' && last?.kind !== 'quote') return 'text';
  if (called !== null) return called;
  if (isMarked) return 'text';
  if (last?.kind === 'figure' && words.length <= LABEL) return 'label';
  if (FIGURE.test(words) && !before.some(({ kind }) => kind === 'heading')) return 'figure';
  const isOver = next?.kind === 'part' && next.part.kind === 'heading';
  return isOver && words.length <= EYEBROW ? 'eyebrow' : 'text';
}

/** The part that a line is called after in its class. */
function calledIn({ of, nodes }: Line): 'eyebrow' | 'figure' | 'label' | 'source' | null {
  const [only] = nodes;
  const elements = nodes.length === 1 && only && isTag(only) ? [only, of] : [of];
  // What holds a whole tile is called after that.
  const classes = elements
    .filter(({ attribs }) => attribs['data-tile'] === undefined)
    .flatMap(({ attribs }) => (attribs.class ?? '').toLowerCase().split(/\s+/));
  for (const kind of ['eyebrow', 'figure', 'label', 'source'] as const)
    if (classes.some((each) => CALLED[kind]?.test(each))) return kind;
  return null;
}

/** Each part has an id of its own. */
function withIds(parts: readonly Bare[]): Part[] {
  const counts = new Map<string, number>();
  return parts.map((part) => {
    const count = (counts.get(part.kind) ?? 0) + 1;
    counts.set(part.kind, count);
    return { ...part, id: count === 1 ? part.kind : `${part.kind}-${count}` };
  });
}
