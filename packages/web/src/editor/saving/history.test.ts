/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import { applyPatch, setSpan, setTile } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { opened, remembered } from '../document/documentSlice';
import { undo, redo } from '../document/run';
import { runHere } from '../here';
import { keepHistory, takeHistory } from './history';

const start = stats([
  [1, 1],
  [2, 1],
]);
const span = (columnSpan: number) => setSpan({ tiles: ['t1'], band: 0, setFor: 'all', columnSpan });

/** A page on which the span of a tile was set twice, and undone once. */
function worked() {
  const compose = composeStore(start);
  compose.run(runHere('Span', span(2)));
  compose.run(runHere('Span', span(3)));
  compose.run(undo());
  keepHistory(compose.store.getState().document);
  return compose;
}

/** The next page of the tab, with the collection as the server has it. */
function next(document = worked().document()) {
  const compose = composeStore(start);
  compose.store.dispatch(opened({ id: 'c', document, revision: 4, unsent: [] }));
  const kept = takeHistory('c');
  if (kept) compose.store.dispatch(remembered(kept));
  return compose;
}

beforeEach(() => sessionStorage.clear());

test('steps are undone and done again after a reload', () => {
  const { run, document, steps } = next();
  expect(steps()).toEqual(['Span']);
  run(redo());
  expect(document().tiles.t1?.place.columnSpan).toBe(3);
  run(undo());
  run(undo());
  expect(document()).toEqual(start);
});

test('what others changed meanwhile stays when a step before it is undone', () => {
  const other = applyPatch(worked().document(), [{ op: 'replace', path: '/tiles/t2/name', value: 'Bunks' }]);
  const { run, document } = next(other);
  run(undo());
  expect(document().tiles.t1?.place.columnSpan).toBe(1);
  expect(document().tiles.t2?.name).toBe('Bunks');
});

test('a gesture after a reload is a step of its own, whatever its number', () => {
  const compose = composeStore(start);
  compose.run(runHere('Span', span(2), 'span, gesture 1'));
  keepHistory(compose.store.getState().document);
  const { run, steps } = next(compose.document());
  run(runHere('Span', span(3), 'span, gesture 1'));
  expect(steps()).toEqual(['Span', 'Span']);
});

test('steps are kept once, for their own collection, and not where there are none', () => {
  worked();
  expect(takeHistory('another')).toBeNull();
  expect(takeHistory('c')?.past).toHaveLength(1);
  expect(takeHistory('c')).toBeNull();
  keepHistory(composeStore(start).store.getState().document);
  expect(sessionStorage).toHaveLength(0);
});

test('what is no history is none', () => {
  for (const kept of ['', '{', '[]', '{"document":{},"past":[1],"future":[]}', '{"past":[],"future":[]}']) {
    sessionStorage.setItem('noria-history:c', kept);
    expect(takeHistory('c')).toBeNull();
  }
});

test('with too many to keep the last ones are kept', () => {
  const compose = composeStore(start);
  for (let k = 0; k < 40; k++) {
    const name = `${k} ${'x'.repeat(180)}`.repeat(400).slice(0, 60_000);
    compose.run(runHere('Name', setTile(['t1'], { name })));
  }
  keepHistory(compose.store.getState().document);
  const kept = takeHistory('c');
  expect(kept?.past.length).toBeGreaterThan(0);
  expect(kept?.past.length).toBeLessThan(40);
  expect(kept?.past.at(-1)).toEqual(compose.store.getState().document.past.at(-1));
});
