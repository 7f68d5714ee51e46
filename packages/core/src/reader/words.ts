import { isTag, isText, type ChildNode, type Element } from 'domhandler';
import { isAddress, readAddress } from '../engine/css/address.js';
import { LIMITS } from '../document/limits.js';
import type { Block, RichSpan, Words } from '../document/content.js';

/** The words in an element as they are read, white space collapsed. */
export function wordsOf(node: ChildNode | Element): string {
  const read = (each: ChildNode): string =>
    isText(each)
      ? each.data
      : isTag(each) && !isSilent(each)
        ? each.name === 'br'
          ? ' '
          : each.children.map(read).join('')
        : '';
  const words = isTag(node) ? node.children.map(read).join('') : read(node);
  return words.replace(/\s+/g, ' ').trim().slice(0, LIMITS.words);
}

/** What of a page nobody reads. */
export const SILENT: ReadonlySet<string> = new Set([
  'script', 'style', 'template', 'noscript', 'link', 'meta', 'head', 'title',
]); // prettier-ignore

/** Whether nobody sees an element, or can do anything with it. */
export const isSilent = ({ name, attribs }: Element): boolean =>
  SILENT.has(name) || attribs.hidden !== undefined || attribs.inert !== undefined;

/** Elements that stand in a line of words (HTML, section 4.5), unless a style says otherwise. */
const PHRASING: ReadonlySet<string> = new Set([
  'a', 'abbr', 'b', 'bdi', 'bdo', 'br', 'cite', 'code', 'data', 'dfn', 'em', 'i', 'kbd', 'label', 'mark', 'q', 's',
  'samp', 'small', 'span', 'strong', 'sub', 'sup', 'time', 'u', 'var', 'wbr',
]); // prettier-ignore

/** Whether a node is words, or marks on some. */
export const isPhrase = (node: ChildNode): boolean =>
  isText(node) ||
  !isTag(node) ||
  isSilent(node) ||
  (PHRASING.has(node.name) && node.children.every(isPhrase));

/** Says what of a page was left out, or changed. */
export type SayOf = (message: string, became?: 'changed' | 'left out') => void;

/** An address that a page may have; null for one that no link may have, which is said. */
export function addressOf(asked: string, say: SayOf): string | null {
  const address = readAddress(asked);
  if (address !== null && address !== '' && isAddress(address)) return address;
  if (asked !== '') say(`A link to “${asked.slice(0, 60)}” is left out: say in its tile where it leads.`);
  return null;
}

interface Marks {
  readonly strong?: true;
  readonly emphasis?: true;
  readonly link?: string;
}

/** Words with the marks on them, white space collapsed as in one paragraph. */
export function spansOf(nodes: readonly ChildNode[], say: SayOf): RichSpan[] {
  const spans: { text: string; marks: Marks }[] = [];
  const visit = (node: ChildNode, marks: Marks): void => {
    if (isText(node)) spans.push({ text: node.data.replace(/\s+/g, ' '), marks });
    else if (isTag(node) && !isSilent(node)) {
      if (node.name === 'br') spans.push({ text: '\n', marks });
      else for (const child of node.children) visit(child, marksOf(node, marks, say));
    }
  };
  for (const node of nodes) visit(node, {});
  return joined(spans);
}

function marksOf({ name, attribs }: Element, marks: Marks, say: SayOf): Marks {
  if (name === 'strong' || name === 'b') return { ...marks, strong: true };
  if (name === 'em' || name === 'i') return { ...marks, emphasis: true };
  const link = name === 'a' && attribs.href !== undefined ? addressOf(attribs.href, say) : null;
  return link === null ? marks : { ...marks, link };
}

/** Neighbours of the same marks as one; one space between words, none at the ends of lines. */
function joined(spans: readonly { readonly text: string; readonly marks: Marks }[]): RichSpan[] {
  const found: { text: string; marks: Marks }[] = [];
  let before = '\n';
  for (const { text, marks } of spans) {
    const kept = /[ \n]$/.test(before) ? text.replace(/^ /, '') : text;
    if (kept === '') continue;
    const last = found.at(-1);
    if (kept === '\n' && last) last.text = last.text.replace(/ $/, '');
    if (last && isSame(last.marks, marks)) last.text += kept;
    else found.push({ text: kept, marks: { ...marks } });
    before = kept;
  }
  const last = found.at(-1);
  if (last) last.text = last.text.replace(/[ \n]+$/, '');
  return found.filter(({ text }) => text !== '').map(({ text, marks }) => ({ text, ...marks }));
}

const isSame = (a: Marks, b: Marks) =>
  a.strong === b.strong && a.emphasis === b.emphasis && a.link === b.link;

/** A list as a block; null where there is more than words in it. */
export function listOf(element: Element, say: SayOf): Block | null {
  const items = element.children.filter(isTag);
  if (items.length === 0 || items.some(({ name, children }) => name !== 'li' || !children.every(isPhrase)))
    return null;
  return {
    kind: element.name === 'ol' ? 'numbered' : 'list',
    items: items.map(({ children }) => spansOf(children, say)).filter((spans) => spans.length > 0),
  };
}

/** Blocks as plain words where nothing is marked, and as rich ones elsewhere. */
export function asWords(blocks: readonly Block[]): Words {
  const isPlain = blocks.every(
    (block) => block.kind === 'paragraph' && block.spans.every((span) => Object.keys(span).length === 1),
  );
  if (!isPlain) return bounded(blocks);
  return blocks
    .map((block) => (block.kind === 'paragraph' ? block.spans.map(({ text }) => text).join('') : ''))
    .filter((text) => text !== '')
    .join('\n\n')
    .slice(0, LIMITS.words);
}

/** No more words than a part can hold. */
function bounded(blocks: readonly Block[]): Block[] {
  let left: number = LIMITS.words;
  const cut = (spans: readonly RichSpan[]) =>
    spans.flatMap((span) => {
      const text = span.text.slice(0, left);
      left -= text.length;
      return text === '' ? [] : [{ ...span, text }];
    });
  return blocks.map((block) =>
    block.kind === 'paragraph'
      ? { ...block, spans: cut(block.spans) }
      : { ...block, items: block.items.map(cut) },
  );
}
