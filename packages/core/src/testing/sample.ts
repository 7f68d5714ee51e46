import { evenShares } from '../arrangements/shared/columnCount.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { newCard, newTile } from '../parts/newTile.js';
import type {
  Arrangement,
  CollectionDocument,
  NarrowerBand,
  PictureAsset,
  Place,
  Tile,
} from '../document/types.js';

/** Spans, and for a pinned tile its cell: [columns, rows, column, row]. */
export type SampleSpans = readonly [number, number, number?, number?];

/** Two bands set by hand: four columns below 1080 px, two below 640 px. */
export const BY_HAND: readonly NarrowerBand[] = [
  { id: 'middle', below: 1080, arrangement: { columns: evenShares(4) }, tiles: {} },
  {
    id: 'narrow',
    below: 640,
    arrangement: {
      columns: evenShares(2),
      columnGap: 12,
      rowGap: 12,
      padding: { blockStart: 16, inlineEnd: 16, blockEnd: 16, inlineStart: 16 },
    },
    tiles: {},
  },
];

/** A new collection with bands set by hand, for tests. */
export function byHand(name: string): CollectionDocument {
  const { narrowerBands: _, ...document } = emptyDocument(name);
  return { ...document, bands: BY_HAND };
}

/** A collection of stats for tests: one tile for each entry, named t1, t2, … */
export function sample(spans: readonly SampleSpans[], columns = 6): CollectionDocument {
  const document = byHand('Sample');
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

/** A collection of pictures for tests, in one kind of arrangement: one tile for each aspect, named p1, p2, … */
export function samplePictures(
  aspects: readonly number[],
  arrangement: Partial<Arrangement> = {},
): CollectionDocument {
  const base = sample(aspects.map(() => [1, 1]));
  const tiles: Record<string, Tile> = {};
  const pictures: Record<string, PictureAsset> = {};
  aspects.forEach((aspect, k) => {
    const id = `p${k + 1}`;
    const size = { inlineSize: Math.round(1200 * aspect), blockSize: 1200 };
    pictures[id] = {
      ...size,
      id,
      name: id,
      file: `${id}.webp`,
      hash: 'a'.repeat(64),
      mediaType: 'image/webp',
      alternativeText: id,
    };
    tiles[id] = {
      ...newCard('picture', id, { picture: { picture: id } }),
      place: { columnSpan: 1, rowSpan: 1, pin: null },
    };
  });
  return {
    ...base,
    tiles,
    pictures,
    bands: [],
    order: Object.keys(tiles),
    arrangement: { ...base.arrangement, ...arrangement },
  };
}
