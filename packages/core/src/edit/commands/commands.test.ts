import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bandsOf, placeIn } from '../../document/bands.js';
import { inheritArrangement, resetTrack, setArrangement, setColumnCount, setTrack } from './arrangement.js';
import { addBreakpoint, moveBreakpoint, removeBreakpoint } from './bands.js';
import { inheritPlace, setSpan } from './place.js';
import { change, type Command } from '../patch/change.js';
import { layoutCollection } from '../../layout/layout.js';
import { moveToCell } from './moveToCell.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { start } from '../../testing/anySteps.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

const run = (command: Command, document = start) => change(document, command).document;
const spans = (document: CollectionDocument, id: string) =>
  bandsOf(document).map(({ index }) => placeIn(document, document.tiles[id] as Tile, index).columnSpan);

describe('where a value is set', () => {
  test('in the widest band narrower ones inherit it; in a narrower one wider ones keep theirs', () => {
    expect(spans(run(setSpan({ tiles: ['t2'], columnSpan: 3, band: 0, setFor: 'band' })), 't2')).toEqual([
      3, 3, 3,
    ]);
    const middle = run(setSpan({ tiles: ['t2'], columnSpan: 3, band: 1, setFor: 'band' }));
    expect(spans(middle, 't2')).toEqual([1, 3, 3]);
    expect(spans(run(inheritPlace('t2', 1, ['columnSpan']), middle), 't2')).toEqual([1, 1, 1]);
    expect(run(inheritPlace('t2', 1, ['columnSpan']), middle).bands[0]?.tiles).toEqual({});
  });

  test('for all widths takes every band’s own value away', () => {
    const middle = run(setSpan({ tiles: ['t2'], columnSpan: 3, band: 1, setFor: 'band' }));
    expect(
      spans(run(setSpan({ tiles: ['t2'], columnSpan: 2, band: 2, setFor: 'all' }), middle), 't2'),
    ).toEqual([2, 2, 2]);
    const gap = run(setArrangement({ rowGap: 8 }, 1, 'all'));
    expect(bandsOf(gap).map((band) => band.arrangement.rowGap)).toEqual([8, 8, 8]);
  });

  test('an arrangement value goes back to inherited', () => {
    expect(bandsOf(run(inheritArrangement(2, ['rowGap'])))[2]?.arrangement.rowGap).toBe(16);
  });
});

describe('tracks', () => {
  test('a typed size, a common row made explicit, and back', () => {
    const narrow = run(setTrack({ axis: 'column', index: 0, size: '220px', band: 0, setFor: 'band' }));
    expect(narrow.arrangement.columns.slice(0, 2)).toEqual(['220px', '1fr']);
    const tall = run(setTrack({ axis: 'row', index: 1, size: '90px', band: 0, setFor: 'band' }));
    expect(tall.arrangement.rows).toEqual(['160px', '90px']);
    expect(
      run(resetTrack({ axis: 'row', index: 1, band: 0, setFor: 'band' }), tall).arrangement.rows,
    ).toEqual([]);
    expect(run(resetTrack({ axis: 'column', index: 0, band: 0, setFor: 'band' }), narrow)).toEqual(start);
  });

  test.each([
    ['column', 'wide'],
    ['row', '20vh'],
    ['column', '99999px'],
  ] as const)('a %s of “%s” is refused in words', (axis, size) => {
    expect(() => setTrack({ axis, index: 0, size, band: 0, setFor: 'band' })).toThrow(
      /^A track size is written like “72px”/,
    );
  });

  test('columns come and go at the end', () => {
    const sized = run(setTrack({ axis: 'column', index: 0, size: '220px', band: 0, setFor: 'band' }));
    expect(run(setColumnCount(2, 0, 'band'), sized).arrangement.columns).toEqual(['220px', '1fr']);
    expect(run(setColumnCount(7, 0, 'band'), sized).arrangement.columns).toHaveLength(7);
    expect(run(setColumnCount(0, 0, 'band')).arrangement.columns).toHaveLength(1);
  });
});

describe('breakpoints', () => {
  test('stay between their neighbours', () => {
    expect(run(moveBreakpoint(1, 100)).bands.map((band) => band.below)).toEqual([641, 640]);
    expect(run(moveBreakpoint(2, 5000)).bands.map((band) => band.below)).toEqual([1080, 1079]);
  });

  test('a new band inherits everything; a removed one leaves its widths to the next wider', () => {
    const added = run(addBreakpoint('b9', 800));
    expect(bandsOf(added).map((band) => band.arrangement.columns.length)).toEqual([6, 4, 4, 2]);
    expect(run(removeBreakpoint(2), added)).toEqual(start);
    expect(run(addBreakpoint('b9', 640))).toBe(start);
  });
});

describe('moving to a cell', () => {
  const at = (document: CollectionDocument, id: string) => {
    const tile = layoutCollection(document, 1280, { measurer: LETTERS }).tiles.find((each) => each.id === id);
    return [tile?.column, tile?.row];
  };

  test('goes by reading order when a position brings the tile there, and it stays free', () => {
    const move = moveToCell(start, 't5', 0, { column: 3, row: 1 });
    expect(move.by).toBe('order');
    const moved = run(move.command);
    expect(at(moved, 't5')).toEqual([3, 1]);
    expect(moved.tiles.t5?.place.pin).toBeNull();
  });

  test('pins when no position does', () => {
    const move = moveToCell(start, 't2', 0, { column: 6, row: 5 });
    expect(move.by).toBe('pin');
    expect(at(run(move.command), 't2')).toEqual([6, 5]);
  });

  test('does nothing for the cell it is in', () => {
    expect(moveToCell(start, 't1', 0, { column: 1, row: 1 }).by).toBe('nothing');
  });

  test('always lands where it was let go', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...start.order),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        (id, column, row) => {
          const tile = start.tiles[id] as Tile;
          const moved = run(moveToCell(start, id, 0, { column, row }).command);
          expect(at(moved, id)).toEqual([Math.min(column, 7 - tile.place.columnSpan), row]);
        },
      ),
    );
  });
});
