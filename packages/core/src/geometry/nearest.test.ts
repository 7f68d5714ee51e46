import { expect, test } from '@jest/globals';
import { nearestLine, nearestSpan } from './nearest.js';

const tracks = [
  { start: 24, size: 100 },
  { start: 140, size: 100 },
  { start: 256, size: 100 },
];
const more = { size: 100, gap: 16, most: 2 };

test.each([
  [-50, 1],
  [24, 1],
  [81, 1],
  [83, 2],
  [1000, 3],
])('at %d px line %d is nearest', (at, line) => expect(nearestLine(tracks, at)).toBe(line));

test('rows that are not there yet can be reached, so many', () => {
  expect(nearestLine(tracks, 372, more)).toBe(4);
  expect(nearestLine(tracks, 9999, more)).toBe(5);
  expect(nearestLine([], 9999, more)).toBe(2);
});

test.each([
  [1, 0, 1],
  [1, 124, 1],
  [1, 240, 2],
  [2, 350, 2],
  [2, 9999, 2],
  [3, 0, 1],
])('from line %d an end at %d px spans %d', (line, at, span) =>
  expect(nearestSpan(tracks, line, at)).toBe(span),
);

test('a span reaches into rows that are not there yet', () =>
  expect(nearestSpan(tracks, 3, 480, more)).toBe(2));
