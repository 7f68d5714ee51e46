import { describe, expect, test } from '@jest/globals';
import { bandAt, placeIn, type ArrangementName, type Place, type TileId } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { selectLayout } from '../selectors';
import { redo, undo } from '../document/run';
import { fitTiles, growTiles, layerTiles, pinTiles, reorderTiles, spanTiles } from './place';
import { stepSelected } from './step';

const SPANS = [
  [2, 1],
  [1, 1],
  [1, 1],
  [2, 1],
  [2, 1],
] as const;

const open = (kind: ArrangementName = 'bento', width = 1280) => {
  const compose = composeStore(stats(SPANS, { kind }), width);
  const place = (id: TileId) => {
    const document = compose.document();
    const tile = document.tiles[id];
    if (!tile) throw new Error(`There is no ${id}.`);
    return placeIn(document, tile, bandAt(document, width).index);
  };
  const laid = (id: TileId) => selectLayout(compose.store.getState()).tiles.find((tile) => tile.id === id);
  return { ...compose, place, laid };
};

describe('spans', () => {
  test('are set for all selected in one step, which says where the first is now', () => {
    const { take, run, place, steps, said } = open();
    take('t2', 't3');
    run(spanTiles({ rowSpan: 2 }));
    expect([place('t2').rowSpan, place('t3').rowSpan, place('t1').rowSpan]).toEqual([2, 2, 1]);
    expect(steps()).toEqual(['Span']);
    expect(said()).toBe('“Stat 2”: 1 by 2, column 3, row 1; 1 hole.');
  });

  test('grow from what each has, not below one and not over the columns there are', () => {
    const { take, run, place, steps } = open();
    take('t1', 't2');
    run(growTiles(3, 0));
    expect([place('t1').columnSpan, place('t2').columnSpan]).toEqual([4, 4]);
    run(growTiles(-9, -9));
    expect([place('t1').columnSpan, place('t1').rowSpan]).toEqual([1, 1]);
    expect(steps()).toHaveLength(2);
  });

  test('with nothing selected nothing is done', () => {
    const { run, steps } = open();
    [spanTiles({ columnSpan: 2 }), growTiles(1, 0), stepSelected(1, 0), pinTiles(), reorderTiles(1)].forEach(
      run,
    );
    run(layerTiles(1));
    expect(steps()).toEqual([]);
  });

  test.each(['rows', 'mosaic', 'fan'] as const)('mean nothing in %s, and a key says so', (kind) => {
    const { take, run, steps, said } = open(kind);
    take('t1');
    run(growTiles(1, 0));
    expect(steps()).toEqual([]);
    expect(said()).toMatch(/the size of a tile is not by spans\.$/);
  });

  test('in masonry only those over lanes', () => {
    const { take, run, steps, place } = open('masonry');
    take('t2');
    run(growTiles(0, 1));
    expect(steps()).toEqual([]);
    run(growTiles(1, 0));
    expect(place('t2').columnSpan).toBe(2);
  });
});

describe('a step by keys', () => {
  test('moves one tile by a cell, and not out of the grid', () => {
    const { take, run, laid, steps } = open();
    take('t2');
    run(stepSelected(0, 1));
    expect(laid('t2')).toMatchObject({ column: 3, row: 2 });
    const before = steps().length;
    run(stepSelected(9, 0));
    run(stepSelected(0, -9));
    expect(steps()).toHaveLength(before);
  });

  test('moves several by the same', () => {
    const { take, run, laid } = open();
    take('t2', 't3');
    run(stepSelected(0, 1));
    expect([laid('t2'), laid('t3')]).toEqual([
      expect.objectContaining({ row: 2 }),
      expect.objectContaining({ row: 2 }),
    ]);
  });

  test.each(['masonry', 'rows', 'mosaic', 'fan'] as const)('moves it in reading order in %s', (kind) => {
    const { take, run, document, said } = open(kind);
    take('t2');
    run(stepSelected(1, 0));
    expect(document().order).toEqual(['t1', 't3', 't2', 't4', 't5']);
    run(stepSelected(0, -1));
    expect(document().order).toEqual(['t1', 't2', 't3', 't4', 't5']);
    expect(said()).toBe('Number 2 of 5 in reading order.');
  });
});

describe('p', () => {
  const own = (place: Place) => [place.pin ?? null, place.slot ?? null, place.breakBefore ?? false];

  test('pins in a bento, all selected, and frees when all are pinned', () => {
    const { take, run, place, said } = open();
    take('t2', 't3');
    run(pinTiles());
    expect(own(place('t2'))).toEqual([{ column: 3, row: 1 }, null, false]);
    expect(said()).toBe('2 tiles pinned here.');
    take('t2', 't4');
    run(pinTiles());
    expect(place('t2').pin).toEqual({ column: 3, row: 1 });
    run(pinTiles());
    expect([place('t2').pin, place('t4').pin, place('t3').pin]).toEqual([null, null, { column: 4, row: 1 }]);
  });

  test('locks in a mosaic where the tile is, and frees it', () => {
    const { take, run, place, laid, steps } = open('mosaic');
    const { column, row, columnSpan, rowSpan } = laid('t3') ?? {};
    take('t3');
    run(pinTiles());
    expect(own(place('t3'))).toEqual([null, { column, row, columnSpan, rowSpan }, false]);
    run(pinTiles());
    expect(place('t3').slot ?? null).toBeNull();
    expect(steps()).toEqual(['Lock', 'Unlock']);
  });

  test('begins a row in a row gallery, and lets it flow', () => {
    const { take, run, place, laid } = open('rows');
    take('t2');
    run(pinTiles());
    expect(place('t2').breakBefore).toBe(true);
    expect(laid('t2')).toMatchObject({ column: 1, row: 2 });
    run(pinTiles());
    expect(place('t2').breakBefore).toBe(false);
  });

  test.each(['fluid', 'masonry', 'fan'] as const)('says in %s that there is nothing to pin', (kind) => {
    const { take, run, steps, said } = open(kind);
    take('t2');
    run(pinTiles());
    expect(steps()).toEqual([]);
    expect(said()).toMatch(/tiles are not pinned\.$/);
  });
});

test('order, layers and fit are steps of their own, each undone and done again', () => {
  const compose = open();
  const { take, run, document, place, steps } = compose;
  const start = document();
  take('t1', 't2');
  run(reorderTiles(1));
  expect(document().order).toEqual(['t3', 't1', 't2', 't4', 't5']);
  run(layerTiles(1));
  run(layerTiles(1));
  run(layerTiles(-1));
  expect([place('t1').layer, place('t3').layer]).toEqual([1, 0]);
  run(fitTiles({ inline: 'center' }));
  expect(place('t2').fit.inline).toBe('center');
  expect(steps()).toEqual(['Order', 'Bring forward', 'Bring forward', 'Send backward', 'Fit']);
  const end = document();
  for (let k = 0; k < 5; k++) run(undo());
  expect(document()).toEqual(start);
  for (let k = 0; k < 5; k++) run(redo());
  expect(document()).toEqual(end);
});
