import { bentoBox } from './box.js';
import { bentoToCss } from './toCss.js';
import { bentoWishes } from './wishes.js';
import type { ArrangementKind } from '../kind.js';

/** An explicit grid whose tiles span columns and rows. */
export const bento: ArrangementKind = {
  name: 'bento',
  cells: 'held',
  columns: (_, { arrangement }) => arrangement.columns,
  columnCount: () => null,
  wishes: bentoWishes,
  box: bentoBox,
  css: bentoToCss,
  changesWithWidth: () => false,
  isSquare: ({ cells }) => cells === 'square',
};
