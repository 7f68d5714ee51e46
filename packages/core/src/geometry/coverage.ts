import type { GridArea } from './area.js';

export interface Coverage {
  /** All cells of the grid. */
  readonly cells: number;
  /** Cells under at least one tile. */
  readonly covered: number;
  /** Cells under more than one tile. */
  readonly overlapping: number;
  /** Uncovered runs of cells, as rectangles that do not overlap, from the top left. */
  readonly holes: readonly GridArea[];
}

/** Which cells of a grid of `columns` × `rows` the areas cover, and the holes they leave. */
export function coverage(areas: readonly GridArea[], columns: number, rows: number): Coverage {
  const counts = new Uint16Array(columns * rows);
  for (const area of areas) {
    for (let row = area.row; row < area.row + area.rowSpan && row <= rows; row++) {
      const start = (row - 1) * columns + area.column - 1;
      for (let k = start; k < start + area.columnSpan; k++) counts[k] = (counts[k] ?? 0) + 1;
    }
  }
  let covered = 0;
  let overlapping = 0;
  for (const count of counts) {
    if (count > 0) covered++;
    if (count > 1) overlapping++;
  }
  return { cells: counts.length, covered, overlapping, holes: holesIn(counts, columns, rows) };
}

/** Packed: covered cells ÷ all cells, 0 to 1; 1 for a grid without cells. */
export function packed({ cells, covered }: Coverage): number {
  return cells === 0 ? 1 : covered / cells;
}

/** Runs of empty cells, row by row, each grown downwards while the row below has the same run. */
function holesIn(counts: Uint16Array, columns: number, rows: number): GridArea[] {
  const holes: GridArea[] = [];
  const open = new Map<string, { column: number; row: number; columnSpan: number; rowSpan: number }>();
  for (let row = 1; row <= rows; row++) {
    const seen = new Set<string>();
    for (let column = 1; column <= columns; column++) {
      const at = (c: number) => counts[(row - 1) * columns + c - 1];
      if (at(column) !== 0) continue;
      let end = column;
      while (end < columns && at(end + 1) === 0) end++;
      const key = `${column}-${end}`;
      seen.add(key);
      const above = open.get(key);
      if (above) above.rowSpan++;
      else {
        const hole = { column, row, columnSpan: end - column + 1, rowSpan: 1 };
        open.set(key, hole);
        holes.push(hole);
      }
      column = end;
    }
    for (const key of open.keys()) if (!seen.has(key)) open.delete(key);
  }
  return holes;
}
