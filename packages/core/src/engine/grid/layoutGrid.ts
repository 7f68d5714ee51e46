import { blockSum, borderBoxSize, frameOf, inlineSum, isDefinite } from '../box/sizes.js';
import { alignTracks } from './alignTracks.js';
import { placeGrid } from './placeGrid.js';
import { sizeTracks } from './sizeTracks.js';
import { gapOf } from '../css/gap.js';
import { initializeTracks, tracksTotal } from './tracks.js';
import type { Box, Inside } from '../box/box.js';
import type { Constraint, Display, Filled } from '../box/displays.js';
import type { BoxStyle } from '../box/style.js';
import { layOutAxis, inheritedGeometry } from './axis.js';
import { columnItems, rowItems, sizeRows, dependsOnRows, type RowsBefore } from './asking.js';
import { layOutCells } from './layOutCells.js';

/** The grid layout algorithm (CSS Grid 2, section 12) on numbers. */
export const grid: Display = { inlineSize: gridInlineSize, fill: fillGrid };

/** How wide a grid's columns are by their content alone. */
function gridInlineSize(box: Box, constraint: Constraint, blockSize: number): number {
  const { style } = box;
  const gap = gapOf(style.columnGap, NaN);
  const rowSpace = ownRowSpace(box, blockSize);
  const placed = placeGrid(box, ownColumnSpace(box, gap), rowSpace);
  const measure = (before: RowsBefore) => {
    const tracks = initializeTracks(placed.columns.sizings, NaN, placed.columns.collapsed);
    sizeTracks(tracks, tracks.hasIntrinsic || tracks.hasFlex ? columnItems(placed, gap, before) : [], {
      space: NaN,
      constraint,
      gap,
      minSpace: 0,
      stretches: false,
    });
    const { starts } = alignTracks(tracks, gap, 0, START);
    return { tracks, geometry: { starts, sizes: tracks.baseSize, gap } };
  };
  const { tracks, geometry } = measure({ tracks: null, space: rowSpace.space, gap: rowSpace.gap });
  if (!dependsOnRows(placed, true)) return tracksTotal(tracks, gap);
  const rows = layOutAxis(placed.rows, () => rowItems(placed, geometry, rowSpace.gap), {
    ...rowSpace,
    alignment: style.alignContent,
  });
  return tracksTotal(measure({ tracks: { columns: geometry, rows: rows.geometry } }).tracks, gap);
}

/** The room for columns as far as the grid's own least and greatest width say it. */
function ownColumnSpace({ style }: Box, gap: number) {
  const frame = inlineSum(frameOf(style, NaN));
  const inner = (size: BoxStyle['inlineSize'] | 'none', otherwise: number) =>
    isDefinite(size, NaN) ? borderBoxSize(style, size, NaN, frame) - frame : otherwise;
  return {
    space: NaN,
    minSpace: inner(style.minInlineSize, 0),
    maxSpace: inner(style.maxInlineSize, Infinity),
    gap,
  };
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

export function fillGrid(box: Box, inside: Inside): Filled {
  const { style } = box;
  const columnGap = gapOf(style.columnGap, inside.inlineSize, box.inherited?.column?.gap);
  const rowGap = gapOf(style.rowGap, inside.blockSize, box.inherited?.row?.gap);
  const placed = placeGrid(
    box,
    {
      space: box.inherited ? box.inherited.widthBefore : inside.inlineSize,
      minSpace: 0,
      maxSpace: Infinity,
      gap: columnGap,
    },
    { space: inside.blockSize, minSpace: inside.minBlockSize, maxSpace: inside.maxBlockSize, gap: rowGap },
  );
  const sizeColumns = (before: RowsBefore) =>
    inheritedGeometry(box.inherited?.column) ??
    layOutAxis(placed.columns, () => columnItems(placed, columnGap, before), {
      space: inside.inlineSize,
      minSpace: 0,
      maxSpace: Infinity,
      gap: columnGap,
      alignment: style.justifyContent,
    }).geometry;
  let columns = sizeColumns({ tracks: null, space: inside.blockSize, gap: rowGap });
  const first = sizeRows(placed, columns, inside, rowGap);
  let { rows } = first;
  const { blockSize } = first;
  if (dependsOnRows(placed, false)) {
    columns = sizeColumns({ tracks: { columns, rows: first.unresolved } });
    // The height stays as the first sizes made it, as it does in browsers.
    ({ rows } = sizeRows(placed, columns, { ...inside, blockSize }, gapOf(style.rowGap, blockSize)));
  }
  return layOutCells(placed, columns, rows, inside, blockSize);
}
