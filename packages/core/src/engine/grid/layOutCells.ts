import { movePending, offsetRelative } from '../box/block.js';
import { layoutBox } from '../box/layoutBox.js';
import { alignOf, justifyOf } from './gridItem.js';
import { fillCell } from './fillCell.js';
import { resolveWish } from './lines.js';
import { type AxisPlan, type PlacedGrid } from './placeGrid.js';
import { isColumnSubgrid, isRowSubgrid, type AxisGeometry } from './subgrid.js';
import type { Box, Fragment, Inside } from '../box/box.js';
import type { Area, Edges, Filled, Pending } from '../box/displays.js';
import type { GridLine } from '../box/style.js';
import { subgridBox } from './subgridBox.js';

const NOTHING: readonly never[] = [];

export function layOutCells(
  placed: PlacedGrid,
  columns: AxisGeometry,
  rows: AxisGeometry,
  inside: Inside,
  blockSize: number,
): Filled {
  const { box, items, placement, plain } = placed;
  const { frame } = inside;
  const { columnStart, columnSpan, rowStart, rowSpan } = placement;
  const rtl = box.style.direction === 'rtl';
  const children: Fragment[] = new Array<Fragment>(items.length);
  const pending: Pending[] = [];
  for (let k = 0; k < items.length; k++) {
    const item = items[k] as Box;
    const column = columnStart[k] as number;
    const row = rowStart[k] as number;
    const start = columns.starts[column] as number;
    const y = rows.starts[row] as number;
    const lastColumn = column + (columnSpan[k] as number) - 1;
    const lastRow = row + (rowSpan[k] as number) - 1;
    const inlineSize = (columns.starts[lastColumn] as number) + (columns.sizes[lastColumn] as number) - start;
    if (plain[k] === 1) {
      const x = frame[3] + (rtl ? inside.inlineSize - start - inlineSize : start);
      const blockSize = (rows.starts[lastRow] as number) + (rows.sizes[lastRow] as number) - y;
      children[k] = { box: item, x, y: frame[0] + y, inlineSize, blockSize, children: NOTHING };
      continue;
    }
    const area: Area = {
      x: frame[3] + (rtl ? inside.inlineSize - start - inlineSize : start),
      y: frame[0] + y,
      inlineSize,
      blockSize: (rows.starts[lastRow] as number) + (rows.sizes[lastRow] as number) - y,
    };
    const isSubgrid = isColumnSubgrid(item) || isRowSubgrid(item);
    const whole = isSubgrid
      ? subgridBox(placed, k, columns.gap, rows.gap, columns, rows, area.inlineSize)
      : item;
    const laid = fillCell(whole, area, box.style, layoutBox);
    offsetRelative(laid.fragment, area.inlineSize, area.blockSize);
    children[k] = laid.fragment;
    if (laid.pending.length > 0) pending.push(...movePending(laid.pending, laid.fragment));
  }
  for (const child of box.children) {
    if (child.style.position !== 'absolute') continue;
    pending.push({
      box: child,
      at: { x: frame[3], y: frame[0], inlineSize: inside.inlineSize, blockSize },
      justify: justifyOf(child.style, box.style),
      align: alignOf(child.style, box.style),
      rtl,
    });
  }
  const areaOf = ({ style }: Box): Edges => {
    const [inlineStart, inlineEnd] = lineEdges(
      style.columnStart,
      style.columnEnd,
      placed.columns,
      columns,
      0,
    );
    const [blockStart, blockEnd] = lineEdges(style.rowStart, style.rowEnd, placed.rows, rows, frame[0]);
    const mirror = (edge: number) => frame[3] + inside.inlineSize - edge;
    return rtl
      ? { inlineStart: mirror(inlineEnd), inlineEnd: mirror(inlineStart), blockStart, blockEnd }
      : { inlineStart: frame[3] + inlineStart, inlineEnd: frame[3] + inlineEnd, blockStart, blockEnd };
  };
  const tracks = {
    columnStarts: columns.starts.map((start) => frame[3] + start),
    columnSizes: columns.sizes,
    rowStarts: rows.starts.map((start) => frame[0] + start),
    rowSizes: rows.sizes,
  };
  return { blockSize, children, pending, areaOf, tracks };
}

/** The edges between two lines of an absolutely placed child; NaN for `auto`, the padding edge (section 9.1). */
function lineEdges(
  start: GridLine,
  end: GridLine,
  { lines, before }: AxisPlan,
  { starts, sizes, origin: aligned = 0 }: AxisGeometry,
  origin: number,
): [number, number] {
  const count = starts.length;
  const edge = (k: number) => (starts[k] ?? aligned) + (sizes[k] ?? 0);
  if (start.kind !== 'line' && start.kind !== 'name' && end.kind !== 'line' && end.kind !== 'name')
    return [NaN, NaN];
  const wish = resolveWish(start, end, lines);
  if (wish.start === null) return [NaN, NaN];
  const from = wish.start + before;
  const to = from + wish.span;
  const first =
    start.kind === 'auto' || from < 0 || from > count ? NaN : origin + (starts[from] ?? edge(count - 1));
  const last =
    end.kind === 'auto' || to < 0 || to > count
      ? NaN
      : to === 0
        ? origin + (starts[0] ?? aligned)
        : origin + edge(to - 1);
  return [first, last];
}
