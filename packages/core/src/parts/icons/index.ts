import { fields, list, number, oneOf, orNull } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import { address, id, words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import { itemsOf } from './html.js';
import type { IconsPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

const icon = fields({ id, icon: orNull(id), picture: orNull(id), label: words, address }, 'An icon', ['id']);

export const icons: PartKind<IconsPart> = {
  name: 'icons',
  called: 'A row of icons',
  fields: {
    icons: list(icon, 0, LIMITS.icons, 'The list of icons'),
    size: number(8, 200, 'An icon’s size'),
    showLabels: oneOf([true, false], 'Whether labels are shown'),
  },
  empty: { icons: [], size: 28, showLabels: true },
  html: (part, { document, sources, attributes: own }) => [
    element('ul', { class: 'icons', ...own }, itemsOf(part, document, sources)),
  ],
  css: () => ({
    flow: `ul.icons,
.icons > ul {
  display: flex;
  flex-flow: row wrap;
  align-items: center;
  gap: 1.1em;
  list-style: none;
}
.icons > ul {
  padding: 0;
}
.icons li,
.icons li > a {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.4em;
  color: inherit;
  text-decoration: none;
}
.icons :is(svg, img) {
  display: block;
}
`,
    apart: `:is(.card, .row) > ul.icons {
  padding: 0;
}
`,
  }),
  least: 'word',
  weight: 1,
  slots: [{ field: 'icons', name: 'Icons', holds: 'other' }],
  refer: (part, to) => ({
    ...part,
    icons: part.icons.map((each) => ({
      ...each,
      icon: each.icon === null ? null : to('icon', each.icon),
      picture: each.picture === null ? null : to('picture', each.picture),
    })),
  }),
  calls: ({ icons: all }) => all.flatMap(({ label }) => label.trim() || []).join(', '),
  sizesPictures: true,
  entries: { field: 'icons', what: 'icon' },
};
