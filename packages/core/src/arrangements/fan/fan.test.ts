import { describe, expect, test } from '@jest/globals';
import { layoutFan, type FanOptions } from './layoutFan.js';

const base: FanOptions = {
  count: 5,
  axis: 'inline',
  size: 1000,
  cardSize: 400,
  cardCrossSize: 300,
  mostStrip: 200,
  open: null,
};

describe('a fan', () => {
  test('shows as much of each card as there is room for', () => {
    const { cards, strip, size } = layoutFan(base);
    expect(strip).toBe(150);
    expect(cards.map(({ x }) => x)).toEqual([0, 150, 300, 450, 600]);
    expect(size).toBe(1000);
    expect(layoutFan({ ...base, mostStrip: 60 }).size).toBe(640);
  });

  test('opens a card: nothing lies over it, and the others still show their strip', () => {
    const { cards, strip } = layoutFan({ ...base, open: 1 });
    const opened = cards[1];
    expect(cards[2]?.x).toBeGreaterThanOrEqual((opened?.x ?? 0) + 400);
    cards
      .slice(2)
      .forEach((card, k) => expect(card.x - (cards[k + 1]?.x ?? 0)).toBeGreaterThanOrEqual(strip));
  });

  test('stacks downwards on the block axis', () => {
    const { cards } = layoutFan({ ...base, axis: 'block', size: Infinity, mostStrip: 80 });
    expect(cards.map(({ x, y, layer }) => [x, y, layer])).toEqual([0, 1, 2, 3, 4].map((k) => [0, k * 80, k]));
  });

  test.each([
    [{ count: 0 }, 'one card or more'],
    [{ cardSize: NaN }, 'cardSize is a number of px above 0'],
    [{ open: 9 }, 'The open card is one of 0 to 4'],
  ])('refuses %j', (wrong, message) => expect(() => layoutFan({ ...base, ...wrong })).toThrow(message));
});
