import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { layoutMosaic, type MosaicLayout, type MosaicOptions } from './layoutMosaic.js';

const base: MosaicOptions = {
  columns: 8,
  gap: 8,
  moduleSize: 120,
  shareOfLarge: 0.25,
  seed: 1,
  mostCrop: 0.4,
};
const aspects = fc.array(fc.constantFrom(0.5, 0.66, 0.75, 1, 1.33, 1.5, 1.78, 2.4, 4), {
  minLength: 1,
  maxLength: 70,
});
const items = (list: readonly number[]) => list.map((aspect) => ({ aspect }));

/** How often each module is covered. */
function counts({ slots, rows }: MosaicLayout, columns: number): Set<number> {
  const cells = new Int32Array(rows * columns);
  for (const { column, row, columnSpan, rowSpan } of slots) {
    for (let r = row; r < row + rowSpan; r++) {
      for (let c = column; c < column + columnSpan; c++)
        cells[r * columns + c] = (cells[r * columns + c] ?? 0) + 1;
    }
  }
  return new Set(cells);
}

describe('a mosaic', () => {
  test('covers every module once, whatever the pictures', () => {
    fc.assert(
      fc.property(
        aspects,
        fc.integer({ min: 2, max: 14 }),
        fc.integer({ min: 0, max: 999 }),
        (list, columns, seed) => {
          const mosaic = layoutMosaic(items(list), { ...base, columns, seed });
          expect(mosaic.slots).toHaveLength(list.length);
          expect(counts(mosaic, columns)).toEqual(new Set([1]));
        },
      ),
      { numRuns: 60 },
    );
  });

  const many = items(Array.from({ length: 48 }, (_, k) => [0.75, 1.5, 1, 1.78, 0.66, 1.33][k % 6] as number));

  test('is the same for the same seed, and another for another', () => {
    expect(layoutMosaic(many, base)).toEqual(layoutMosaic(many, base));
    expect(layoutMosaic(many, { ...base, seed: 2 }).slots).not.toEqual(layoutMosaic(many, base).slots);
  });

  test('crops little, keeps near the share of large ones, and seldom repeats a size', () => {
    const { slots, visible } = layoutMosaic(many, base);
    const mean = visible.reduce((sum, share) => sum + share, 0) / visible.length;
    expect(mean).toBeGreaterThan(0.75);
    const large = slots.filter(({ columnSpan, rowSpan }) => columnSpan * rowSpan >= 4).length / slots.length;
    expect(Math.abs(large - base.shareOfLarge)).toBeLessThan(0.15);
    const repeats = slots.filter((slot, k) => {
      const before = slots[k - 1];
      return before?.columnSpan === slot.columnSpan && before.rowSpan === slot.rowSpan;
    });
    expect(repeats.length / slots.length).toBeLessThan(0.35);
  });

  test('gives a panorama a wide slot', () => {
    const { slots } = layoutMosaic(items([1, 1, 4, 1, 1, 1, 1, 1]), { ...base, seed: 5 });
    expect(slots[2]?.columnSpan).toBeGreaterThanOrEqual((slots[2]?.rowSpan ?? 9) * 2);
  });

  test.each([
    [{ columns: 1 }, '2 to 64 modules'],
    [{ seed: 0.5 }, 'A seed is a whole number'],
    [{ mostCrop: 2 }, 'mostCrop is a share from 0 to 1'],
    [{ moduleSize: 0 }, 'A module is a number of px above 0'],
  ])('refuses %j', (wrong, message) =>
    expect(() => layoutMosaic([], { ...base, ...wrong })).toThrow(message),
  );
});
