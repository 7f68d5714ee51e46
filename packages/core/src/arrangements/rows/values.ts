import { fields, number, oneOf } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import type { Arrangement, RowHeights } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_ROW_HEIGHTS: RowHeights = {
  target: 240,
  min: 160,
  max: 400,
  lastRow: 'keep-height',
};

export const rowHeightsOf = ({ rowHeights }: Pick<Arrangement, 'rowHeights'>): RowHeights =>
  rowHeights ?? ANY_ROW_HEIGHTS;

const rowHeight = number(1, LIMITS.track, 'A row height');

export const rowValues: ValuesOfKind<'rowHeights'> = {
  field: 'rowHeights',
  read: rowHeightsOf,
  check: fields(
    {
      target: rowHeight,
      min: rowHeight,
      max: rowHeight,
      lastRow: oneOf(['fill-width', 'keep-height'], 'The last row'),
    },
    'A row gallery',
  ),
};
