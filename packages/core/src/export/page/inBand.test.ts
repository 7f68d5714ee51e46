import { expect, test } from '@jest/globals';
import { inBandParts } from './inBand.js';
import type { BandRule } from '../../arrangements/kind.js';
import type { Piece } from './pieces.js';

const rule = (selector: string, declarations: Record<string, string>): BandRule => ({
  selector,
  declarations,
});
/** Pieces from wide to narrow, 300 px each, the widest without an end. */
const pieces = (...inBand: readonly BandRule[][]) =>
  inBand.map((rules, k) => {
    const from = (inBand.length - 1 - k) * 300;
    return { band: { from, below: k === 0 ? Infinity : from + 300 }, css: { rules: {}, inBand: rules } };
  }) as unknown as readonly Piece[];
const parts = (...inBand: readonly BandRule[][]) =>
  inBandParts(pieces(...inBand), '@container').map((part) => part.replace(/\s+/g, ' '));

const opens = rule('.opens', { order: '1' });
const wide = rule('.grid', { gap: '8px' });
const narrow = rule('.grid', { gap: '4px' });

test('what neighbours say alike is said once for both, and for all without a query', () => {
  expect(parts([opens, wide], [opens, narrow])).toEqual([
    '.opens { order: 1; }',
    '@container (width >= 300px) { .grid { gap: 8px; } }',
    '@container (width < 300px) { .grid { gap: 4px; } }',
  ]);
  expect(parts([opens], [opens], [])).toEqual(['@container (width >= 300px) { .opens { order: 1; } }']);
  expect(parts([opens], [], [opens])).toEqual([
    '@container (width >= 600px) { .opens { order: 1; } }',
    '@container (width < 300px) { .opens { order: 1; } }',
  ]);
});

test('rules that say something of one property stay in their order', () => {
  const first = rule('.first', { gap: '1px' });
  // What both say comes after what only one says, and of the same property.
  expect(parts([first, opens, wide], [narrow, opens, wide])).toEqual([
    '@container (width >= 300px) { .first { gap: 1px; } .opens { order: 1; } .grid { gap: 8px; } }',
    '@container (width < 300px) { .grid { gap: 4px; } .opens { order: 1; } .grid { gap: 8px; } }',
  ]);
});
