import { evenShares } from '../shared/columnCount.js';
import { galleryBox } from './box.js';
import { galleryRemedies } from './remedies.js';
import { galleryToCss } from './toCss.js';
import { galleryValues } from './values.js';
import type { ArrangementKind } from '../kind.js';

/** Rows of pictures of one height, each as wide as the whole. */
export const rows: ArrangementKind = {
  name: 'rows',
  values: galleryValues,
  cells: null,
  columns: () => evenShares(1),
  columnCount: () => null,
  box: galleryBox,
  css: galleryToCss,
  changesWithWidth: () => true,
  jumps: true,
  isSquare: () => false,
  remedies: galleryRemedies,
  initial: { flex: '0 1 auto', 'flex-flow': 'row', 'align-content': 'normal' },
};
