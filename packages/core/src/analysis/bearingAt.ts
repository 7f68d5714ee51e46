import { resolvedBandAt } from '../arrangements/bands.js';
import { bandBearing } from './bearing.js';
import type { CollectionDocument, TileId } from '../document/types.js';
import type { TextMeasurer } from '../engine/text/types.js';
import type { Span } from './packing/fillCells.js';

/** What tiles bear at a width, and how large spans are there. */
export interface Bearing {
  /** Whether a tile's words fit a span, and its picture is not cropped too far. */
  readonly allows: (tile: TileId, span: Span) => boolean;
  /** Inline ÷ block of a span; null where rows follow their content. */
  readonly aspectOf: (span: Span) => number | null;
}

/**
 * What the tiles of a level bear at one width of the page, by its even column and common row, as
 * `bandBearing` says it of a band.
 * @param width of the page, px
 * @param inlineSize px of the level's border box; the page's width for the collection itself
 * @param mostCrop the most of a picture that may be cropped away, 0 to 1
 * @throws whatever the measurer throws
 */
export function bearingAt(
  document: CollectionDocument,
  width: number,
  inlineSize: number,
  mostCrop: number,
  measurer: TextMeasurer,
): Bearing {
  const band = resolvedBandAt(document, width);
  const widths = { low: inlineSize, high: inlineSize, lowPage: width, highPage: width };
  const { across, down, allows } = bandBearing(document, band, band.columns.length, widths, measurer, {
    leastShown: 1 - mostCrop,
  });
  return {
    allows: (id, span) => {
      const tile = document.tiles[id];
      return !tile || allows(tile, span);
    },
    aspectOf: ({ columns, rows }) => (down ? across(columns)[0] / down(rows) : null),
  };
}
