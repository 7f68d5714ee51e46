/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { beginGesture, gestureUnderWay } from './gesture';

const press = (key: string, ctrlKey = false) => {
  const event = new KeyboardEvent('keydown', { key, ctrlKey, bubbles: true, cancelable: true });
  document.body.dispatchEvent(event);
  return event;
};

describe('a gesture', () => {
  test.each([
    ['Escape', () => press('Escape')],
    ['undo', () => press('z', true)],
    ['redo', () => press('y', true)],
    ['the pointer lost', () => window.dispatchEvent(new Event('pointercancel'))],
    ['the window lost', () => window.dispatchEvent(new Event('blur'))],
  ])('is taken back by %s, once', (_, lose) => {
    const cancel = jest.fn();
    beginGesture(cancel);
    lose();
    lose();
    expect(cancel).toHaveBeenCalledTimes(1);
    expect(gestureUnderWay()).toBeNull();
  });

  test('that was let go is not taken back', () => {
    const cancel = jest.fn();
    beginGesture(cancel)();
    press('Escape');
    expect(cancel).not.toHaveBeenCalled();
  });

  test('keeps Escape and undo from everything else, and no other key', () => {
    const heard = jest.fn();
    window.addEventListener('keydown', heard);
    const end = beginGesture(() => undefined);
    expect(press('a').defaultPrevented).toBe(false);
    expect(heard).toHaveBeenCalledTimes(1);
    expect(press('Escape').defaultPrevented).toBe(true);
    expect(heard).toHaveBeenCalledTimes(1);
    end();
    press('Escape');
    expect(heard).toHaveBeenCalledTimes(2);
    window.removeEventListener('keydown', heard);
  });

  test('takes back the one before, of which nothing was heard any more', () => {
    const [first, second] = [jest.fn(), jest.fn()];
    beginGesture(first);
    const before = gestureUnderWay();
    const end = beginGesture(second);
    expect(first).toHaveBeenCalledTimes(1);
    expect(gestureUnderWay()).not.toBe(before);
    end();
    expect(second).not.toHaveBeenCalled();
  });
});
