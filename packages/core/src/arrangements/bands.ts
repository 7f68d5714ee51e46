import { bandAt, bandOf, bandsOf, type Band } from '../document/bands.js';
import { measuredIn } from '../document/measured.js';
import { kindOf } from './index.js';
import type { CollectionDocument, TrackSize } from '../document/types.js';

/** A band as tiles are laid out in it: with the columns that its kind has there. */
export interface ResolvedBand extends Band {
  /** At the band's width; those that are listed where tiles hold cells. */
  readonly columns: readonly TrackSize[];
}

/** A band with the columns that it has at its width. */
export function resolvedBand(document: CollectionDocument, band: Band): ResolvedBand {
  const { arrangement, at } = band;
  const { padding, maxInlineSize } = measuredIn(band);
  const inner = Math.min(at, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd;
  return { ...band, columns: kindOf(arrangement).columns(document, band, Math.max(0, inner)) };
}

/** Every band from wide to narrow, with the columns that each has at its width. */
export const resolvedBands = (document: CollectionDocument): ResolvedBand[] =>
  bandsOf(document).map((band) => resolvedBand(document, band));

/**
 * The band of an index, 0 the widest, with the columns that it has at its width.
 * @throws RangeError when there is no such band
 */
export const resolvedBandOf = (document: CollectionDocument, index: number): ResolvedBand =>
  resolvedBand(document, bandOf(document, index));

/** The band that a width in px lies in, as it is at that width. */
export const resolvedBandAt = (document: CollectionDocument, width: number): ResolvedBand =>
  resolvedBand(document, bandAt(document, width));
