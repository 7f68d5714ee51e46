import { placeItems } from './placeItems.js';
import type { GridArea } from '../../geometry/area.js';

/** What asks for a place. Lines are 1-based; null is `auto`. Spans are clamped to the columns. */
export interface PlacementItem {
  readonly column: number | null;
  readonly row: number | null;
  readonly columnSpan: number;
  readonly rowSpan: number;
}

/**
 * The grid item placement algorithm for row flow (CSS Grid 2, section 8.5) in a grid that never grows
 * sideways.
 *
 * @param columns number of columns, at least 1; a wider span or a line beyond it is pulled in
 * @returns the areas, in the order of `items`
 */
export function placeInColumns(
  items: readonly PlacementItem[],
  columns: number,
  flow: 'sparse' | 'dense',
): GridArea[] {
  const wishes = items.map((item) => {
    const { column, row, columnSpan, rowSpan } = clampItem(item, columns);
    return {
      column: { start: column === null ? null : column - 1, span: columnSpan },
      row: { start: row === null ? null : row - 1, span: rowSpan },
    };
  });
  const placed = placeItems(wishes, {
    explicitColumns: columns,
    explicitRows: 0,
    flowAxis: 'row',
    dense: flow === 'dense',
    bound: columns,
  });
  return items.map((_, k) => ({
    column: (placed.columnStart[k] as number) + 1,
    row: (placed.rowStart[k] as number) + 1,
    columnSpan: placed.columnSpan[k] as number,
    rowSpan: placed.rowSpan[k] as number,
  }));
}

/** Spans no wider than the grid, lines no further than where the span still fits. */
function clampItem(item: PlacementItem, columns: number): PlacementItem {
  const columnSpan = Math.min(item.columnSpan, columns);
  const column = item.column === null ? null : Math.min(item.column, columns - columnSpan + 1);
  return { column, row: item.row, columnSpan, rowSpan: item.rowSpan };
}
