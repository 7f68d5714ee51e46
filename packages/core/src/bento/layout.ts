import { coverage } from '../grid/coverage.js';
import { parseTrackSize, sizeTracks, spannedSize, tracksEnd, type TrackFunction } from '../grid/tracks.js';
import { bentoAreas } from './areas.js';
import type { Layout } from '../arrangement.js';
import type { Band } from '../document/bands.js';
import type { CollectionDocument, TileId, TrackSize } from '../document/types.js';

/**
 * Lays a bento out at a width.
 * @param width px of the page, 0 or more; the border box is no wider than the band's maximum
 */
export function layoutBento(document: CollectionDocument, band: Band, width: number): Layout {
  const { arrangement } = band;
  const { padding } = arrangement;
  const inlineSize = Math.min(width, arrangement.maxInlineSize ?? Infinity);
  const areas = bentoAreas(document, band);
  const rowCount = areas.reduce(
    (most, area) => Math.max(most, area.row + area.rowSpan - 1),
    arrangement.rows.length,
  );

  const columns = sizeTracks(
    arrangement.columns.map(trackFunction),
    Math.max(0, inlineSize - padding.inlineStart - padding.inlineEnd),
    arrangement.columnGap,
    padding.inlineStart,
  );
  const rows = sizeTracks(
    Array.from({ length: rowCount }, (_, k) => trackFunction(arrangement.rows[k] ?? arrangement.autoRows)),
    0,
    arrangement.rowGap,
    padding.blockStart,
  );

  return {
    inlineSize: Math.max(inlineSize, padding.inlineStart + padding.inlineEnd),
    blockSize: tracksEnd(rows, padding.blockStart) + padding.blockEnd,
    columns,
    rows,
    tiles: areas.map((area, k) => ({
      ...area,
      id: document.order[k] as TileId,
      x: columns[area.column - 1]?.start ?? 0,
      y: rows[area.row - 1]?.start ?? 0,
      inlineSize: spannedSize(columns, area.column, area.columnSpan),
      blockSize: spannedSize(rows, area.row, area.rowSpan),
    })),
    coverage: coverage(areas, columns.length, rowCount),
  };
}

/** The checker has read every track of a document before it comes here. */
function trackFunction(size: TrackSize): TrackFunction {
  return parseTrackSize(size) ?? { unit: 'px', value: 0 };
}
