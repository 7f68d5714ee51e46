import { FORMAT_VERSION, type Arrangement, type CollectionDocument } from './types.js';

const shares = (count: number) => Array.from({ length: count }, () => '1fr');

/** The arrangement of a new group: two even columns, no air around. */
export const emptyGroup = (): Arrangement => ({
  kind: 'bento',
  columns: shares(2),
  rows: [],
  autoRows: '1fr',
  columnGap: 16,
  rowGap: 16,
  padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 },
  flow: 'dense',
  maxInlineSize: null,
});

/** A new collection: a bento of six columns, four below 1080 px, two below 640 px, no tiles. */
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
      kind: 'bento',
      columns: shares(6),
      rows: [],
      autoRows: '160px',
      columnGap: 16,
      rowGap: 16,
      padding: padding(24),
      flow: 'dense',
      maxInlineSize: null,
    },
    bands: [
      { id: 'middle', below: 1080, arrangement: { columns: shares(4) }, tiles: {} },
      {
        id: 'narrow',
        below: 640,
        arrangement: { columns: shares(2), columnGap: 12, rowGap: 12, padding: padding(16) },
        tiles: {},
      },
    ],
    look: {
      ground: '#eef1ec',
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
