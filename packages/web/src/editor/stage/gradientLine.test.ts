/** @jest-environment jsdom */
import '../../testing/browser';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { drawnLine } from './gradientLine';
import type { Gradient } from '@noria/core';

const linear = (angle: number): Gradient => ({ kind: 'linear', angle, stops: [] });

test('the line of a gradient, and the hand at its end, stay in the tile and run through its middle', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -360, max: 360 }),
      fc.integer({ min: 80, max: 1600 }),
      fc.integer({ min: 80, max: 900 }),
      (angle, width, height) => {
        const { from, to } = drawnLine(linear(angle), width, height);
        expect((from.x + to.x) / 2).toBeCloseTo(width / 2);
        expect((from.y + to.y) / 2).toBeCloseTo(height / 2);
        const length = Math.hypot(to.x - from.x, to.y - from.y);
        const turn = {
          x: to.x + ((to.x - from.x) / length) * 18,
          y: to.y + ((to.y - from.y) / length) * 18,
        };
        for (const { x, y } of [from, to, turn]) {
          expect(Math.min(x, y, width - x, height - y)).toBeGreaterThanOrEqual(7.9);
        }
      },
    ),
  );
});

test('a line that is shorter than the tile is drawn whole', () => {
  expect(drawnLine(linear(0), 300, 20)).toEqual({ from: { x: 150, y: 20 }, to: { x: 150, y: 0 } });
});
