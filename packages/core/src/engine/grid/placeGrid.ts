import { AUTO_TRACK, type BoxStyle, type TrackSizingFunction } from '../box/style.js';
import { isPlain } from './plain.js';
import { expandTracks, namedLines, resolveWish, type ExplicitAxis, type NamedLines } from './lines.js';
import { placeItems, type Placement } from './placeItems.js';
import { countRepetitions, type AvailableSpace } from './repetitions.js';
import type { Box, InheritedAxis } from '../box/box.js';

/** One axis of a grid before its tracks are sized. */
export interface AxisPlan {
  readonly sizings: readonly TrackSizingFunction[];
  readonly collapsed: Uint8Array;
  /** Flex factors when every track is a share that content can't widen, adding up to one or more; else null. */
  readonly shares: Float64Array | null;
  /** The lines that items and absolutely placed boxes can name; `before` is added to an index. */
  readonly lines: NamedLines;
  readonly before: number;
}

/** A grid with its items in their cells. */
export interface PlacedGrid {
  readonly box: Box;
  /** In order-modified document order; absolutely placed ones left out. */
  readonly items: readonly Box[];
  readonly placement: Placement;
  readonly columns: AxisPlan;
  readonly rows: AxisPlan;
  /** 1 for items that only fill their cells, which needs no layout of their own. */
  readonly plain: Uint8Array;
}

interface Known {
  readonly key: string;
  readonly placed: PlacedGrid;
}

const cache = new WeakMap<Box, Known>();

/**
 * Places the items of a grid. The cells depend on the width only by the number of repeated tracks,
 * so the same placement serves until that changes.
 */
export function placeGrid(box: Box, columnSpace: AvailableSpace, rowSpace: AvailableSpace): PlacedGrid {
  const { style, inherited = NOT_INHERITED } = box;
  const repeats = {
    column: inherited.column ? 0 : countRepetitions(style.columns.parts, columnSpace),
    row: inherited.row ? 0 : countRepetitions(style.rows.parts, rowSpace),
  };
  const key = `${repeats.column} ${repeats.row}`;
  const known = cache.get(box);
  if (known?.key === key) return known.placed;
  const placed = place(box, repeats);
  cache.set(box, { key, placed });
  return placed;
}

const NOT_INHERITED = { column: null, row: null };

function place(box: Box, repeats: { readonly column: number; readonly row: number }): PlacedGrid {
  const { style, inherited = NOT_INHERITED } = box;
  const explicitColumns = explicitAxis(style.columns.parts, repeats.column, inherited.column);
  const explicitRows = explicitAxis(style.rows.parts, repeats.row, inherited.row);
  const columnLines = namedLines('column', explicitColumns, style.areas, inherited.column !== null);
  const rowLines = namedLines('row', explicitRows, style.areas, inherited.row !== null);
  const items = itemsOf(box);
  const placement = placeItems(
    items.map((item) => ({
      column: resolveWish(item.style.columnStart, item.style.columnEnd, columnLines),
      row: resolveWish(item.style.rowStart, item.style.rowEnd, rowLines),
    })),
    {
      explicitColumns: columnLines.explicit,
      explicitRows: rowLines.explicit,
      flowAxis: style.flowAxis,
      dense: style.dense,
      bound: (style.flowAxis === 'row' ? inherited.column : inherited.row)?.tracks ?? null,
    },
  );
  const bounded = boundPlacement(placement, inherited.column?.tracks ?? null, inherited.row?.tracks ?? null);
  const { columnStart, columnSpan, rowStart, rowSpan, columnsBefore, rowsBefore } = bounded;
  return {
    box,
    items,
    plain: Uint8Array.from(items, (item) => (isPlain(item, style) ? 1 : 0)),
    placement: bounded,
    columns: plan(
      explicitColumns,
      style.autoColumns,
      bounded.columns,
      columnsBefore,
      columnLines,
      columnStart,
      columnSpan,
    ),
    rows: plan(explicitRows, style.autoRows, bounded.rows, rowsBefore, rowLines, rowStart, rowSpan),
  };
}

/** A subgrid has no implicit tracks: what would lie in one lies in its last track. */
function boundPlacement(placement: Placement, columns: number | null, rows: number | null): Placement {
  const pull = (starts: Int32Array, tracks: number | null) =>
    tracks === null ? starts : starts.map((start) => Math.max(0, Math.min(start, tracks - 1)));
  const cut = (spans: Int32Array, starts: Int32Array, tracks: number | null) =>
    tracks === null ? spans : spans.map((span, k) => Math.min(span, tracks - (starts[k] as number)));
  const columnStart = pull(placement.columnStart, columns);
  const rowStart = pull(placement.rowStart, rows);
  return {
    ...placement,
    columns: columns ?? placement.columns,
    rows: rows ?? placement.rows,
    columnStart,
    columnSpan: cut(placement.columnSpan, columnStart, columns),
    rowStart,
    rowSpan: cut(placement.rowSpan, rowStart, rows),
  };
}

/** A subgrid's tracks are sized outside; only their number and names matter here. */
function explicitAxis(
  parts: BoxStyle['columns']['parts'],
  repetitions: number,
  inherited: InheritedAxis | null,
): ExplicitAxis {
  if (!inherited) return expandTracks(parts, repetitions);
  const { tracks, lineNames } = inherited;
  return { sizings: new Array<TrackSizingFunction>(tracks).fill(AUTO_TRACK), lineNames, autoFit: null };
}

/** Children that are laid out in the grid, sorted by `order`. */
export function itemsOf(box: Box): readonly Box[] {
  const { children } = box;
  let plain = true;
  for (const { style } of children) {
    if (style.position === 'absolute' || style.order !== 0) {
      plain = false;
      break;
    }
  }
  if (plain) return children;
  return children
    .filter(({ style }) => style.position !== 'absolute')
    .sort((a, b) => a.style.order - b.style.order);
}

function plan(
  explicit: ExplicitAxis,
  auto: readonly TrackSizingFunction[],
  count: number,
  before: number,
  lines: NamedLines,
  starts: Int32Array,
  spans: Int32Array,
): AxisPlan {
  const pattern = auto.length > 0 ? auto : [AUTO_TRACK];
  const length = pattern.length;
  const sizings: TrackSizingFunction[] = [];
  // Before the explicit tracks the pattern runs backwards from them.
  for (let k = 0; k < before; k++)
    sizings.push(pattern[(length - ((before - k) % length)) % length] as TrackSizingFunction);
  sizings.push(...explicit.sizings);
  if (sizings.length > count) sizings.length = count;
  for (let k = 0; sizings.length < count; k++) sizings.push(pattern[k % length] as TrackSizingFunction);
  const collapsed = new Uint8Array(sizings.length);
  if (explicit.autoFit) {
    collapsed.fill(1, explicit.autoFit[0] + before, explicit.autoFit[1] + before);
    for (let k = 0; k < starts.length; k++) {
      collapsed.fill(0, starts[k], (starts[k] as number) + (spans[k] as number));
    }
  }
  return { sizings, collapsed, shares: sharesOf(sizings, collapsed), lines, before };
}

function sharesOf(sizings: readonly TrackSizingFunction[], collapsed: Uint8Array): Float64Array | null {
  const factors = new Float64Array(sizings.length);
  let sum = 0;
  for (let k = 0; k < sizings.length; k++) {
    const { min, max } = sizings[k] as TrackSizingFunction;
    if (min.kind !== 'length' || min.value !== 0 || max.kind !== 'fr' || collapsed[k] === 1) return null;
    factors[k] = max.value;
    sum += max.value;
  }
  return sum >= 1 ? factors : null;
}
