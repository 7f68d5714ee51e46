import { movePending, offsetRelative } from '../box/block.js';
import { layoutBox } from '../box/layoutBox.js';
import { blockSum, borderBoxSize, frameOf, inlineSum, isDefinite, resolveSides } from '../box/sizes.js';
import { hasPercent } from '../css/length.js';
import { alignTracks } from './alignTracks.js';
import { alignOf, columnItem, itemInlineSize, justifyOf, rowItem, transfersBlockSize } from './gridItem.js';
import { fillCell } from './fillCell.js';
import { resolveWish } from './lines.js';
import { placeGrid, type AxisPlan, type PlacedGrid } from './placeGrid.js';
import { sizeTracks, type AxisItem } from './sizeTracks.js';
import { edgesOf, gapOf, inheritAxis, isColumnSubgrid, isRowSubgrid, type AxisGeometry } from './subgrid.js';
import { initializeTracks, tracksTotal } from './tracks.js';
import type { Box, Fragment, InheritedAxis } from '../box/box.js';
import type { Area, Constraint, Display, Edges, Filled, Inside, Pending } from '../box/displays.js';
import type { Aligned, BoxStyle, ContentAlignment, GridLine, TrackSizing } from '../box/style.js';

/** The grid layout algorithm (CSS Grid 2, section 12) on numbers. */
export const grid: Display = { inlineSize: gridInlineSize, fill: fillGrid };

/** How wide a grid's columns are by their content alone. */
function gridInlineSize(box: Box, constraint: Constraint, blockSize: number): number {
  const { style } = box;
  const gap = gapOf(style.columnGap, NaN);
  const rowSpace = ownRowSpace(box, blockSize);
  const placed = placeGrid(box, ownColumnSpace(box, gap), rowSpace);
  const measure = (known: Geometries | null) => {
    const tracks = initializeTracks(placed.columns.sizings, NaN, placed.columns.collapsed);
    sizeTracks(tracks, tracks.hasIntrinsic || tracks.hasFlex ? columnItems(placed, gap, known) : [], {
      space: NaN,
      constraint,
      gap,
      minSpace: 0,
      stretches: false,
    });
    const { starts } = alignTracks(tracks, gap, 0, START);
    return { tracks, geometry: { starts, sizes: tracks.base, gap } };
  };
  const { tracks, geometry } = measure(null);
  if (!dependsOnRows(placed, true)) return tracksTotal(tracks, gap);
  const rows = layOutAxis(placed.rows, () => rowItems(placed, geometry, rowSpace.gap), {
    ...rowSpace,
    alignment: style.alignContent,
  });
  return tracksTotal(measure({ columns: geometry, rows: rows.geometry }).tracks, gap);
}

/** The room for columns as far as the grid's own least and greatest width say it. */
function ownColumnSpace({ style }: Box, gap: number) {
  const frame = inlineSum(frameOf(style, NaN));
  const inner = (size: BoxStyle['inlineSize'] | 'none', otherwise: number) =>
    isDefinite(size, NaN) ? borderBoxSize(style, size, NaN, frame) - frame : otherwise;
  return { space: NaN, minSpace: inner(style.minInlineSize, 0), maxSpace: inner(style.maxInlineSize, Infinity), gap };
}

/** The room for rows as far as the grid's own height says it. */
function ownRowSpace({ style }: Box, given: number) {
  const frame = blockSum(frameOf(style, NaN));
  const inner = (size: BoxStyle['blockSize'] | 'none', otherwise: number) =>
    isDefinite(size, NaN) ? borderBoxSize(style, size, NaN, frame) - frame : otherwise;
  const space = Number.isNaN(given) ? inner(style.blockSize, NaN) : given;
  return {
    space,
    minSpace: inner(style.minBlockSize, 0),
    maxSpace: inner(style.maxBlockSize, Infinity),
    gap: gapOf(style.rowGap, space),
  };
}

const START = { at: 'start', safe: false } as const;

/**
 * Whether the rows' sizes make items ask for other columns (CSS Grid 2, section 12.1, step 3).
 * @param isMeasured whether the grid's own width is still being found, so that shares ask for content as well
 */
function dependsOnRows({ items, box, columns, placement }: PlacedGrid, isMeasured: boolean): boolean {
  if (box.inherited?.row) return false;
  return items.some((item, k) => {
    if (item.style.aspectRatio === null && item.children.length === 0) return false;
    const start = placement.columnStart[k] as number;
    const spanned = columns.sizings.slice(start, start + (placement.columnSpan[k] as number));
    // One over several tracks, a flexible one among them, asks for nothing of its content (section 6.6).
    if (!isMeasured && spanned.length > 1 && spanned.some(({ max }) => max.kind === 'fr')) return false;
    return spanned.some((sizing) => asksContent(sizing, isMeasured)) && transfersBlockSize(item, box.style);
  });
}

const asksContent = ({ min, max }: TrackSizing, isMeasured: boolean) =>
  min.kind !== 'length' ||
  (max.kind !== 'length' && max.kind !== 'fr') ||
  (isMeasured && (max.kind === 'fr' || hasPercent(min.value) || hasPercent(max.value)));

const unknownSpace = (gap: number) => ({ space: NaN, minSpace: 0, maxSpace: Infinity, gap });

export function fillGrid(box: Box, inside: Inside): Filled {
  const { style } = box;
  const columnGap = gapOf(style.columnGap, inside.inlineSize, box.inherited?.column?.gap);
  const rowGap = gapOf(style.rowGap, inside.blockSize, box.inherited?.row?.gap);
  const placed = placeGrid(
    box,
    // The tracks of a subgrid are counted before its own width is known.
    { space: box.inherited ? NaN : inside.inlineSize, minSpace: 0, maxSpace: Infinity, gap: columnGap },
    { space: inside.blockSize, minSpace: inside.minBlockSize, maxSpace: inside.maxBlockSize, gap: rowGap },
  );
  const sizeColumns = (known: Geometries | null) =>
    inheritedGeometry(box.inherited?.column) ??
    layOutAxis(placed.columns, () => columnItems(placed, columnGap, known), {
      space: inside.inlineSize,
      minSpace: 0,
      maxSpace: Infinity,
      gap: columnGap,
      alignment: style.justifyContent,
    }).geometry;
  let columns = sizeColumns(null);
  const first = sizeRows(placed, columns, inside, rowGap);
  let { rows } = first;
  const { blockSize } = first;
  if (dependsOnRows(placed, false)) {
    columns = sizeColumns({ columns, rows: first.unresolved });
    // The height stays as the first sizes made it, as it does in browsers.
    ({ rows } = sizeRows(placed, columns, { ...inside, blockSize }, gapOf(style.rowGap, blockSize)));
  }
  return fillCells(placed, columns, rows, inside, blockSize);
}

/** Rows of px in a grid as high as they make it: they are the same at every width. */
const fixedRows = new WeakMap<PlacedGrid, { readonly gap: number; readonly sized: SizedRows }>();
const isPx = ({ min, max }: TrackSizing) =>
  min.kind === 'length' && typeof min.value === 'number' && max.kind === 'length' && typeof max.value === 'number';
const hugsRows = ({ blockSize, minBlockSize, maxBlockSize }: Inside) =>
  Number.isNaN(blockSize) && minBlockSize === 0 && maxBlockSize === Infinity;

interface SizedRows {
  readonly rows: AxisGeometry;
  /** As they were before percentages of the height they make were resolved. */
  readonly unresolved: AxisGeometry;
  readonly blockSize: number;
}

function sizeRows(
  placed: PlacedGrid,
  columns: AxisGeometry,
  inside: Inside,
  rowGap: number,
): SizedRows {
  const { style, inherited } = placed.box;
  const taken = inheritedGeometry(inherited?.row);
  if (taken) {
    const last = taken.starts.length - 1;
    const end = (taken.starts[last] ?? 0) + (taken.sizes[last] ?? 0);
    return { rows: taken, unresolved: taken, blockSize: Number.isNaN(inside.blockSize) ? end : inside.blockSize };
  }
  const known = fixedRows.get(placed);
  if (known && known.gap === rowGap && hugsRows(inside)) return known.sized;
  const items = once(() => rowItems(placed, columns, rowGap));
  const options = {
    space: inside.blockSize,
    minSpace: inside.minBlockSize,
    maxSpace: inside.maxBlockSize,
    gap: rowGap,
    alignment: style.alignContent,
  };
  const first = layOutAxis(placed.rows, items, options);
  const unresolved = first.geometry;
  if (!Number.isNaN(inside.blockSize)) return { rows: unresolved, unresolved, blockSize: inside.blockSize };
  const blockSize = Math.max(inside.minBlockSize, Math.min(first.total, inside.maxBlockSize));
  if (inherited || !needsBlockSize(placed.rows, style.rowGap)) {
    const sized = { rows: unresolved, unresolved, blockSize };
    if (hugsRows(inside) && placed.rows.sizings.every(isPx)) fixedRows.set(placed, { gap: rowGap, sized });
    return sized;
  }
  // Percentages counted as automatic, and shares as what their content needs; now the height is known.
  const gap = gapOf(style.rowGap, blockSize);
  const again = { ...options, space: blockSize, gap };
  const rows = layOutAxis(placed.rows, () => rowItems(placed, columns, gap), again).geometry;
  return { rows, unresolved, blockSize };
}

const once = <T>(work: () => T): (() => T) => {
  let known: T | undefined;
  return () => (known ??= work());
};

const inheritedGeometry = (axis: InheritedAxis | null | undefined): AxisGeometry | null =>
  axis?.geometry ? { ...axis.geometry, gap: axis.gap } : null;

function needsBlockSize({ sizings }: AxisPlan, gap: Box['style']['rowGap']): boolean {
  if (typeof gap === 'object' && hasPercent(gap)) return true;
  return sizings.some(
    ({ min, max, limit }) =>
      max.kind === 'fr' ||
      (min.kind === 'length' && hasPercent(min.value)) ||
      (max.kind === 'length' && hasPercent(max.value)) ||
      (limit !== null && hasPercent(limit)),
  );
}

interface AxisOptions {
  readonly space: number;
  readonly minSpace: number;
  readonly maxSpace: number;
  readonly gap: number;
  readonly alignment: Aligned<ContentAlignment>;
}

/** Sizes and aligns the tracks of one axis; `total` is their sum with the gutters. */
function layOutAxis(
  plan: AxisPlan,
  items: () => readonly AxisItem[],
  { space, minSpace, maxSpace, gap, alignment }: AxisOptions,
): { readonly geometry: AxisGeometry; readonly total: number } {
  const tracks = initializeTracks(plan.sizings, space, plan.collapsed);
  const asks = tracks.hasIntrinsic || (tracks.hasFlex && Number.isNaN(space));
  sizeTracks(tracks, asks ? items() : [], {
    space,
    constraint: 'none',
    gap,
    minSpace,
    stretches: alignment.at === 'normal' || alignment.at === 'stretch',
  });
  const total = tracksTotal(tracks, gap);
  const size = Number.isNaN(space) ? Math.max(minSpace, Math.min(total, maxSpace)) : space;
  const { starts, between } = alignTracks(tracks, gap, size - total, alignment);
  return { geometry: { starts, sizes: tracks.base, gap: between }, total };
}

/** The tracks as a first pass sized them. */
interface Geometries {
  readonly columns: AxisGeometry;
  readonly rows: AxisGeometry;
}

/**
 * Every item as it asks for columns; the items of subgrids ask in place of these.
 * @param known the tracks of a first pass, for items whose width comes from their height; else null
 */
function columnItems(placed: PlacedGrid, gap: number, known: Geometries | null): AxisItem[] {
  const { items, placement, box } = placed;
  const asking: AxisItem[] = [];
  items.forEach((item, k) => {
    const start = placement.columnStart[k] as number;
    const span = placement.columnSpan[k] as number;
    const rowArea = () => areaSize(known?.rows as AxisGeometry, placement.rowStart[k] as number, placement.rowSpan[k] as number);
    if (!isColumnSubgrid(item)) {
      const transfers = known !== null && transfersBlockSize(item, box.style);
      const whole = isRowSubgrid(item) ? subgridBox(placed, k, gap, gap, null, null, NaN) : item;
      asking.push(columnItem(whole, start, span, gap, transfers ? rowArea() : NaN));
      return;
    }
    const inner = placeSubgrid(placed, k, gap, null, null, NaN);
    const own = gapOf(item.style.columnGap, NaN, gap);
    const innerKnown = known && dependsOnRows(inner, false) ? subgridTracks(placed, k, gap, known, rowArea()) : null;
    asking.push(...nested(columnItems(inner, own, innerKnown), start, span, edgesOf(item, 'column', NaN), (own - gap) / 2));
  });
  return asking;
}

/** The tracks of a subgrid when those around it are known. */
function subgridTracks(placed: PlacedGrid, k: number, gap: number, { columns, rows }: Geometries, rowArea: number): Geometries {
  const { placement } = placed;
  const area = areaSize(columns, placement.columnStart[k] as number, placement.columnSpan[k] as number);
  const inner = placeSubgrid(placed, k, gap, columns, rows, area);
  const innerColumns = columnsOfSubgrid(inner, subgridWidth(inner.box, placed.box.style, area));
  const inside: Inside = {
    inlineSize: area,
    blockSize: Math.max(0, rowArea - sum(edgesOf(inner.box, 'row', area))),
    minBlockSize: 0,
    maxBlockSize: Infinity,
    frame: [0, 0, 0, 0],
    collapses: [false, false],
  };
  return { columns: innerColumns, rows: sizeRows(inner, innerColumns, inside, gapOf(inner.box.style.rowGap, NaN, gap)).unresolved };
}

/** Every item as it asks for rows, given the columns. */
function rowItems(placed: PlacedGrid, columns: AxisGeometry, gap: number): AxisItem[] {
  const { items, placement, box } = placed;
  const asking: AxisItem[] = [];
  items.forEach((item, k) => {
    const start = placement.rowStart[k] as number;
    const span = placement.rowSpan[k] as number;
    const area = areaSize(columns, placement.columnStart[k] as number, placement.columnSpan[k] as number);
    if (!isRowSubgrid(item)) {
      asking.push(rowItem(withColumns(placed, k, columns, area), start, span, gap, area, box.style));
      return;
    }
    const inner = placeSubgrid(placed, k, gap, columns, null, area);
    const innerColumns = columnsOfSubgrid(inner, subgridWidth(item, box.style, area));
    const own = gapOf(item.style.rowGap, NaN, gap);
    asking.push(
      ...nested(rowItems(inner, innerColumns, own), start, span, edgesOf(item, 'row', NaN), (own - gap) / 2),
    );
  });
  return asking;
}

const areaSize = ({ starts, sizes }: AxisGeometry, start: number, span: number) => {
  const last = start + span - 1;
  return (starts[last] as number) + (sizes[last] as number) - (starts[start] as number);
};

/** An item with the columns it takes over, if it is a subgrid in that axis. */
function withColumns(placed: PlacedGrid, k: number, columns: AxisGeometry, basis: number): Box {
  const item = placed.items[k] as Box;
  if (!isColumnSubgrid(item)) return item;
  const { placement } = placed;
  const column = inheritAxis({
    box: item,
    axis: 'column',
    plan: placed.columns,
    start: placement.columnStart[k] as number,
    span: placement.columnSpan[k] as number,
    outerGap: columns.gap,
    geometry: columns,
    basis,
  });
  return { ...item, inherited: { of: item, column, row: null } };
}

/** A subgrid with its items placed; geometries are null while the outer tracks are still being sized. */
function placeSubgrid(
  placed: PlacedGrid,
  k: number,
  gap: number,
  columns: AxisGeometry | null,
  rows: AxisGeometry | null,
  basis: number,
): PlacedGrid {
  const box = subgridBox(placed, k, gap, gap, columns, rows, basis);
  const unknown = unknownSpace(0);
  const space = Number.isNaN(basis) ? unknown : { ...unknown, space: Math.max(0, basis - sum(edgesOf(box, 'column', basis))) };
  return placeGrid(box, space, unknown);
}

const sum = ([a, b]: readonly [number, number]) => a + b;

/** A subgrid together with all it takes over from the grid around it. */
function subgridBox(
  placed: PlacedGrid,
  k: number,
  columnGap: number,
  rowGap: number,
  columns: AxisGeometry | null,
  rows: AxisGeometry | null,
  basis: number,
): Box {
  const { placement } = placed;
  const item = placed.items[k] as Box;
  const column = isColumnSubgrid(item)
    ? inheritAxis({
        box: item,
        axis: 'column',
        plan: placed.columns,
        start: placement.columnStart[k] as number,
        span: placement.columnSpan[k] as number,
        outerGap: columns?.gap ?? columnGap,
        geometry: columns,
        basis,
      })
    : null;
  const row = isRowSubgrid(item)
    ? inheritAxis({
        box: item,
        axis: 'row',
        plan: placed.rows,
        start: placement.rowStart[k] as number,
        span: placement.rowSpan[k] as number,
        outerGap: rows?.gap ?? rowGap,
        geometry: rows,
        basis,
      })
    : null;
  return { ...item, inherited: { of: item, column, row } };
}

/** Width of a subgrid of rows in its columns, border box and margins. */
function subgridWidth(item: Box, container: BoxStyle, area: number): number {
  if (isColumnSubgrid(item)) return area;
  const space = { inline: area, block: NaN, inlineSize: NaN, blockSize: NaN };
  const margin = inlineSum(resolveSides(item.style.margin, area));
  return itemInlineSize(item, space, justifyOf(item.style, container)) + margin;
}

/** The columns of a subgrid whose rows alone are taken over, or those that it takes over as well. */
function columnsOfSubgrid(inner: PlacedGrid, area: number): AxisGeometry {
  const { box } = inner;
  const taken = inheritedGeometry(box.inherited?.column);
  if (taken) return taken;
  const space = Math.max(0, area - sum(edgesOf(box, 'column', area)));
  const gap = gapOf(box.style.columnGap, space);
  return layOutAxis(inner.columns, () => columnItems(inner, gap, null), {
    space,
    minSpace: 0,
    maxSpace: Infinity,
    gap,
    alignment: box.style.justifyContent,
  }).geometry;
}

/**
 * Items of a subgrid as items of the grid around it: their contributions grow by the subgrid's edges
 * where they touch these, and by half of the difference of the gaps elsewhere.
 */
function nested(
  items: readonly AxisItem[],
  start: number,
  span: number,
  [before, after]: readonly [number, number],
  half: number,
): AxisItem[] {
  const inner = items.map((item): AxisItem => {
    const extra =
      (item.start === 0 ? before : half) + (item.start + item.span === span ? after : half);
    return {
      start: start + item.start,
      span: item.span,
      minContent: () => Math.max(0, item.minContent() + extra),
      maxContent: () => Math.max(0, item.maxContent() + extra),
      minimum: (tracks, at, more) => Math.max(0, item.minimum(tracks, at, more + extra)),
    };
  });
  // The subgrid itself counts as empty, but for its edges in the outermost tracks.
  const edge = (at: number, size: number) => {
    if (size === 0) return;
    const ask = () => size;
    inner.push({ start: at, span: 1, isEdge: true, minContent: ask, maxContent: ask, minimum: ask });
  };
  if (span === 1) edge(start, before + after);
  else {
    edge(start, before);
    edge(start + span - 1, after);
  }
  return inner;
}

const NOTHING: readonly never[] = [];

function fillCells(
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
    const whole = isSubgrid ? subgridBox(placed, k, columns.gap, rows.gap, columns, rows, area.inlineSize) : item;
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
    const [inlineStart, inlineEnd] = lineEdges(style.columnStart, style.columnEnd, placed.columns, columns, 0);
    const [blockStart, blockEnd] = lineEdges(style.rowStart, style.rowEnd, placed.rows, rows, frame[0]);
    const mirror = (edge: number) => frame[3] + inside.inlineSize - edge;
    return rtl
      ? { inlineStart: mirror(inlineEnd), inlineEnd: mirror(inlineStart), blockStart, blockEnd }
      : { inlineStart: frame[3] + inlineStart, inlineEnd: frame[3] + inlineEnd, blockStart, blockEnd };
  };
  return { blockSize, children, pending, areaOf };
}

/** The edges between two lines of an absolutely placed child; NaN for `auto`, the padding edge (section 9.1). */
function lineEdges(
  start: GridLine,
  end: GridLine,
  { lines, before }: AxisPlan,
  { starts, sizes }: AxisGeometry,
  origin: number,
): [number, number] {
  const count = starts.length;
  if (start.kind !== 'line' && start.kind !== 'name' && end.kind !== 'line' && end.kind !== 'name') return [NaN, NaN];
  const wish = resolveWish(start, end, lines);
  if (wish.start === null) return [NaN, NaN];
  const from = wish.start + before;
  const to = from + wish.span;
  const first = start.kind === 'auto' || from < 0 || from > count ? NaN : origin + (starts[from] ?? edge(count - 1));
  const last = end.kind === 'auto' || to < 0 || to > count ? NaN : to === 0 ? origin : origin + edge(to - 1);
  return [first, last];

  function edge(k: number): number {
    return (starts[k] ?? 0) + (sizes[k] ?? 0);
  }
}
