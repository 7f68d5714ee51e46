import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrast } from './contrast.js';
import { composed, hexOf, rgbOf } from './blend.js';
import { fromOklch, toOklch } from './colour.js';
import { fadeCss, typeSizeCss } from './css.js';
import { washOf } from './named.js';
import { gradientCss } from './gradientCss.js';
import { groundCss } from './groundCss.js';
import { coloursOf, contrastIn, legibleTextColour, leastContrast } from './textColour.js';
import { fromDesignTokens, toDesignTokens } from './designTokens.js';
import { coloursApart, paletteFrom, paletteWashes, shadeOf } from './palette.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { newTile } from '../parts/newTile.js';
import type { NamedLooks } from '../document/look.js';

const colour = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((rgb) => `#${rgb.map((value) => value.toString(16).padStart(2, '0')).join('')}`);

describe('colours', () => {
  test('go to OKLCH and back', () => {
    fc.assert(
      fc.property(colour, (hex) => {
        const there = fromOklch(toOklch(hex));
        const channels = (each: string) => [1, 3, 5].map((at) => Number.parseInt(each.slice(at, at + 2), 16));
        channels(there).forEach((value, k) =>
          expect(Math.abs(value - (channels(hex)[k] ?? NaN))).toBeLessThanOrEqual(1),
        );
      }),
    );
  });

  test('that sRGB can’t show stay as light as they are', () => {
    const hex = fromOklch({ lightness: 0.7, chroma: 0.4, hue: 150 });
    expect(toOklch(hex).lightness).toBeCloseTo(0.7, 2);
  });

  test('are laid over one another', () => {
    const laid = (over: string, alpha: number, under: string) =>
      hexOf(composed({ colour: rgbOf(under), alpha: 1 }, { colour: rgbOf(over), alpha }).colour);
    expect(laid('#000000', 0.5, '#ffffff')).toBe('#808080');
    expect(laid('#123456', 1, '#ffffff')).toBe('#123456');
  });
});

describe('text colour', () => {
  test('is legible on any one colour', () => {
    fc.assert(
      fc.property(colour, (behind) => {
        expect(contrast(legibleTextColour([behind]), behind)).toBeGreaterThanOrEqual(4.5);
      }),
    );
  });

  test('is the more legible of dark and light on several', () => {
    fc.assert(
      fc.property(fc.array(colour, { minLength: 1, maxLength: 4 }), (behind) => {
        const best = Math.max(leastContrast('#000000', behind), leastContrast('#ffffff', behind));
        expect(leastContrast(legibleTextColour(behind), behind)).toBeGreaterThanOrEqual(Math.min(4.5, best));
      }),
    );
  });

  test('counts the tint that lies over a picture', () => {
    const hut = {
      id: 'hut',
      name: 'Hut',
      file: 'hut.webp',
      hash: 'a'.repeat(64),
      mediaType: 'image/webp',
      inlineSize: 10,
      blockSize: 10,
      alternativeText: '',
      colours: ['#808080', '#000000', '#ffffff'],
    } as const;
    const document = { ...emptyDocument('Huts'), pictures: { hut } };
    const behind = (opacity: number) =>
      ({
        kind: 'picture',
        picture: 'hut',
        focalPoint: { x: 0.5, y: 0.5 },
        tint: { colour: '#000000', opacity },
      }) as const;
    expect(coloursOf(document, { fill: behind(0.8) })).toEqual(['#1a1a1a', '#000000', '#333333']);
    const tile = newTile('text', 't');
    const ratio = (opacity: number) =>
      contrastIn(document, { look: { ...tile.look, textColour: '#ffffff', fill: behind(opacity) } });
    expect(ratio(0)).toBe(1);
    expect(ratio(0.8)).toBeGreaterThan(12);
  });
});

test('a palette keeps the hue, and words on every part of it are legible', () => {
  fc.assert(
    fc.property(colour, fc.boolean(), (from, dark) => {
      const { background, washes, deep, accent } = paletteFrom(from, dark);
      for (const part of [background, ...washes, ...deep, accent])
        expect(contrast(legibleTextColour([part]), part)).toBeGreaterThanOrEqual(4.5);
      expect(toOklch(background).lightness > 0.9).toBe(!dark);
    }),
  );
});

test('colours apart: of one weight, hues in even steps, and words on each are legible', () => {
  fc.assert(
    fc.property(colour, fc.integer({ min: 1, max: 12 }), fc.boolean(), (from, count, dark) => {
      const fills = coloursApart(from, count, dark);
      expect(new Set(fills).size).toBe(count);
      for (const fill of fills) {
        expect(toOklch(fill).lightness).toBeCloseTo(dark ? 0.36 : 0.88, 1);
        expect(contrast(legibleTextColour([fill]), fill)).toBeGreaterThanOrEqual(4.5);
      }
    }),
  );
});

test('a shade of a colour is another one, and words that are legible on the one are so on both', () => {
  fc.assert(
    fc.property(colour, (from) => {
      const both = [from, shadeOf(from)];
      expect(both[1]).not.toBe(from);
      expect(leastContrast(legibleTextColour(both), both)).toBeGreaterThanOrEqual(
        Math.min(4.5, contrast(legibleTextColour([from]), from)),
      );
    }),
  );
});

test('a palette of one hue has no other', () => {
  fc.assert(
    fc.property(colour, fc.boolean(), (from, dark) => {
      const { background, washes, deep, accent } = paletteWashes(dark, 'one');
      for (const wash of [background, ...washes, ...deep, accent]) expect(wash.turn).toBe(0);
      expect(washOf(from, accent)).toBe(washOf(from, { ...paletteWashes(dark).accent, turn: 0 }));
    }),
  );
});

describe('looks as CSS', () => {
  test('a fluid size is the line through both ends, held there', () => {
    expect(typeSizeCss({ from: 20, to: 40, fromWidth: 400, toWidth: 1400 })).toBe(
      'clamp(20px, 12px + 2cqi, 40px)',
    );
    expect(typeSizeCss({ from: 40, to: 20, fromWidth: 400, toWidth: 1400 })).toBe(
      'clamp(20px, 48px + -2cqi, 40px)',
    );
    expect(typeSizeCss('{step-3}')).toBe('var(--step-3)');
  });

  test('a gradient border lies under a fill that ends before it', () => {
    const paint = {
      kind: 'linear',
      angle: 90,
      stops: [
        { colour: '#000000', at: 0 },
        { colour: '{moss}', at: 1, opacity: 0.5 },
      ],
    } as const;
    expect(gradientCss(paint, {})).toBe(
      'linear-gradient(90deg in srgb, #000000 0%, color-mix(in srgb, var(--moss) 50%, transparent) 100%)',
    );
    const drawn = { image: () => null };
    expect(groundCss({ fill: '#ffffff', border: { width: 2, paint } }, drawn)).toEqual({
      background: `linear-gradient(#ffffff, #ffffff) padding-box, ${gradientCss(paint, {})} border-box`,
      border: '2px solid transparent',
    });
    expect(groundCss({ fill: 'none' }, drawn)).toEqual({ background: 'none' });
  });

  test('edges fade on both axes together', () => {
    expect(fadeCss({ blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 0 })).toEqual({});
    expect(fadeCss({ blockStart: 8, inlineEnd: 0, blockEnd: 0, inlineStart: 4 })).toEqual({
      mask: 'linear-gradient(to bottom, transparent, #000 8px, #000), linear-gradient(to right, transparent, #000 4px, #000)',
      'mask-composite': 'intersect',
    });
  });
});

describe('design tokens', () => {
  const looks: NamedLooks = {
    moss: { id: 'moss', name: 'Moss, light', kind: 'colour', value: '#dfe8e2' },
    card: { id: 'card', name: 'Card', kind: 'radius', value: 14 },
    wide: { id: 'wide', name: 'Wide', kind: 'space', value: 24 },
    lead: {
      id: 'lead',
      name: 'Lead',
      kind: 'type',
      value: { from: 28, to: 52, fromWidth: 360, toWidth: 1440 },
    },
  };

  test('come back as they went', () => {
    const { looks: read, notices } = fromDesignTokens(JSON.parse(JSON.stringify(toDesignTokens(looks))));
    expect(notices).toEqual([]);
    expect(read).toEqual(looks);
  });

  test('of other makers are read: text colours, other spaces, rem, aliases, inherited types', () => {
    const { looks: read, notices } = fromDesignTokens({
      brand: {
        $type: 'color',
        Pine: { $value: '#0B6E4F' },
        sky: { $value: { colorSpace: 'oklch', components: [0.8, 0.1, 220] } },
        link: { $value: '{brand.Pine}' },
        lost: { $value: '{brand.none}' },
        round: { $value: '{brand.round}' },
      },
      corner: { $type: 'dimension', small: { $value: '0.5rem' } },
      'font-size': { big: { $type: 'dimension', $value: { value: 40, unit: 'px' } } },
      quick: { $type: 'duration', $value: { value: 1, unit: 's' } },
    });
    expect(read).toMatchObject({
      'brand-pine': { kind: 'colour', value: '#0b6e4f', name: 'Pine' },
      'brand-sky': { kind: 'colour' },
      'brand-link': { value: '#0b6e4f' },
      'corner-small': { kind: 'radius', value: 8 },
      'font-size-big': { kind: 'type', value: 40 },
    });
    expect(notices).toEqual([
      'brand.lost: it refers to "{brand.none}", which is not there.',
      'brand.round: it refers to "{brand.round}", which is not there.',
      'quick: its type is duration; colours and dimensions are read.',
    ]);
  });

  test.each([null, [], 'text'])('%j are none', (json) => {
    expect(() => fromDesignTokens(json)).toThrow(RangeError);
  });
});
