import { frameOf, inlineSum, resolveSides } from '../box/sizes.js';
import { hasPercent } from '../css/length.js';
import { columnItem, itemInlineSize, justifyOf, rowItem, transfersBlockSize } from './gridItem.js';
import { placeGrid, type PlacedGrid } from './placeGrid.js';
import { type AxisItem } from './axisItem.js';
import { nested } from './nested.js';
import { placeSubgrid, subgridBox, sum, withColumns } from './subgridBox.js';
import { FIXED, initializeTracks } from './tracks.js';
import {
  countsBackwards,
  edgesOf,
  definiteInlineSize,
  isColumnSubgrid,
  isRowSubgrid,
  type AxisGeometry,
} from './subgrid.js';
import { gapOf } from '../css/gap.js';
import type { Box, Inside } from '../box/box.js';

import type { BoxStyle, TrackSizingFunction } from '../box/style.js';
import { layOutAxis, areaSize, once, unknownSpace, inheritedGeometry, needsBlockSize } from './axis.js';

/**
 * Whether the rows' sizes make items ask for other columns (CSS Grid 2, section 12.1, step 3).
 * @param isMeasured whether the grid's own width is still being found, so that shares ask for content as well
 */
export function dependsOnRows({ items, box, columns, placement }: PlacedGrid, isMeasured: boolean): boolean {
  if (box.inherited?.row) return false;
  return items.some((item, k) => {
    if (item.style.aspectRatio === null && item.children.length === 0) return false;
    const start = placement.columnStart[k] as number;
    const spanned = columns.sizings.slice(start, start + (placement.columnSpan[k] as number));
    // One over several tracks, a flexible one among them, asks automatic ones for nothing (section 6.6).
    const overFlexible = spanned.length > 1 && spanned.some(({ max }) => max.kind === 'fr');
    const asksByName = spanned.some(({ min }) => min.kind === 'min-content' || min.kind === 'max-content');
    if (!isMeasured && overFlexible && !asksByName) return false;
    return spanned.some((sizing) => asksContent(sizing, isMeasured)) && transfersBlockSize(item, box.style);
  });
}

const asksContent = ({ min, max }: TrackSizingFunction, isMeasured: boolean) =>
  min.kind !== 'length' ||
  (max.kind !== 'length' && max.kind !== 'fr') ||
  (isMeasured && (max.kind === 'fr' || hasPercent(min.value) || hasPercent(max.value)));

/** Rows of px in a grid as high as they make it: they are the same at every width. */
const fixedRows = new WeakMap<PlacedGrid, { readonly gap: number; readonly sized: SizedRows }>();
const isPx = ({ min, max }: TrackSizingFunction) =>
  min.kind === 'length' &&
  typeof min.value === 'number' &&
  max.kind === 'length' &&
  typeof max.value === 'number';
const hugsRows = ({ blockSize, minBlockSize, maxBlockSize }: Inside) =>
  Number.isNaN(blockSize) && minBlockSize === 0 && maxBlockSize === Infinity;

export interface SizedRows {
  readonly rows: AxisGeometry;
  /** As they were before percentages of the height they make were resolved. */
  readonly unresolved: AxisGeometry;
  readonly blockSize: number;
}

export function sizeRows(
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
    return {
      rows: taken,
      unresolved: taken,
      blockSize: Number.isNaN(inside.blockSize) ? end : inside.blockSize,
    };
  }
  const known = fixedRows.get(placed);
  if (known?.gap === rowGap && hugsRows(inside)) return known.sized;
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

/** The tracks as a first pass sized them. */
export interface Geometries {
  readonly columns: AxisGeometry;
  readonly rows: AxisGeometry;
}

/** What is known of the rows before columns are sized: those of a first pass, or the room there is for rows. */
export type RowsBefore =
  { readonly tracks: Geometries } | { readonly tracks: null; readonly space: number; readonly gap: number };

export const NO_ROWS: RowsBefore = { tracks: null, space: NaN, gap: 0 };

/**
 * Every item as it asks for columns; the items of subgrids ask in place of these.
 * @param before what is known of the rows, for items whose width comes from their height
 */
export function columnItems(placed: PlacedGrid, gap: number, before: RowsBefore): AxisItem[] {
  const { items, placement, box } = placed;
  const asking: AxisItem[] = [];
  const rowArea = heightsBefore(placed, before);
  // A grid that is a subgrid of rows has its columns sized before its gap can be a share of its width.
  const outer = box.inherited?.row ? gapOf(box.style.columnGap, NaN) : gap;
  items.forEach((item, k) => {
    const start = placement.columnStart[k] as number;
    const span = placement.columnSpan[k] as number;
    if (!isColumnSubgrid(item)) {
      const transfers = transfersBlockSize(item, box.style);
      const whole = isRowSubgrid(item) ? subgridBox(placed, k, gap, gap, null, null, NaN) : item;
      asking.push(columnItem(whole, start, span, gap, transfers ? rowArea(k) : NaN));
      return;
    }
    const inner = placeSubgrid(placed, k, gap, null, null, NaN);
    const own = gapOf(item.style.columnGap, definiteInlineSize(item.style), gap);
    const innerBefore =
      before.tracks && dependsOnRows(inner, false)
        ? { tracks: subgridTracks(placed, k, gap, before.tracks, rowArea(k)) }
        : NO_ROWS;
    asking.push(
      ...nested(
        columnItems(inner, own, innerBefore),
        start,
        span,
        edgesOf(item, 'column', NaN),
        (own - outer) / 2,
        countsBackwards(item, box, 'column'),
      ),
    );
  });
  return asking;
}

/**
 * The height of each item's area as far as it is known before the columns are: at first only where every
 * row has a fixed maximum, which then counts as its size (CSS Grid 2, section 12.1); else NaN.
 */
function heightsBefore({ rows, placement, box }: PlacedGrid, before: RowsBefore): (k: number) => number {
  const { rowStart, rowSpan } = placement;
  const { tracks } = before;
  if (tracks) return (k) => areaSize(tracks.rows, rowStart[k] as number, rowSpan[k] as number);
  if (box.inherited?.row) return () => NaN;
  const sized = once(() => initializeTracks(rows.sizings, before.space, rows.collapsed));
  return (k) => {
    const { maxKind, growthLimit } = sized();
    let sum = ((rowSpan[k] as number) - 1) * before.gap;
    for (let row = rowStart[k] as number, n = 0; n < (rowSpan[k] as number); n++) {
      if (maxKind[row + n] !== FIXED) return NaN;
      sum += growthLimit[row + n] as number;
    }
    return sum;
  };
}

/** The tracks of a subgrid when those around it are known. */
function subgridTracks(
  placed: PlacedGrid,
  k: number,
  gap: number,
  { columns, rows }: Geometries,
  rowArea: number,
): Geometries {
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
  return {
    columns: innerColumns,
    rows: sizeRows(inner, innerColumns, inside, gapOf(inner.box.style.rowGap, NaN, gap)).unresolved,
  };
}

/** Every item as it asks for rows, given the columns. */
export function rowItems(placed: PlacedGrid, columns: AxisGeometry, gap: number): AxisItem[] {
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
    const edges = edgesOf(item, 'row', NaN);
    asking.push(...nested(rowItems(inner, innerColumns, own), start, span, edges, (own - gap) / 2, false));
  });
  return asking;
}

/** Width of a subgrid of rows in its columns, border box and margins. */
function subgridWidth(item: Box, container: BoxStyle, area: number): number {
  if (isColumnSubgrid(item)) return area;
  const space = { inline: area, block: NaN, inlineSize: NaN, blockSize: NaN };
  const margin = inlineSum(resolveSides(item.style.margin, area));
  return itemInlineSize(item, space, justifyOf(item.style, container)) + margin;
}

/**
 * The width of a subgrid of rows that does not fill its area: what its columns come to in the width that
 * it would have by its content; border boxes.
 */
export function rowSubgridWidth(box: Box, hugging: number): number {
  const frame = inlineSum(frameOf(box.style, hugging));
  const space = Math.max(0, hugging - frame);
  const gap = gapOf(box.style.columnGap, space);
  const placed = placeGrid(
    box,
    { ...unknownSpace(gap), space: box.inherited?.widthBefore ?? NaN },
    unknownSpace(0),
  );
  return frame + columnsIn(placed, space, gap).total;
}

/** The columns of a subgrid whose rows alone are taken over, or those that it takes over as well. */
function columnsOfSubgrid(inner: PlacedGrid, area: number): AxisGeometry {
  const { box } = inner;
  const taken = inheritedGeometry(box.inherited?.column);
  if (taken) return taken;
  const space = Math.max(0, area - sum(edgesOf(box, 'column', area)));
  const gap = gapOf(box.style.columnGap, space);
  return columnsIn(inner, space, gap).geometry;
}

const columnsIn = (placed: PlacedGrid, space: number, gap: number) =>
  layOutAxis(placed.columns, () => columnItems(placed, gap, NO_ROWS), {
    space,
    minSpace: 0,
    maxSpace: Infinity,
    gap,
    alignment: placed.box.style.justifyContent,
  });
