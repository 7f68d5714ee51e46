/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, beforeAll, expect, test } from '@jest/globals';
import { change, groupTiles } from '@noria/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { composeStore, stats } from '../../testing/composeStore';
import { fetchAhead } from '../../ui/lazily';
import { entered } from '../editorSlice';
import { Settings } from './Settings';

beforeAll(() => fetchAhead());
afterEach(cleanup);

const start = {
  ...change(
    stats([
      [1, 1],
      [1, 1],
    ]),
    groupTiles(['t1'], 'g', 0),
  ).document,
  bands: [],
};

function open(level: string | null = null) {
  const compose = composeStore(start, 1280);
  if (level !== null) compose.store.dispatch(entered(level));
  render(
    <Provider store={compose.store}>
      <MemoryRouter>
        <Suspense>
          <Settings />
        </Suspense>
      </MemoryRouter>
    </Provider>,
  );
  return compose;
}

function type(name: string, words: string): HTMLElement {
  const [field] = screen.getAllByRole('textbox', { name });
  if (!field) throw new Error(`There is no “${name}”.`);
  act(() => {
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: words } });
    fireEvent.keyDown(field, { key: 'Enter' });
  });
  return field;
}

test.each([
  ['12', 12],
  ['96 / 4', 24],
  ['18px', 18],
  ['2cqi', '2cqi'],
  ['CLAMP(8px,2vw,24px)', 'clamp(8px, 2vw, 24px)'],
  ['1rem + 4px', 'calc(1rem + 4px)'],
])('a gap of “%s” is %j', (words, gap) => {
  const { document } = open();
  type('Gap', words);
  expect(document().arrangement).toMatchObject({ columnGap: gap, rowGap: gap });
});

test('a share is kept where it is known of what it is; a sum of px is not', () => {
  const { document } = open();
  type('Padding', '100% / 32');
  expect(document().arrangement.padding.blockStart).toBe('calc(100% / 32)');
  type('Padding', '100% - 1250');
  expect(document().arrangement.padding.blockStart).toBe(30);
});

test('what stands there is shown as it was written, with its px in the tooltip, and is not stepped', () => {
  open();
  const field = type('Gap', '2cqi') as HTMLInputElement;
  expect(field.value).toBe('2cqi');
  expect(field.title).toBe('2cqi: 25.6 px at this width');
  act(() => void fireEvent.keyDown(field, { key: 'ArrowUp' }));
  expect(field.value).toBe('2cqi');
});

test.each([
  ['2em', /vh and em are not known here/],
  ['5%', /can’t be in % here/],
  ['25cqi', /up to 400 px at every width; “25cqi” comes to 640/],
])('a gap of “%s” in a group is refused, and says why', (words, why) => {
  const { document } = open('g');
  const before = document();
  const field = type('Gap', words);
  expect(screen.getByRole('alert').textContent).toMatch(why);
  expect(field.getAttribute('aria-invalid')).toBe('true');
  expect(document()).toBe(before);
});
