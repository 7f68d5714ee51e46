import { escapeHtml } from '../../engine/css/escape.js';
import { words } from '../../look/checks.js';
import { attributes, element } from '../shared/html.js';
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
    const said = [escapeHtml(part.words)];
    return input.element === undefined
      ? [element('p', attributes('class="source"', input.attributes), said)]
      : [element(input.element, input.attributes, said)];
  },
  css: () => ({ flow: sourceCss('.quote > figcaption'), apart: sourceCss('.card > .source') }),
  least: 'line',
  weight: 1,
  slots: [{ field: 'words', name: 'Source', holds: 'words' }],
};
