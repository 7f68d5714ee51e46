import type { GridArea } from './area.js';

/** The smallest area that holds all of some areas; at least one. */
export function boundsOf(areas: readonly GridArea[]): GridArea {
  const column = Math.min(...areas.map((area) => area.column));
  const row = Math.min(...areas.map((area) => area.row));
  return {
    column,
    row,
    columnSpan: Math.max(...areas.map((area) => area.column + area.columnSpan)) - column,
    rowSpan: Math.max(...areas.map((area) => area.row + area.rowSpan)) - row,
  };
}
