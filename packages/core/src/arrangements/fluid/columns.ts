import { measuredIn } from '../../document/measured.js';
import { placeInColumns, type PlacementItem } from '../../engine/grid/placeInColumns.js';
import { columnsThatFit, evenShares } from '../shared/columnCount.js';
import { fluidOf } from './values.js';
import type { Band } from '../../document/bands.js';
import type { Arrangement, CollectionDocument, Tile, TrackSize, WholePlace } from '../../document/types.js';

/**
 * The tracks that a fluid band has in an inner width: with `auto-fit` only those that hold a tile.
 * @param inner px inside the padding
 */
export function fluidColumns(document: CollectionDocument, band: Band, inner: number): TrackSize[] {
  const arrangement = measuredIn(band);
  const { columnGap, flow } = arrangement;
  const fluid = fluidOf(arrangement);
  const fit = columnsThatFit(fluid, inner, columnGap);
  return evenShares(fluid.repeat === 'auto-fit' ? usedColumns(document, band, fit, flow) : fit);
}

function usedColumns(
  document: CollectionDocument,
  band: Band,
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
  return placeInColumns(wishes, columns, flow).reduce(
    (most, { column, columnSpan }) => Math.max(most, column + columnSpan - 1),
    1,
  );
}

/** What a tile asks for where columns are fluid: it flows, and spans only where its span applies. */
export function fluidWish(
  tile: Tile,
  document: CollectionDocument,
  band: Band,
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
  return { column: null, row: null, ...spansIn(band, { columnSpan, rowSpan }, columns) };
}

type Spans = Pick<WholePlace, 'columnSpan' | 'rowSpan'>;

/** The spans that a tile takes in a fluid band, at its width: one column and one row below that from which spans apply. */
export const spansIn = (
  { arrangement, at }: Pick<Band, 'arrangement' | 'at'>,
  { columnSpan, rowSpan }: Spans,
  columns: number,
): Spans =>
  at < (fluidOf(arrangement).spansFrom ?? 0)
    ? { columnSpan: 1, rowSpan: 1 }
    : { columnSpan: Math.min(columnSpan, columns), rowSpan };
