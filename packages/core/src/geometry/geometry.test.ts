import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boundsOf } from './bounds.js';
import { evenColumn } from './evenColumn.js';
import { noise } from './noise.js';
import { overWidths } from './overWidths.js';
import { areasMeet, areasTouch, areSame } from './relations.js';
import { lowestGap, unevenness } from './skyline.js';
import { SLACK } from './slack.js';
import { visibleShare } from './visibleShare.js';
import type { GridArea } from './area.js';

const area = fc.record({
  column: fc.integer({ min: 1, max: 8 }),
  row: fc.integer({ min: 1, max: 8 }),
  columnSpan: fc.integer({ min: 1, max: 4 }),
  rowSpan: fc.integer({ min: 1, max: 4 }),
});
const cells = ({ column, row, columnSpan, rowSpan }: GridArea) =>
  Array.from({ length: columnSpan * rowSpan }, (_, k) => [
    column + (k % columnSpan),
    row + Math.floor(k / columnSpan),
  ]);
const share = (a: GridArea, b: GridArea, near: number) =>
  cells(a).some(([x = 0, y = 0]) =>
    cells(b).some(([u = 0, v = 0]) => Math.abs(x - u) + Math.abs(y - v) <= near),
  );

describe('cells that lie together', () => {
  test('meet where they share a cell, touch where cells are neighbours', () => {
    fc.assert(
      fc.property(area, area, (a, b) => {
        expect(areasMeet(a, b)).toBe(share(a, b, 0));
        if (!areasMeet(a, b)) expect(areasTouch(a, b)).toBe(share(a, b, 1));
        expect(areasMeet(a, b)).toBe(areasMeet(b, a));
        expect(areSame(a, a)).toBe(true);
      }),
    );
  });

  test('have bounds that hold them all, and no more', () => {
    fc.assert(
      fc.property(fc.array(area, { minLength: 1, maxLength: 6 }), (all) => {
        const bounds = boundsOf(all);
        const inside = cells(bounds);
        expect(all.flatMap(cells).every(([x, y]) => inside.some(([u, v]) => u === x && v === y))).toBe(true);
        for (const end of ['column', 'row'] as const)
          expect(Math.min(...all.map((each) => each[end]))).toBe(bounds[end]);
      }),
    );
  });
});

describe('lengths and shares', () => {
  test('even columns and their gaps fill what there is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 3000, noNaN: true }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 0, max: 8 }),
        (inner, count, gap) =>
          expect(evenColumn(inner, count, gap) * count + gap * (count - 1)).toBeCloseTo(inner),
      ),
    );
  });

  test('a picture shows whole in a slot of its aspect, and the same of it in one as much too wide as too high', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        (aspect, by) => {
          expect(visibleShare(aspect, aspect)).toBe(1);
          expect(visibleShare(aspect, aspect * by)).toBeCloseTo(1 / by);
          expect(visibleShare(aspect, aspect / by)).toBeCloseTo(1 / by);
        },
      ),
    );
  });

  test('the widths at which a line is above 0 are those, and the worst is the highest', () => {
    const end = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(
        end,
        end,
        fc.integer({ min: 240, max: 900 }),
        fc.integer({ min: 1, max: 300 }),
        (a, b, from, more) => {
          const to = from + more;
          const at = (width: number) => a + ((b - a) * (width - from)) / more;
          const found = overWidths({ from, to }, a, b);
          const over = Array.from({ length: more + 1 }, (_, k) => from + k).filter(
            (width) => at(width) > SLACK,
          );
          if (!found) {
            expect(over).toEqual([]);
            return;
          }
          expect(found.ranges).toEqual([{ from: over[0], to: over.at(-1) }]);
          expect(found.badness).toBeCloseTo(Math.max(...over.map(at)));
          expect(found.said).toEqual({ by: found.badness, width: found.worst });
        },
      ),
    );
  });

  test('chance is the same for the same seed, from 0 to below 1, and another for another', () => {
    const [a, b, c] = [noise(7), noise(7), noise(8)];
    const drawn = Array.from({ length: 200 }, a);
    expect(Array.from({ length: 200 }, b)).toEqual(drawn);
    expect(Array.from({ length: 200 }, c)).not.toEqual(drawn);
    expect(drawn.every((each) => each >= 0 && each < 1)).toBe(true);
    expect(Math.abs(drawn.reduce((sum, each) => sum + each, 0) / 200 - 0.5)).toBeLessThan(0.1);
  });
});

describe('a skyline', () => {
  const heights = fc.array(fc.nat(6), { minLength: 1, maxLength: 9 });

  test('its lowest gap is the first free cell, and ends where a column is higher or the cell is held', () => {
    fc.assert(
      fc.property(heights, fc.array(fc.nat(8)), (all, held) => {
        const isTaken = (column: number) => held.includes(column);
        const { column, row, columns } = lowestGap(all, isTaken);
        expect(row).toBe(Math.min(...all));
        expect(column).toBe(all.indexOf(row));
        expect(new Set(all.slice(column, column + columns))).toEqual(new Set([row]));
        expect(all.slice(column + 1, column + columns).some((_, k) => isTaken(column + 1 + k))).toBe(false);
        const after = column + columns;
        if (after < all.length) expect(all[after] !== row || isTaken(after)).toBe(true);
      }),
    );
  });

  test.each([
    [[], 0],
    [[3], 0],
    [[2, 5, 1], 4],
  ])('%j is uneven by %i', (all, cells) => expect(unevenness(all)).toBe(cells));
});
