/** What asks for a place. Lines are 1-based; null is `auto`. Spans are clamped to the columns. */
export interface PlacementItem {
  readonly column: number | null;
  readonly row: number | null;
  readonly columnSpan: number;
  readonly rowSpan: number;
}

/** The cells an item got: its first column and row line, 1-based, and how many it spans. */
export interface GridArea {
  readonly column: number;
  readonly row: number;
  readonly columnSpan: number;
  readonly rowSpan: number;
}

/** Which cells are taken, row by row; grows downwards. */
class Occupancy {
  private readonly rows: Uint8Array[] = [];

  constructor(private readonly columns: number) {}

  /** The first column at or after `from` where the area is free in `row`, or 0. */
  firstFree(row: number, from: number, area: { columnSpan: number; rowSpan: number }): number {
    for (let column = from; column + area.columnSpan - 1 <= this.columns; column++) {
      const blocked = this.lastTaken(row, column, area);
      if (blocked === 0) return column;
      column = blocked;
    }
    return 0;
  }

  isFull(row: number): boolean {
    return this.rows[row - 1]?.every((taken) => taken === 1) ?? false;
  }

  take(area: GridArea): void {
    for (let row = area.row; row < area.row + area.rowSpan; row++) {
      while (this.rows.length < row) this.rows.push(new Uint8Array(this.columns));
      this.rows[row - 1]?.fill(1, area.column - 1, area.column - 1 + area.columnSpan);
    }
  }

  /** The last taken column within the area, or 0 when all of it is free. */
  private lastTaken(row: number, column: number, area: { columnSpan: number; rowSpan: number }): number {
    let last = 0;
    const end = Math.min(row + area.rowSpan - 1, this.rows.length);
    for (let r = row; r <= end; r++) {
      const taken = this.rows[r - 1] as Uint8Array;
      for (let c = column + area.columnSpan - 1; c >= column && c > last; c--) {
        if (taken[c - 1] === 1) last = c;
      }
    }
    return last;
  }
}

/**
 * The grid item placement algorithm for row flow (CSS Grid 2, section 8.5): first the items held at
 * a cell, then those held in a row, then the rest in order, with a cursor (sparse) or from the top
 * each time (dense).
 *
 * @param columns number of columns, at least 1; a wider span or a line beyond it is pulled in
 * @returns the areas, in the order of `items`
 */
export function placeItems(
  items: readonly PlacementItem[],
  columns: number,
  flow: 'sparse' | 'dense',
): GridArea[] {
  const taken = new Occupancy(columns);
  const areas: (GridArea | undefined)[] = items.map(() => undefined);
  const settle = (index: number, area: GridArea) => {
    areas[index] = area;
    taken.take(area);
  };
  const wishes = items.map((item) => clampItem(item, columns));

  wishes.forEach((wish, index) => {
    if (wish.column !== null && wish.row !== null) {
      settle(index, { ...wish, column: wish.column, row: wish.row });
    }
  });
  wishes.forEach((wish, index) => {
    if (wish.column !== null || wish.row === null) return;
    const column = taken.firstFree(wish.row, 1, wish) || 1;
    settle(index, { ...wish, column, row: wish.row });
  });

  let cursor = { column: 1, row: 1 };
  let firstOpenRow = 1;
  wishes.forEach((wish, index) => {
    if (areas[index]) return;
    if (flow === 'dense') {
      while (taken.isFull(firstOpenRow)) firstOpenRow++;
      cursor = { column: 1, row: firstOpenRow };
    }
    let { column, row } = cursor;
    if (wish.column !== null) {
      if (flow === 'sparse' && wish.column < column) row++;
      while (taken.firstFree(row, wish.column, wish) !== wish.column) row++;
      column = wish.column;
    } else {
      let found = taken.firstFree(row, column, wish);
      while (found === 0) found = taken.firstFree(++row, 1, wish);
      column = found;
    }
    cursor = { column, row };
    settle(index, { ...wish, column, row });
  });
  return areas as GridArea[];
}

/** Spans no wider than the grid, lines no further than where the span still fits. */
function clampItem(item: PlacementItem, columns: number): PlacementItem {
  const columnSpan = Math.min(item.columnSpan, columns);
  const column = item.column === null ? null : Math.min(item.column, columns - columnSpan + 1);
  return { column, row: item.row, columnSpan, rowSpan: item.rowSpan };
}
