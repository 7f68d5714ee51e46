import { describe, expect, test } from '@jest/globals';
import { transfer, type Transfer } from './transfer.js';
import { change } from '../patch/change.js';
import { placeIn } from '../../document/bands.js';
import { sample } from '../../testing/sample.js';
import { setTile, setLook } from './tiles.js';
import { setSpan, type SetFor } from './place.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

const start = [
  setLook(['t1'], { fill: '#123456', radius: 3 }),
  setTile(['t1'], { motion: { entrance: 'fade', hover: 'lift' } }),
  setSpan({ tiles: ['t2'], band: 1, setFor: 'band', columnSpan: 4 }),
].reduce(
  (document, command) => change(document, command).document,
  sample([
    [3, 2],
    [1, 1],
    [2, 1],
  ]),
);
const give = (what: Transfer, band = 0, setFor: SetFor = 'band') =>
  change(start, transfer({ from: 't1', to: ['t1', 't2', 'gone'], what, band, setFor })).document;
const spans = (document: CollectionDocument, band: number) => {
  const { columnSpan, rowSpan } = placeIn(document, document.tiles.t2 as Tile, band);
  return [columnSpan, rowSpan];
};

describe('what a tile gives to others', () => {
  test('its look, as a copy, and nothing else', () => {
    const after = give('look');
    expect(after.tiles.t2).toEqual({ ...start.tiles.t2, look: start.tiles.t1?.look });
    expect(after.tiles.t3).toBe(start.tiles.t3);
    expect(after.tiles.t1).toBe(start.tiles.t1);
  });

  test('its spans, in one band or in all', () => {
    expect([spans(give('spans'), 0), spans(give('spans'), 1)]).toEqual([
      [3, 2],
      [4, 2],
    ]);
    expect([spans(give('spans', 1), 0), spans(give('spans', 1), 1)]).toEqual([
      [1, 1],
      [3, 2],
    ]);
    expect(spans(give('spans', 0, 'all'), 1)).toEqual([3, 2]);
  });

  test('its motion, and that it has none', () => {
    expect(give('motion').tiles.t2?.motion).toEqual({ entrance: 'fade', hover: 'lift' });
    const back = change(
      give('motion'),
      transfer({ from: 't3', to: ['t2'], what: 'motion', band: 0, setFor: 'band' }),
    );
    expect(back.document.tiles.t2).not.toHaveProperty('motion');
  });

  test('its place: fit and layer, not its cells', () => {
    const after = give('place');
    expect(spans(after, 0)).toEqual([1, 1]);
    expect(after.tiles.t2?.place).toMatchObject({ area: null, layer: 0, fit: { inline: 'stretch' } });
  });
});
