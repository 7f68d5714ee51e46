import { escapeHtml } from '../../engine/css/escape.js';
import { words } from '../../look/checks.js';
import { attributes, element } from '../shared/html.js';
import type { EyebrowPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const eyebrow: PartKind<EyebrowPart> = {
  name: 'eyebrow',
  called: 'An eyebrow',
  fields: { words },
  empty: { words: '' },
  html: (part, input) =>
    part.words
      ? [element('p', attributes('class="eyebrow"', input.attributes), [escapeHtml(part.words)])]
      : [],
  css: () => ({
    flow: `.eyebrow {
  font-size: 0.85em;
  font-weight: 550;
  letter-spacing: 0.02em;
}
`,
  }),
  least: 'line',
  weight: 1,
  slots: [{ field: 'words', name: 'Eyebrow', holds: 'words' }],
};
