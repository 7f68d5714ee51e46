import { element, type PageNode } from '../../engine/html/node.js';
import { linesOf } from '../shared/inCard.js';
import type { CardContent, Composition, Start } from '../part.js';

const inOrder = ({ parts, cover, badges }: CardContent) => [...parts.flat(), cover, ...badges];

/** Elements that are read apart from what is beside them, by themselves. */
const BLOCK = /^(p|h[1-6]|ul|ol|div|figure|blockquote|hr)$/;

const isBlock = (node: PageNode | undefined) => typeof node === 'object' && BLOCK.test(node.name);

/** Nodes that are read one after the other; words that would run into each other have a blank between them. */
function apartInLine(nodes: readonly (PageNode | undefined)[]): PageNode[] {
  const there = nodes.filter((node): node is PageNode => node !== undefined && node !== '');
  return there.flatMap((node, k) =>
    k === 0 || isBlock(node) || isBlock(there[k - 1]) ? [node] : [' ', node],
  );
}

export const text: Start = {
  name: 'text',
  className: 'text',
  title: 'Text',
  parts: ['eyebrow', 'heading', 'text'],
  begins: { heading: { words: 'A heading' } },
  flows: true,
  takesTextColour: true,
  write: (content) => element('article', content.is, inOrder(content)),
};

export const stat: Start = {
  name: 'stat',
  className: 'stat',
  title: 'Stat',
  parts: ['figure', 'label'],
  begins: { figure: { words: '0' }, label: { words: 'of something' } },
  dressed: { look: { headingSize: 48 } },
  elements: { label: 'span' },
  flows: true,
  takesTextColour: true,
  // A figure and its label are two words.
  write: (content) => element('p', content.is, apartInLine(inOrder(content))),
};

export const quote: Start = {
  name: 'quote',
  className: 'quote',
  title: 'Quote',
  parts: ['quote', 'source'],
  begins: { quote: { words: 'What somebody said.' } },
  dressed: {
    look: { spread: 'between' },
    begins: { quote: { words: '“What somebody said.”' }, source: { words: 'Who said it' } },
  },
  elements: { source: 'figcaption' },
  flows: true,
  takesTextColour: true,
  // The source of a figure is the last thing in it.
  write: ({ is, parts: [words = [], ...rest], cover, badges }) =>
    element('figure', is, [...words, cover, ...badges, ...rest.flat()]),
};

/** A card whose parts make none of the others, or stand in lines of their own. */
export const apart: Composition = {
  name: 'card',
  className: 'card',
  title: 'Card',
  parts: [],
  flows: true,
  takesTextColour: true,
  write: ({ is, tile, parts, cover, badges }) => {
    const written = new Map(tile.parts.map((part, k) => [part, parts[k] ?? []]));
    const lines = linesOf(tile.parts).map((line) => ({
      isRow: line.length > 1,
      nodes: line.flatMap((part) => written.get(part) ?? []),
    }));
    return element('article', is, [
      ...lines.flatMap(({ isRow, nodes }) =>
        isRow && nodes.length > 0 ? [element('div', { class: 'row' }, apartInLine(nodes))] : nodes,
      ),
      cover,
      ...badges,
    ]);
  },
};
