import { LIMITS } from '../document/limits.js';
import { laneCountOf, masonryOf, mosaicOf } from '../document/kindValues.js';
import { placeItems, type PlacementItem } from '../grid/place.js';
import type {
  Arrangement,
  CollectionDocument,
  ColumnCount,
  FluidColumns,
  Tile,
  TrackSize,
} from '../document/types.js';

/** What of a band its columns depend on. */
interface FluidBand {
  readonly index: number;
  readonly from: number;
  readonly below: number;
  readonly at: number;
  readonly arrangement: Arrangement;
}

export const ANY_FLUID: FluidColumns = { repeat: 'auto-fit', minimum: 240, most: null, spansFrom: null };

export const fluidOf = ({ fluid }: Pick<Arrangement, 'fluid'>): FluidColumns => fluid ?? ANY_FLUID;

/** What division leaves of a column that just fits. */
const ROUNDING = 1e-6;

/**
 * Columns that fit a least width m in an inner width W with gap g: max(1, ⌊(W + g) ÷ (m + g)⌋)
 * (CSS Grid 2, section 7.2.3.2). With at most k columns the least width is
 * max(m, (W − (k − 1)·g) ÷ k), so that the gap and the limit stay linked.
 * @param inner px inside the padding
 */
export function columnsThatFit(
  { minimum, most }: Pick<FluidColumns, 'minimum' | 'most'>,
  inner: number,
  gap: number,
): number {
  const least = most === null ? minimum : Math.max(minimum, (inner - (most - 1) * gap) / most);
  return Math.max(1, Math.floor((inner + gap) / (least + gap) + ROUNDING));
}

/**
 * The least widths of a column that give exactly so many columns at an inner width: above
 * (W − n·g) ÷ (n + 1), up to (W − (n − 1)·g) ÷ n.
 * @param inner px inside the padding
 * @example minimumsFor(4, 1200, 24) // { above: 220.8, upTo: 282 }
 */
export const minimumsFor = (columns: number, inner: number, gap: number) => ({
  above: Math.max(0, (inner - columns * gap) / (columns + 1)),
  upTo: Math.max(0, (inner - (columns - 1) * gap) / columns),
});

/** How many columns a kind has that is given a number of them, or their least width; null: another kind. */
export function countOf(arrangement: Arrangement): ColumnCount | null {
  switch (arrangement.kind) {
    case 'fluid':
      return { ...fluidOf(arrangement), count: null };
    case 'masonry': {
      const lanes = masonryOf(arrangement);
      return lanes.direction === 'inline' ? { ...lanes, count: laneCountOf(lanes) } : bounded(lanes);
    }
    case 'mosaic':
      return bounded(mosaicOf(arrangement));
    case 'bento':
    case 'rows':
    case 'fan':
      return null;
  }
}

/** No more columns than a file may say, however little each asks for. */
const bounded = ({ count, minimum, most }: ColumnCount): ColumnCount => ({
  count,
  minimum,
  most: most ?? LIMITS.columns,
});

/** The page width from which so many columns fit, px; Infinity where they never do. */
export function widthForColumns(arrangement: Arrangement, columns: number): number {
  const { padding, columnGap, maxInlineSize } = arrangement;
  const { minimum, most } = countOf(arrangement) ?? fluidOf(arrangement);
  if (columns <= 1) return 0;
  if (most !== null && columns > most) return Infinity;
  const width = columns * minimum + (columns - 1) * columnGap + padding.inlineStart + padding.inlineEnd;
  return width > (maxInlineSize ?? Infinity) ? Infinity : width;
}

/** The page widths inside of a band from which there is a column more, from narrow to wide, px. */
export function columnChanges({
  arrangement,
  from,
  below,
}: Pick<FluidBand, 'arrangement' | 'from' | 'below'>): {
  readonly width: number;
  readonly columns: number;
}[] {
  if (countOf(arrangement)?.count !== null) return [];
  const changes: { width: number; columns: number }[] = [];
  for (let columns = 2; changes.length < 64; columns++) {
    const width = widthForColumns(arrangement, columns);
    if (width >= Math.min(below, 100_000)) return changes;
    if (width > from) changes.push({ width, columns });
  }
  return changes;
}

/** How many columns there are in an inner width, px: so many, or as many as fit. */
export const countColumns = (value: ColumnCount, inner: number, gap: number): number =>
  value.count ?? columnsThatFit(bounded(value), inner, gap);

/**
 * The tracks that a fluid band has in an inner width: with `auto-fit` only those that hold a tile.
 * @param inner px inside the padding
 */
export function fluidColumns(document: CollectionDocument, band: FluidBand, inner: number): TrackSize[] {
  const { arrangement } = band;
  const { columnGap, flow } = arrangement;
  const fluid = fluidOf(arrangement);
  const fit = columnsThatFit(fluid, inner, columnGap);
  const used = fluid.repeat === 'auto-fit' ? usedColumns(document, band, fit, flow) : fit;
  return Array.from({ length: used }, () => '1fr');
}

function usedColumns(
  document: CollectionDocument,
  band: FluidBand,
  columns: number,
  flow: Arrangement['flow'],
): number {
  const wishes: PlacementItem[] = [];
  for (const id of document.order) {
    const wish = fluidWish(document.tiles[id] as Tile, document, band, columns);
    if (wish) wishes.push(wish);
    // A first row that is full leaves no column to collapse.
    if (wishes.length >= columns && wishes.every(({ columnSpan }) => columnSpan === 1)) return columns;
  }
  if (wishes.length === 0) return columns;
  return placeItems(wishes, columns, flow).reduce(
    (most, { column, columnSpan }) => Math.max(most, column + columnSpan - 1),
    1,
  );
}

/** What a tile asks for where columns are fluid: it flows, and spans only where its span applies. */
function fluidWish(
  tile: Tile,
  document: CollectionDocument,
  band: FluidBand,
  columns: number,
): PlacementItem | null {
  let { columnSpan, rowSpan, hidden = false } = tile.place;
  for (const each of document.bands.slice(0, band.index)) {
    const own = each.tiles[tile.id];
    columnSpan = own?.columnSpan ?? columnSpan;
    rowSpan = own?.rowSpan ?? rowSpan;
    hidden = own?.hidden ?? hidden;
  }
  if (hidden) return null;
  const span = spanIn(band, columnSpan, columns);
  return { column: null, row: null, columnSpan: span, rowSpan };
}

/** How many columns a span takes in a fluid band, at its width. */
export const spanIn = (
  { arrangement, at }: Pick<FluidBand, 'arrangement' | 'at'>,
  span: number,
  columns: number,
) => (at < (fluidOf(arrangement).spansFrom ?? 0) ? 1 : Math.min(span, columns));
