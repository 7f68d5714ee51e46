import { measured } from '../../document/measured.js';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ANY_MASONRY } from './values.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { holeFrom, laneEnds, laneHoles } from './ends.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { samplePictures } from '../../testing/sample.js';
import type { MeasuredArrangement, CollectionDocument } from '../../document/types.js';
import type { LaidOutTile, Layout } from '../kind.js';

const tile = (values: Partial<LaidOutTile>): LaidOutTile => ({
  id: 't',
  column: 1,
  row: 1,
  columnSpan: 1,
  rowSpan: 1,
  x: 0,
  y: 0,
  inlineSize: 100,
  blockSize: 100,
  ...values,
});
const tracks = (count: number) => Array.from({ length: count }, (_, k) => ({ start: k * 110, size: 100 }));
const layout = (
  tiles: LaidOutTile[],
  columns: number,
  rows: number,
): Pick<Layout, 'columns' | 'rows' | 'tiles'> => ({
  columns: tracks(columns),
  rows: tracks(rows),
  tiles,
});
const padding = { blockStart: 20, inlineEnd: 0, blockEnd: 0, inlineStart: 30 };
const masonry: MeasuredArrangement = {
  ...measured(emptyDocument('x').arrangement, 1280),
  kind: 'masonry',
  padding,
};

describe('where lanes end', () => {
  test('a tile over two lanes ends both; an empty lane ends where it begins', () => {
    const tiles = [
      tile({ column: 1, y: 20, blockSize: 80 }),
      tile({ column: 1, columnSpan: 2, y: 110, blockSize: 50 }),
    ];
    expect(laneEnds(layout(tiles, 3, 0), masonry)).toEqual([140, 140, 0]);
  });

  test('along rows they end at the right of their last tile', () => {
    const along: MeasuredArrangement = {
      ...masonry,
      masonry: { count: 2, min: 1, max: null, order: 'in-turn', tolerance: 0, direction: 'inline' },
    };
    const tiles = [
      tile({ row: 1, x: 30, inlineSize: 200 }),
      tile({ row: 2, x: 30, inlineSize: 90 }),
      tile({ row: 1, rowSpan: 2, x: 240, inlineSize: 60 }),
    ];
    expect(laneEnds(layout(tiles, 1, 2), along)).toEqual([270, 270]);
  });
});

describe('what stays open in lanes', () => {
  test('nothing where every tile takes one lane', () => {
    const tiles = [tile({ column: 1, y: 20, blockSize: 80 }), tile({ column: 1, y: 100, blockSize: 50 })];
    expect(laneHoles(layout(tiles, 2, 0), masonry)).toEqual([]);
  });

  test('before a tile over two lanes, in the shorter one, without the gap', () => {
    const spaced = { ...masonry, rowGap: 10 };
    const tiles = [
      tile({ id: 'a', column: 1, y: 20, blockSize: 200 }),
      tile({ id: 'b', column: 2, y: 20, blockSize: 80 }),
      tile({ id: 'c', column: 1, columnSpan: 2, y: 230, blockSize: 50 }),
    ];
    expect(laneHoles(layout(tiles, 2, 0), spaced)).toEqual([{ tile: 'c', lane: 1, from: 90, size: 110 }]);
    expect(holeFrom(layout(tiles, 2, 0), spaced)).toBe(25);
  });

  test('a lane that nothing is in yet is open from its beginning', () => {
    const tiles = [
      tile({ id: 'a', column: 1, y: 20, blockSize: 60 }),
      tile({ id: 'b', column: 1, columnSpan: 3, y: 80, blockSize: 50 }),
    ];
    expect(laneHoles(layout(tiles, 3, 0), { ...masonry, rowGap: 0 })).toEqual([
      { tile: 'b', lane: 1, from: 0, size: 60 },
      { tile: 'b', lane: 2, from: 0, size: 60 },
    ]);
  });

  test('is all that lanes have beside their tiles and gaps', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(0.5, 0.7, 1, 1.6), fc.integer({ min: 1, max: 3 })), {
          minLength: 2,
          maxLength: 14,
        }),
        fc.boolean(),
        (all, along) => {
          const direction = along ? ('inline' as const) : ('block' as const);
          const base = samplePictures(
            all.map(([aspect]) => aspect),
            {
              kind: 'masonry',
              columnGap: 12,
              rowGap: 12,
              masonry: { ...ANY_MASONRY, count: 3, direction },
            },
          );
          const document: CollectionDocument = {
            ...base,
            tiles: Object.fromEntries(
              Object.values(base.tiles).map((each, k) => [
                each.id,
                { ...each, place: { ...each.place, columnSpan: all[k]?.[1] ?? 1 } },
              ]),
            ),
          };
          const laid = layoutCollection(document, 900, { measurer: LETTERS });
          const ends = laneEnds(laid, measured(document.arrangement, 900));
          const holes = laneHoles(laid, measured(document.arrangement, 900));
          ends.forEach((end, lane) => {
            const inLane = laid.tiles.filter((each) => {
              const [first, span] = along ? [each.row - 1, each.rowSpan] : [each.column - 1, each.columnSpan];
              return lane >= first && lane < first + span;
            });
            const open = holes.filter((hole) => hole.lane === lane);
            if (inLane.length === 0) return;
            const sum = (sizes: readonly number[]) => sizes.reduce((total, size) => total + size, 0);
            const tiled = sum(inLane.map((each) => (along ? each.inlineSize : each.blockSize)));
            const free = end - tiled - (inLane.length - 1) * 12;
            const unsaid = free - sum(open.map(({ size }) => size + 12));
            // What is no longer than a gap is none.
            expect(unsaid).toBeGreaterThan(-0.001);
            expect(unsaid).toBeLessThan(12 * inLane.length + 0.001);
            if (open.length === 0) expect(free).toBeLessThan(12 * inLane.length + 0.001);
          });
        },
      ),
      { numRuns: 80 },
    );
  });
});
