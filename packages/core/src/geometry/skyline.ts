/** The lower edge of a grid that is filled from the top: how far down each column is filled, in cells. */
export type Skyline = ArrayLike<number> & Iterable<number>;

/** The first free cells of a skyline; 0-based. */
export interface Gap {
  readonly column: number;
  readonly row: number;
  /** How many columns beside each other end there, from the first on. */
  readonly columns: number;
}

/**
 * The lowest gap of a skyline, the first of them where there are several: where auto-placement goes on
 * (CSS Grid 2, section 8.5).
 * @param heights filled cells of each column, one or more
 * @param isTaken whether a cell is held by something else; the gap ends before it
 */
export function lowestGap(heights: Skyline, isTaken?: (column: number, row: number) => boolean): Gap {
  let column = 0;
  for (let c = 1; c < heights.length; c++)
    if ((heights[c] as number) < (heights[column] as number)) column = c;
  const row = heights[column] as number;
  let columns = 1;
  while (
    column + columns < heights.length &&
    heights[column + columns] === row &&
    isTaken?.(column + columns, row) !== true
  )
    columns++;
  return { column, row, columns };
}

/** How uneven a skyline is: its highest column less its lowest, cells. */
export function unevenness(heights: Skyline): number {
  let [low, high] = [Infinity, 0];
  for (const height of heights) {
    low = Math.min(low, height);
    high = Math.max(high, height);
  }
  return heights.length === 0 ? 0 : high - low;
}
