import { describe, expect, test } from '@jest/globals';
import { bandAt, bandsOf, isSetHere, placeIn } from '../document/bands.js';
import { layoutCollection } from './layout.js';
import { change } from '../edit/patch/change.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import { setArrangement } from '../edit/commands/arrangement.js';
import { setLook } from '../edit/commands/tiles.js';
import type { CollectionDocument, Tile } from '../document/types.js';

describe('a bento', () => {
  const document = sample(
    [
      [2, 2],
      [1, 1],
      [1, 1],
      [2, 1],
    ],
    4,
  );

  test('lays tiles out in px from the border box', () => {
    const layout = layoutCollection(document, 1280, { measurer: LETTERS });
    const column = (1280 - 48 - 3 * 16) / 4;
    expect(layout.tiles.map(({ x, y, inlineSize, blockSize }) => [x, y, inlineSize, blockSize])).toEqual([
      [24, 24, 2 * column + 16, 336],
      [24 + 2 * (column + 16), 24, column, 160],
      [24 + 3 * (column + 16), 24, column, 160],
      [24 + 2 * (column + 16), 200, 2 * column + 16, 160],
    ]);
    expect(layout).toMatchObject({ inlineSize: 1280, blockSize: 24 + 336 + 24 });
    expect(layout.coverage.holes).toEqual([]);
  });

  test('is never wider than its maximum, nor narrower than its padding', () => {
    const capped: CollectionDocument = {
      ...document,
      arrangement: { ...document.arrangement, maxInlineSize: 1100 },
    };
    expect(layoutCollection(capped, 2560, { measurer: LETTERS }).inlineSize).toBe(1100);
    expect(layoutCollection(document, 10, { measurer: LETTERS })).toMatchObject({ inlineSize: 32 });
    expect(
      layoutCollection(document, 10, { measurer: LETTERS }).tiles.map((tile) => tile.inlineSize),
    ).toEqual([12, 0, 0, 12]);
  });

  test('explicit rows come first, then the common size', () => {
    const rows: CollectionDocument = {
      ...document,
      arrangement: { ...document.arrangement, rows: ['40px'] },
    };
    expect(layoutCollection(rows, 1280, { measurer: LETTERS }).rows.map((row) => row.size)).toEqual([
      40, 160,
    ]);
  });

  test.each([NaN, Infinity, -1])('refuses a width of %p', (width) => {
    expect(() => layoutCollection(document, width, { measurer: LETTERS })).toThrow(
      /a number of px, 0 or more/i,
    );
  });
});

describe('bands', () => {
  const base = sample([
    [3, 1],
    [1, 1, 5, 1],
  ]);
  const document: CollectionDocument = {
    ...base,
    bands: base.bands.map((band, k) => (k === 0 ? { ...band, tiles: { t1: { columnSpan: 2 } } } : band)),
  };
  const tile = (id: string) => document.tiles[id] as Tile;

  test('a breakpoint belongs to the wider band', () => {
    expect(bandAt(document, 1080).index).toBe(0);
    expect(bandAt(document, 1079.5).index).toBe(1);
    expect(bandAt(document, 639).index).toBe(2);
    expect(bandsOf(document).map(({ from, below }) => [from, below])).toEqual([
      [1080, Infinity],
      [640, 1080],
      [0, 640],
    ]);
  });

  test('spans are inherited, pins are not', () => {
    expect([0, 1, 2].map((band) => placeIn(document, tile('t1'), band).columnSpan)).toEqual([3, 2, 2]);
    expect([0, 1].map((band) => placeIn(document, tile('t2'), band).pin)).toEqual([
      { column: 5, row: 1 },
      null,
    ]);
  });

  test('what a band sets is told from what it inherits', () => {
    expect(isSetHere(document, 1, { tile: 't1', of: 'columnSpan' })).toBe(true);
    expect(isSetHere(document, 2, { tile: 't1', of: 'columnSpan' })).toBe(false);
    expect(isSetHere(document, 2, { of: 'rowGap' })).toBe(true);
    expect(isSetHere(document, 0, { of: 'rowGap' })).toBe(false);
  });
});

test('type that grows with the page grows after a page of no width', () => {
  const grows = { from: 20, to: 60, fromWidth: 300, toWidth: 1300 };
  const document = change(sample([[1, 1]], 1), setArrangement({ autoRows: 'auto' }, 0, 'all')).document;
  const fluid = change(document, setLook(['t1'], { headingSize: grows })).document;
  const heights = (of: CollectionDocument, ...widths: number[]) =>
    widths.map((width) => layoutCollection(of, width, { measurer: LETTERS }).tiles[0]?.blockSize ?? 0);
  const fresh = heights(structuredClone(fluid), 1300, 800);
  expect(fresh[0]).toBeGreaterThan(fresh[1] ?? Infinity);
  expect(heights(fluid, 0, 1300, 800).slice(1)).toEqual(fresh);
});
