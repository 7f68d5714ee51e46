/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, describe, expect, test } from '@jest/globals';
import { addBreakpoint, change } from '@noria/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { useAppSelector } from '../hooks';
import { selectBand, selectBands, selectNeedle, selectSetFor } from '../selectors';
import { Breakpoint } from './Breakpoint';
import { Needle } from './Needle';
import { SetForChoice } from './SetForChoice';

afterEach(cleanup);

const LENGTH = 1000;
const start = change(stats([[1, 1]]), addBreakpoint('narrow', 800)).document;

function Ruler() {
  const [wider, band] = useAppSelector(selectBands);
  return (
    <>
      <Needle length={LENGTH} />
      {wider && band && <Breakpoint band={band} wider={wider} length={LENGTH} isDerived={false} />}
      <SetForChoice />
    </>
  );
}

function open(width = 1280) {
  const compose = composeStore(start, width);
  render(
    <Provider store={compose.store}>
      <Ruler />
    </Provider>,
  );
  const state = () => compose.store.getState();
  return {
    ...compose,
    needle: () => selectNeedle(state()),
    below: () => state().document.document?.bands.map((band) => band.below),
    band: () => selectBand(state()).index,
    setFor: () => selectSetFor(state()),
  };
}
const press = (slider: string, key: string, shiftKey = false) =>
  fireEvent.keyDown(screen.getByRole('slider', { name: slider }), { key, shiftKey });

describe('the needle by keys', () => {
  const NEEDLE = 'Needle: the width shown';

  test.each([
    ['ArrowRight', false, 1281],
    ['ArrowUp', false, 1281],
    ['ArrowLeft', false, 1279],
    ['ArrowDown', true, 1260],
    ['ArrowRight', true, 1300],
    ['PageUp', false, 1380],
    ['PageDown', false, 1180],
    ['Home', false, 240],
    ['End', false, 2560],
    ['x', false, 1280],
  ] as const)('%s, with Shift: %s, goes to %i', (key, shift, width) => {
    const { needle, steps } = open();
    press(NEEDLE, key, shift);
    expect([needle(), steps()]).toEqual([width, []]);
  });

  test('does not leave the widths there are, and says where it is', () => {
    const { needle } = open(2560);
    press(NEEDLE, 'ArrowRight', true);
    expect(needle()).toBe(2560);
    expect(screen.getByRole('slider', { name: NEEDLE }).getAttribute('aria-valuetext')).toBe('2560 px');
  });
});

describe('a breakpoint by keys', () => {
  const BREAKPOINT = 'Breakpoint between 4 and 4 columns';

  test('is moved; presses that follow each other are one step', () => {
    const { below, steps } = open();
    expect(below()).toEqual([800]);
    press(BREAKPOINT, 'ArrowRight');
    press(BREAKPOINT, 'ArrowRight', true);
    press(BREAKPOINT, 'ArrowLeft');
    expect([below(), steps()]).toEqual([[820], ['Move breakpoint']]);
  });

  test.each(['Delete', 'Backspace'])('is removed by %s', (key) => {
    const { below, said, steps } = open();
    press(BREAKPOINT, key);
    expect([below(), steps(), said()]).toEqual([
      [],
      ['Remove breakpoint'],
      'The breakpoint at 800 px was removed.',
    ]);
  });
});

test('what is set holds in the band where the needle stands, or at all widths', () => {
  const { setFor, band } = open(600);
  expect(band()).toBe(1);
  expect(screen.getByRole('radio', { name: '240 – 799' }).getAttribute('aria-checked')).toBe('true');
  fireEvent.click(screen.getByRole('radio', { name: 'All widths' }));
  expect(setFor()).toBe('all');
  cleanup();
  open();
  expect(screen.getByRole('radio', { name: 'From 800' }).getAttribute('aria-checked')).toBe('true');
});
