import { measureCss } from '../../look/css.js';
import { SPREAD } from '../shared/flow.js';
import { element } from '../../engine/html/node.js';
import { itemsOf, lineOf } from '../icons/html.js';
import type { IconsPart } from '../../document/types.js';
import type { Start } from '../part.js';

/** The list is the tile itself, unless there is something beside it. */
export const icons: Start = {
  name: 'icons',
  className: 'icons',
  title: 'Icons',
  parts: ['icons'],
  flows: true,
  takesTextColour: true,
  write: ({ document, tile, sources, is, cover, badges }) => {
    const part = tile.parts[0] as IconsPart;
    if (part.line !== undefined)
      return element('div', is, [lineOf(part, document, sources), cover, ...badges]);
    const items = itemsOf(part, document, sources);
    return cover === undefined && badges.length === 0
      ? element('ul', is, items)
      : element('div', is, [element('ul', {}, items), cover, ...badges]);
  },
  /** A row of icons in a tile that holds more beside it is spread as the tile is. */
  rules: ({ look, badges, link, parts: [part] }, { at }) => {
    if ((part as IconsPart).line !== undefined) return [];
    const along = SPREAD[look.align === 'stretch' || !look.align ? 'start' : look.align];
    const isInside = badges !== undefined || link !== undefined;
    return isInside
      ? [
          {
            selector: `${at} > ul`,
            declarations: {
              'justify-content': along,
              ...(look.gap !== undefined && { gap: measureCss(look.gap) }),
            },
          },
        ]
      : [
          {
            selector: at,
            declarations: { 'align-content': SPREAD[look.spread], 'justify-content': along },
          },
        ];
  },
};
