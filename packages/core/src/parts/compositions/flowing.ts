import { element } from '../../engine/html/node.js';
import type { CardContent, Composition, Start } from '../part.js';

const inOrder = ({ parts, cover, badges }: CardContent) => [...parts.flat(), cover, ...badges];

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
  elements: { label: 'span' },
  flows: true,
  takesTextColour: true,
  write: (content) => element('p', content.is, inOrder(content)),
};

export const quote: Start = {
  name: 'quote',
  className: 'quote',
  title: 'Quote',
  parts: ['quote', 'source'],
  begins: { quote: { words: 'What somebody said.' } },
  elements: { source: 'figcaption' },
  flows: true,
  takesTextColour: true,
  // The source of a figure is the last thing in it.
  write: ({ is, parts: [words = [], ...rest], cover, badges }) =>
    element('figure', is, [...words, cover, ...badges, ...rest.flat()]),
};

/** A card whose parts make none of the others. */
export const apart: Composition = {
  name: 'card',
  className: 'card',
  title: 'Card',
  parts: [],
  flows: true,
  takesTextColour: true,
  write: (content) => element('article', content.is, inOrder(content)),
};
