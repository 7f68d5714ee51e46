/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, beforeAll, expect, test } from '@jest/globals';
import { register, setKind, setOfKind, type ArrangementName, type KindValues } from '@noria/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { stairs } from '../../../../core/src/testing/stairs';
import { composeStore, stats } from '../../testing/composeStore';
import { growTiles, pinTiles } from '../actions/place';
import { allCommands } from '../commands/allCommands';
import { runHere } from '../here';
import { setHereName, setHereValue } from '../reflow/setHereWords';
import { Settings } from '../settings/Settings';
import { selectBand } from '../selectors';
import { registerInterface } from '.';
import { useKind } from './useKind';
import { arrangedWords, arrangementWords } from './words';
import type { KindInterface } from './kind';

const STAIRS = 'stairs' as ArrangementName & keyof KindValues;

function StairsSettings() {
  const { set } = useKind(STAIRS);
  return (
    <button type="button" onClick={() => set('Step', { step: 120 } as never)}>
      Higher steps
    </button>
  );
}

/** All that gives a kind its settings and words, in one record. */
const interfaceOfStairs: KindInterface = {
  Settings: StairsSettings,
  Gives: () => 'Three steps',
  values: { of: 'stairs', label: 'Steps', says: (value) => `${(value as { step: number }).step} px high` },
  spans: 'none',
  noGaps: { title: 'Stairs have no holes', says: 'Every tile is a step.' },
  where: ({ number }) => `step ${number}`,
  takes: ({ at }) => `step ${at.row}`,
  grips: () => 'none',
};

beforeAll(() => {
  register(stairs);
  registerInterface(
    STAIRS,
    { name: 'Stairs', says: 'Each tile a step lower', column: 'step' },
    interfaceOfStairs,
  );
});
afterEach(cleanup);

const open = () => {
  const compose = composeStore(
    stats([
      [1, 1],
      [1, 1],
      [1, 1],
    ]),
  );
  compose.run(runHere('Kind', setKind(STAIRS, 0, 'all')));
  return compose;
};

test('a new kind is offered, and has its own settings', () => {
  const compose = open();
  render(
    <Provider store={compose.store}>
      <MemoryRouter>
        <Settings />
      </MemoryRouter>
    </Provider>,
  );
  const choice = screen.getByRole('radio', { name: 'Stairs' });
  expect(choice.getAttribute('aria-checked')).toBe('true');
  expect(choice.title).toBe('Each tile a step lower');
  act(() => void fireEvent.click(screen.getByRole('button', { name: 'Higher steps' })));
  expect(selectBand(compose.store.getState()).arrangement).toMatchObject({ stairs: { step: 120 } });
  expect(screen.queryByRole('heading', { name: 'Areas' })).toBeNull();
});

test('it has words wherever kinds are named', () => {
  const compose = open();
  expect(allCommands().map(({ words }) => words)).toContain('Arrange as stairs');
  expect(arrangementWords(STAIRS, 3)).toBe('stairs, three steps');
  expect(arrangedWords(compose.document())).toMatch(/^stairs/);
  const set = { id: null, field: 'stairs', value: { step: 90 }, derived: false } as never;
  expect([setHereName(compose.document(), set), setHereValue(set)]).toEqual(['Steps', '90 px high']);
});

test('what it does not have is said where it is asked for', () => {
  const compose = open();
  compose.take('t1');
  compose.run(pinTiles());
  expect(compose.said()).toBe('In stairs tiles are not pinned.');
  compose.run(growTiles(1, 0));
  expect(compose.said()).toBe('In stairs the size of a tile is not by spans.');
  expect(compose.steps()).toEqual(['Kind']);
  expect(compose.run(runHere('Step', setOfKind(STAIRS, { step: 0 } as never, 0, 'all')))).toBe(true);
});
