import { HOLDING } from '../arrangements/index.js';
import { evenShares } from '../arrangements/shared/columnCount.js';
import { FORMAT_VERSION, type CollectionDocument } from '../document/types.js';

/** A new collection: a grid of six columns without tiles, whose narrower bands are derived. */
export function emptyDocument(name: string): CollectionDocument {
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
      padding: { blockStart: 24, inlineEnd: 24, blockEnd: 24, inlineStart: 24 },
      flow: 'dense',
      maxInlineSize: null,
    },
    bands: [],
    narrowerBands: 'derived',
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
