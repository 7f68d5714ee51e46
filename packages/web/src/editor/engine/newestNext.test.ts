import { expect, test } from '@jest/globals';
import { newestNext } from './newestNext';

/** Work that ends when it is told to. */
function held<T>() {
  const ends: { end: (value: T) => void; fail: (error: Error) => void }[] = [];
  const work = () => new Promise<T>((end, fail) => ends.push({ end, fail }));
  return { ends, work };
}

const settled = () => new Promise((resolve) => setTimeout(resolve));

test('one piece of work is done at a time, and the newest comes next', async () => {
  const ask = newestNext();
  const { ends, work } = held<string>();
  const heard: string[] = [];
  for (const name of ['first', 'second', 'third'])
    ask(
      () => work().then((value) => `${name}: ${value}`),
      (value) => heard.push(value),
      () => heard.push('failed'),
    );
  expect(ends).toHaveLength(1);
  ends[0]?.end('a');
  await settled();
  expect(ends).toHaveLength(2);
  ends[1]?.end('b');
  await settled();
  expect(heard).toEqual(['first: a', 'third: b']);
  expect(ends).toHaveLength(2);
});

test('work that fails says so, and lets the next one come', async () => {
  const ask = newestNext();
  const { ends, work } = held<number>();
  const heard: unknown[] = [];
  const hear = (what: unknown) => heard.push(what);
  ask(work, hear, hear);
  ask(work, hear, hear);
  ends[0]?.fail(new Error('no'));
  await settled();
  ends[1]?.end(2);
  await settled();
  expect(heard).toEqual([new Error('no'), 2]);
});

test('what is asked when nothing is under way starts at once', async () => {
  const ask = newestNext();
  const { ends, work } = held<number>();
  const heard: number[] = [];
  for (const value of [1, 2]) {
    ask(
      work,
      (each) => heard.push(each),
      () => heard.push(-1),
    );
    ends[value - 1]?.end(value);
    await settled();
  }
  expect(heard).toEqual([1, 2]);
});
