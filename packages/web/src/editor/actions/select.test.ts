import { describe, expect, test } from '@jest/globals';
import { setLook, setPart } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { entered } from '../editorSlice';
import { runHere } from '../here';
import { selectTrail } from '../selectors';
import { giveToSelected, putOn, takeBrush } from './brush';
import { groupSelected, openSelectedGroup, ungroupSelected } from './groups';
import {
  deselectTiles,
  selectAll,
  selectLike,
  selectMoreTowards,
  selectThrough,
  selectTowards,
} from './select';

/** Four columns: t1 and t2 side by side in the first row, t3 below them over its whole width. */
const start = stats([
  [2, 1],
  [2, 1],
  [4, 1],
]);

describe('a range on the belt', () => {
  const four = stats([
    [1, 1],
    [1, 1],
    [2, 1],
    [1, 1],
  ]);

  test('goes from the tile selected last to the one that is pressed, and on from there', () => {
    const { run, take, selected, said } = composeStore(four);
    take('t3');
    run(selectThrough('t1'));
    expect([selected(), said()]).toEqual([['t3', 't2', 't1'], '3 tiles selected.']);
    run(selectThrough('t2'));
    expect(selected()).toEqual(['t3', 't1', 't2']);
  });

  test('of nothing selected is the tile itself', () => {
    const { run, selected } = composeStore(four);
    run(selectThrough('t4'));
    expect(selected()).toEqual(['t4']);
  });
});

describe('all like the selected ones', () => {
  test('are those of the same span in the band shown; what was selected stays the last', () => {
    const { run, take, selected } = composeStore(
      stats([
        [1, 1],
        [2, 1],
        [1, 1],
      ]),
    );
    take('t1');
    run(selectLike('span'));
    expect(selected()).toEqual(['t3', 't1']);
  });

  test('are those of the same look', () => {
    const { run, take, selected } = composeStore(start);
    run(runHere('Look', setLook(['t1', 't3'], { fill: '#123456' })));
    take('t3');
    run(selectLike('look'));
    expect(selected()).toEqual(['t1', 't3']);
  });

  test('are all where all are of a kind, and none more where no recipe is used', () => {
    const { run, take, selected } = composeStore(start);
    take('t2');
    run(selectLike('kind'));
    expect(selected()).toEqual(['t1', 't3', 't2']);
    take('t2');
    run(selectLike('recipe'));
    expect(selected()).toEqual(['t2']);
  });
});

describe('selecting', () => {
  test('goes to the nearest tile in a direction, from the first where none is selected', () => {
    const { run, selected } = composeStore(start);
    expect(run(selectTowards(1, 0))).toBe('t1');
    run(selectTowards(1, 0));
    expect(selected()).toEqual(['t2']);
    run(selectTowards(0, 1));
    expect(selected()).toEqual(['t3']);
    expect(run(selectTowards(0, 1))).toBeNull();
    expect(selected()).toEqual(['t3']);
  });

  test('takes more, one after the other; one that is selected already becomes the last', () => {
    const { run, selected, said } = composeStore(start);
    run(selectMoreTowards(1, 0));
    run(selectMoreTowards(1, 0));
    expect([selected(), said()]).toEqual([['t1', 't2'], '2 tiles selected.']);
    run(selectMoreTowards(-1, 0));
    expect(selected()).toEqual(['t2', 't1']);
    run(selectAll());
    expect([selected(), said()]).toEqual([['t1', 't2', 't3'], '3 tiles selected.']);
  });

  test('ends with none; with none, the group that one is in is left', () => {
    const { run, take, selected, store, said } = composeStore(start);
    take('t1', 't2');
    run(groupSelected());
    const [group] = selected();
    run(openSelectedGroup());
    expect([selectTrail(store.getState()), selected()]).toEqual([[group], ['t1']]);
    run(deselectTiles());
    expect([selectTrail(store.getState()), selected()]).toEqual([[group], []]);
    run(deselectTiles());
    expect([selectTrail(store.getState()), selected(), said()]).toEqual([[], [group], 'Left the group.']);
  });
});

describe('groups', () => {
  test('take the place of their tiles, and give it back', () => {
    const { run, take, document, selected, steps, said } = composeStore(start);
    take('t1', 't2');
    run(groupSelected());
    expect(document().order).toHaveLength(2);
    expect(said()).toBe('2 tiles in a group. Press Enter to open it.');
    run(ungroupSelected());
    expect(document().order).toEqual(['t1', 't2', 't3']);
    expect(selected()).toEqual(['t1', 't2']);
    expect([steps(), said()]).toEqual([['Group', 'Ungroup'], 'Ungrouped; 2 tiles selected.']);
  });

  test('nothing happens where there is none', () => {
    const { run, take, steps, store } = composeStore(start);
    run(groupSelected());
    take('t1');
    run(ungroupSelected());
    run(openSelectedGroup());
    expect([steps(), selectTrail(store.getState())]).toEqual([[], []]);
  });

  test('one that is gone is not stayed in', () => {
    const { store } = composeStore(start);
    store.dispatch(entered('gone'));
    expect(selectTrail(store.getState())).toEqual([]);
  });
});

describe('copying from one tile to others', () => {
  const painted = () => {
    const compose = composeStore(start);
    compose.run(runHere('Fill', setLook(['t1'], { fill: '#204030', radius: 3 })));
    const fills = () => start.order.map((id) => compose.document().tiles[id]?.look.fill);
    return { ...compose, fills };
  };

  test('gives the look of the first selected to the others in one step', () => {
    const { run, take, fills, steps, store, said } = painted();
    take('t1', 't2', 't3');
    run(giveToSelected('look'));
    expect(fills()).toEqual(['#204030', '#204030', '#204030']);
    expect(steps()).toEqual(['Fill', 'Copy look to other tiles']);
    expect([said(), store.getState().editor.brush]).toEqual(['2 tiles: look copied.', null]);
  });

  test('is carried to tiles that are pressed, until it is put down', () => {
    const { run, take, fills, said, store } = painted();
    take('t1');
    run(giveToSelected('look'));
    expect(said()).toBe('The look of Stat 1 is copied. Press tiles to apply it.');
    expect(run(putOn(['t1']))).toBe(true);
    expect(run(putOn(['t3']))).toBe(true);
    expect([fills(), said()]).toEqual([['#204030', '#ffffff', '#204030'], '“Stat 3”: look copied.']);
    expect(store.getState().editor.brush).toEqual({ from: 't1', what: 'look' });
  });

  test('does nothing without a tile to copy from', () => {
    const { run, warned, fills } = painted();
    run(takeBrush('look'));
    expect(warned()).toContain('Select the tile to copy from first.');
    expect(run(putOn(['t2']))).toBe(false);
    expect(fills()).toEqual(['#204030', '#ffffff', '#ffffff']);
  });

  test('copies no words', () => {
    const { run, take, document } = painted();
    run(runHere('Figure', setPart(['t1'], 'figure', { words: '99' })));
    take('t1', 't2');
    run(giveToSelected('look'));
    expect(JSON.stringify(document().tiles.t2)).not.toContain('99');
  });
});
