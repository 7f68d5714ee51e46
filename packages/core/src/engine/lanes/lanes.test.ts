import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { balanceLanes } from '../../arrangements/masonry/balanceLanes.js';
import { laneImbalance, placeLanes } from './placeLanes.js';

const item = fc.record({
  lane: fc.constant(null),
  span: fc.integer({ min: 1, max: 3 }),
  size: fc.integer({ min: 10, max: 300 }),
});
const items = fc.array(item, { minLength: 1, maxLength: 40 });
const options = fc.record({
  lanes: fc.integer({ min: 1, max: 6 }),
  gap: fc.integer({ min: 0, max: 20 }),
  tolerance: fc.constantFrom(0, 16, 80, Infinity),
});

describe('lanes', () => {
  test('go to the first of the shortest, and on from the last one', () => {
    const sizes = [100, 50, 80, 30, 30];
    const { lane, start, ends } = placeLanes(
      sizes.map(() => ({ lane: null, span: 1 })),
      (k) => sizes[k] as number,
      { lanes: 3, gap: 10, tolerance: 0 },
    );
    expect([...lane]).toEqual([0, 1, 2, 1, 2]);
    expect([...start]).toEqual([0, 0, 0, 60, 90]);
    expect([...ends]).toEqual([100, 90, 120]);
    expect(laneImbalance(ends)).toBeCloseTo(30 / (310 / 3));
  });

  test('with tolerance keep their turn', () => {
    const sizes = [40, 30, 20, 10];
    const lanesOf = (tolerance: number) => [
      ...placeLanes(
        sizes.map(() => ({ lane: null, span: 1 })),
        (k) => sizes[k] as number,
        { lanes: 3, gap: 0, tolerance },
      ).lane,
    ];
    expect(lanesOf(0)).toEqual([0, 1, 2, 2]);
    expect(lanesOf(Infinity)).toEqual([0, 1, 2, 0]);
  });

  test('beside an item that is held at a lane go on from the last that was not', () => {
    const held = [
      { lane: null, span: 1 },
      { lane: 0, span: 3 },
      { lane: null, span: 1 },
    ];
    const { lane } = placeLanes(held, () => 0, { lanes: 3, gap: 0, tolerance: 0 });
    expect([...lane]).toEqual([0, 0, 1]);
    const other = placeLanes(held, () => 0, { lanes: 3, gap: 0, tolerance: 0, goOnAfter: 'any' });
    expect([...other.lane]).toEqual([0, 0, 0]);
  });

  test('never overlap, and leave the gap between neighbours', () => {
    fc.assert(
      fc.property(items, options, (list, given) => {
        const { lane, start } = placeLanes(list, (k) => list[k]?.size ?? 0, given);
        const ends = new Float64Array(given.lanes).fill(-given.gap);
        list.forEach(({ span, size }, k) => {
          const from = lane[k] as number;
          const to = from + Math.min(span, given.lanes);
          expect(to).toBeLessThanOrEqual(given.lanes);
          for (let l = from; l < to; l++)
            expect(start[k]).toBeGreaterThanOrEqual((ends[l] as number) + given.gap);
          ends.fill((start[k] as number) + size, from, to);
        });
      }),
    );
  });
});

describe('balanced lanes', () => {
  test('never end less evenly, and nothing moves further than it may', () => {
    fc.assert(
      fc.property(items, options, fc.integer({ min: 0, max: 5 }), (list, given, distance) => {
        const { order, before, after } = balanceLanes(list, given, distance);
        expect(after).toBeLessThanOrEqual(before);
        expect([...order].sort((a, b) => a - b)).toEqual(list.map((_, k) => k));
        order.forEach((k, place) => expect(Math.abs(k - place)).toBeLessThanOrEqual(distance));
      }),
      { numRuns: 60 },
    );
  });

  test('even out a tall one at the end', () => {
    const sizes = [100, 100, 20, 20, 120];
    const { before, after } = balanceLanes(
      sizes.map((size) => ({ lane: null, span: 1, size })),
      { lanes: 2, gap: 0, tolerance: 0 },
      2,
    );
    expect(before).toBeCloseTo(2 / 3);
    expect(after).toBeCloseTo(4 / 9);
  });

  test('refuse half a place', () =>
    expect(() => balanceLanes([], { lanes: 1, gap: 0, tolerance: 0 }, 0.5)).toThrow(/whole number/));
});
