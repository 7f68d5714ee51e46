import { HOLDING } from './index.js';
import { evenShares } from './shared/columnCount.js';
import type { Arrangement } from '../document/types.js';

/** The arrangement of a new group: two even columns, no air around. */
export const emptyGroup = (): Arrangement => ({
  kind: HOLDING,
  columns: evenShares(2),
  rows: [],
  autoRows: '1fr',
  columnGap: 16,
  rowGap: 16,
  padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 },
  flow: 'dense',
  maxInlineSize: null,
});
