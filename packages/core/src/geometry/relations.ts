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

/** A cell by its lines, 1-based. */
type Cell = Pick<GridArea, 'column' | 'row'>;

/** Whether an area has a cell. */
export const hasCell = (area: GridArea, { column, row }: Cell): boolean =>
  areasMeet(area, { column, row, columnSpan: 1, rowSpan: 1 });

/** Whether a cell comes before another one, row by row. */
export const isBefore = (a: Cell, b: Cell): boolean =>
  a.row < b.row || (a.row === b.row && a.column < b.column);
