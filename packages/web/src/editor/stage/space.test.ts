import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { measured, type LaidOutTile, type Layout } from '@noria/core';
import { stats } from '../../testing/composeStore';
import { areaBetween, areaBox, boxStyle, cellAt, isTaken, nearestCell, withMoreRows } from './space';

/** Tracks of any sizes with one gap between them. */
const tracks = fc
  .tuple(fc.array(fc.integer({ min: 20, max: 200 }), { minLength: 1, maxLength: 6 }), fc.integer({ max: 40 }))
  .map(([sizes, gap]) => {
    let start = 12;
    return sizes.map((size) => {
      const track = { start, size };
      start += size + Math.abs(gap % 40);
      return track;
    });
  });
const grid = fc.record({ columns: tracks, rows: tracks });
// On the line between two cells without a gap both are as near.
const share = fc.double({ min: 0.001, max: 0.999, noNaN: true });

describe('cells under a pointer', () => {
  test('a point in a cell is in that cell, and nearest to it', () => {
    fc.assert(
      fc.property(grid, fc.nat(), fc.nat(), share, share, (cells, a, b, right, down) => {
        const [column, row] = [(a % cells.columns.length) + 1, (b % cells.rows.length) + 1];
        const box = areaBox(cells, { column, row, columnSpan: 1, rowSpan: 1 });
        const [x, y] = [box.x + right * box.inlineSize, box.y + down * box.blockSize];
        expect(cellAt(cells, x, y)).toEqual({ column, row });
        expect(nearestCell(cells, x, y)).toEqual({ column, row });
      }),
    );
  });

  test('a point in a gap or the padding is in none, yet near to one', () => {
    const cells = {
      columns: [
        { start: 10, size: 50 },
        { start: 70, size: 50 },
      ],
      rows: [{ start: 10, size: 50 }],
    };
    expect(cellAt(cells, 65, 20)).toBeNull();
    expect(cellAt(cells, 5, 20)).toBeNull();
    expect(nearestCell(cells, 66, 20)).toEqual({ column: 2, row: 1 });
    expect(nearestCell(cells, -400, 900)).toEqual({ column: 1, row: 1 });
  });

  test('an area between two cells has both at its corners, whichever came first', () => {
    const cell = fc.record({ column: fc.integer({ min: 1, max: 9 }), row: fc.integer({ min: 1, max: 9 }) });
    fc.assert(
      fc.property(cell, cell, (a, b) => {
        const area = areaBetween(a, b);
        expect(areaBetween(b, a)).toEqual(area);
        expect([area.column, area.column + area.columnSpan - 1]).toEqual(
          [a.column, b.column].toSorted((one, other) => one - other),
        );
        expect(isTaken([area], a) && isTaken([area], b)).toBe(true);
        expect(isTaken([area], { column: area.column + area.columnSpan, row: area.row })).toBe(false);
      }),
    );
  });

  test('an area out of the grid has no size', () => {
    const cells = { columns: [{ start: 0, size: 9 }], rows: [{ start: 0, size: 9 }] };
    expect(areaBox(cells, { column: 4, row: 1, columnSpan: 1, rowSpan: 1 })).toEqual({
      x: 0,
      y: 0,
      inlineSize: 0,
      blockSize: 9,
    });
  });
});

describe('rows that are not there yet', () => {
  const arrangement = measured(stats([[1, 1]]).arrangement, 1280);
  const layout = (rows: Layout['rows']) =>
    ({ columns: [], rows, tiles: [] as LaidOutTile[] }) as unknown as Layout;

  test('follow the last at the common size and gap', () => {
    const given = { ...arrangement, autoRows: '80px', rowGap: 10 };
    const { rows } = withMoreRows(layout([{ start: 5, size: 60 }]), given, 2);
    expect(rows.slice(1)).toEqual([
      { start: 75, size: 80 },
      { start: 165, size: 80 },
    ]);
  });

  test('are as high as the last where rows grow with their contents, and begin at the padding', () => {
    const grows = { ...arrangement, autoRows: 'auto', rowGap: 10 };
    expect(withMoreRows(layout([{ start: 5, size: 60 }]), grows, 1).rows.at(-1)).toEqual({
      start: 75,
      size: 60,
    });
    const padding = { ...arrangement.padding, blockStart: 33 };
    expect(withMoreRows(layout([]), { ...grows, padding }, 1).rows).toEqual([{ start: 33, size: 120 }]);
  });
});

test('a rectangle on the stage is shifted first, and then scaled', () => {
  const box = { x: 10, y: 20, inlineSize: 100, blockSize: 50 };
  expect(boxStyle({ scale: 0.5, x: 4, y: 6 }, box)).toEqual({ left: 7, top: 13, width: 50, height: 25 });
});
