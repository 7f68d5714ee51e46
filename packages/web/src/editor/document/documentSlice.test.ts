import { expect, test } from '@jest/globals';
import { change, emptyDocument, renameCollection, type Change } from '@noria/core';
import {
  acknowledged,
  changed,
  documentSlice,
  opened,
  refused,
  savingChanged,
  sent,
  undone,
  type DocumentState,
} from './documentSlice';

const { reducer } = documentSlice;
const start = reducer(
  undefined,
  opened({ id: 'c', document: emptyDocument('First'), revision: 4, unsent: [] }),
);

const rename = (state: DocumentState, name: string, key: string | null, at: number) => {
  const made: Change = change(state.document ?? emptyDocument(''), renameCollection(name));
  const step = { name: 'Name', patch: made.patch, inverse: made.inverse, key, at };
  return reducer(state, changed({ document: made.document, step }));
};

test('typing in a field is one step, until one pauses', () => {
  const typed = rename(rename(rename(start, 'A', 'name', 0), 'Ab', 'name', 300), 'Abc', 'name', 5000);
  expect(typed.past).toHaveLength(2);
  expect(typed.past[0]?.inverse.map((operation) => 'value' in operation && operation.value)).toEqual([
    'A',
    'First',
  ]);
});

test('what is not acknowledged is not saved', () => {
  const once = rename(start, 'Second', null, 0);
  expect(once.saving.state).toBe('saving');
  const underWay = reducer(once, sent('one'));
  const twice = rename(underWay, 'Third', null, 1);
  expect(twice.underWay?.patch).toEqual(once.unsent);
  const half = reducer(twice, acknowledged(5));
  expect(half).toMatchObject({ revision: 5, underWay: null, saving: { state: 'saving' } });
  const all = reducer(reducer(half, sent('two')), acknowledged(6));
  expect(all).toMatchObject({ revision: 6, unsent: [], saving: { state: 'saved' } });
});

test('a change on its way is sent again unaltered', () => {
  const underWay = reducer(rename(start, 'Second', null, 0), sent('one'));
  const again = reducer(rename(underWay, 'Third', null, 1), sent('two'));
  expect(again.underWay).toEqual(underWay.underWay);
});

test('undoing a refused change leaves nothing that would be refused', () => {
  const bad = reducer(reducer(rename(start, 'Bad', null, 0), sent('one')), refused('why'));
  expect(bad.saving).toEqual({ state: 'refused', why: 'why' });
  const [step] = bad.past;
  if (!step) throw new Error('There is no step.');
  const mended = reducer(bad, undone({ document: emptyDocument('First'), steps: [step], left: [] }));
  expect(mended.unsent.map((operation) => 'value' in operation && operation.value)).toEqual(['Bad', 'First']);
});

test('why a change waits stays in sight while it is sent again, until it arrives', () => {
  const waiting = { state: 'waiting', why: 'The server does not answer.' } as const;
  const away = reducer(reducer(rename(start, 'Second', null, 0), sent('one')), savingChanged(waiting));
  const again = reducer(away, sent('two'));
  expect(again.saving).toEqual(waiting);
  expect(reducer(again, acknowledged(5)).saving).toEqual({ state: 'saved' });
});
