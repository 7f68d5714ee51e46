import { expect, test } from '@jest/globals';
import { placeIn } from '../../document/bands.js';
import { checkDocument } from '../checkDocument.js';
import { sample } from '../../testing/sample.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

const pinned = sample([
  [1, 1, 3, 1],
  [1, 1],
]);

/** What a program of then stored, as it is read now. */
function readNow(bands: readonly object[]): CollectionDocument {
  const { document, problems } = checkDocument({ ...pinned, bands, formatVersion: 2 });
  expect(problems).toEqual([]);
  return document as CollectionDocument;
}
const pins = (document: CollectionDocument) =>
  [0, 1, 2].map((band) => placeIn(document, document.tiles.t1 as Tile, band).pin);
const band = (id: string, below: number, columns?: number, tiles: object = {}) => ({
  id,
  below,
  arrangement: columns === undefined ? {} : { columns: Array.from({ length: columns }, () => '1fr') },
  tiles,
});
const cell = { column: 3, row: 1 };

test('a tile that flowed in a band of other columns flows there still', () => {
  const document = readNow([band('a', 900, 4), band('b', 500)]);
  expect(document.formatVersion).toBe(3);
  expect(pins(document)).toEqual([cell, null, null]);
});

test('a pin is inherited where the columns are as many', () => {
  expect(pins(readNow([band('a', 900), band('b', 500, 2)]))).toEqual([cell, cell, null]);
});

test('a pin that a band sets stays, and is let go of where the columns change again', () => {
  const own = { column: 1, row: 2 };
  const set = { t1: { pin: own } };
  expect(pins(readNow([band('a', 900, 4, set), band('b', 500)]))).toEqual([cell, own, own]);
  expect(pins(readNow([band('a', 900, 4, set), band('b', 500, 2)]))).toEqual([cell, own, null]);
});
