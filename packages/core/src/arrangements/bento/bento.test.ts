import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cellsOf, isHidden, rowCountOf, wishesOf } from '../cells.js';
import { resolvedBandAt } from '../bands.js';
import { layoutCollection } from '../../layout/layout.js';
import { areasMeet } from '../../geometry/relations.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { sample, type SampleSpans } from '../../testing/sample.js';
import { areaIn, areaMap, mapRows } from './areaMap.js';
import type { Arrangement, CollectionDocument, Place } from '../../document/types.js';

const none = { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 };
const bento = (
  spans: readonly SampleSpans[],
  columns: number,
  values: Partial<Arrangement> = {},
): CollectionDocument => {
  const document = sample(spans, columns);
  const base = { ...document.arrangement, padding: none, columnGap: 0, rowGap: 0, autoRows: '100px' };
  return { ...document, bands: [], arrangement: { ...base, ...values } };
};
const placed = (document: CollectionDocument, id: string, place: Partial<Place>): CollectionDocument => {
  const tile = document.tiles[id];
  if (!tile) throw new Error(`There is no ${id}.`);
  return { ...document, tiles: { ...document.tiles, [id]: { ...tile, place: { ...tile.place, ...place } } } };
};
const lay = (document: CollectionDocument, width = 600) =>
  layoutCollection(document, width, { measurer: LETTERS });
const cells = (document: CollectionDocument, width = 600) =>
  lay(document, width).tiles.map(({ id, column, row, columnSpan, rowSpan }) => [
    id,
    column,
    row,
    columnSpan,
    rowSpan,
  ]);

describe('which cells tiles take', () => {
  test('they flow in reading order, and dense flow fills what is left before', () => {
    const spans: SampleSpans[] = [
      [2, 1],
      [2, 1],
      [1, 1],
    ];
    expect(cells(bento(spans, 3, { flow: 'sparse' }))).toEqual([
      ['t1', 1, 1, 2, 1],
      ['t2', 1, 2, 2, 1],
      ['t3', 3, 2, 1, 1],
    ]);
    expect(cells(bento(spans, 3, { flow: 'dense' }))[2]).toEqual(['t3', 3, 1, 1, 1]);
  });

  test('a span is no wider than the grid, and a pin is pulled in', () => {
    expect(cells(bento([[9, 1]], 4))).toEqual([['t1', 1, 1, 4, 1]]);
    expect(cells(bento([[2, 1, 4, 2]], 4))).toEqual([['t1', 3, 2, 2, 1]]);
  });

  test('tiles that flow keep out of the cells of those that are held', () => {
    expect(
      cells(
        bento(
          [
            [1, 1],
            [1, 1, 2, 1],
            [2, 1],
          ],
          3,
        ),
      ),
    ).toEqual([
      ['t1', 1, 1, 1, 1],
      ['t2', 2, 1, 1, 1],
      ['t3', 1, 2, 2, 1],
    ]);
  });

  test('an order of its own says where a tile is placed, not where it is read', () => {
    const document = placed(
      bento(
        [
          [1, 1],
          [1, 1],
        ],
        2,
      ),
      't2',
      { order: -1 },
    );
    expect(cells(document)).toEqual([
      ['t1', 2, 1, 1, 1],
      ['t2', 1, 1, 1, 1],
    ]);
  });

  test('a tile that is hidden takes none', () => {
    const document = placed(
      bento(
        [
          [1, 1],
          [1, 1],
        ],
        2,
      ),
      't1',
      { hidden: true },
    );
    expect(cells(document)).toEqual([['t2', 1, 1, 1, 1]]);
    const all = cellsOf(document, resolvedBandAt(document, 600));
    expect(all.map(isHidden)).toEqual([true, false]);
    expect(wishesOf(document, resolvedBandAt(document, 600))[0]).toBeNull();
  });

  test('an area holds its tile, whatever spans and pin it has; where the map lacks it, those count', () => {
    const areas = ['side top top', 'side rest rest'];
    const document = placed(bento([[2, 1, 2, 1]], 3, { areas }), 't1', { area: 'side' });
    expect(cells(document)).toEqual([['t1', 1, 1, 1, 2]]);
    const gone = placed(document, 't1', { area: 'gone' });
    expect(cells(gone)).toEqual([['t1', 2, 1, 2, 1]]);
  });
});

describe('a map of areas', () => {
  const areas = ['side top top', 'side rest .'];
  const columns = ['1fr', '1fr', '1fr'];

  test('is read as CSS reads it, and cut at the last column', () => {
    expect(areaIn({ areas, columns }, 'top')).toEqual({ column: 2, row: 1, columnSpan: 2, rowSpan: 1 });
    expect(areaIn({ areas, columns: columns.slice(1) }, 'top')).toEqual({
      column: 2,
      row: 1,
      columnSpan: 1,
      rowSpan: 1,
    });
    expect(areaIn({ areas, columns }, 'none')).toBeNull();
  });

  test('is filled up where there are more columns than it names', () => {
    expect(mapRows({ areas, columns: [...columns, '1fr'] })).toEqual([
      ['side', 'top', 'top', '.'],
      ['side', 'rest', '.', '.'],
    ]);
  });

  test('is the same object for as long as it is the same map', () => {
    expect(areaMap({ areas, columns })).toBe(areaMap({ areas, columns: [...columns] }));
    expect(areaMap({ areas, columns })).not.toBe(areaMap({ areas, columns: columns.slice(1) }));
    expect(areaMap({ columns })).toBeNull();
  });

  test('makes rows even where no tile lies', () => {
    const document = bento([[1, 1]], 3, { areas: [...areas, 'foot foot foot'] });
    const { arrangement } = document;
    const band = resolvedBandAt(document, 600);
    expect(rowCountOf(arrangement, band.columns, cellsOf(document, band))).toBe(3);
    expect(lay(document).rows).toHaveLength(3);
  });
});

describe('how large cells and tiles are', () => {
  test('columns of px, shares and content', () => {
    const document = bento([[1, 1]], 1, { columns: ['100px', '1fr', '3fr'] });
    expect(lay(document).columns.map(({ start, size }) => [start, size])).toEqual([
      [0, 100],
      [100, 125],
      [225, 375],
    ]);
  });

  test('explicit rows first, then the common one', () => {
    const document = bento(
      [
        [1, 1],
        [1, 1],
        [1, 1],
      ],
      1,
      { rows: ['30px', '50px'], rowGap: 10 },
    );
    expect(lay(document).rows.map(({ start, size }) => [start, size])).toEqual([
      [0, 30],
      [40, 50],
      [100, 100],
    ]);
  });

  test('square cells are as high as the first column is wide', () => {
    const document = bento(
      [
        [1, 1],
        [2, 2],
      ],
      3,
      { cells: 'square', columnGap: 30, rowGap: 30 },
    );
    expect(lay(document, 600).tiles.map(({ inlineSize, blockSize }) => [inlineSize, blockSize])).toEqual([
      [180, 180],
      [390, 390],
    ]);
  });

  test('square cells are filled, on the stage as in the page', () => {
    const fit = { inline: 'end', block: 'end', inlineSize: 80, blockSize: 40 } as const;
    const [tile] = lay(placed(bento([[1, 1]], 2, { cells: 'square' }), 't1', { fit })).tiles;
    expect([tile?.x, tile?.y, tile?.inlineSize, tile?.blockSize]).toEqual([0, 0, 300, 300]);
  });

  test.each<[string, Partial<Arrangement>, number, number]>([
    ['by its content', {}, 900, 100],
    ['of px', { height: { kind: 'fixed', px: 420 } }, 900, 420],
    ['at least a share of the screen', { height: { kind: 'screen', share: 0.5 } }, 900, 400],
    ['no wider than its maximum', { maxInlineSize: 500 }, 500, 100],
  ])('a grid %s', (_, values, inlineSize, blockSize) => {
    const laid = lay(bento([[1, 1]], 2, values), 900);
    expect([laid.inlineSize, laid.blockSize]).toEqual([inlineSize, blockSize]);
  });

  test.each<[Partial<NonNullable<Place['fit']>>, number[]]>([
    [{}, [0, 0, 300, 100]],
    [{ inline: 'end', inlineSize: 80 }, [220, 0, 80, 100]],
    [{ inline: 'center', inlineSize: 80, block: 'center', blockSize: 40 }, [110, 30, 80, 40]],
    [{ inline: 'start', inlineSize: 900 }, [0, 0, 300, 100]],
    [{ block: 'end', blockSize: 40 }, [0, 60, 300, 40]],
    [{ inline: 'end', inlineSize: '25%' }, [225, 0, 75, 100]],
    [{ inline: 'end', inlineSize: '10cqi' }, [240, 0, 60, 100]],
    [{ block: 'end', blockSize: 'min(50%, 2rem)' }, [0, 68, 300, 32]],
  ])('a tile that lies %j in its cell', (fit, expected) => {
    const whole = { inline: 'stretch', block: 'stretch', inlineSize: null, blockSize: null, ...fit } as const;
    const [tile] = lay(placed(bento([[1, 1]], 2), 't1', { fit: whole })).tiles;
    expect([tile?.x, tile?.y, tile?.inlineSize, tile?.blockSize]).toEqual(expected);
  });
});

test('any bento: tiles fill the tracks of their cells, and only those that are held lie over others', () => {
  const span = fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 3 }));
  fc.assert(
    fc.property(
      fc.array(span, { minLength: 1, maxLength: 16 }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 0, max: 24 }),
      fc.constantFrom('sparse' as const, 'dense' as const),
      fc.integer({ min: 240, max: 1600 }),
      (spans, columns, gap, flow, width) => {
        const document = bento(spans, columns, { columnGap: gap, rowGap: gap, flow });
        const { tiles, columns: across, rows, coverage } = lay(document, width);
        expect(tiles).toHaveLength(spans.length);
        for (const tile of tiles) {
          const [first, last] = [across[tile.column - 1], across[tile.column + tile.columnSpan - 2]];
          const [top, bottom] = [rows[tile.row - 1], rows[tile.row + tile.rowSpan - 2]];
          if (!first || !last || !top || !bottom) throw new Error('A tile lies outside of the grid.');
          expect(tile.x).toBeCloseTo(first.start);
          expect(tile.x + tile.inlineSize).toBeCloseTo(last.start + last.size);
          expect(tile.y).toBeCloseTo(top.start);
          expect(tile.y + tile.blockSize).toBeCloseTo(bottom.start + bottom.size);
        }
        expect(coverage.overlapping).toBe(0);
        tiles.forEach((tile, k) =>
          tiles.slice(k + 1).forEach((other) => expect(areasMeet(tile, other)).toBe(false)),
        );
      },
    ),
    { numRuns: 80 },
  );
});
