import { describe, expect, test } from '@jest/globals';
import { composed, hexOf, rgbOf } from './blend.js';
import { gradientCss } from './gradientCss.js';
import { behindCss, groundCss, overBehindCss, ringCss, veilCss } from './groundCss.js';
import { radiusCss, shadowsCss } from './css.js';
import { paintedBy } from './painted.js';
import { behindIn, letsThrough, usesInLook, withLookAssets } from './paints.js';
import { rasterOf, colourIn } from './raster.js';
import { coloursOf, contrastIn, textColourOf } from './textColour.js';
import type { Fill, Gradient, PictureFill, TileLook } from '../document/look.js';
import type { PictureAsset } from '../document/types.js';

const drawn = { namedLooks: {}, image: (id: string) => `url("${id}")` };
const stops: Gradient['stops'] = [
  { colour: '#000000', at: 0 },
  { colour: '#ffffff', at: 1 },
];
const sheerStops: Gradient['stops'] = [
  { colour: '#000000', at: 0, opacity: 0.5 },
  { colour: '#000000', at: 1, opacity: 0 },
];
const line: Gradient = { kind: 'linear', angle: 90, stops };
const picture: PictureFill = {
  kind: 'picture',
  picture: 'hut',
  focalPoint: { x: 0.25, y: 0.5 },
  tint: { colour: '#000000', opacity: 0 },
};

describe('gradients as CSS', () => {
  test.each<[string, Gradient, string]>([
    [
      'a circle to the farthest corner',
      { kind: 'radial', x: 0.5, y: -0.2, stops },
      'radial-gradient(circle at 50% -20%, #000000 0%, #ffffff 100%)',
    ],
    [
      'an ellipse of its radii',
      { kind: 'radial', x: 0, y: 0, radii: { x: 0.5, y: 1 }, angle: 180, stops },
      'radial-gradient(50% 100% at 0% 0%, #000000 0%, #ffffff 100%)',
    ],
    [
      'around a middle',
      { kind: 'conic', x: 0.5, y: 0.5, angle: 45, stops },
      'conic-gradient(from 45deg at 50% 50%, #000000 0%, #ffffff 100%)',
    ],
    [
      'with opacities, mixed in sRGB as it is drawn elsewhere',
      { kind: 'linear', angle: 0, stops: sheerStops },
      'linear-gradient(0deg in srgb, color-mix(in srgb, #000000 50%, transparent) 0%, color-mix(in srgb, #000000 0%, transparent) 100%)',
    ],
  ])('%s', (_, gradient, css) => expect(gradientCss(gradient, {})).toBe(css));

  test('an ellipse that is turned is a picture, with names written out', () => {
    const moss = { id: 'moss', name: 'Moss', kind: 'colour', value: '#5c7a4f' } as const;
    const css = gradientCss(
      {
        kind: 'radial',
        x: 0.5,
        y: 0.5,
        radii: { x: 0.5, y: 0.25 },
        angle: 30,
        stops: [{ colour: '{moss}', at: 0 }, ...stops.slice(1)],
      },
      { moss },
    );
    expect(css).toMatch(/^url\("data:image\/svg\+xml,%3Csvg /);
    expect(css).toContain("stop-color='%235c7a4f'");
    expect(css).toContain('rotate(30)');
    expect(css).not.toMatch(/[#<>]/);
  });
});

describe('what lies behind contents', () => {
  test('a colour of some opacity, and none', () => {
    const fill: Fill = { kind: 'plain', colour: '#112233', opacity: 0.4 };
    expect(groundCss({ fill }, drawn)).toEqual({
      background: 'color-mix(in srgb, #112233 40%, transparent)',
    });
    expect(groundCss({ fill: 'none', over: [] }, drawn)).toEqual({ background: 'none' });
  });

  test('layers, the uppermost first, each mixed in its own way', () => {
    const over: TileLook['over'] = [
      { fill: { kind: 'plain', colour: '#ff0000', opacity: 0.5 }, blend: 'multiply' },
      { fill: picture },
    ];
    expect(groundCss({ fill: '#ffffff', over }, drawn)).toEqual({
      background:
        'linear-gradient(color-mix(in srgb, #ff0000 50%, transparent), color-mix(in srgb, #ff0000 50%, transparent)), url("hut") 25% 50% / cover no-repeat, #ffffff',
      'background-blend-mode': 'multiply, normal, normal',
    });
  });

  test('what is behind the tile is blurred', () =>
    expect(groundCss({ fill: 'none', backdropBlur: 12 }, drawn)).toEqual({
      background: 'none',
      'backdrop-filter': 'blur(12px)',
    }));

  test('a gradient border over a sheer colour is a ring, and the colour ends before it', () => {
    const ground = {
      fill: { kind: 'plain', colour: '#112233', opacity: 0.4 },
      border: { width: { blockStart: 4, inlineEnd: 0, blockEnd: 4, inlineStart: 1 }, paint: line },
    } as const;
    expect(groundCss(ground, drawn)).toEqual({
      background: 'color-mix(in srgb, #112233 40%, transparent) padding-box',
      border: '0 solid transparent',
      'border-width': '4px 0 4px 1px',
      'overflow-clip-margin': 'border-box',
    });
    expect(ringCss(ground, {})).toMatchObject({ inset: '-4px 0 -4px -1px', 'border-width': '4px 0 4px 1px' });
    expect(ringCss({ ...ground, fill: '#ffffff' }, {})).toBeNull();
    // A layer that lets nothing through hides what is behind, as a fill does.
    expect(ringCss({ ...ground, over: [{ fill: '#ffffff' }] }, {})).toBeNull();
  });

  test('a film, and a picture that is enlarged, are elements; what lies over them is not in the background', () => {
    const film: Fill = { ...picture, kind: 'film', film: 'snow', poster: 'hut' };
    expect(behindIn(picture)).toBeNull();
    expect(behindIn({ ...picture, zoom: 2 })).not.toBeNull();
    const ground = {
      fill: { ...film, tint: { colour: '#000000', opacity: 0.3 } },
      over: [{ fill: line, blend: 'screen' }],
    } as const;
    expect(groundCss(ground, drawn)).toEqual({ background: 'url("hut") 25% 50% / cover no-repeat' });
    expect(overBehindCss(ground, drawn)).toMatchObject({
      background: `${gradientCss(line, {})}, ${veilCss(ground.fill.tint, {}) ?? ''}`,
      'background-blend-mode': 'screen, normal',
    });
    expect(overBehindCss({ fill: film }, drawn)).toBeNull();
    expect(behindCss({ ...picture, zoom: 2, position: { x: 0, y: 1 } })).toMatchObject({
      'object-position': '0% 100%',
      scale: '2',
      'transform-origin': '0% 100%',
    });
  });

  test('what a look shows is found, and named anew, in every layer', () => {
    const look = {
      fill: { ...picture, kind: 'film', film: 'snow', poster: 'hut' },
      over: [{ fill: '#ffffff' }, { fill: { ...picture, picture: 'ridge' } }],
    } as const;
    expect(usesInLook(look)).toEqual([
      { what: 'picture', id: 'hut' },
      { what: 'film', id: 'snow' },
      { what: 'picture', id: 'ridge' },
    ]);
    expect(usesInLook(withLookAssets(look, (_, id) => `${id}-2`)).map(({ id }) => id)).toEqual([
      'hut-2',
      'snow-2',
      'ridge-2',
    ]);
  });

  test('a veil may be a gradient, and is none where it shows nothing', () => {
    expect(veilCss({ kind: 'linear', angle: 0, stops: sheerStops }, {})).toContain('linear-gradient');
    expect(veilCss({ colour: '#000000', opacity: 0 }, {})).toBeNull();
  });

  test.each<[string, Pick<TileLook, 'fill' | 'over'>, boolean]>([
    ['none', { fill: 'none' }, true],
    ['a sheer colour', { fill: { kind: 'plain', colour: '#000000', opacity: 0.9 } }, true],
    ['a colour', { fill: '#000000' }, false],
    ['a layer over none', { fill: 'none', over: [{ fill: '#000000' }] }, false],
    ['a picture', { fill: picture }, false],
  ])('whether it lets through: %s', (_, look, through) => expect(letsThrough(look)).toBe(through));
});

describe('edges', () => {
  test('each corner apart, as short as it can be', () => {
    expect(radiusCss({ startStart: 8, startEnd: 8, endEnd: 8, endStart: 8 })).toBe('8px');
    expect(radiusCss({ startStart: 8, startEnd: 0, endEnd: '2rem', endStart: 0 })).toBe('8px 0 2rem');
    expect(radiusCss('{card}')).toBe('var(--card)');
  });

  test('several shadows, those cast into the tile after those that it casts', () => {
    const shade = { x: 0, y: 1, blur: 2, spread: 0, colour: '#000000', opacity: 1 };
    expect(shadowsCss({ outerShadow: [shade, { ...shade, y: 9 }], innerShadow: shade })).toEqual({
      'box-shadow': '0 1px 2px 0 #000000, 0 9px 2px 0 #000000, inset 0 1px 2px 0 #000000',
    });
    expect(shadowsCss({})).toEqual({});
  });
});

describe('what is painted where', () => {
  const size = { inlineSize: 100, blockSize: 50 };
  const at = (look: Pick<TileLook, 'fill' | 'over'>, x: number, y: number) =>
    paintedBy({ pictures: {} }, look, size)({ x, y });

  test('along a line, in circles, in ellipses, around', () => {
    const grey = (fill: Fill, x: number, y: number) => Math.round(at({ fill }, x, y).colour[0] * 100);
    expect(grey(line, 25, 10)).toBe(25);
    expect(grey({ kind: 'radial', x: 0, y: 0, stops }, 100, 50)).toBe(100);
    expect(grey({ kind: 'radial', x: 0.5, y: 0.5, radii: { x: 0.5, y: 0.5 }, stops }, 50, 37.5)).toBe(50);
    // A quarter turn exchanges the radii of an ellipse, 40 and 10 px.
    const turned = { kind: 'radial', x: 0.5, y: 0.5, radii: { x: 0.4, y: 0.2 }, angle: 90, stops } as const;
    expect(grey(turned, 50, 45)).toBe(50);
    expect(grey(turned, 55, 25)).toBe(50);
    expect(grey({ kind: 'conic', x: 0.5, y: 0.5, angle: 0, stops }, 60, 25)).toBe(25);
  });

  test('what shows between sheer stops is as opaque as CSS makes it', () => {
    const sheer: Fill = { kind: 'linear', angle: 90, stops: sheerStops };
    expect(at({ fill: sheer }, 50, 0).alpha).toBeCloseTo(0.25);
    expect(at({ fill: '#ffffff', over: [{ fill: sheer }] }, 0, 0)).toEqual({
      colour: [0.5, 0.5, 0.5],
      alpha: 1,
    });
  });

  test('layers are mixed with what is under them', () => {
    const mixed = (blend: 'multiply' | 'luminosity' | 'difference') =>
      hexOf(at({ fill: '#ff8000', over: [{ fill: '#808080', blend }] }, 0, 0).colour);
    expect(mixed('multiply')).toBe('#804000');
    expect(mixed('difference')).toBe('#7f0080');
    // As light as the grey, in the colour of what is under it.
    expect(mixed('luminosity')).toBe('#d76c00');
    expect(composed({ colour: [0, 0, 0], alpha: 0 }, { colour: [1, 1, 1], alpha: 0 }).alpha).toBe(0);
  });

  const half: PictureAsset = {
    id: 'hut',
    name: 'Hut',
    file: 'hut.png',
    hash: 'a'.repeat(64),
    mediaType: 'image/png',
    inlineSize: 200,
    blockSize: 100,
    alternativeText: '',
    colours: ['#808080', '#000000', '#ffffff'],
    // Black on the left, white on the right.
    raster: '2x1:AAAA////',
  };

  test('a picture is what it is at that place, as it lies in its tile', () => {
    expect(rasterOf('2x1:AAAA////')).toEqual({ columns: 2, rows: 1, bytes: [0, 0, 0, 255, 255, 255] });
    expect(rasterOf('3x1:AAAA////')).toBeNull();
    expect(colourIn(rasterOf('2x1:AAAA////') as never, 0.5, 0)).toEqual([0.5, 0.5, 0.5]);
    const painted = (fill: PictureFill, x: number, y: number) =>
      paintedBy({ pictures: { hut: half } }, { fill }, size)({ x, y });
    expect(painted(picture, 5, 20).colour).toEqual([0, 0, 0]);
    expect(painted(picture, 95, 20).colour).toEqual([1, 1, 1]);
    // Twice as large about its right end, only its right half shows.
    expect(painted({ ...picture, zoom: 2, position: { x: 1, y: 0 } }, 50, 20).colour).toEqual([1, 1, 1]);
    const small = { ...picture, fit: 'contain' } as const;
    const tall = paintedBy({ pictures: { hut: half } }, { fill: small }, { inlineSize: 100, blockSize: 100 });
    expect(tall({ x: 5, y: 2 }).alpha).toBe(0);
    expect(tall({ x: 5, y: 50 }).alpha).toBe(1);
  });

  test('words are told by what is behind them, not by what is elsewhere', () => {
    const known = { pictures: { hut: half } };
    const look = (fill: Fill, own: Partial<TileLook> = {}): { look: TileLook } => ({
      look: { fill, textColour: 'auto', spread: 'start', ...own },
    });
    const down: Gradient = {
      kind: 'linear',
      angle: 180,
      stops: [
        { colour: '#ffffff', at: 0.5 },
        { colour: '#000000', at: 0.95 },
      ],
    };
    // White where the words are: dark words, although the end is black.
    expect(contrastIn(known, look(down))).toBeGreaterThan(7);
    expect(contrastIn(known, look(down, { spread: 'between' }))).toBeLessThan(5);
    // A fill that lets through stands on the ground of the collection.
    const onNight = { ...known, look: { background: '#0b1714' } };
    expect(coloursOf(onNight, { fill: 'none' })).toEqual(['#0b1714']);
    expect(
      rgbOf(textColourOf(onNight, look({ kind: 'plain', colour: '#ffffff', opacity: 0.1 })))[0],
    ).toBeGreaterThan(0.8);
    // A film of which nothing is known may be anything.
    expect(contrastIn(known, look({ ...picture, kind: 'film', film: 'snow', poster: null }))).toBeLessThan(5);
  });
});

describe('in a group', () => {
  const look = (fill: Fill): TileLook => ({ fill, textColour: 'auto', spread: 'end' });
  const place = { columnSpan: 1, rowSpan: 1, pin: null };
  const group = (fill: Fill) =>
    ({ id: 'g', kind: 'group', place, look: look(fill), order: ['t'], arrangement: {} }) as never;
  const tile = { id: 't', kind: 'card', place, look: look('none'), parts: [] } as const;
  const known = (fill: Fill) => ({
    pictures: {},
    look: { background: '#0b1714' },
    tiles: { g: group(fill), t: tile },
  });
  const isDark = (colour: string) => rgbOf(colour)[1] < 0.5;

  test('words are told by what lies behind the group’s tile, however much shows through', () => {
    expect(isDark(textColourOf(known('#ffffff'), tile))).toBe(true);
    expect(isDark(textColourOf(known('#17302d'), tile))).toBe(false);
    // A group without a fill lets the ground of the collection through.
    expect(isDark(textColourOf(known('none'), tile))).toBe(false);
    expect(contrastIn(known(line), tile)).toBeLessThan(5);
  });
});
