/** How many columns and rows a tile takes. */
export interface Span {
  readonly columns: number;
  readonly rows: number;
}

/** Cells that a tile held in place takes; 0-based. */
export interface HeldCells extends Span {
  readonly column: number;
  readonly row: number;
}

/** What may come into the next empty cell: a waiting tile, with a span it may have. */
export interface Choice extends Span {
  /** Index of the tile among those that wait for a place. */
  readonly tile: number;
  /** What the choice costs; a search spends at most its budget. Whole numbers, 0 or more. */
  readonly cost: number;
}

export interface FillOptions {
  readonly columns: number;
  readonly held: readonly HeldCells[];
  /** Number of tiles that flow. */
  readonly count: number;
  /**
   * The choices for an empty cell, best first.
   * @param isPlaced 1 for tiles that have a place
   * @param placed how many those are
   * @param room free cells in the row from the empty one on
   */
  readonly choices: (isPlaced: Uint8Array, placed: number, room: number) => Iterable<Choice>;
  readonly budget: number;
  /** How many cells may be tried before the search gives up. */
  readonly steps: number;
  /** Whether the last row of tiles may end before the grid does; left out: it may not. */
  readonly mayEndEarly?: boolean;
}

export interface FilledCells {
  /** The choices in order; null when there is no way, or none was found in so many steps. */
  readonly choices: readonly Choice[] | null;
  readonly steps: number;
}

/**
 * Fills a grid that grows downwards without a hole: tile after tile comes into the first empty cell,
 * as auto-placement does (CSS Grid 2, section 8.5), and a choice that leads nowhere is taken back.
 * What is found is laid out alike by the browser, dense or sparse.
 */
export function fillCells(options: FillOptions): FilledCells {
  const { columns, held, count, choices, budget, steps, mayEndEarly = false } = options;
  const rows: Uint8Array[] = [];
  const filledIn: number[] = [];
  const rowAt = (row: number): Uint8Array => {
    while (rows.length <= row) {
      rows.push(new Uint8Array(columns));
      filledIn.push(0);
    }
    return rows[row] as Uint8Array;
  };
  const mark = (row: number, column: number, span: Span, by: 1 | -1): void => {
    for (let r = row; r < row + span.rows; r++) {
      const cells = rowAt(r);
      for (let c = column; c < column + span.columns; c++) {
        cells[c] = (cells[c] as number) + by;
        if (cells[c] === (by === 1 ? 1 : 0)) filledIn[r] = (filledIn[r] as number) + by;
      }
    }
  };
  const fits = (row: number, column: number, span: Span): boolean => {
    if (column + span.columns > columns) return false;
    for (let r = row; r < row + span.rows; r++) {
      const cells = rowAt(r);
      for (let c = column; c < column + span.columns; c++) if (cells[c] !== 0) return false;
    }
    return true;
  };
  const lastRow = (): number => {
    let last = rows.length - 1;
    while (last >= 0 && filledIn[last] === 0) last--;
    return last;
  };
  /** Whether what is empty from a row on is one rectangle in the last corner. */
  const endsEarly = (row: number): boolean => {
    const filled = filledIn[row] ?? 0;
    for (let r = row; r <= lastRow(); r++) {
      const cells = rowAt(r);
      if (filledIn[r] !== filled || cells.indexOf(0) !== filled) return false;
    }
    return true;
  };
  for (const each of held) mark(each.row, each.column, each, 1);

  const placed: Choice[] = [];
  const isPlaced = new Uint8Array(count);
  let left = steps;
  const search = (from: number, spent: number): boolean => {
    let row = from;
    while (row < rows.length && filledIn[row] === columns) row++;
    if (placed.length === count) return row > lastRow() || (mayEndEarly && endsEarly(row));
    if (left-- <= 0) return false;
    const cells = rowAt(row);
    let column = 0;
    while (cells[column] !== 0) column++;
    let room = 1;
    while (column + room < columns && cells[column + room] === 0) room++;
    for (const choice of choices(isPlaced, placed.length, room)) {
      if (choice.columns > room || spent + choice.cost > budget || !fits(row, column, choice)) continue;
      mark(row, column, choice, 1);
      placed.push(choice);
      isPlaced[choice.tile] = 1;
      if (search(row, spent + choice.cost)) return true;
      placed.pop();
      isPlaced[choice.tile] = 0;
      mark(row, column, choice, -1);
      if (left <= 0) return false;
    }
    return false;
  };
  const found = search(0, 0);
  return { choices: found ? placed : null, steps: steps - Math.max(0, left) };
}
