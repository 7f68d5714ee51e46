import { expect, test } from '@jest/globals';
import { axisFigures, fromAxis, snapped, toAxis } from './axis';

test('every width comes back from its place on the axis', () => {
  const length = 2400;
  for (let width = 240; width <= 2560; width++) expect(fromAxis(toAxis(width, length), length)).toBe(width);
});

test('the axis ends where the widths do', () => {
  expect([toAxis(100, 900), toAxis(9999, 900)]).toEqual([0, 900]);
  expect([fromAxis(-5, 900), fromAxis(950, 900)]).toEqual([240, 2560]);
});

test('figures keep clear of each other and of breakpoints', () => {
  const figures = axisFigures(972, [640, 1240]);
  expect(figures).toContain(240);
  expect(figures).not.toContain(1280);
  const places = [...figures, 640, 1240].map((width) => toAxis(width, 972)).sort((a, b) => a - b);
  expect(places.slice(1).every((place, k) => place - (places[k] ?? 0) > 44)).toBe(true);
});

test('a drag takes round widths, and those of devices where one is near', () => {
  const length = 972;
  expect(snapped(391, length)).toBe(390);
  expect(snapped(1026, length)).toBe(1024);
  expect(snapped(703, length)).toBe(700);
  expect(snapped(697, length)).toBe(700);
  expect(snapped(587, length)).toBe(590);
});
