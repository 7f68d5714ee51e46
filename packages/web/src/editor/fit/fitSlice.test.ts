import { expect, test } from '@jest/globals';
import { addTile, checkFit, setIgnored, change } from '@noria/core';
import { shown } from '../editorSlice';
import { runHere } from '../here';
import { composeStore, stats } from '../../testing/composeStore';
import { askedFor, checked, couldNotCheck, fitSlice, forgotten } from './fitSlice';
import { selectIgnored, selectIsBegun, selectFindings, selectSettledFindings } from './selectors';

const measurer = {
  width: (text: string) => text.length * 8,
  metrics: () => ({ ascent: 12, descent: 4, lineGap: 0 }),
};
const uneven = stats([
  [2, 1],
  [1, 1],
]);
const whole = stats([
  [2, 1],
  [2, 1],
]);
const reportOf = (document: typeof uneven) => checkFit(document, { measurer, from: 600, to: 700 });

test('what is tried is found, and the list of findings stays', () => {
  const { store } = composeStore(uneven);
  store.dispatch(askedFor());
  store.dispatch(checked({ report: reportOf(uneven), about: uneven, isTrial: false }));
  expect(selectFindings(store.getState()).map(({ kind }) => kind)).toEqual(['stray']);
  store.dispatch(checked({ report: reportOf(whole), about: whole, isTrial: true }));
  expect(selectFindings(store.getState())).toEqual([]);
  expect(selectSettledFindings(store.getState())).toHaveLength(1);
  store.dispatch(checked({ report: reportOf(whole), about: whole, isTrial: false }));
  expect(selectSettledFindings(store.getState())).toEqual([]);
});

test('what is ignored is apart from what is open', () => {
  const { store } = composeStore(uneven);
  const [finding] = reportOf(uneven).findings;
  if (!finding) throw new Error('the last row is not full');
  const ignored = change(uneven, setIgnored(finding.kind, finding.tiles, true)).document;
  store.dispatch(checked({ report: reportOf(ignored), about: ignored, isTrial: false }));
  expect(selectSettledFindings(store.getState())).toEqual([]);
  expect(selectIgnored(store.getState())).toHaveLength(1);
});

test('a check that failed says so until one succeeds; another collection forgets all', () => {
  const { reducer } = fitSlice;
  const failed = reducer(undefined, couldNotCheck('no'));
  expect(failed.trouble).toBe('no');
  const done = reducer(failed, checked({ report: reportOf(whole), about: whole, isTrial: false }));
  expect(done.trouble).toBeNull();
  expect(reducer(done, forgotten())).toMatchObject({ report: null, settled: null });
});

test.each([
  ['one asks for findings', () => shown('findings')],
  ['one asks for gaps', () => shown('gaps')],
  ['one goes to Check', () => askedFor()],
])('a collection that has just been begun is not scolded for its empty cells until %s', (_, ask) => {
  const { store } = composeStore(uneven);
  store.dispatch(checked({ report: reportOf(uneven), about: uneven, isTrial: false }));
  expect(selectFindings(store.getState())).toEqual([]);
  store.dispatch(ask());
  expect(selectFindings(store.getState()).map(({ kind }) => kind)).toEqual(['stray']);
});

test('findings begin when the first row is full', () => {
  const { store, run } = composeStore(uneven);
  expect(selectIsBegun(store.getState())).toBe(true);
  run(runHere('Add', addTile('stat', 't3')));
  expect(selectIsBegun(store.getState())).toBe(false);
});

test('a hole above other rows is found at once', () => {
  const { store } = composeStore(
    stats([
      [3, 1],
      [4, 1],
    ]),
  );
  expect(selectIsBegun(store.getState())).toBe(false);
});
