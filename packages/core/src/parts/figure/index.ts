import { words } from '../../look/checks.js';
import { timesCss } from '../../look/css.js';
import { largeCss } from '../shared/largeCss.js';
import { element } from '../../engine/html/node.js';
import type { CollectionLook, FigurePart } from '../../document/types.js';
import type { PartKind } from '../part.js';

/** How much larger a figure is than a heading. */
const TIMES = 1.7;

const figureCss = (look: CollectionLook, selector: string) => `${selector} {
${largeCss(look, { weight: LARGE_WEIGHT, size: timesCss(look.headingSize, TIMES), lineHeight: 1, letterSpacing: -0.035 })}
}
`;

const LARGE_WEIGHT = 680;

export const figure: PartKind<FigurePart> = {
  name: 'figure',
  called: 'A figure',
  fields: { words },
  empty: { words: '' },
  html: (part, { attributes }) => (part.words ? [element('strong', attributes, [part.words])] : []),
  css: (look) => ({
    flow: figureCss(look, ':is(.stat, .card, .row) > strong'),
    apart: `.row > strong {
  flex: none;
}
`,
  }),
  largeWeight: LARGE_WEIGHT,
  least: 'whole',
  weight: 1,
  slots: [{ field: 'words', name: 'Figure', holds: 'words', likely: /number|count|value/i }],
  headingTimes: TIMES,
  calledWith: 'label',
};
