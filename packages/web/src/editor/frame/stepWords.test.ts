import { expect, test } from '@jest/globals';
import { setArrangement, setCollectionLook, setSpan, setWeight, type Command } from '@noria/core';
import { addNewTile, deleteTiles } from '../actions/tiles';
import { composeStore, stats } from '../../testing/composeStore';
import { run } from '../document/run';
import { stepWords } from './stepWords';

const opened = () => {
  const compose = composeStore(
    stats([
      [1, 1],
      [2, 1],
    ]),
  );
  const last = () => {
    const step = compose.store.getState().document.past.at(-1);
    return step ? stepWords(step, compose.document()) : null;
  };
  return { ...compose, last, does: (command: Command) => compose.run(run('Step', command)) };
};

test('of one tile it names the tile and the value', () => {
  const { does, last } = opened();
  does(setWeight(['t1'], 4));
  expect(last()).toBe('Stat 1, 4');
});

test('of several tiles it counts them', () => {
  const { does, last } = opened();
  does(setSpan({ tiles: ['t1', 't2'], band: 0, setFor: 'all', columnSpan: 3 }));
  expect(last()).toBe('two tiles, 3');
});

test('of the collection it says the value, and what it is called', () => {
  const { does, last } = opened();
  does(setCollectionLook({ background: '#1e6b5c' }));
  expect(last()).toBe('#1e6b5c');
});

test('a tile that was added or deleted is named', () => {
  const { run: act, last, take } = opened();
  act(addNewTile('stat'));
  expect(last()).toMatch(/^0 of something/);
  take('t2');
  act(deleteTiles());
  expect(last()).toBe('Stat 2');
});

test('a value for both gaps, or for all sides, is said once', () => {
  const { does, last } = opened();
  does(setArrangement({ columnGap: '2cqi', rowGap: '2cqi' }, 0, 'all'));
  expect(last()).toBe('2cqi');
  const side = 30;
  does(
    setArrangement(
      { padding: { blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side } },
      0,
      'all',
    ),
  );
  expect(last()).toBe('30');
});

test('several values are left to the name of the step', () => {
  const { does, last } = opened();
  does(setArrangement({ columnGap: 4, rowGap: 9 }, 0, 'all'));
  expect(last()).toBe('');
});
