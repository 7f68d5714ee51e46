import { describe, expect, test } from '@jest/globals';
import { perObject, perObjectAnd, perText, whileSame } from './memo.js';

describe('what was worked out is remembered', () => {
  test('for an object, and for an object with a text; nothing that was made is made again, not even nothing', () => {
    let made = 0;
    const first = perObject((of: { size: number }) => (made++, of.size > 1 ? of.size : undefined));
    const [small, large] = [{ size: 1 }, { size: 2 }];
    expect([first(small), first(small), first(large), first(large)]).toEqual([undefined, undefined, 2, 2]);
    expect(made).toBe(2);
    const second = perObjectAnd((of: { size: number }, by: number) => (made++, of.size * by));
    expect([second(large, 3), second(large, 3), second(large, 4), second(small, 3)]).toEqual([6, 6, 8, 3]);
    expect(made).toBe(5);
  });

  test('while all that it was made of stays the same object, and no longer', () => {
    const remembered = whileSame<object, number>();
    const [key, a, b] = [{}, {}, {}];
    let made = 0;
    const ask = (of: readonly unknown[]) => remembered(key, of, () => ++made);
    expect([ask([a, 1]), ask([a, 1]), ask([b, 1]), ask([b, 2]), ask([b]), ask([a, 1])]).toEqual([
      1, 1, 2, 3, 4, 5,
    ]);
  });

  test('for the texts asked for last, and for no more than twice as many as are kept for certain', () => {
    const remembered = perText<number>(2);
    let made = 0;
    const ask = (text: string) => remembered(text, () => ++made);
    expect([ask('a'), ask('b'), ask('a'), ask('c'), ask('b'), ask('c')]).toEqual([1, 2, 1, 3, 2, 3]);
    // Two others were asked for since, and two more.
    expect([ask('d'), ask('e'), ask('f'), ask('a')]).toEqual([4, 5, 6, 7]);
  });
});
