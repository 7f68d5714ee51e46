import { fields, oneOf } from '../../document/checks.js';
import { length } from '../../document/lengthCheck.js';
import { LIMITS } from '../../document/limits.js';
import type { Arrangement, RowHeights, WrittenLength } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_ROW_HEIGHTS: RowHeights<number> = {
  target: 240,
  min: 160,
  max: 400,
  lastRow: 'keep-height',
};

export const rowHeightsOf = <L extends WrittenLength>({
  rowHeights,
}: Pick<Arrangement<L>, 'rowHeights'>): RowHeights<L | number> => rowHeights ?? ANY_ROW_HEIGHTS;

const rowHeight = length(1, LIMITS.track, 'A row height');

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
