/** @jest-environment jsdom */
import '../../testing/browser';
import '../../testing/engineHere';
import { afterEach, expect, test } from '@jest/globals';
import {
  applyPatch,
  removeTiles,
  setArrangement,
  setPin,
  setSpan,
  setTile,
  type CollectionDocument,
} from '@noria/core';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { acknowledged, joined, sent } from '../document/documentSlice';
import { redo, run, undo } from '../document/run';
import { SavedState } from '../frame/SavedState';
import { BandPanel } from './BandPanel';
import { followed, useFollowWider } from './following';

afterEach(async () => {
  cleanup();
  await followed();
});

const later = { timeout: 20_000 };
const cards: CollectionDocument = {
  ...stats([
    [1, 1],
    [1, 1],
    [1, 1],
    [1, 1],
  ]),
  narrowerBands: 'derived',
};

function Following() {
  useFollowWider();
  return <BandPanel />;
}

async function open(document = cards, width = 1280) {
  const compose = composeStore(document, width);
  render(
    <Provider store={compose.store}>
      <Following />
    </Provider>,
  );
  await act(followed);
  return {
    ...compose,
    columns: () => compose.document().bands.map(({ arrangement }) => arrangement.columns?.length),
    does: async (name: string, ...[command, key]: [Parameters<typeof run>[1], string?]) => {
      act(() => void compose.run(run(name, command, key ?? null)));
      await act(followed);
    },
  };
}

test('bands are derived when a collection opens without any, and are no step', async () => {
  const { columns, steps } = await open();
  expect(columns()).toEqual([2]);
  expect(steps()).toEqual([]);
});

test('what follows from an edit is one step with it, undone and made again as one', async () => {
  const { columns, steps, does, run: act_, document } = await open();
  const before = document();
  await does('Delete', removeTiles(['t4']));
  expect(columns()).not.toEqual([2]);
  expect(steps()).toEqual(['Delete']);
  const after = document();
  act(() => act_(undo()));
  expect(document()).toEqual(before);
  act(() => act_(redo()));
  expect(document()).toEqual(after);
});

test('the width that is shown stays in the band that is set there', async () => {
  const { does, document } = await open();
  await does('Columns', setArrangement({ columns: Array.from({ length: 24 }, () => '1fr') }, 0, 'band'));
  expect(document().bands[0]?.below).toBe(1280);
  expect(document().arrangement.columns).toHaveLength(24);
});

test('what is sent away leads from what was stored to what is shown', async () => {
  const { does, document, store } = await open();
  const stored = store.getState().document.base;
  await does('Column gap', setArrangement({ columnGap: 40 }, 0, 'band'));
  expect(applyPatch(stored as CollectionDocument, store.getState().document.unsent)).toEqual(document());
});

test('what a person sets in a derived band stays, and the panel lists that alone', async () => {
  const { does, document } = await open(cards, 340);
  expect(screen.queryByRole('list', { name: 'Derived' })).toBeNull();
  await does('Span', setSpan({ tiles: ['t1'], band: 1, setFor: 'band', columnSpan: 2, rowSpan: 1 }));
  await does('Column gap', setArrangement({ columnGap: 30 }, 0, 'band'));
  expect(document().bands[0]?.tiles.t1).toEqual({ columnSpan: 2, rowSpan: 1 });
  const listed = screen.getByRole('list', { name: 'Set by hand' });
  expect([...listed.children].map((item) => item.textContent)).toEqual(['Span of Stat 12 × 1']);
  fireEvent.click(screen.getByRole('button', { name: 'Inherit all' }));
  await act(followed);
  expect(document().bands[0]?.tiles.t1?.derived).toBe(true);
});

test('where it takes long it waits for a rest, and for who asks', async () => {
  const many = stats(Array.from({ length: 240 }, () => [1, 1] as const));
  const large = await open({ ...many, narrowerBands: 'derived' });
  const before = large.document().bands;
  expect(before.length).toBeGreaterThan(0);
  act(() => void large.run(run('Column gap', setArrangement({ columnGap: 60 }, 0, 'band'))));
  expect(large.document().bands).toBe(before);
  await act(followed);
  expect(large.document().bands[0]?.below).toBeGreaterThan(before[0]?.below ?? 0);
  expect(large.steps()).toEqual(['Column gap']);
}, 60_000);

test('something typed and restored is no step, though bands followed meanwhile', async () => {
  const { does, steps, document } = await open();
  const before = document();
  await does('Column gap', setArrangement({ columnGap: 40 }, 0, 'band'), 'gap');
  expect(document().bands).not.toEqual(before.bands);
  await does('Column gap', setArrangement({ columnGap: before.arrangement.columnGap }, 0, 'band'), 'gap');
  expect(steps()).toEqual([]);
  expect(document()).toEqual(before);
});

test('what somebody else changed is derived by them', async () => {
  const { store, document } = await open();
  act(() => void store.dispatch(sent('change')));
  const theirs: CollectionDocument = { ...document(), order: ['t1', 't2'], bands: [] };
  act(() => void store.dispatch(joined({ document: theirs, base: theirs, revision: 2, unsent: [] })));
  await act(followed);
  expect(document().bands).toEqual([]);
});

test('what was changed here is derived, even if it was saved before its turn came', async () => {
  const { store, columns, run: act_ } = await open();
  expect(columns()).toEqual([2]);
  // The second change comes while bands are derived from the first one.
  act(() => void act_(run('Name', setTile(['t1'], { name: 'Beds' }))));
  act(() => void act_(run('Delete', removeTiles(['t4']))));
  expect(store.getState().document.isBehind).toBe(true);
  act(() => void store.dispatch(sent('change')));
  act(() => void store.dispatch(acknowledged(2)));
  render(
    <Provider store={store}>
      <SavedState />
    </Provider>,
  );
  expect(screen.getByRole('status').textContent).toBe('Saving…');
  await act(followed);
  expect(columns()).not.toEqual([2]);
  expect(store.getState().document.isBehind).toBe(false);
});

test('bands are left to be set by hand, and derived again', async () => {
  const { does, columns, document, steps } = await open(cards, 340);
  fireEvent.click(screen.getByRole('radio', { name: 'By hand' }));
  await does('Delete', removeTiles(['t4']));
  expect(columns()).toEqual([2]);
  expect(document().bands.every(({ derived }) => derived === undefined)).toBe(true);
  fireEvent.click(screen.getByRole('radio', { name: 'Derived' }));
  await waitFor(() => expect(document().narrowerBands).toBe('derived'), later);
  expect(columns()).not.toEqual([2]);
  expect(steps().at(-1)).toBe('Narrower bands: derived');
});

test('a breakpoint that was set by hand is derived again', async () => {
  const { document } = await open(cards, 340);
  const [was] = document().bands;
  const field = screen.getByRole('textbox', { name: 'Breakpoint' });
  fireEvent.change(field, { target: { value: '600' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  await act(followed);
  expect(document().bands[0]).toMatchObject({ id: was?.id, below: 600 });
  fireEvent.click(screen.getByRole('button', { name: /Breakpoint: inherit|^Breakpoint/ }));
  await act(followed);
  expect(document().bands[0]?.below).toBe(was?.below);
});

test('a tile is named, and a pin is inherited, without a new band', async () => {
  const { does, document } = await open();
  const { bands } = document();
  await does('Name', setTile(['t1'], { name: 'Beds' }));
  expect(document().bands).toEqual(bands);
  await does('Pin', setPin(['t1'], 0, { column: 1, row: 1 }));
  expect(document().bands.map(({ below }) => below)).toEqual(bands.map(({ below }) => below));
});
