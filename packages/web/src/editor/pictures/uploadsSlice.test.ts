import { expect, test } from '@jest/globals';
import {
  begun,
  ended,
  failed,
  preparing,
  refused,
  troublesRead,
  uploaded,
  uploadsSlice,
} from './uploadsSlice';

const { reducer } = uploadsSlice;
type Act = Parameters<typeof reducer>[1];
const after = (...acts: Act[]) => acts.reduce(reducer, reducer(undefined, { type: 'start' }));

test('a batch counts what arrived and what did not, and why stays until it was read', () => {
  const state = after(begun(3), uploaded(), failed('Hut is broken.'), uploaded());
  expect(state.batch).toEqual({ total: 3, done: 2, failed: 1 });
  const end = reducer(state, ended());
  expect(end).toMatchObject({ batch: null, troubles: ['Hut is broken.'], changes: 1 });
  expect(reducer(end, troublesRead()).troubles).toEqual([]);
});

test('what is refused before a batch is told as well, and counts in none', () => {
  const state = after(preparing('Unpacking huts.zip'), refused('huts.zip is no archive.'), ended());
  expect(state).toMatchObject({ batch: null, preparing: null, troubles: ['huts.zip is no archive.'] });
  expect(after(uploaded()).batch).toBeNull();
});
