import type { GridArea } from './area.js';

const acrossRows = (a: GridArea, b: GridArea) => a.row < b.row + b.rowSpan && b.row < a.row + a.rowSpan;
const acrossColumns = (a: GridArea, b: GridArea) =>
  a.column < b.column + b.columnSpan && b.column < a.column + a.columnSpan;

/** Whether two areas are of the same cells. */
export const areSame = (a: GridArea, b: GridArea): boolean =>
  a.column === b.column && a.row === b.row && a.columnSpan === b.columnSpan && a.rowSpan === b.rowSpan;

/** Whether two areas have a cell in common. */
export const areasMeet = (a: GridArea, b: GridArea): boolean => acrossRows(a, b) && acrossColumns(a, b);

/** Whether two areas share an edge. */
export const areasTouch = (a: GridArea, b: GridArea): boolean =>
  (acrossRows(a, b) && (a.column + a.columnSpan === b.column || b.column + b.columnSpan === a.column)) ||
  (acrossColumns(a, b) && (a.row + a.rowSpan === b.row || b.row + b.rowSpan === a.row));
