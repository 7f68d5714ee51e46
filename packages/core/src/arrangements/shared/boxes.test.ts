import { describe, expect, test } from '@jest/globals';
import { layoutBox } from '../../engine/box/layoutBox.js';
import '../../engine/layoutTree.js';
import { measured } from '../../document/measured.js';
import { bandOf } from '../../document/bands.js';
import { sample } from '../../testing/sample.js';
import { tracksOfOneSize, frameStyle, customLevel, plainBox, putTile, resolvedFrame } from './boxes.js';
import type { CollectionDocument, GridHeight, TileId } from '../../document/types.js';
import type { LevelInput } from '../kind.js';

const input = (document: CollectionDocument): LevelInput => ({
  document,
  band: bandOf(document, 0),
  screenBlockSize: 800,
  group: (id) => {
    throw new Error(`There is no group ${id}.`);
  },
  content: (tile) => ({ ...plainBox(tile.id), style: { ...plainBox('').style, blockSize: 33 } }),
  isSquareGroup: () => false,
});
const three = sample([
  [1, 1],
  [1, 1],
  [1, 1],
]);
const withOrder = (id: TileId, order: number, hidden = false): CollectionDocument => {
  const tile = three.tiles[id];
  if (!tile) throw new Error(`There is no ${id}.`);
  return { ...three, tiles: { ...three.tiles, [id]: { ...tile, place: { ...tile.place, order, hidden } } } };
};

/** A level whose tiles stand side by side, 50 px each, as they are seen. */
const row = (document: CollectionDocument, measured = false) => {
  const level = customLevel(input(document), {
    ...(measured && { boxOf: input(document).content }),
    lay: (tiles) => () => ({
      blockSize: 20,
      fragments: tiles.map(({ box }, k) => putTile(box, k * 50, 0, 50, 20)),
      areas: tiles.map((_, k) => ({ column: k + 1, row: 1, columnSpan: 1, rowSpan: 1 })),
      columns: [],
      rows: [],
    }),
  });
  const space = { inline: 400, block: NaN, inlineSize: 400, blockSize: NaN };
  const { fragment } = layoutBox(level.box, space);
  return { level, fragment, cells: level.cells(fragment) };
};

describe('a level that lays its tiles out itself', () => {
  test('hands boxes and cells over in reading order, whatever the order in which tiles are seen', () => {
    const { fragment, cells } = row(withOrder('t3', -1));
    expect(fragment.children.map(({ box, x }) => [box.id, x])).toEqual([
      ['t1', 50],
      ['t2', 100],
      ['t3', 0],
    ]);
    expect(cells.areas.map(({ column }) => column)).toEqual([2, 3, 1]);
  });

  test('leaves tiles out that are hidden', () => {
    expect(row(withOrder('t2', 0, true)).fragment.children.map(({ box }) => box.id)).toEqual(['t1', 't3']);
  });

  test('says whether it follows what is in its tiles', () => {
    expect(row(three).level.measures).toBe(false);
    expect(row(three, true).level.measures).toBe(true);
  });

  test('has no holes where it has no cells', () => {
    expect(row(three).cells.coverage).toMatchObject({ holes: [], overlapping: 0 });
  });

  test('is as high as its tiles and its padding', () => {
    const padding = { blockStart: 5, inlineEnd: 0, blockEnd: 7, inlineStart: 0 };
    const { fragment } = row({ ...three, arrangement: { ...three.arrangement, padding } });
    expect(fragment.blockSize).toBe(5 + 20 + 7);
    expect(resolvedFrame(fragment)).toEqual([5, 0, 7, 0]);
  });
});

describe('what levels are made of', () => {
  test('even tracks share what the gaps leave, and never less than nothing', () => {
    expect(tracksOfOneSize(3, 320, 10, 5)).toEqual([
      { start: 5, size: 100 },
      { start: 115, size: 100 },
      { start: 225, size: 100 },
    ]);
    expect(tracksOfOneSize(4, 20, 10, 0).map(({ size }) => size)).toEqual([0, 0, 0, 0]);
  });

  test('a frame says its height as it is written', () => {
    const of = (height: GridHeight<number>) => {
      const { minBlockSize, blockSize } = frameStyle({ ...measured(three.arrangement, 600), height }, 600);
      return [minBlockSize, blockSize];
    };
    expect(of({ kind: 'content' })).toEqual([0, 'auto']);
    expect(of({ kind: 'fixed', px: 240 })).toEqual([0, 240]);
    expect(of({ kind: 'screen', share: 0.5 })).toEqual([300, 'auto']);
  });

  test('a tile is put where there is room, with what is in it', () => {
    expect(putTile(plainBox('a'), 3, 4, 50, 60)).toMatchObject({ x: 3, y: 4, inlineSize: 50, blockSize: 60 });
    const inner = { ...plainBox('b'), style: { ...plainBox('b').style, blockSize: 10 } };
    const { children } = putTile({ ...plainBox('a'), children: [inner] }, 0, 0, 50, 60);
    expect(children).toMatchObject([{ inlineSize: 50, blockSize: 10 }]);
  });
});
