import { hrefOf } from '../../engine/css/escape.js';
import { wordsMark } from '../shared/wordsMark.js';
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
  // As a button, told from cards by its fill.
  dressed: { look: { fill: '#21403d', spread: 'center', align: 'center' } },
  flows: true,
  takesTextColour: true,
  isLink: true,
  write: ({ tile, sources, is, badges }) => {
    const [part] = tile.parts as readonly [ActionPart];
    const own = { ...is, ...wordsMark(part, sources), href: hrefOf(part.address) };
    return element('a', own, [part.words, ...badges]);
  },
};
