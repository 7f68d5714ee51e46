import { HOLDING } from '../arrangements/index.js';
import { evenShares } from '../arrangements/shared/columnCount.js';
import { FORMAT_VERSION, type CollectionDocument } from '../document/types.js';

/** A new collection: a grid of six columns, four below 1080 px, two below 640 px, no tiles. */
export function emptyDocument(name: string): CollectionDocument {
  const padding = (side: number) => ({
    blockStart: side,
    inlineEnd: side,
    blockEnd: side,
    inlineStart: side,
  });
  return {
    formatVersion: FORMAT_VERSION,
    name,
    language: 'en',
    arrangement: {
      kind: HOLDING,
      columns: evenShares(6),
      rows: [],
      autoRows: '160px',
      columnGap: 16,
      rowGap: 16,
      padding: padding(24),
      flow: 'dense',
      maxInlineSize: null,
    },
    bands: [
      { id: 'middle', below: 1080, arrangement: { columns: evenShares(4) }, tiles: {} },
      {
        id: 'narrow',
        below: 640,
        arrangement: { columns: evenShares(2), columnGap: 12, rowGap: 12, padding: padding(16) },
        tiles: {},
      },
    ],
    look: {
      background: '#eef1ec',
      radius: 14,
      tilePadding: 18,
      headingFamily: 'Bricolage Grotesque',
      bodyFamily: 'Hanken Grotesk',
      headingSize: 22,
      bodySize: 14,
    },
    tiles: {},
    order: [],
    pictures: {},
  };
}
