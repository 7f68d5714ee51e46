import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { stats } from '../../testing/composeStore';
import { asker, type Started } from './asker';
import type { MirrorStep } from './mirror';

interface Asked {
  readonly step: MirrorStep;
  readonly given: readonly unknown[];
  readonly end: (answer: unknown) => void;
  readonly fail: (error: Error) => void;
}

/** Workers that answer when they are told to. */
function workers() {
  const asked: Asked[] = [];
  const ended: number[] = [];
  const breaks: (() => void)[] = [];
  let started = 0;
  const start = (): Started => {
    const number = ++started;
    return {
      answer: (step, _, given) =>
        new Promise((end, fail) => {
          asked.push({ step, given, end, fail });
        }),
      broken: new Promise((resolve) => void breaks.push(resolve)),
      end: () => void ended.push(number),
    };
  };
  return { asked, breaks, ended, start, started: () => started };
}

const document = stats([[1, 1]]);
const settle = () => jest.advanceTimersByTimeAsync(0);

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

describe('what is asked beside the page', () => {
  test('is worked out one at a time, and the newest comes next', async () => {
    const { asked, start, started } = workers();
    const { ask } = asker(start);
    const answers = ['first', 'second', 'third'].map((id) => ask('fixes', document, [id]));
    expect(asked.map(({ given }) => given[0])).toEqual(['first']);
    for (let k = 0; k < 3; k++) {
      asked[k]?.end([k]);
      await settle();
    }
    expect(asked.map(({ given }) => given[0])).toEqual(['first', 'third', 'second']);
    expect(await Promise.all(answers)).toEqual([[0], [2], [1]]);
    expect(started()).toBe(1);
  });

  test('about no collection comes in its order, after what is about the one that is open', async () => {
    const { asked, start } = workers();
    const { ask } = asker(start);
    void ask('thumbnail', null, ['a']);
    void ask('thumbnail', null, ['b']);
    void ask('thumbnail', null, ['c']);
    void ask('fixes', document, ['open']);
    for (let k = 0; k < 4; k++) {
      asked[k]?.end(null);
      await settle();
    }
    expect(asked.map(({ given }) => given[0])).toEqual(['a', 'open', 'b', 'c']);
  });

  test('is not begun once it is cancelled', async () => {
    const { asked, start, ended } = workers();
    const { ask } = asker(start);
    const cancel = new AbortController();
    void ask('fixes', document, ['first']);
    const second = ask('fixes', document, ['second'], cancel.signal);
    cancel.abort(new Error('not wanted'));
    await expect(second).rejects.toThrow('not wanted');
    asked[0]?.end([]);
    await settle();
    expect(asked).toHaveLength(1);
    expect(ended).toEqual([]);
    await expect(ask('fixes', document, ['third'], cancel.signal)).rejects.toThrow('not wanted');
  });

  test('ends its worker when it goes on for long after it was cancelled; the next one begins anew', async () => {
    const { asked, start, ended } = workers();
    const { ask } = asker(start);
    const cancel = new AbortController();
    const long = ask('propose', document, [WHERE, [], 1], cancel.signal);
    cancel.abort(new Error('not wanted'));
    await expect(long).rejects.toThrow('not wanted');
    void ask('fixes', document, ['next']);
    await jest.advanceTimersByTimeAsync(200);
    expect(ended).toEqual([]);
    await jest.advanceTimersByTimeAsync(400);
    expect(ended).toEqual([1]);
    expect(asked[1]).toMatchObject({ given: ['next'], step: { document } });
  });

  test('fails where its worker can’t be started, and the next one starts another', async () => {
    const { asked, breaks, start, started } = workers();
    const { ask } = asker(start);
    const first = ask('fixes', document, ['first']);
    breaks[0]?.();
    await expect(first).rejects.toThrow('could not be started');
    const second = ask('fixes', document, ['second']);
    await settle();
    asked[1]?.end([]);
    expect(await second).toEqual([]);
    expect(started()).toBe(2);
  });

  test('brings the whole collection again after an answer failed', async () => {
    const { asked, start } = workers();
    const { ask } = asker(start);
    const first = ask('fixes', document, ['first']);
    asked[0]?.fail(new Error('no'));
    await expect(first).rejects.toThrow('no');
    void ask('fixes', document, ['second']);
    await settle();
    expect(asked[1]?.step).toEqual({ document });
  });
});

const WHERE = { level: null, band: 0, width: 1280, inlineSize: 1280, mostCrop: 0.5 };
