import { resolveWish, type NamedLines } from '../engine/grid/lines.js';
import { LIMITS } from '../document/limits.js';
import type { BoxStyle } from '../engine/box/style.js';
import type { Place } from '../document/types.js';
import type { Say } from './arrangement.js';

const within = (span: number) => Math.max(1, Math.min(LIMITS.span, span));

/** Where an item sits, as spans and a pin; an item held in one axis alone can't be said, and flows. */
export function toPlace(style: BoxStyle, columns: NamedLines, rows: NamedLines, say: Say): Place {
  const column = resolveWish(style.columnStart, style.columnEnd, columns);
  const row = resolveWish(style.rowStart, style.rowEnd, rows);
  const columnSpan = within(column.span);
  const rowSpan = within(row.span);
  const isPinned = column.start !== null && row.start !== null;
  if (
    isPinned &&
    column.start >= 0 &&
    row.start >= 0 &&
    column.start < LIMITS.columns &&
    row.start < LIMITS.rows
  ) {
    return { columnSpan, rowSpan, pin: { column: column.start + 1, row: row.start + 1 } };
  }
  if (column.start !== null)
    say(
      'grid-column',
      'holds the tile at a line in one direction only, or outside of the grid; it flows freely now',
    );
  else if (row.start !== null)
    say('grid-row', 'holds the tile at a line in one direction only; it flows freely now');
  return { columnSpan, rowSpan, pin: null };
}
