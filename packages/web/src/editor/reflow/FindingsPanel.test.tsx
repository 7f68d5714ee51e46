/** @jest-environment jsdom */
import '../../testing/browser';
import '../../testing/engineHere';
import { afterEach, describe, expect, test } from '@jest/globals';
import { change, setLook } from '@noria/core';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { useFitCheck } from '../fit/useFitCheck';
import { selectView } from '../selectors';
import { FindingsPanel } from './FindingsPanel';

afterEach(cleanup);

/** Words of one tile can hardly be read, and one cell of the first row stays empty. */
const document = change(
  stats([
    [1, 1],
    [1, 1],
    [1, 1],
  ]),
  setLook(['t1'], { fill: '#888888', textColour: '#999999' }),
).document;

function Checked() {
  useFitCheck();
  return <FindingsPanel />;
}

async function found() {
  const compose = composeStore(document);
  render(
    <Provider store={compose.store}>
      <Checked />
    </Provider>,
  );
  expect(screen.getByRole('status').textContent).toBe('Checking every width…');
  const list = await screen.findByRole('list', { name: 'Findings' }, { timeout: 20_000 });
  const titles = () =>
    within(screen.getByRole('list', { name: 'Findings' }))
      .getAllByRole('button', { expanded: false })
      .map(({ firstElementChild }) => firstElementChild?.textContent);
  return { ...compose, list, titles };
}
const FAINT = /^The words of “Stat 1” are faint/;
const later = { timeout: 20_000 };

describe('the findings of a collection', () => {
  test('are listed with the worst first; a press opens one and goes where it is worst', async () => {
    const { list, titles, selected } = await found();
    expect(titles().length).toBeGreaterThan(1);
    expect(screen.getByRole('status').textContent).toMatch(/findings, worst first\.$/);
    const faint = within(list).getByRole('button', { name: FAINT });
    fireEvent.click(faint);
    expect(faint.getAttribute('aria-expanded')).toBe('true');
    expect(selected()).toEqual(['t1']);
  });

  test('are tried while a fix is pointed at, and put right by a press', async () => {
    const { list, store, steps } = await found();
    fireEvent.click(within(list).getByRole('button', { name: FAINT }));
    const fix = await within(list).findByRole('button', { name: 'Automatic text colour' }, later);
    const colour = () => selectView(store.getState()).tiles.t1?.look.textColour;
    fireEvent.pointerEnter(fix);
    expect([colour(), steps()]).toEqual(['auto', []]);
    fireEvent.pointerLeave(fix.parentElement as HTMLElement);
    expect(colour()).toBe('#999999');
    fireEvent.click(fix);
    expect([colour(), steps()]).toEqual(['auto', ['Automatic text colour']]);
    await waitFor(() => expect(screen.queryByRole('button', { name: FAINT })).toBeNull(), later);
  });

  test('can be ignored, each for itself, and looked for again', async () => {
    const { list, steps, titles } = await found();
    const before = titles().length;
    fireEvent.click(within(list).getByRole('button', { name: FAINT }));
    fireEvent.click(within(list).getByRole('button', { name: 'Ignore finding' }));
    const ignored = await screen.findByRole('list', { name: 'Ignored findings' }, later);
    expect(within(ignored).getAllByRole('listitem')).toHaveLength(1);
    expect(titles()).toHaveLength(before - 1);
    fireEvent.click(within(ignored).getByRole('button', { name: 'Stop ignoring' }));
    await waitFor(() => expect(screen.queryByRole('list', { name: 'Ignored findings' })).toBeNull(), later);
    expect(steps()).toEqual(['Ignore finding', 'Stop ignoring finding']);
  });

  test('that are safe to put right are put right in one step', async () => {
    const { steps, said } = await found();
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Apply all safe fixes' }));
      await Promise.resolve();
    });
    await waitFor(() => expect(steps()).toEqual(['Apply all safe fixes']), later);
    expect(said()).toMatch(/^\d+ findings? fixed\.$/);
  });
});
