import { words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import type { EyebrowPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const eyebrow: PartKind<EyebrowPart> = {
  name: 'eyebrow',
  called: 'An eyebrow',
  fields: { words },
  empty: { words: '' },
  html: (part, input) =>
    part.words ? [element('p', { class: 'eyebrow', ...input.attributes }, [part.words])] : [],
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
  isExtra: true,
  slots: [{ field: 'words', name: 'Eyebrow', holds: 'words' }],
};
