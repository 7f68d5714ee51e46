import { describe, expect, test } from '@jest/globals';
import { emptyDocument } from '../edit/emptyDocument.js';
import { cardWith } from '../testing/held.js';
import { differingRules, tileRules } from './tileRules.js';
import type { Card, CollectionDocument, Gradient, TileLook } from '../document/types.js';

const paint: Gradient = {
  kind: 'linear',
  angle: 90,
  stops: [
    { colour: '#102030', at: 0 },
    { colour: '#a0b0c0', at: 1 },
  ],
};
const through: Gradient = { ...paint, stops: paint.stops.map((stop) => ({ ...stop, opacity: 0.4 })) };
const document: CollectionDocument = emptyDocument('Huts');
const image = () => 'none';
const dressed = (look: Partial<TileLook>): Card => {
  const tile = cardWith('text', 'a', { heading: 'Hut four' });
  return { ...tile, look: { ...tile.look, ...look } };
};
const rulesOf = (tile: Card) =>
  new Map(tileRules(document, tile, image).map((rule) => [rule.selector, rule.declarations]));
const RING = '[data-tile="a"]::before';

describe('a gradient border', () => {
  test.each([
    ['nothing behind the words', 'none', 'none'],
    ['a fill that lets through', through, expect.stringMatching(/^linear-gradient\(.*\) padding-box$/)],
  ] as const)('over %s is a ring of its own', (_, fill, background) => {
    const rules = rulesOf(dressed({ fill, border: { width: 3, paint } }));
    expect(rules.get('[data-tile="a"]')).toMatchObject({
      background,
      border: '3px solid transparent',
      position: 'relative',
      'overflow-clip-margin': 'border-box',
    });
    expect(rules.get(RING)).toMatchObject({ inset: '-3px', 'mask-composite': 'exclude' });
  });

  test('lies under a fill that lets nothing through, and is none of a plain one', () => {
    expect(rulesOf(dressed({ fill: '#ffffff', border: { width: 3, paint } })).has(RING)).toBe(false);
    expect(rulesOf(dressed({ fill: 'none', border: { width: 3, paint: '#102030' } })).has(RING)).toBe(false);
    expect(rulesOf(dressed({ fill: 'none', border: { width: 0, paint } })).has(RING)).toBe(false);
  });

  test('comes and goes between bands', () => {
    const [with_, without] = [
      dressed({ fill: 'none', border: { width: 3, paint } }),
      dressed({ fill: 'none' }),
    ];
    const ring = (before: Card, after: Card) =>
      differingRules({ known: document, tile: before }, { known: document, tile: after }, image).find(
        ({ selector }) => selector === RING,
      )?.declarations;
    expect(ring(without, with_)).toMatchObject({ content: '""' });
    expect(ring(with_, without)).toMatchObject({ content: 'none' });
    expect(ring(with_, with_)).toEqual({});
  });
});
