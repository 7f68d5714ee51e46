/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { setKind, type CollectionDocument } from '@noria/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { fetchAhead } from '../../ui/lazily';
import { brushTaken } from '../editorSlice';
import { runHere } from '../here';
import { selectLayout } from '../selectors';
import { TileHands } from './TileHands';

beforeAll(() => fetchAhead());
beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

/** Four even columns, four tiles of one cell in the first row, a wide one in the second. */
const start: CollectionDocument = stats([
  [1, 1],
  [1, 1],
  [1, 1],
  [1, 1],
  [2, 1],
]);

const SPACE = { scale: 1, x: 0, y: 0 };
const hand = (id: string) => document.querySelector<HTMLElement>(`[data-tile-hand="${id}"]`) as HTMLElement;

function open(of: CollectionDocument = start) {
  const compose = composeStore(of);
  render(
    <Provider store={compose.store}>
      <TileHands space={SPACE} />
    </Provider>,
  );
  const layout = () => selectLayout(compose.store.getState());
  const at = (id: string) => {
    const tile = layout().tiles.find((each) => each.id === id);
    return tile && `${tile.column} ${tile.row}`;
  };
  /** From the start of a tile to that of a cell, and on by so many px; 0: onto its start. */
  const way = (id: string, column: number, row: number) => {
    const { columns, rows, tiles } = layout();
    const from = tiles.find((each) => each.id === id);
    return [
      (columns[column - 1]?.start ?? 0) - (from?.x ?? 0),
      (rows[row - 1]?.start ?? 0) - (from?.y ?? 0),
    ] as const;
  };
  return { ...compose, layout, at, way };
}

interface Drag {
  readonly altKey?: boolean;
  readonly shiftKey?: boolean;
  /** Nothing is let go: what is shown meanwhile is looked at. */
  readonly hold?: boolean;
}

/** Presses near the start of a tile and drags so far. */
function drag(
  id: string,
  [dx, dy]: readonly [number, number],
  { altKey = false, shiftKey = false, hold = false }: Drag = {},
) {
  const of = hand(id);
  const point = (share: number) => ({
    clientX: 6 + dx * share,
    clientY: 6 + dy * share,
    buttons: 1,
    altKey,
    shiftKey,
    bubbles: true,
    cancelable: true,
  });
  act(() => {
    fireEvent.pointerDown(of, point(0));
    for (const share of [0.25, 0.5, 0.75, 1]) fireEvent.pointerMove(of, point(share));
    jest.advanceTimersByTime(50);
  });
  if (hold) return;
  act(() => {
    fireEvent.pointerUp(of, { ...point(1), buttons: 0 });
    jest.advanceTimersByTime(50);
  });
}
const escape = () =>
  act(() => {
    fireEvent.keyDown(window, { key: 'Escape' });
    jest.advanceTimersByTime(50);
  });

describe('a tile that is dragged', () => {
  test('to another cell lies there, as one step that is undone by its name, and nothing is pinned', () => {
    const { at, way, steps, selected, document: now } = open();
    drag('t5', way('t5', 3, 1));
    expect(['t3', 't5', 't4'].map(at)).toEqual(['1 2', '3 1', '2 2']);
    expect(steps()).toEqual(['Move']);
    expect(selected()).toEqual(['t5']);
    expect(Object.values(now().tiles).map(({ place }) => place.pin)).toEqual(Array(5).fill(null));
  });

  test('with Shift is held at the cell', () => {
    const { at, way, steps, document: now } = open();
    drag('t5', way('t5', 3, 2), { shiftKey: true });
    expect(at('t5')).toBe('3 2');
    expect(now().tiles.t5?.place.pin).toEqual({ column: 3, row: 2 });
    expect(steps()).toEqual(['Pin']);
  });

  test('is shown there before it is let go, while the collection stays as it is', () => {
    const { at, way, steps, document: now } = open();
    const before = now();
    drag('t5', way('t5', 3, 1), { hold: true });
    expect(at('t5')).toBe('3 1');
    expect(now()).toBe(before);
    expect(steps()).toEqual([]);
  });

  test('goes back with Escape in the middle, and what comes after does nothing', () => {
    const { at, way, steps } = open();
    drag('t5', way('t5', 3, 1), { hold: true });
    escape();
    expect(at('t5')).toBe('1 2');
    act(() => void fireEvent.pointerUp(hand('t5'), { clientX: 400, clientY: 200 }));
    expect(steps()).toEqual([]);
    expect(at('t5')).toBe('1 2');
  });

  test('by a few px stays where it is, and is no step', () => {
    const { at, steps } = open();
    drag('t5', [8, 5]);
    expect(at('t5')).toBe('1 2');
    expect(steps()).toEqual([]);
  });

  test('onto the middle of another changes places with it', () => {
    const { at, layout, steps } = open();
    const [from, to] = ['t1', 't3'].map((id) => layout().tiles.find((each) => each.id === id));
    const middle = (to?.inlineSize ?? 0) / 2 - 6;
    drag('t1', [(to?.x ?? 0) - (from?.x ?? 0) + middle, (to?.blockSize ?? 0) / 2 - 6]);
    expect([at('t1'), at('t3')]).toEqual(['3 1', '1 1']);
    expect(steps()).toEqual(['Swap']);
  });

  test('with Alt lies over the other, a layer above it', () => {
    const { at, way, steps, document: now } = open();
    drag('t1', way('t1', 3, 1), { altKey: true });
    expect([at('t1'), at('t3')]).toEqual(['3 1', '3 1']);
    expect(now().tiles.t1?.place.layer ?? 0).toBeGreaterThan(now().tiles.t3?.place.layer ?? 0);
    expect(steps()).toEqual(['Place over']);
  });

  test('takes the other selected ones along', () => {
    const { at, way, take, steps } = open();
    act(() => take('t1', 't5'));
    drag('t5', way('t5', 3, 1));
    expect([at('t1'), at('t5')]).toEqual(['2 1', '3 1']);
    expect(steps()).toEqual(['Move']);
  });

  test('where tiles follow their order, goes before or after the one it is let go on', () => {
    const { document: now, run, layout, steps } = open();
    act(() => void run(runHere('Arrangement', setKind('masonry', 0, 'all'))));
    const [from, to] = ['t1', 't4'].map((id) => layout().tiles.find((each) => each.id === id));
    drag('t1', [(to?.x ?? 0) - (from?.x ?? 0) + (to?.inlineSize ?? 0) - 12, 0]);
    expect(now().order).toEqual(['t2', 't3', 't4', 't1', 't5']);
    expect(steps()).toEqual(['Arrangement', 'Order']);
  });
});

describe('a press', () => {
  const press = (id: string, more: object = {}) =>
    act(() => {
      const point = { clientX: 6, clientY: 6, buttons: 1, bubbles: true, ...more };
      fireEvent.pointerDown(hand(id), point);
      fireEvent.pointerUp(hand(id), { ...point, buttons: 0 });
      jest.advanceTimersByTime(50);
    });

  test('selects one tile; with Shift it is added, and taken out again', () => {
    const { selected } = open();
    press('t1');
    expect(selected()).toEqual(['t1']);
    press('t3', { shiftKey: true });
    expect(selected()).toEqual(['t1', 't3']);
    press('t1', { shiftKey: true });
    expect(selected()).toEqual(['t3']);
  });

  test('while a look is copied, puts it on the tile and selects nothing', () => {
    const { store, selected, steps } = open();
    act(() => void store.dispatch(brushTaken({ from: 't1', what: 'spans' })));
    press('t5');
    expect(selected()).toEqual([]);
    expect(steps()).toHaveLength(1);
  });

  test('of Enter or Space selects too', () => {
    const { selected } = open();
    act(() => void fireEvent.click(hand('t2'), { detail: 0 }));
    expect(selected()).toEqual(['t2']);
  });
});

test('every tile is a button in reading order, named by what it is and where it lies', () => {
  open();
  expect(screen.getAllByRole('button').map((each) => each.getAttribute('aria-label'))).toEqual([
    'Stat 1, stat, 1 of 5, 1 by 1 at column 1, row 1',
    'Stat 2, stat, 2 of 5, 1 by 1 at column 2, row 1',
    'Stat 3, stat, 3 of 5, 1 by 1 at column 3, row 1',
    'Stat 4, stat, 4 of 5, 1 by 1 at column 4, row 1',
    'Stat 5, stat, 5 of 5, 2 by 1 at column 1, row 2',
  ]);
});
