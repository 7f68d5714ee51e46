import { words } from '../../look/checks.js';
import { typeSizeCss } from '../../look/css.js';
import { wordNodes } from '../richText.js';
import { largeCss } from '../shared/largeCss.js';
import { element } from '../../engine/html/node.js';
import type { CollectionLook, QuotePart } from '../../document/types.js';
import type { PartKind } from '../part.js';

const quoteCss = (look: CollectionLook, selector: string) => `${selector} {
${largeCss(look, { weight: LARGE_WEIGHT, size: typeSizeCss(look.headingSize), lineHeight: 1.22, letterSpacing: -0.012 })}
  text-wrap: pretty;
}
`;

const LARGE_WEIGHT = 560;

export const quote: PartKind<QuotePart> = {
  name: 'quote',
  called: 'A quote',
  fields: { words },
  empty: { words: '' },
  html: (part, { attributes }) =>
    part.words ? [element('blockquote', attributes, wordNodes(part.words))] : [],
  css: (look) => ({
    flow: quoteCss(look, ':is(.quote, .card, .row) > blockquote'),
  }),
  largeWeight: LARGE_WEIGHT,
  least: 'line',
  weight: 2,
  slots: [{ field: 'words', name: 'Quote', holds: 'words' }],
};
