import { fields, list, number, oneOf, orNull } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import { address, id, words } from '../../look/checks.js';
import { element } from '../../engine/html/node.js';
import { itemsOf, lineOf } from './html.js';
import type { IconsPart } from '../../document/types.js';
import type { PartKind } from '../part.js';

const icon = fields({ id, icon: orNull(id), picture: orNull(id), label: words, address }, 'An icon', ['id']);

/**
 * It asks for no width of its own, and fades over its own contents alone, not over the card’s fill. Labels that
 * are not seen lie in it, so that it cuts them off too.
 */
const LINE_CSS = `.line {
  position: relative;
  display: flex;
  justify-content: center;
  inline-size: 0;
  min-inline-size: 100%;
  overflow: clip;
  mask-image: linear-gradient(to right, transparent, #000 12%, #000 88%, transparent);
}
.line > ul {
  flex: none;
  flex-wrap: nowrap;
  padding-inline: 0.55em;
}
.scrolls {
  justify-content: flex-start;
}
.scrolls > ul {
  box-sizing: border-box;
  min-inline-size: 100%;
  justify-content: space-around;
}
@media (prefers-reduced-motion: no-preference) {
  .scrolls > ul {
    animation: scroll-by 40s linear infinite;
  }
  .scrolls:is(:hover, :focus-within) > ul {
    animation-play-state: paused;
  }
}
@media (prefers-reduced-motion: reduce) {
  .scrolls > ul + ul {
    display: none;
  }
}
@keyframes scroll-by {
  to {
    translate: -100%;
  }
}
`;

export const icons: PartKind<IconsPart> = {
  name: 'icons',
  called: 'A row of icons',
  fields: {
    icons: list(icon, 0, LIMITS.icons, 'The list of icons'),
    size: number(8, 200, 'An icon’s size'),
    showLabels: oneOf([true, false], 'Whether labels are shown'),
    line: oneOf(['centred', 'scrolling'], 'How icons stand in one line'),
  },
  optional: ['line'],
  empty: { icons: [], size: 28, showLabels: true },
  html: (part, { document, sources, attributes: own }) => [
    part.line === undefined
      ? element('ul', { class: 'icons', ...own }, itemsOf(part, document, sources))
      : lineOf(part, document, sources, own),
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
    line: LINE_CSS,
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
