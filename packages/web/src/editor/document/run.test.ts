import { expect, jest, test } from '@jest/globals';
import { renameCollection } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { goToStep, run } from './run';

const start = stats([[1, 1]]);
const opened = () => {
  const compose = composeStore(start);
  return {
    ...compose,
    rename: (name: string, key: string | null = 'name') =>
      compose.run(run('Rename', renameCollection(name), key)),
  };
};

test('what is typed and restored is no step, and is sent all the same', () => {
  const { rename, steps, document, store } = opened();
  rename('Hu');
  rename('Huts');
  expect(steps()).toEqual(['Rename']);
  rename(start.name);
  expect(steps()).toEqual([]);
  expect(document().name).toBe(start.name);
  expect(store.getState().document.unsent).toHaveLength(3);
});

test('a step of its own is kept, also where it leads back', () => {
  const { rename, steps } = opened();
  rename('Huts', null);
  rename(start.name, null);
  expect(steps()).toEqual(['Rename', 'Rename']);
});

test('what is cleared later is a step, which undo takes back', () => {
  jest.useFakeTimers({ now: 0 });
  const { rename, steps } = opened();
  rename('Huts');
  jest.setSystemTime(5000);
  rename(start.name);
  expect(steps()).toEqual(['Rename', 'Rename']);
  jest.useRealTimers();
});

test('many steps are undone, and made again, as one change that says how many', () => {
  const { rename, steps, document, said, store, run: act } = opened();
  for (const name of ['A', 'B', 'C', 'D']) rename(name, null);
  const changes = jest.fn();
  store.subscribe(changes);
  act(goToStep(1));
  expect(document().name).toBe('A');
  expect(said()).toBe('Undone: three steps');
  // One for the document, one for what is said of it.
  expect(changes).toHaveBeenCalledTimes(2);
  act(goToStep(3));
  expect(document().name).toBe('C');
  expect(said()).toBe('Redone: two steps');
  expect(steps()).toHaveLength(3);
  act(goToStep(3));
  expect(steps()).toHaveLength(3);
});
