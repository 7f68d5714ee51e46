import { measureCss } from '../../look/css.js';
import { SPREAD } from '../shared/flow.js';
import { element } from '../../engine/html/node.js';
import { itemsOf } from '../icons/html.js';
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
    const items = itemsOf(tile.parts[0] as IconsPart, document, sources);
    return cover === undefined && badges.length === 0
      ? element('ul', is, items)
      : element('div', is, [element('ul', {}, items), cover, ...badges]);
  },
  /** A row of icons in a tile that holds more beside it is spread as the tile is. */
  rules: ({ look, badges, link }, { at }) => {
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
