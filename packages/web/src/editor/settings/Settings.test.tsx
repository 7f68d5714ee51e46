/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { composeStore, stats } from '../../testing/composeStore';
import { needleMoved, setForChosen, tilesSelected } from '../editorSlice';
import { run } from '../document/run';
import { addBreakpoint, mainWords } from '@noria/core';
import { selectLayout, selectView } from '../selectors';
import { Settings } from './Settings';

afterEach(cleanup);

/** Types as a hand does, outside of `act`, which would wait for what is put off. */
function typeInto(field: HTMLInputElement, words: string) {
  field.focus();
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, words);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** The settings of one of two tiles. */
function settingsOfTheFirst() {
  const { store } = composeStore(
    stats([
      [1, 1],
      [1, 1],
    ]),
  );
  store.dispatch(tilesSelected(['t1']));
  render(
    <Provider store={store}>
      <MemoryRouter>
        <Settings />
      </MemoryRouter>
    </Provider>,
  );
  const field = screen.getByLabelText<HTMLInputElement>('Name');
  expect(field.value).toBe('Stat 1');
  return { store, field };
}

test('words typed before the settings have followed go into the tile that is selected', async () => {
  const { store, field } = settingsOfTheFirst();
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false });
  store.dispatch(tilesSelected(['t2']));
  // What must happen at once has happened; what is put off has not.
  await Promise.resolve();
  expect(field.value).toBe('Stat 1');
  field.focus();
  await Promise.resolve();
  expect(field.value).toBe('Stat 2');
  typeInto(field, 'Sauna');
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

  const { tiles } = selectView(store.getState());
  expect([tiles.t1?.name, tiles.t2?.name]).toEqual(['Stat 1', 'Sauna']);
});

test.each([
  ['after it got the focus', ['focus', 'select']],
  ['with the focus, as Tab does', ['select', 'focus']],
] as const)('words that a hand selected %s stay selected when the settings follow', async (_, steps) => {
  const { store, field } = settingsOfTheFirst();
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false });
  store.dispatch(tilesSelected(['t2']));
  await Promise.resolve();
  for (const step of steps) field[step]();
  await Promise.resolve();
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

  expect(field.value).toBe('Stat 2');
  expect(field.value.slice(field.selectionStart ?? 0, field.selectionEnd ?? 0)).toBe('Stat 2');
});

test('words for several tiles are set for all that have them, as one step', () => {
  const { store, field } = settingsOfTheFirst();
  expect(field.value).toBe('Stat 1');
  act(() => void store.dispatch(tilesSelected(['t1', 't2'])));
  const figure = screen.getByLabelText<HTMLInputElement>('Figure');
  expect([figure.value, figure.placeholder]).toEqual(['', 'different words']);
  expect(screen.getByLabelText<HTMLInputElement>('Label').value).toBe('beds');
  act(() => typeInto(figure, '12'));
  const { tiles } = selectView(store.getState());
  const figures = ['t1', 't2'].map((id) => tiles[id] && mainWords(tiles[id]));
  expect(figures).toEqual(['12', '12']);
  expect(store.getState().document.past).toHaveLength(1);
});

test('the span pad says what a span would leave, shows it, and sets it in one press', () => {
  const { store } = settingsOfTheFirst();
  const pad = screen.getByRole('group', { name: 'Span pad' });
  const two = within(pad).getByRole('button', { name: '2 by 2' });
  act(() => void fireEvent.pointerEnter(two));
  expect(pad.textContent).toContain('2 × 2');
  expect(selectLayout(store.getState()).tiles[0]).toMatchObject({ columnSpan: 2, rowSpan: 2 });
  expect(store.getState().document.past).toHaveLength(0);
  act(() => void fireEvent.pointerLeave(pad));
  expect(selectLayout(store.getState()).tiles[0]).toMatchObject({ columnSpan: 1, rowSpan: 1 });
  act(() => void fireEvent.click(two));
  expect(selectView(store.getState()).tiles.t1?.place).toMatchObject({ columnSpan: 2, rowSpan: 2 });
  expect(store.getState().document.past).toHaveLength(1);
});

test('what the span pad shows goes with it', () => {
  const { store } = settingsOfTheFirst();
  const pad = screen.getByRole('group', { name: 'Span pad' });
  act(() => void fireEvent.pointerEnter(within(pad).getByRole('button', { name: '2 by 2' })));
  expect(store.getState().document.trial).not.toBeNull();
  act(() => void store.dispatch(tilesSelected([])));
  expect(store.getState().document.trial).toBeNull();
});

test('what can’t be set for a narrower band alone says that it holds at all widths', () => {
  const { store } = settingsOfTheFirst();
  expect(screen.queryByText('all widths')).toBeNull();
  act(() => {
    store.dispatch(run('Add breakpoint', addBreakpoint('narrow', 640)));
    store.dispatch(needleMoved(500));
  });
  const rows = screen
    .getAllByText('all widths')
    .map((each) => each.parentElement?.firstElementChild?.textContent);
  expect(rows).toEqual(expect.arrayContaining(['Content', 'Recipe', 'Motion']));
  for (const ofTheBand of ['Span', 'Fill', 'Text colour', 'Align', 'Across', 'Visibility'])
    expect(rows).not.toContain(ofTheBand);
  act(() => void store.dispatch(setForChosen('all')));
  expect(screen.queryByText('all widths')).toBeNull();
});
