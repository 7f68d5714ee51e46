import { expect, test } from '@jest/globals';
import { bandOf } from '../document/bands.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import { unseenTiles } from './unseen.js';
import type { CollectionDocument, Place, TileLook } from '../document/types.js';

/** Two by two, and one tile more that lies over cells, a layer above. */
function over(place: Partial<Place>, look: Partial<TileLook> = {}): CollectionDocument {
  const base = sample(
    [
      [1, 1],
      [1, 1],
      [2, 1],
      [1, 1],
    ],
    2,
  );
  const tile = base.tiles.t4;
  if (!tile) throw new Error('There are four.');
  const t4 = {
    ...tile,
    place: { ...tile.place, layer: 1, ...place },
    look: { ...tile.look, ...look },
  };
  // Held where they are: what flows makes room for what is pinned.
  const held = (
    [
      ['t1', 1, 1],
      ['t2', 2, 1],
      ['t3', 1, 2],
    ] as const
  ).flatMap(([id, column, row]) => {
    const each = base.tiles[id];
    return each ? [[id, { ...each, place: { ...each.place, pin: { column, row } } }] as const] : [];
  });
  return { ...base, tiles: { ...base.tiles, ...Object.fromEntries(held), t4 } };
}

const unseen = (document: CollectionDocument) =>
  unseenTiles(document, bandOf(document, 0), layoutCollection(document, 1280, { measurer: LETTERS }));

test('a tile is not seen where others that let nothing through lie over all of its cells', () => {
  expect(unseen(over({ pin: { column: 1, row: 1 }, columnSpan: 2 }))).toEqual(['t1', 't2']);
  expect(unseen(over({ pin: { column: 1, row: 1 }, columnSpan: 1 }))).toEqual(['t1']);
  expect(unseen(over({ pin: { column: 1, row: 2 }, columnSpan: 1 }))).toEqual([]);
});

test('what lies below, and what lets others through, hides nothing', () => {
  const whole = { pin: { column: 1, row: 1 }, columnSpan: 2 };
  expect(unseen(over({ ...whole, layer: -1 }))).toEqual(['t4']);
  expect(unseen(over(whole, { fill: 'none' }))).toEqual([]);
  const stops = [
    { colour: '#112233', at: 0 },
    { colour: '#112233', at: 1, opacity: 0.4 },
  ];
  expect(unseen(over(whole, { fill: { kind: 'linear', angle: 0, stops } }))).toEqual([]);
});
