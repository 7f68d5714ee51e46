import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { samplePictures } from '../../testing/sample.js';
import { breakRows, ROOM } from './breaks.js';
import { ANY_ROW_HEIGHTS, rowHeightsOf } from './values.js';
import type { CollectionDocument, RowHeights } from '../../document/types.js';

const none = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };
const inRows = (aspects: readonly number[], values: Partial<RowHeights> = {}, gap = 0): CollectionDocument =>
  samplePictures(aspects, {
    kind: 'rows',
    padding: none,
    columnGap: gap,
    rowGap: gap,
    rowHeights: { ...ANY_ROW_HEIGHTS, ...values },
  });
const lay = (document: CollectionDocument, width: number) =>
  layoutCollection(document, width, { measurer: LETTERS });
const rowsOf = (document: CollectionDocument, width: number) => {
  const rows = new Map<number, ReturnType<typeof lay>['tiles'][number][]>();
  for (const tile of lay(document, width).tiles) rows.set(tile.row, [...(rows.get(tile.row) ?? []), tile]);
  return [...rows.values()];
};
const aspects = fc.array(fc.constantFrom(0.6, 0.75, 1, 1.33, 1.5, 2), { minLength: 1, maxLength: 24 });

describe('a row gallery', () => {
  test('every picture keeps its aspect, and every row but the last is as wide as the gallery', () => {
    fc.assert(
      fc.property(
        aspects,
        fc.integer({ min: 300, max: 1600 }),
        fc.integer({ min: 0, max: 24 }),
        (all, width, gap) => {
          const rows = rowsOf(inRows(all, {}, gap), width);
          let before = 0;
          rows.forEach((row, r) => {
            row.forEach((tile, k) => {
              expect(
                Math.abs(tile.inlineSize / tile.blockSize / (all[before + k] as number) - 1),
              ).toBeLessThan(0.01);
              if (k > 0) {
                const left = row[k - 1] as typeof tile;
                expect(tile.x - left.x - left.inlineSize).toBeCloseTo(gap, 1);
              }
            });
            before += row.length;
            const last = row.at(-1) as (typeof row)[number];
            const end = last.x + last.inlineSize;
            expect(end).toBeLessThanOrEqual(width + 0.01);
            if (r < rows.length - 1) expect(width - end).toBeLessThan(width * ROOM + row.length / 64 + 0.1);
          });
          expect(before).toBe(all.length);
        },
      ),
      { numRuns: 80 },
    );
  });

  test('a break that is asked for begins a row', () => {
    const document = inRows([1, 1, 1, 1]);
    const tile = document.tiles.p3;
    if (!tile) throw new Error('There is no p3.');
    const pinned = {
      ...document,
      tiles: { ...document.tiles, p3: { ...tile, place: { ...tile.place, breakBefore: true } } },
    };
    const rows = rowsOf(pinned, 1000).map((row) => row.map(({ id }) => id));
    expect(rows.some(([first]) => first === 'p3')).toBe(true);
  });

  test('a last row that is not full is no higher than the target, or fills the width all the same', () => {
    const [held] = rowsOf(inRows([1], { lastRow: 'keep-height', target: 200 }), 900);
    expect(held?.[0]?.blockSize).toBeCloseTo(200, 1);
    const [filled] = rowsOf(inRows([1], { lastRow: 'fill-width', target: 200 }), 900);
    expect(filled?.[0]?.inlineSize).toBeCloseTo(900, 0);
  });

  test('a gallery of no width has no rows, and its tiles no size', () => {
    const { tiles, rows } = lay(inRows([1, 2]), 0);
    expect(rows).toEqual([]);
    expect(tiles.map(({ inlineSize, blockSize }) => [inlineSize, blockSize])).toEqual([
      [0, 0],
      [0, 0],
    ]);
  });

  test('what is not said of it is what any gallery has', () => {
    expect(rowHeightsOf({})).toBe(ANY_ROW_HEIGHTS);
  });
});

describe('where rows break', () => {
  const items = [1, 1.5, 0.7, 2, 1, 1.3, 0.8, 1.7].map((aspect) => ({ aspect, breakBefore: false }));
  const at = (inner: number) => breakRows(items, ANY_ROW_HEIGHTS, inner, 10);

  test('is decided every 32 px, and only the height follows between', () => {
    const counts = (inner: number) => at(inner).map(({ count }) => count);
    for (let inner = 640; inner < 672; inner++) expect(counts(inner)).toEqual(counts(640));
    const [narrow, wide] = [at(640)[0], at(671)[0]];
    if (!narrow || !wide) throw new Error('There is no row.');
    expect(wide.blockSize).toBeGreaterThan(narrow.blockSize);
  });

  test('a row is (W − gaps) ÷ the sum of its aspects high', () => {
    for (const { count, aspects: sum, blockSize } of at(700).slice(0, -1))
      expect(blockSize).toBeCloseTo(((700 - (count - 1) * 10) * (1 - ROOM)) / sum);
  });

  test('what was broken before is not broken again', () => {
    const known: Parameters<typeof breakRows>[4] = new Map();
    const first = breakRows(items, ANY_ROW_HEIGHTS, 700, 10, known);
    expect(known.size).toBe(1);
    expect(breakRows(items, ANY_ROW_HEIGHTS, 701, 10, known).map(({ first: k }) => k)).toEqual(
      first.map(({ first: k }) => k),
    );
    expect(known.size).toBe(1);
  });
});
