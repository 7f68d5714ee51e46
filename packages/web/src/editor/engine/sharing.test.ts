import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sharing } from './sharing';

test('a copy that shares is the same data, and the same object where nothing changed', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
      expect(sharing(before, structuredClone(after))).toEqual(after);
      const copy = sharing(before, structuredClone(before));
      expect(copy).toEqual(before);
      if (typeof before === 'object' && before !== null) expect(copy).toBe(before);
    }),
  );
});

test('what did not change beside what did stays the same object', () => {
  const before = { tiles: { a: { name: 'A' }, b: { name: 'B' } }, order: ['a', 'b'] };
  const after = sharing(before, {
    ...structuredClone(before),
    tiles: { a: { name: 'A' }, b: { name: 'C' } },
  });
  expect(after.tiles.a).toBe(before.tiles.a);
  expect(after.order).toBe(before.order);
  expect(after.tiles.b).toEqual({ name: 'C' });
});

test('a key by the name of what all objects have is a key like any other', () => {
  const after = JSON.parse('{"__proto__": {"a": 1}, "constructor": 2}') as object;
  const copy = sharing({}, structuredClone(after));
  expect(Object.entries(copy)).toEqual([
    ['__proto__', { a: 1 }],
    ['constructor', 2],
  ]);
  expect(Object.getPrototypeOf(copy)).toBe(Object.prototype);
  expect(sharing(after, structuredClone(after))).toBe(after);
});
