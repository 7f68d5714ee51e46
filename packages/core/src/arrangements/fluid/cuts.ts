import { LIMITS } from '../../document/limits.js';
import { placeIn, type Band } from '../../document/bands.js';
import { widthOf } from '../shared/widthOf.js';
import { fluidOf } from './values.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

/** The page widths inside of a fluid band from which the spans of its tiles apply or fit, from narrow to wide, px. */
export function fluidCuts(document: CollectionDocument, band: Band): number[] {
  const { arrangement } = band;
  const widest = document.order.reduce(
    (most, id) => Math.max(most, placeIn(document, document.tiles[id] as Tile, band.index).columnSpan),
    1,
  );
  const from = fluidOf(arrangement).spansFrom ?? 0;
  const widths = Array.from({ length: widest - 1 }, (_, k) =>
    Math.max(from, widthOf(fluidOf, arrangement, k + 2)),
  );
  return [...new Set([from, ...widths])].filter(
    (width) => width > band.from && width < Math.min(band.below, LIMITS.widest * 40),
  );
}
