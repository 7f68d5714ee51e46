import { expect, test } from '@jest/globals';
import { LIMITS } from '../document/limits.js';
import { SCALE_STEPS, scaleStep, typeScale } from './typeScale.js';

test('each step is the one below times the ratio, from the text on', () => {
  const end = { base: 16, ratio: 1.25 };
  expect([-1, 0, 1, 2].map((step) => scaleStep(end, step))).toEqual([12.8, 16, 20, 25]);
  const scale = typeScale(end, end);
  expect(scale.map(({ name }) => name)).toEqual(SCALE_STEPS.map(({ name }) => name));
  expect(scale.every(({ value }) => typeof value === 'number')).toBe(true);
});

test('a scale with two ends grows with the page, and no step is more than a type size may be', () => {
  const scale = typeScale({ base: 16, ratio: 1.2 }, { base: 18, ratio: 1.333 });
  expect(scale[1]?.value).toEqual({ from: 16, to: 18, fromWidth: 360, toWidth: 1280 });
  expect(scaleStep({ base: 200, ratio: 3 }, 6)).toBe(LIMITS.typeSize.max);
  expect(scaleStep({ base: 6, ratio: 2 }, -1)).toBe(LIMITS.typeSize.min);
});
