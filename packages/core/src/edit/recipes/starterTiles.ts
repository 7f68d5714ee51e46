import { card, linear, PAINT, recipe, variant } from './draw.js';
import { STARTER_ICONS } from './starterIcons.js';
import type { Recipe } from '../../document/types.js';

/** Starters of one tile each. */
export const STARTER_TILES: readonly Recipe[] = [
  recipe(
    'note',
    'Note, washed',
    card(
      'text',
      { heading: 'Open all winter', text: 'Stove lit, key with the warden.' },
      { fill: PAINT.LICHEN },
      [2, 1],
    ),
    [
      variant('Bread', { fill: PAINT.BREAD }),
      variant('Lake', { fill: PAINT.LAKE }),
      variant('Fir', { fill: PAINT.FIR }),
      variant('Line', { fill: 'none', textColour: '#1d2b2a', border: { width: 1, paint: '#9db0aa' } }),
    ],
  ),
  recipe(
    'lead',
    'Lead',
    card(
      'text',
      {
        eyebrow: 'Winter',
        heading: 'Seven huts above the tree line',
        text: 'Each with a stove, a warden and a view.',
      },
      {
        fill: linear(200, '#2f4a52', '#17302d'),
        spread: 'between',
        headingSize: { from: 28, to: 52, fromWidth: 360, toWidth: 1440 },
        headingLineHeight: 1.04,
        headingLetterSpacing: -0.025,
        padding: 26,
      },
      [3, 2],
    ),
    [
      variant('Dawn', {
        fill: linear(170, '#f3e0cc', '#dcb49c'),
      }),
      variant('Snow', { fill: PAINT.SNOW }),
    ],
  ),
  recipe(
    'figure',
    'Big figure',
    card('stat', { figure: '184', label: 'beds, all with a blanket' }, { fill: PAINT.FIR, headingSize: 46 }),
    [
      variant('Snow', { fill: PAINT.SNOW }),
      variant('Larch', { fill: '#8f3f22' }),
      variant('Lake', { fill: PAINT.LAKE }),
    ],
  ),
  recipe(
    'figure-line',
    'Figure on a line',
    card(
      'stat',
      { figure: '31', label: 'work days a year' },
      { fill: PAINT.BREAD, direction: 'row', align: 'center', spread: 'between', gap: 16, headingSize: 40 },
      [2, 1],
    ),
    [variant('Night', { fill: PAINT.NIGHT }), variant('Lake', { fill: PAINT.LAKE })],
  ),
  recipe(
    'glow',
    'Glowing figure',
    card(
      'stat',
      { figure: '−17°', label: 'at the door, on average' },
      {
        fill: {
          kind: 'radial',
          x: 0.85,
          y: 0.1,
          stops: [
            { colour: '#2f6d6a', at: 0 },
            { colour: '#112825', at: 0.75 },
          ],
        },
        innerShadow: { x: 0, y: 1, blur: 0, spread: 0, colour: '#ffffff', opacity: 0.14 },
        headingSize: 44,
      },
    ),
    [
      variant('Ember', {
        fill: {
          kind: 'radial',
          x: 0.85,
          y: 0.1,
          stops: [
            { colour: '#b85a30', at: 0 },
            { colour: '#4b1f12', at: 0.8 },
          ],
        },
      }),
    ],
  ),
  recipe(
    'voice',
    'Voice',
    card(
      'quote',
      { quote: '“We came for one night and stayed the storm.”', source: 'Guest book, hut four' },
      { fill: PAINT.LARCH, spread: 'between' },
      [1, 2],
    ),
    [variant('Lichen', { fill: PAINT.LICHEN }), variant('Night', { fill: PAINT.NIGHT })],
  ),
  recipe(
    'framed-voice',
    'Framed voice',
    card(
      'quote',
      { quote: '“Leave it drier than you found it.”', source: 'The only house rule' },
      {
        fill: PAINT.SNOW,
        spread: 'center',
        align: 'center',
        padding: 28,
        border: {
          width: 2,
          paint: {
            kind: 'linear',
            angle: 120,
            stops: [
              { colour: '#a64d2c', at: 0 },
              { colour: '#e3ab86', at: 0.5 },
              { colour: '#24413f', at: 1 },
            ],
          },
        },
      },
      [2, 1],
    ),
  ),
  recipe('plain-picture', 'Picture', card('picture', {}, { fill: '#9fb4b2' }, [2, 2]), [
    variant('Soft edge', { fade: { blockStart: 0, inlineEnd: 0, blockEnd: 48, inlineStart: 0 } }),
  ]),
  recipe(
    'caption',
    'Picture with a caption',
    card(
      'picture',
      { picture: { caption: 'First light on the pass' } },
      { fill: '#67898b', textColour: '#ffffff' },
      [2, 1],
    ),
  ),
  recipe(
    'framed-picture',
    'Mounted picture',
    card(
      'picture',
      {},
      {
        fill: PAINT.SNOW,
        padding: 12,
        outerShadow: { x: 0, y: 6, blur: 20, spread: -8, colour: '#17302d', opacity: 0.35 },
      },
      [2, 2],
    ),
    [variant('Night', { fill: PAINT.NIGHT })],
  ),
  recipe(
    'icons',
    'Row of icons',
    card(
      'icons',
      {
        icons: {
          icons: STARTER_ICONS.slice(0, 5).map(({ id, name }) => ({
            icon: id,
            picture: null,
            label: name,
            address: '',
          })),
        },
      },
      { fill: PAINT.LICHEN, align: 'center', spread: 'center', gap: 22 },
      [2, 1],
    ),
    [variant('Fir', { fill: PAINT.FIR }), variant('Bread', { fill: PAINT.BREAD })],
  ),
  recipe(
    'action',
    'Action',
    card(
      'action',
      { action: { words: 'Ask for a bunk', address: '#book' } },
      { fill: PAINT.NIGHT, textColour: '#f0c9a4' },
    ),
    [
      variant('Larch', { fill: '#8f3f22', textColour: '#fff1e6' }),
      variant('Line', { fill: 'none', textColour: '#17302d', border: { width: 2, paint: '#17302d' } }),
    ],
  ),
  recipe(
    'step',
    'Step',
    card(
      'text',
      { eyebrow: '1', heading: 'Ring the bell', text: 'The warden comes down with the key.' },
      {
        fill: PAINT.SNOW,
        spread: 'between',
        bodyFamily: 'Hanken Grotesk',
        border: { width: 1, paint: '#d5dbd3' },
      },
    ),
    [variant('Lichen', { fill: PAINT.LICHEN, border: { width: 0, paint: '#d5dbd3' } })],
  ),
  recipe(
    'spine',
    'Words down the side',
    card(
      'text',
      { heading: 'Night sky' },
      {
        fill: '#132634',
        writingDirection: 'vertical',
        spread: 'center',
        align: 'center',
        headingSize: 24,
        headingWeight: 560,
      },
      [1, 2],
    ),
    [variant('Dawn', { fill: '#f3e0cc' })],
  ),
  recipe('film', 'Film', card('film', {}, { fill: '#22303c', textColour: '#ffffff' }, [2, 1])),
];
