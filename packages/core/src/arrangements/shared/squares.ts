import { px } from '../../engine/css/units.js';
import { multipleCss } from '../../engine/css/writtenLength.js';
import { LIMITS } from '../../document/limits.js';
import { fromLine, SLOT_WIDTH } from './css.js';
import type { Arrangement } from '../../document/types.js';
import type { Declarations } from '../../engine/css/rule.js';
import type { GridArea } from '../../geometry/area.js';

/** The lines of a tile that is held at its cells. */
export const heldCss = (area: GridArea | undefined): Declarations =>
  area
    ? {
        'grid-column': fromLine(area.column, area.columnSpan),
        'grid-row': fromLine(area.row, area.rowSpan),
      }
    : {};

/**
 * Rows as high as the columns are wide, whatever height the grid has: tiles ask for nothing, and a box
 * along the first column asks for all rows alike (CSS Grid 2, section 12.5: what a span asks for beyond
 * its tracks is shared evenly). No row may grow by itself, else one in which a small tile begins would
 * stop at what that asks for, and the others take all.
 */
export const SQUARE_ROWS: Declarations = {
  'grid-template-rows': 'none',
  'grid-auto-rows': 'minmax(max-content, 0)',
};
/** More than a tile's padding: what a tile asks for is never less than nothing. */
export const WHOLE_SQUARES: Declarations = {
  'block-size': '0',
  'min-block-size': '100%',
  ...SLOT_WIDTH,
  'margin-block-end': px(-2 * LIMITS.padding - 2 * LIMITS.border),
};
/** The box along the first column that asks for so many rows. */
export const squares = (rows: number, { rowGap }: Pick<Arrangement, 'rowGap'>): Declarations => ({
  content: '""',
  'grid-column': '1',
  'grid-row': `1 / span ${Math.max(1, rows)}`,
  'inline-size': '100%',
  'aspect-ratio': rows > 1 ? `1 / ${rows}` : '1',
  'padding-block-end': multipleCss(Math.max(0, rows - 1), rowGap),
});
