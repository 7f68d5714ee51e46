import { words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import type { SourcePart } from '../../document/types.js';
import type { PartKind } from '../part.js';

const sourceCss = (selector: string) => `${selector} {
  font-size: 0.92em;
}
`;

export const source: PartKind<SourcePart> = {
  name: 'source',
  called: 'A source',
  fields: { words },
  empty: { words: '' },
  html: (part, input) => {
    if (!part.words) return [];
    return input.element === undefined
      ? [element('p', { class: 'source', ...input.attributes }, [part.words])]
      : [element(input.element, input.attributes, [part.words])];
  },
  css: () => ({ flow: sourceCss('.quote > figcaption'), apart: sourceCss(':is(.card, .row) > .source') }),
  least: 'line',
  weight: 1,
  slots: [{ field: 'words', name: 'Source', holds: 'words' }],
};
