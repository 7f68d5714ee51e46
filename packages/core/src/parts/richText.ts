import { hrefOf } from '../engine/css/escape.js';
import { element, htmlOf, type PageElement, type PageNode } from '../engine/html/node.js';
import type { Block, RichSpan, Words } from '../document/content.js';

/** Words as elements: a paragraph for each part between blank lines, or the blocks of rich text. */
export function wordNodes(words: Words): PageElement[] {
  if (typeof words !== 'string') return words.flatMap(blockOf);
  return words
    .split(/\n\s*\n/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => element('p', {}, linesOf(part)));
}

/** Words as HTML, element by element. */
export const wordsHtml = (words: Words): string[] => wordNodes(words).map(htmlOf);

function blockOf(block: Block): PageElement[] {
  if (block.kind === 'paragraph') {
    const inside = block.spans.flatMap(spanOf).filter((node) => node !== '');
    return inside.length > 0 ? [element('p', {}, inside)] : [];
  }
  const items = block.items.map((spans) => element('li', {}, spans.flatMap(spanOf)));
  return items.length > 0 ? [element(block.kind === 'list' ? 'ul' : 'ol', {}, items)] : [];
}

/** Lines with breaks between them. */
const linesOf = (text: string): PageNode[] =>
  text.split(/\r?\n/).flatMap((line, k) => (k === 0 ? [line] : [element('br'), line]));

function spanOf({ text, strong, emphasis, link }: RichSpan): PageNode[] {
  let nodes = linesOf(text);
  if (emphasis) nodes = [element('em', {}, nodes)];
  if (strong) nodes = [element('strong', {}, nodes)];
  return link ? [element('a', { href: hrefOf(link) }, nodes)] : nodes;
}

/** Words without their marks, paragraphs parted by a blank line. */
export function plainWords(words: Words): string {
  if (typeof words === 'string') return words;
  const said = (spans: readonly RichSpan[]) => spans.map(({ text }) => text).join('');
  return words
    .map((block) => (block.kind === 'paragraph' ? said(block.spans) : block.items.map(said).join('\n')))
    .join('\n\n');
}
