import { escapeHtml, hrefOf } from '../engine/css/escape.js';
import type { Block, RichSpan, Words } from '../document/content.js';

/** Words as HTML: a paragraph for each part between blank lines, or the blocks of rich text. */
export function wordsHtml(words: Words): string[] {
  if (typeof words !== 'string') return words.map(blockHtml).filter(Boolean);
  return words
    .split(/\n\s*\n/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => `<p>${linesHtml(part)}</p>`);
}

function blockHtml(block: Block): string {
  if (block.kind === 'paragraph') {
    const inner = block.spans.map(spanHtml).join('');
    return inner && `<p>${inner}</p>`;
  }
  const name = block.kind === 'list' ? 'ul' : 'ol';
  const items = block.items.map((spans) => `<li>${spans.map(spanHtml).join('')}</li>`);
  return items.length > 0 ? `<${name}>${items.join('')}</${name}>` : '';
}

const linesHtml = (text: string) => escapeHtml(text).replace(/\r?\n/g, '<br>');

function spanHtml({ text, strong, emphasis, link }: RichSpan): string {
  let html = linesHtml(text);
  if (emphasis) html = `<em>${html}</em>`;
  if (strong) html = `<strong>${html}</strong>`;
  return link ? `<a href="${hrefOf(link)}">${html}</a>` : html;
}

/** Words without their marks, paragraphs parted by a blank line. */
export function plainWords(words: Words): string {
  if (typeof words === 'string') return words;
  const said = (spans: readonly RichSpan[]) => spans.map(({ text }) => text).join('');
  return words
    .map((block) => (block.kind === 'paragraph' ? said(block.spans) : block.items.map(said).join('\n')))
    .join('\n\n');
}
