/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { useState } from 'react';
import { NumberField } from './NumberField';

afterEach(cleanup);

interface Given {
  readonly value?: number | null;
  readonly least?: number;
  readonly most?: number;
  readonly whole?: boolean;
  readonly by?: number;
  readonly basis?: number;
}

/** A field that holds what is set, as a setting of a collection does. */
function open({ value = 16, least = 0, most = 400, ...more }: Given = {}) {
  const onSet = jest.fn<(value: number) => void>();
  function Held() {
    const [held, setHeld] = useState(value);
    const set = (next: number) => {
      onSet(next);
      setHeld(next);
    };
    return <NumberField name="Gap" unit="px" value={held} least={least} most={most} onSet={set} {...more} />;
  }
  render(<Held />);
  const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Gap' });
  return {
    field,
    set: () => onSet.mock.calls.map(([each]) => each),
    type: (text: string) => fireEvent.change(field, { target: { value: text } }),
    press: (key: string, shiftKey = false) => fireEvent.keyDown(field, { key, shiftKey }),
    leave: () => fireEvent.blur(field),
  };
}

describe('a number', () => {
  test('is set by Enter, once, and leaving the field afterwards sets nothing more', () => {
    const { field, set, type, press, leave } = open();
    type('24');
    expect(set()).toEqual([]);
    press('Enter');
    leave();
    expect(set()).toEqual([24]);
    expect(field.value).toBe('24');
  });

  test('is set by leaving the field, and not where it is as it was', () => {
    const { set, type, leave } = open();
    type('24');
    leave();
    type('24');
    leave();
    expect(set()).toEqual([24]);
  });

  test.each([
    ['1200/3', 400],
    ['(12 + 4) * 2', 32],
    ['50%', 600],
  ])('%s is reckoned', (text, result) => {
    const { set, type, press } = open({ most: 2000, basis: 1200 });
    type(text);
    press('Enter');
    expect(set()).toEqual([result]);
  });

  test.each(['', '   ', 'wide', '12 px wide', '4 +', '1e999'])('“%s” changes nothing', (text) => {
    const { field, set, type, leave } = open();
    type(text);
    leave();
    expect(set()).toEqual([]);
    expect(field.value).toBe('16');
  });

  test('out of its bounds is said at the field, and changes nothing', () => {
    const { field, set, type, press, leave } = open({ least: 8, most: 40 });
    type('90');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    press('Enter');
    expect(screen.getByRole('alert').textContent).toBe('From 8 to 40.');
    expect(field.value).toBe('90');
    leave();
    expect(set()).toEqual([]);
    expect(field.value).toBe('16');
    expect(screen.getByRole('alert').textContent).toBe('Not changed. From 8 to 40.');
    type('20');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('that is to be whole is not rounded in silence; the result of a sum is', () => {
    const { set, type, press } = open();
    type('12,5');
    press('Enter');
    expect(screen.getByRole('alert').textContent).toBe('Write a whole number.');
    type('25/2');
    press('Enter');
    expect(set()).toEqual([13]);
  });

  test('is taken back by Escape', () => {
    const { field, set, type, press, leave } = open();
    type('90');
    press('Escape');
    expect(field.value).toBe('16');
    leave();
    expect(set()).toEqual([]);
  });

  test('steps with the arrow keys, with Shift by ten, and not past its bounds', () => {
    const { set, press } = open({ most: 30 });
    press('ArrowUp');
    press('ArrowDown');
    press('ArrowUp', true);
    press('ArrowUp', true);
    press('ArrowUp', true);
    expect(set()).toEqual([17, 16, 26, 30]);
  });

  test('steps from what is typed', () => {
    const { set, type, press } = open();
    type('40');
    press('ArrowUp');
    expect(set()).toEqual([41]);
  });

  test('that is a share steps without crumbs of binary sums', () => {
    const { field, set, press } = open({ value: 0.1, most: 1, whole: false, by: 0.1 });
    for (let k = 0; k < 9; k++) press('ArrowUp');
    expect(set()).toEqual([0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]);
    expect(field.value).toBe('1');
  });

  test('of several values shows none, and takes one for all', () => {
    const { field, set, type, press } = open({ value: null });
    expect(field.value).toBe('');
    press('Enter');
    expect(set()).toEqual([]);
    type('12');
    press('Enter');
    expect(set()).toEqual([12]);
  });

  test('is always within its bounds, and whole where it is to be, whatever is typed and pressed', () => {
    const act = fc.oneof(
      fc.stringMatching(/^[\d+\-*/(). %]{0,8}$/).map((text) => ({ text })),
      fc.constantFrom('ArrowUp', 'ArrowDown', 'Enter', 'Escape').map((key) => ({ key })),
      fc.constant({ leaves: true }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 12 }), fc.boolean(), (acts, whole) => {
        const { field, set, type, press, leave } = open({ least: 4, most: 60, whole });
        for (const each of acts) {
          if ('text' in each) type(each.text);
          else if ('key' in each) press(each.key);
          else leave();
        }
        leave();
        for (const value of set()) {
          expect(value >= 4 && value <= 60).toBe(true);
          expect(!whole || Number.isInteger(value)).toBe(true);
        }
        expect(Number(field.value)).toBeCloseTo(set().at(-1) ?? 16, 3);
        cleanup();
      }),
      { numRuns: 60 },
    );
  });
});
