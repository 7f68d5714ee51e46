import { emptyDocument } from '../document/emptyDocument.js';
import { newTile } from '../commands/newTile.js';
import type { CollectionDocument, Place, Tile } from '../document/types.js';

/** Spans, and for a pinned tile its cell: [columns, rows, column, row]. */
export type SampleSpans = readonly [number, number, number?, number?];

/** A collection of stats for tests: one tile for each entry, named t1, t2, … */
export function sample(spans: readonly SampleSpans[], columns = 6): CollectionDocument {
  const document = emptyDocument('Sample');
  const tiles: Record<string, Tile> = {};
  spans.forEach(([columnSpan, rowSpan, column, row], k) => {
    const pin = column === undefined || row === undefined ? null : { column, row };
    const place: Place = { columnSpan, rowSpan, pin };
    tiles[`t${k + 1}`] = { ...newTile('stat', `t${k + 1}`), place };
  });
  return {
    ...document,
    tiles,
    order: Object.keys(tiles),
    arrangement: { ...document.arrangement, columns: Array.from({ length: columns }, () => '1fr') },
  };
}
