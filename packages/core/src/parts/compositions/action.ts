import { hrefOf } from '../../engine/css/escape.js';
import { element } from '../../engine/html/node.js';
import type { ActionPart } from '../../document/types.js';
import type { Start } from '../part.js';

/** The tile itself is the link. */
export const action: Start = {
  name: 'action',
  className: 'action',
  title: 'Action',
  parts: ['action'],
  begins: { action: { words: 'Go there' } },
  flows: true,
  takesTextColour: true,
  isLink: true,
  write: ({ tile, is, badges }) => {
    const [{ words, address }] = tile.parts as readonly [ActionPart];
    return element('a', { ...is, href: hrefOf(address) }, [words, ...badges]);
  },
};
