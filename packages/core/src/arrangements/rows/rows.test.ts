import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { layoutRows, type RowItem, type RowsOptions } from './layoutRows.js';

const base: RowsOptions = {
  inlineSize: 1000,
  columnGap: 10,
  rowGap: 10,
  targetBlockSize: 200,
  minBlockSize: 100,
  maxBlockSize: 400,
  lastRow: 'keep-height',
  mostUpscale: Infinity,
};
const aspects = (...list: number[]): RowItem[] => list.map((aspect) => ({ aspect }));

/** The cost of the best breaks, by trying all of them. */
function bruteForce(items: readonly RowItem[], options: RowsOptions): number {
  const height = (first: number, end: number) =>
    (options.inlineSize - (end - first - 1) * options.columnGap) /
    items.slice(first, end).reduce((sum, { aspect }) => sum + aspect, 0);
  const best = (first: number): number => {
    if (first === items.length) return 0;
    let least = Infinity;
    for (let end = first + 1; end <= items.length; end++) {
      least = Math.min(least, Math.log(height(first, end) / options.targetBlockSize) ** 2 + best(end));
    }
    return least;
  };
  return best(0);
}

describe('a row gallery', () => {
  test('has rows as high as width less gaps over the sum of aspects', () => {
    const { rows, boxes } = layoutRows(aspects(1.5, 1, 2.5), base);
    expect(rows).toEqual([{ first: 0, count: 3, blockSize: 980 / 5, isFull: true }]);
    expect([...boxes.slice(4, 8)]).toEqual([1.5 * 196 + 10, 0, 196, 196]);
  });

  test('fills every row but perhaps the last to the px', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.4, max: 3, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 200, max: 2500 }),
        (list, inlineSize) => {
          const { rows, boxes } = layoutRows(aspects(...list), { ...base, inlineSize });
          expect(rows.reduce((sum, { count }) => sum + count, 0)).toBe(list.length);
          for (const { first, count, isFull } of rows) {
            const last = (first + count - 1) * 4;
            const end = (boxes[last] as number) + (boxes[last + 2] as number);
            if (isFull) expect(end).toBeCloseTo(inlineSize, 6);
            else expect(end).toBeLessThan(inlineSize);
          }
        },
      ),
    );
  });

  test('breaks as well as can be over all rows, not row by row', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 2.5, noNaN: true }), { minLength: 1, maxLength: 9 }),
        (list) => {
          const options: RowsOptions = { ...base, minBlockSize: 1, maxBlockSize: 1e9, lastRow: 'fill-width' };
          const { rows } = layoutRows(aspects(...list), options);
          const cost = rows.reduce(
            (sum, { blockSize }) => sum + Math.log(blockSize / options.targetBlockSize) ** 2,
            0,
          );
          expect(cost).toBeCloseTo(bruteForce(aspects(...list), options), 9);
        },
      ),
    );
  });

  test.each([
    ['as-is', 200, false],
    ['keep-height', 200, false],
    ['fill-width', 1000 / 1.5, true],
  ] as const)('treats a last row %s', (lastRow, blockSize, isFull) => {
    expect(layoutRows(aspects(1.5), { ...base, lastRow }).rows[0]).toMatchObject({ blockSize, isFull });
  });

  test('begins a row where it is told to', () => {
    const items = aspects(1, 1, 1, 1, 1, 1).map((item, k) => ({ ...item, breakBefore: k === 2 }));
    expect(layoutRows(items, base).rows.map(({ first }) => first)).toContain(2);
  });

  test('shows no picture larger than it may', () => {
    const items: RowItem[] = [{ aspect: 2, naturalBlockSize: 90 }, { aspect: 1.5 }, { aspect: 1.4 }];
    const { rows } = layoutRows(items, { ...base, mostUpscale: 1 });
    expect(rows[0]?.blockSize).toBeLessThanOrEqual(90);
  });

  test.each([
    [{ inlineSize: NaN }, 'inlineSize is a number above 0'],
    [{ targetBlockSize: 0 }, 'targetBlockSize is a number above 0'],
    [{ columnGap: -1 }, 'columnGap is a number of px, 0 or more'],
  ])('refuses %j', (wrong, message) => expect(() => layoutRows([], { ...base, ...wrong })).toThrow(message));

  test('refuses an aspect of 0, and lays nothing out for no pictures', () => {
    expect(() => layoutRows(aspects(1, 0), base)).toThrow('The aspect of picture 2');
    expect(layoutRows([], base)).toMatchObject({ rows: [], blockSize: 0 });
  });
});
