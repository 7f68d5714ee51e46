import { hrefOf } from '../../engine/css/escape.js';
import { number } from '../../document/checks.js';
import { words } from '../../look/checks.js';
import { typeSizeCss } from '../../look/css.js';
import { largeCss } from '../shared/largeCss.js';
import { element } from '../../engine/html/node.js';
import type { HeadingPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

const LARGE_WEIGHT = 650;

export const heading: PartKind<HeadingPart> = {
  name: 'heading',
  called: 'A heading',
  fields: { words, level: number(1, 6, 'A heading’s level', true) },
  optional: ['level'],
  empty: { words: '' },
  html: (part, { headingLevel, leads, attributes }) => {
    if (!part.words) return [];
    const words =
      leads === null ? part.words : element('a', { class: 'cover', href: hrefOf(leads) }, [part.words]);
    return [element(`h${headingLevel}`, attributes, [words])];
  },
  css: (look) => ({
    flow: `:is([data-tile], .row) > :is(h1, h2, h3, h4, h5, h6) {
${largeCss(look, { weight: LARGE_WEIGHT, size: typeSizeCss(look.headingSize), lineHeight: 1.15, letterSpacing: -0.012 })}
  text-wrap: balance;
}
`,
  }),
  largeWeight: LARGE_WEIGHT,
  least: 'line',
  weight: 2,
  slots: [{ field: 'words', name: 'Heading', holds: 'words', likely: /title|name/i }],
  heading: (part) => (part.words ? { level: part.level } : null),
  canLead: (part) => part.words !== '',
};
