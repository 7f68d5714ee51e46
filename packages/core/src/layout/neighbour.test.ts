import { expect, test } from '@jest/globals';
import { layoutCollection } from './layout.js';
import { neighbour } from './neighbour.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import type { LaidOutTile } from '../arrangements/kind.js';

// t1 t1 t2 t3
// t1 t1 t4 t4
// t5 t6 t6 t6
const { tiles } = layoutCollection(
  sample(
    [
      [2, 2],
      [1, 1],
      [1, 1],
      [2, 1],
      [1, 1],
      [3, 1],
    ],
    4,
  ),
  1280,
  { measurer: LETTERS },
);
const from = (id: string) => tiles.find((tile) => tile.id === id) as LaidOutTile;

test.each([
  ['t1', 1, 0, 't2'],
  ['t1', 0, 1, 't5'],
  ['t2', 0, 1, 't4'],
  ['t3', -1, 0, 't2'],
  ['t6', 0, -1, 't4'],
  ['t6', -1, 0, 't5'],
  ['t4', -1, 0, 't1'],
])('from %s by (%d, %d) to %s', (id, dx, dy, to) => expect(neighbour(tiles, from(id), dx, dy)?.id).toBe(to));

test.each([
  ['t1', 0, -1],
  ['t3', 1, 0],
  ['t5', -1, 0],
])('nothing lies beyond the edge: %s by (%d, %d)', (id, dx, dy) =>
  expect(neighbour(tiles, from(id), dx, dy)).toBeNull(),
);
