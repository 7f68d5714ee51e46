import { words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import type { LabelPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

export const label: PartKind<LabelPart> = {
  name: 'label',
  called: 'A label',
  fields: { words },
  empty: { words: '' },
  html: (part, input) => (part.words ? [element(input.element ?? 'p', input.attributes, [part.words])] : []),
  css: () => ({}),
  least: 'word',
  weight: 1,
  slots: [{ field: 'words', name: 'Label', holds: 'words', likely: /unit|what/i }],
};
