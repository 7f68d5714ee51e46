import { expect, test } from '@jest/globals';
import { checkFit, setIgnored, change } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { checked, couldNotCheck, fitSlice, forgotten } from './fitSlice';
import { selectIgnored, selectFindings, selectSettledFindings } from './selectors';

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
