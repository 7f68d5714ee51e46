import { expect, test } from '@jest/globals';
import { isSeen } from './seen';

test('what touches the stretch that is drawn is drawn; without a stretch, all is', () => {
  const seen = { from: 100, to: 200 };
  expect(isSeen(seen, 0, 100)).toBe(false);
  expect(isSeen(seen, 0, 101)).toBe(true);
  expect(isSeen(seen, 199, 50)).toBe(true);
  expect(isSeen(seen, 200, 50)).toBe(false);
  expect(isSeen(null, 9999, 1)).toBe(true);
});
