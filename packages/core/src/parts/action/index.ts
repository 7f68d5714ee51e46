import { hrefOf } from '../../engine/css/escape.js';
import { address, words } from '../../look/checks.js';
import { typeSizeCss } from '../../look/css.js';
import { largeCss } from '../shared/largeCss.js';
import { element } from '../../engine/html/node.js';
import type { ActionPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

const LARGE_WEIGHT = 620;

export const action: PartKind<ActionPart> = {
  name: 'action',
  called: 'An action',
  fields: { words, address },
  empty: { words: '', address: '#' },
  html: (part, input) =>
    part.words
      ? [element('a', { class: 'action', ...input.attributes, href: hrefOf(part.address) }, [part.words])]
      : [],
  css: (look) => ({
    flow: `a.action {
${largeCss(look, { weight: LARGE_WEIGHT, size: typeSizeCss(look.headingSize), lineHeight: 1.15, letterSpacing: -0.012 })}
  text-decoration: none;
}
a.action:hover {
  text-decoration: underline;
  text-decoration-thickness: 0.06em;
  text-underline-offset: 0.16em;
}
a.action:focus-visible {
  outline: 3px solid currentcolor;
  outline-offset: -7px;
}
`,
    apart: `:is(.card, .row) > a.action {
  color: inherit;
}
:is(.card, .row) > a.action:focus-visible {
  outline-offset: 3px;
}
`,
  }),
  largeWeight: LARGE_WEIGHT,
  least: 'word',
  weight: 1,
  slots: [
    { field: 'words', name: 'Action', holds: 'words', likely: /action|button|call/i },
    { field: 'address', name: 'Address', holds: 'address', likely: /link|url|href/i },
  ],
};
