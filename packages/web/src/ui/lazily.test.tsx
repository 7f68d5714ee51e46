/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, render } from '@testing-library/react';
import { Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { beside, fetchAhead, view, whenShown, whenUsed } from './lazily';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  cleanup();
  jest.useRealTimers();
  jest.restoreAllMocks();
});

const Part = ({ words = 'there' }: { words?: string }) => <p>{words}</p>;
const soon = () => act(async () => jest.advanceTimersByTimeAsync(0));

/** A script that can’t be fetched so many times. */
const failing = (times: number) => {
  let left = times;
  return jest.fn(() => (left-- > 0 ? Promise.reject(new Error('away')) : Promise.resolve(Part)));
};

describe('a part that comes beside the first paint', () => {
  test('is asked for at once, holds its place meanwhile, and is then shown', async () => {
    const read = failing(0);
    const Shown = beside(read, <i>meanwhile</i>);
    expect(read).toHaveBeenCalledTimes(1);
    render(<Shown />);
    await soon();
    expect(document.body.textContent).toBe('there');
  });

  test('is shown with the first drawing where it has arrived before', async () => {
    const Shown = beside(failing(0), <i>meanwhile</i>);
    await soon();
    render(<Shown />);
    expect(document.body.textContent).toBe('there');
  });

  test('is asked for again until it comes, and breaks nothing', async () => {
    const read = failing(3);
    const Shown = beside(read, <i>meanwhile</i>);
    render(<Shown />);
    await soon();
    expect(document.body.textContent).toBe('meanwhile');
    await act(async () => jest.advanceTimersByTimeAsync(10_000));
    expect(document.body.textContent).toBe('there');
    expect(read.mock.calls.length).toBeGreaterThanOrEqual(4);
  });
});

describe('a view', () => {
  test('that was fetched is shown with the first drawing', async () => {
    const { Part: View, fetch } = view(failing(0));
    expect(await fetch()).toBe(true);
    render(<View />);
    expect(document.body.textContent).toBe('there');
  });

  test('that can’t be fetched is what its boundary hears of', async () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const read = failing(2);
    const { Part: View, fetch } = view(read);
    expect(await fetch()).toBe(false);
    render(
      <ErrorBoundary fallbackRender={({ error }) => <p>{String(error)}</p>} onError={() => undefined}>
        <Suspense>
          <View />
        </Suspense>
      </ErrorBoundary>,
    );
    await soon();
    expect(document.body.textContent).toBe('Error: away');
    expect(read).toHaveBeenCalledTimes(2);
  });
});

describe('a part that is shown later', () => {
  test('is not asked for before it is shown', async () => {
    const read = failing(0);
    const Shown = whenShown(read);
    expect(read).not.toHaveBeenCalled();
    render(
      <Suspense>
        <Shown />
      </Suspense>,
    );
    await soon();
    expect(document.body.textContent).toBe('there');
  });

  test('is fetched ahead while there is time, then shown with the first drawing', async () => {
    const Shown = whenShown(failing(0));
    await act(() => fetchAhead());
    render(<Shown />);
    expect(document.body.textContent).toBe('there');
  });

  test('that can’t be fetched ahead is fetched with the next try', async () => {
    const read = failing(1);
    const Shown = whenShown(read);
    await act(() => fetchAhead());
    expect(read).toHaveBeenCalledTimes(1);
    await act(() => fetchAhead());
    expect(read).toHaveBeenCalledTimes(2);
    render(<Shown />);
    expect(document.body.textContent).toBe('there');
  });

  test('takes its properties, new ones too', async () => {
    const Shown = whenShown<{ words?: string }>(failing(0));
    await act(() => fetchAhead());
    const { rerender } = render(<Shown words="one" />);
    rerender(<Shown words="two" />);
    expect(document.body.textContent).toBe('two');
  });
});

test('what acts with a script waits for it once, and acts at once from then on', async () => {
  const read = jest.fn(() => Promise.resolve({ add: (a: number, b: number) => a + b }));
  const withScript = whenUsed(read);
  const first = withScript(({ add }) => add(1, 2));
  expect(first).toBeInstanceOf(Promise);
  expect(await first).toBe(3);
  const times = read.mock.calls.length;
  expect(withScript(({ add }) => add(2, 2))).toBe(4);
  expect(read).toHaveBeenCalledTimes(times);
});

test('what can’t be fetched acts as soon as it can', async () => {
  let left = 3;
  const withScript = whenUsed(() =>
    left-- > 0
      ? Promise.reject(new Error('away'))
      : Promise.resolve({ add: (a: number, b: number) => a + b }),
  );
  const answer = withScript(({ add }) => add(1, 2));
  await jest.advanceTimersByTimeAsync(10_000);
  expect(await answer).toBe(3);
});
