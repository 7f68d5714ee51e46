import { describe, expect, test } from '@jest/globals';
import { areasMeet, cellsOf, placeIn, resolvedBandOf, setPin, type GridArea, type Tile } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { runHere } from '../here';
import { drawing, drawTile } from './draw';

/** Five tiles in four columns: the last stands alone in the second row. */
const start = stats([
  [1, 1],
  [1, 1],
  [1, 1],
  [1, 1],
  [1, 1],
]);
const overFifth: GridArea = { column: 1, row: 2, columnSpan: 2, rowSpan: 1 };

function open(pinned = false) {
  const compose = composeStore(start);
  if (pinned) compose.run(runHere('Pin', setPin(['t5'], 0, { column: 1, row: 2 })));
  const cell = (id: string | undefined) => {
    const document = compose.document();
    return cellsOf(document, resolvedBandOf(document, 0))[document.order.indexOf(id ?? '')] as GridArea;
  };
  return { ...compose, cell };
}

describe('a tile that is drawn', () => {
  test('on free cells says nothing and lies there', () => {
    const { run, cell, selected, said } = open();
    const free = { column: 2, row: 2, columnSpan: 2, rowSpan: 1 };
    expect(run(drawing('text', 'new', free)).says).toBeNull();
    run(drawTile('text', free));
    expect(cell(selected()[0])).toEqual(free);
    expect(said()).toBe('Text tile of 2 by 1 drawn and selected.');
  });

  test('is read where it is seen, also where it is held there', () => {
    const { run, selected, document } = open();
    const drawnAt = (row: number) => {
      run(drawTile('text', { column: 3, row, columnSpan: 1, rowSpan: 1 }));
      return selected()[0];
    };
    const [low, high] = [drawnAt(6), drawnAt(4)];
    expect(document().order).toEqual(['t1', 't2', 't3', 't4', 't5', high, low]);
    expect(document().tiles[high ?? '']?.place.pin).toEqual({ column: 3, row: 4 });
  });

  test('over another says that it moves that one on, and covers nothing', () => {
    const { run, cell, selected, said } = open();
    expect(run(drawing('text', 'new', overFifth)).says).toBe('moves “Stat 5” on');
    run(drawTile('text', overFifth));
    expect(cell(selected()[0])).toEqual(overFifth);
    expect(areasMeet(cell('t5'), overFifth)).toBe(false);
    expect(said()).toBe('Text tile of 2 by 1 drawn and selected; it moves “Stat 5” on.');
  });

  test('over one that is pinned is not drawn, and says how it would be', () => {
    const { run, document, said } = open(true);
    const before = document();
    expect(run(drawing('text', 'new', overFifth)).command).toBeNull();
    run(drawTile('text', overFifth));
    expect(document()).toBe(before);
    expect(said()).toBe('Nothing was drawn: “Stat 5” is pinned here; with Alt the new tile lies over.');
  });

  test('lies over others when one says so, a layer above them', () => {
    const { run, document, cell, selected } = open(true);
    expect(run(drawing('text', 'new', overFifth, true)).says).toBe('lies over “Stat 5”');
    run(drawTile('text', overFifth, true));
    const [id = ''] = selected();
    expect(cell(id)).toEqual(overFifth);
    expect(areasMeet(cell('t5'), overFifth)).toBe(true);
    expect(placeIn(document(), document().tiles[id] as Tile, 0).layer).toBe(1);
  });
});
