import { wordNodes } from '../richText.js';
import { cutWords, wordsOrRich } from './words.js';
import type { TextPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const text: PartKind<TextPart> = {
  name: 'text',
  called: 'A text',
  fields: { words: wordsOrRich },
  empty: { words: '' },
  html: (part) => wordNodes(part.words),
  css: () => ({
    flow: `[data-tile] > :is(ul, ol) {
  padding-inline-start: 1.25em;
}
`,
  }),
  least: 'line',
  weight: 2,
  slots: [
    { field: 'words', name: 'Text', holds: 'words', takesRich: true, likely: /^body$|text|descri|about/i },
  ],
  short: (part) => ({ ...part, words: cutWords(part.words) }),
};
