/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render } from '@testing-library/react';
import { act } from 'react';
import { useSize } from './useSize';

afterEach(cleanup);

let report: () => void = () => undefined;
let observed = 0;
let wide = 300;

beforeEach(() => {
  observed = 0;
  global.ResizeObserver = class {
    constructor(say: ResizeObserverCallback) {
      report = () => say([{ contentRect: { width: wide, height: 10 } }] as never, this);
    }
    observe() {
      observed++;
      // A browser says the size once, after an element is first watched.
      if (observed < 30) queueMicrotask(() => act(report));
    }
    disconnect() {
      // nothing is kept
    }
    unobserve() {
      // nothing is kept
    }
  };
});

test('the same size again draws nothing again, even where the ref is a new one with each drawing', async () => {
  let drawn = 0;
  function Box() {
    const [ref, size] = useSize();
    drawn++;
    return <div ref={(element) => ref(element)}>{size?.width}</div>;
  }
  const { container } = render(<Box />);
  for (let turn = 0; turn < 20; turn++) await act(() => Promise.resolve());
  expect(container.textContent).toBe('300');
  expect(drawn).toBeLessThanOrEqual(3);
  expect(observed).toBeLessThanOrEqual(3);
  wide = 200;
  act(report);
  expect(container.textContent).toBe('200');
});
