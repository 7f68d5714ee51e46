import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { coverage, packed } from '../../geometry/coverage.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { placeInColumns, type PlacementItem } from './placeInColumns.js';
import { formatTrackSize, parseTrackSize, plainTrackSize } from '../css/trackSize.js';

const free = (columnSpan: number, rowSpan = 1): PlacementItem => ({
  column: null,
  row: null,
  columnSpan,
  rowSpan,
});
const cells = (areas: readonly { column: number; row: number }[]) =>
  areas.map(({ column, row }) => [column, row]);

describe('tracks', () => {
  test.each([
    ['72px', '72px'],
    [' 1.50001FR ', '1.5fr'],
    ['.5fr', '0.5fr'],
    ['0px', '0px'],
    ['Auto', 'auto'],
    ['minmax(200px,1fr)', 'minmax(200px, 1fr)'],
    ['fit-content( 40% )', 'fit-content(40%)'],
    ['calc(100% - 40px)', 'calc(100% - 40px)'],
    ['clamp(10rem, 20%, 400px)', 'clamp(10rem, 20%, 400px)'],
  ])('reads %j as %s', (text, written) => expect(formatTrackSize(text)).toBe(written));

  test.each([
    '',
    '72',
    'px',
    '-1px',
    '99999px',
    '1fr 1fr',
    'NaNpx',
    '20vh',
    'minmax(1fr, 200px)',
    'minmax(200px',
    'subgrid',
    'url(a)',
    '}',
  ])('refuses %j', (text) => expect(formatTrackSize(text)).toBeNull());

  test('a lone share may shrink to nothing; one in minmax() keeps its least size', () => {
    expect(parseTrackSize('2fr')?.min).toEqual({ kind: 'length', value: 0 });
    expect(parseTrackSize('minmax(auto, 2fr)')?.min).toEqual({ kind: 'auto' });
    expect(plainTrackSize('2fr')).toEqual({ unit: 'fr', value: 2 });
    expect(plainTrackSize('minmax(0, 2fr)')).toBeNull();
  });

  test('an even column is (W − (n−1)·g) / n', () => {
    expect(evenColumn(1200, 4, 24)).toBe(282);
    expect(evenColumn(10, 4, 24)).toBe(0);
  });
});

describe('placement', () => {
  test('sparse keeps the cursor, dense goes back into holes', () => {
    const items = [free(2), free(2), free(1)];
    expect(cells(placeInColumns(items, 3, 'sparse'))).toEqual([
      [1, 1],
      [1, 2],
      [3, 2],
    ]);
    expect(cells(placeInColumns(items, 3, 'dense'))).toEqual([
      [1, 1],
      [1, 2],
      [3, 1],
    ]);
  });

  test('free items flow around pinned ones', () => {
    const pinned = { column: 2, row: 1, columnSpan: 1, rowSpan: 2 };
    expect(cells(placeInColumns([free(1), free(2), pinned, free(1)], 3, 'dense'))).toEqual([
      [1, 1],
      [1, 3],
      [2, 1],
      [3, 1],
    ]);
  });

  test('an item held in a row takes its first free columns', () => {
    const held = { column: null, row: 2, columnSpan: 2, rowSpan: 1 };
    expect(cells(placeInColumns([held, free(1), held], 4, 'sparse'))).toEqual([
      [1, 2],
      [1, 1],
      [3, 2],
    ]);
  });

  test('wider than the grid is pulled in', () => {
    expect(placeInColumns([free(9), { column: 7, row: 2, columnSpan: 2, rowSpan: 1 }], 3, 'sparse')).toEqual([
      { column: 1, row: 1, columnSpan: 3, rowSpan: 1 },
      { column: 2, row: 2, columnSpan: 2, rowSpan: 1 },
    ]);
  });

  const anyItems = fc.array(
    fc.record({ columnSpan: fc.integer({ min: 1, max: 7 }), rowSpan: fc.integer({ min: 1, max: 4 }) }),
    { maxLength: 40 },
  );

  test('free items never overlap, and lie inside the columns', () => {
    fc.assert(
      fc.property(
        anyItems,
        fc.integer({ min: 1, max: 8 }),
        fc.constantFrom('sparse' as const, 'dense' as const),
        (spans, columns, flow) => {
          const areas = placeInColumns(
            spans.map((span) => free(span.columnSpan, span.rowSpan)),
            columns,
            flow,
          );
          const rows = Math.max(0, ...areas.map((area) => area.row + area.rowSpan - 1));
          const { covered, overlapping, cells: all, holes } = coverage(areas, columns, rows);
          expect(overlapping).toBe(0);
          expect(
            areas.every((area) => area.column >= 1 && area.column + area.columnSpan - 1 <= columns),
          ).toBe(true);
          expect(covered + holes.reduce((sum, hole) => sum + hole.columnSpan * hole.rowSpan, 0)).toBe(all);
        },
      ),
    );
  });

  test('sparse flow keeps reading order from cell to cell', () => {
    fc.assert(
      fc.property(anyItems, (spans) => {
        const areas = placeInColumns(
          spans.map((span) => free(span.columnSpan, span.rowSpan)),
          5,
          'sparse',
        );
        const starts = areas.map((area) => area.row * 100 + area.column);
        expect(starts).toEqual(starts.toSorted((a, b) => a - b));
      }),
    );
  });
});

describe('coverage', () => {
  test('finds a hole as one rectangle, and counts overlaps', () => {
    const areas = [
      { column: 1, row: 1, columnSpan: 2, rowSpan: 2 },
      { column: 2, row: 2, columnSpan: 1, rowSpan: 1 },
      { column: 1, row: 3, columnSpan: 4, rowSpan: 1 },
    ];
    const found = coverage(areas, 4, 3);
    expect(found).toMatchObject({ cells: 12, covered: 8, overlapping: 1 });
    expect(found.holes).toEqual([{ column: 3, row: 1, columnSpan: 2, rowSpan: 2 }]);
    expect(packed(found)).toBeCloseTo(8 / 12);
    expect(packed(coverage([], 3, 0))).toBe(1);
  });
});
