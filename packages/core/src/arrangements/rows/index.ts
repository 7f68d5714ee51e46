import { evenShares } from '../shared/columnCount.js';
import { rowsBox } from './box.js';
import { rowsRemedies } from './remedies.js';
import { rowsToCss } from './toCss.js';
import { rowValues } from './values.js';
import type { ArrangementKind } from '../kind.js';

/** Rows of pictures of one height, each as wide as the whole. */
export const rows: ArrangementKind = {
  name: 'rows',
  values: rowValues,
  cells: null,
  columns: () => evenShares(1),
  columnCount: () => null,
  box: rowsBox,
  css: rowsToCss,
  changesWithWidth: () => true,
  jumps: true,
  isSquare: () => false,
  remedies: rowsRemedies,
  initial: { flex: '0 1 auto', 'flex-flow': 'row', 'align-content': 'normal' },
};
