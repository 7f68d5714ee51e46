/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import {
  deriveBand,
  setArrangement,
  setHidden,
  setHereIn,
  setSpan,
  type CollectionDocument,
} from '@noria/core';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { measurer } from '../engine/measurer';
import { runHere } from '../here';
import { selectNeedle } from '../selectors';
import { BandPanel } from './BandPanel';

afterEach(cleanup);

const start: CollectionDocument = {
  ...stats([
    [1, 1],
    [2, 1],
  ]),
  bands: [
    { id: 'b', below: 900, arrangement: {}, tiles: {} },
    { id: 'c', below: 500, arrangement: {}, tiles: {} },
  ],
};

function open(width: number) {
  const compose = composeStore(start, width);
  compose.run(runHere('Gap', setArrangement({ columnGap: 4 }, 1, 'band')));
  compose.run(runHere('Hide', setHidden(['t2'], true, 1, 'band')));
  compose.run(
    runHere('Span', setSpan({ tiles: ['t1'], band: 1, setFor: 'band', columnSpan: 2, rowSpan: 1 })),
  );
  render(
    <Provider store={compose.store}>
      <BandPanel />
    </Provider>,
  );
  return compose;
}
const press = (name: string | RegExp) =>
  act(() => void fireEvent.click(screen.getByRole('button', { name })));
const listed = () =>
  within(screen.getByRole('list', { name: 'Set by hand' }))
    .getAllByRole('listitem')
    .map((item) => item.textContent);

test('the widest band sets everything, and has no breakpoint of its own', () => {
  open(1280);
  expect(screen.getByRole('heading', { level: 2 }).textContent).toBe('From 900 px up');
  expect(screen.getByRole('complementary', { name: 'Band' }).textContent).toContain(
    'The widest band sets everything; narrower ones inherit it.',
  );
  expect(screen.queryByRole('textbox', { name: 'Breakpoint' })).toBeNull();
});

test('a narrower one lists what it sets, each by its name and value', () => {
  open(700);
  expect(screen.getByRole('heading', { level: 2 }).textContent).toBe('500 to 899 px');
  expect(listed()).toEqual(['Column gap4', 'Span of Stat 12 × 1', 'Visibility of Stat 2hidden']);
});

test('one value is inherited again, said, and undone by its name', () => {
  const { document, said, steps } = open(700);
  press('Column gap: inherit from the wider band again');
  expect(listed()).toHaveLength(2);
  expect(document().bands[0]?.arrangement).toEqual({});
  expect(said()).toBe('Column gap is inherited again.');
  expect(steps().at(-1)).toBe('Inherit');
});

test('all is inherited again at once', () => {
  const { document } = open(700);
  press('Inherit all');
  expect(setHereIn(document(), 1)).toEqual([]);
  expect(screen.getByRole('complementary', { name: 'Band' }).textContent).toMatch(
    /Set hereNothing: everything is inherited from the wider band\.$/,
  );
  expect(screen.queryByRole('list', { name: 'Set by hand' })).toBeNull();
});

test('a tile that is listed is selected by its name', () => {
  const { selected } = open(700);
  press('Span of Stat 1');
  expect(selected()).toEqual(['t1']);
});

test('the breakpoint is moved by its number, and the needle stays in the band', () => {
  const { document, store } = open(880);
  const field = screen.getByRole('textbox', { name: 'Breakpoint' });
  act(() => {
    fireEvent.change(field, { target: { value: '800' } });
    fireEvent.keyDown(field, { key: 'Enter' });
  });
  expect(document().bands[0]?.below).toBe(800);
  expect(selectNeedle(store.getState())).toBe(799);
});

test('the breakpoint is removed, and said', () => {
  const { document, said } = open(700);
  press('Remove');
  expect(document().bands.map(({ id }) => id)).toEqual(['c']);
  expect(said()).toBe('The breakpoint at 900 px was removed.');
});

test('what was derived is listed apart from what was set by hand', () => {
  const compose = composeStore(start, 700);
  compose.run(runHere('Derive', deriveBand(start, 1, { measurer: measurer() })));
  render(
    <Provider store={compose.store}>
      <BandPanel />
    </Provider>,
  );
  const derived = setHereIn(compose.document(), 1).filter((each) => each.derived);
  expect(derived.length).toBeGreaterThan(0);
  expect(screen.getByRole('list', { name: 'Derived' }).children).toHaveLength(derived.length);
});

test('the wider band’s structure is kept at a press', () => {
  const { said, steps } = open(700);
  press('Keep structure');
  expect(said()).toBe('The wider band’s structure is kept.');
  expect(steps().at(-1)).toBe('Keep structure');
});
