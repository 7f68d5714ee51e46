import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { flatTiles, layoutCollection } from '../../layout/layout.js';
import { arrangementKinds } from '../../arrangements/index.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample, samplePictures } from '../../testing/sample.js';
import { anyCollection } from '../../testing/anyCollection.js';
import { stretchesOf } from './stretches.js';
import type { Arrangement, CollectionDocument } from '../../document/types.js';

const [FROM, TO] = [300, 1400];
const stretches = (document: CollectionDocument) => stretchesOf(document, FROM, TO, LETTERS);

/** Looks at some widths inside of each stretch whether every edge lies on its line. */
function expectStraight(document: CollectionDocument, share: number, within = 0.2) {
  const all = stretches(document);
  let next = FROM;
  for (const { from, to, first, last } of all) {
    expect(from).toBe(next);
    next = to + 1;
    if (to - from < 2) continue;
    const width = from + Math.round((to - from) * share);
    const part = (width - from) / (to - from);
    const laid = flatTiles(layoutCollection(document, width, { measurer: LETTERS }));
    laid.forEach((tile, k) => {
      const [a, b] = [first.tiles[k], last.tiles[k]];
      if (!a || !b) throw new Error('A tile comes or goes within a stretch.');
      expect(tile.id).toBe(a.id);
      for (const side of ['x', 'y', 'inlineSize', 'blockSize'] as const)
        expect(Math.abs(tile[side] - a[side] - (b[side] - a[side]) * part)).toBeLessThan(within);
    });
  }
  expect(next).toBe(TO + 1);
  return all;
}

describe('the widths are cut where edges bend', () => {
  test.each(arrangementKinds().map(({ name }) => name))('in %s', (kind) => {
    const aspects = [1.5, 0.8, 1, 1.33, 2, 0.66, 1.2];
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        expectStraight(samplePictures(aspects, { kind, columnGap: 12, rowGap: 12 }), share, 0.6);
      }),
      { numRuns: 4 },
    );
  });

  test('in any collection', () => {
    fc.assert(
      fc.property(anyCollection, fc.double({ min: 0, max: 1, noNaN: true }), (document, share) => {
        expectStraight(document, share, 1);
      }),
      { numRuns: 12 },
    );
  });
});

describe('a stretch ends', () => {
  const of = (values: Partial<Arrangement>) => {
    const document = sample([
      [1, 1],
      [2, 1],
      [1, 1],
    ]);
    return { ...document, arrangement: { ...document.arrangement, ...values } };
  };
  const starts = (document: CollectionDocument) => stretches(document).map(({ from }) => from);

  test('at every breakpoint', () => {
    expect(starts(of({}))).toEqual([FROM, 640, 1080]);
  });

  test('where the page becomes wider than the grid may be', () => {
    expect(starts({ ...of({ maxInlineSize: 900 }), bands: [] })).toEqual([FROM, 901]);
  });

  test('where there is a column more', () => {
    const fluid = { repeat: 'auto-fill', min: 200, max: null, spansFrom: null } as const;
    const document = { ...of({ kind: 'fluid', fluid, columnGap: 0 }), bands: [] };
    // 48 px of padding, then 200 px a column.
    expect(starts(document)).toEqual(expect.arrayContaining([448, 648, 848, 1048, 1248]));
  });

  test('where spans begin to apply', () => {
    const fluid = { repeat: 'auto-fill', min: 100, max: 4, spansFrom: 777 } as const;
    expect(starts({ ...of({ kind: 'fluid', fluid }), bands: [] })).toContain(777);
  });
});
