import {
  countsBackwards,
  edgesOf,
  inheritAxis,
  isColumnSubgrid,
  isRowSubgrid,
  type AxisGeometry,
} from './subgrid.js';
import { gapOf } from '../css/gap.js';
import { placeGrid, type PlacedGrid } from './placeGrid.js';
import { unknownSpace } from './axis.js';
import type { Box } from '../box/box.js';

type Axis = 'column' | 'row';

/** What a subgrid takes over along an axis from the grid around it. */
function inheritedAxis(
  placed: PlacedGrid,
  k: number,
  axis: Axis,
  geometry: AxisGeometry | null,
  gap: number,
  basis: number,
) {
  const { placement } = placed;
  const item = placed.items[k] as Box;
  const [starts, spans] =
    axis === 'column'
      ? [placement.columnStart, placement.columnSpan]
      : [placement.rowStart, placement.rowSpan];
  return inheritAxis({
    box: item,
    axis,
    isReversed: countsBackwards(item, placed.box, axis),
    plan: axis === 'column' ? placed.columns : placed.rows,
    start: starts[k] as number,
    span: spans[k] as number,
    outerGap: geometry?.gap ?? gap,
    geometry,
    basis,
  });
}

/** An item with the columns it takes over, if it is a subgrid in that axis. */
export function withColumns(placed: PlacedGrid, k: number, columns: AxisGeometry, basis: number): Box {
  const item = placed.items[k] as Box;
  if (!isColumnSubgrid(item)) return item;
  const column = inheritedAxis(placed, k, 'column', columns, columns.gap, basis);
  return { ...item, inherited: { of: item, column, row: null, widthBefore: NaN } };
}

/** A subgrid with its items placed; geometries are null while the outer tracks are still being sized. */
export function placeSubgrid(
  placed: PlacedGrid,
  k: number,
  gap: number,
  columns: AxisGeometry | null,
  rows: AxisGeometry | null,
  basis: number,
): PlacedGrid {
  const box = subgridBox(placed, k, gap, gap, columns, rows, basis);
  const unknown = unknownSpace(0);
  const space = Number.isNaN(basis)
    ? unknown
    : { ...unknown, space: Math.max(0, basis - sum(edgesOf(box, 'column', basis))) };
  return placeGrid(box, space, unknown);
}

/** Both of a pair together. */
export const sum = ([a, b]: readonly [number, number]) => a + b;

/** A subgrid together with all it takes over from the grid around it. */
export function subgridBox(
  placed: PlacedGrid,
  k: number,
  columnGap: number,
  rowGap: number,
  columns: AxisGeometry | null,
  rows: AxisGeometry | null,
  basis: number,
): Box {
  const item = placed.items[k] as Box;
  const column = isColumnSubgrid(item) ? inheritedAxis(placed, k, 'column', columns, columnGap, basis) : null;
  const row = isRowSubgrid(item) ? inheritedAxis(placed, k, 'row', rows, rowGap, basis) : null;
  return { ...item, inherited: { of: item, column, row, widthBefore: widthBefore(placed, k) } };
}

/** The inner width of a subgrid of rows as far as it is known before any column is sized; else NaN. */
function widthBefore({ items, columns, placement, box }: PlacedGrid, k: number): number {
  const item = items[k] as Box;
  if (isColumnSubgrid(item)) return NaN;
  const start = placement.columnStart[k] as number;
  const span = placement.columnSpan[k] as number;
  let sum = (span - 1) * gapOf(box.style.columnGap, NaN);
  for (const { min, max, fitLimit: limit } of columns.sizings.slice(start, start + span)) {
    if (min.kind !== 'length' || max.kind !== 'length' || limit !== null) return NaN;
    if (typeof min.value !== 'number' || min.value !== max.value) return NaN;
    sum += min.value;
  }
  return Math.max(0, sum - edgesOf(item, 'column', sum).reduce((a, b) => a + b));
}
