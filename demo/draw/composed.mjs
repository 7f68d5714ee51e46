import iconNodes from 'lucide-static/icon-nodes.json' with { type: 'json' };
import { PICTURES } from './pictures.mjs';

const all = (side) => ({ blockStart: side, inlineEnd: side, blockEnd: side, inlineStart: side });
const shares = (count) => Array.from({ length: count }, () => '1fr');

const words = (kind) => (said, standing) => ({ id: kind, kind, words: said, ...standing });
const eyebrow = words('eyebrow');
const heading = words('heading');
const text = words('text');
const figure = words('figure');
const label = words('label');
const quote = words('quote');
const source = words('source');
const action = (said, address) => ({ id: 'action', kind: 'action', words: said, address });
const divider = () => ({ id: 'divider', kind: 'divider' });
const spacer = () => ({ id: 'spacer', kind: 'spacer', size: null });
const focal = (id) => PICTURES.find((picture) => picture.id === id).focalPoint;
const picture = (id, caption = '') => ({
  id: 'picture',
  kind: 'picture',
  picture: id,
  focalPoint: focal(id),
  caption,
});
const icons = (names, more) => ({
  id: 'icons',
  kind: 'icons',
  icons: names.map(([icon, said]) => ({ icon, picture: null, label: said, address: '' })),
  size: 26,
  showLabels: false,
  ...more,
});

const stops = (...from) =>
  from.map(([colour, at, opacity]) => ({ colour, at, ...(opacity !== undefined && { opacity }) }));
/** A picture under words: dark where they stand, and as far up as they reach on narrow pages. */
const under = (id, dark, reach = 0.42) => ({
  kind: 'picture',
  picture: id,
  focalPoint: focal(id),
  tint: {
    kind: 'linear',
    angle: 0,
    stops: stops([dark, 0, 0.92], [dark, reach, 0.72], [dark, Math.min(1, reach + 0.44), 0.06]),
  },
});
const soft = [{ x: 0, y: 14, blur: 30, spread: -14, colour: '#3b2a1b', opacity: 0.4 }];

const withoutKey = (attributes) =>
  Object.fromEntries(Object.entries(attributes).filter(([name]) => name !== 'key'));

/** The icons of those names as the file holds them. */
export const iconAssets = (names) =>
  Object.fromEntries(
    names.map((id) => [
      id,
      {
        id,
        name: id.replaceAll('-', ' ').replace(/^./, (letter) => letter.toUpperCase()),
        shapes: iconNodes[id].map(([element, rest]) => [element, withoutKey(rest)]),
      },
    ]),
  );

const look = {
  headingFamily: 'Bricolage Grotesque',
  bodyFamily: 'Hanken Grotesk',
  bodySize: 14,
};

/** What people bring to a work day. */
const TOOLS = [
  ['hammer', 'Hammer'],
  ['axe', 'Axe'],
  ['shovel', 'Shovel'],
  ['ruler', 'Ruler'],
  ['paint-roller', 'Roller'],
  ['flashlight', 'Lamp'],
  ['soup', 'Spoon'],
  ['backpack', 'Pack'],
  ['drill', 'Drill'],
  ['wrench', 'Spanner'],
  ['paintbrush', 'Brush'],
  ['tent', 'Tent'],
];
const NEEDS = [
  ['map', 'Map'],
  ['backpack', 'Pack'],
  ['sun', 'Hat'],
  ['cup-soda', 'Bottle'],
  ['umbrella', 'Rain jacket'],
];

const day = { fill: '#fbf7ef', spread: 'end', radius: 16 };
const path = { fill: '#ffffff', spread: 'end' };
const dusk = {
  kind: 'radial',
  x: 1,
  y: 0,
  radii: { x: 1.3, y: 1.1 },
  stops: stops(['#b9783f', 0], ['#5c3a20', 0.5], ['#2a1c12', 1]),
};

/** Collections whose cards are composed of parts in many ways, most of them by recipes. */
export const COMPOSED = [
  {
    name: 'A year of work days',
    arrangement: {
      kind: 'bento',
      columns: shares(6),
      rows: [],
      autoRows: '160px',
      columnGap: 14,
      rowGap: 14,
      padding: all(28),
      flow: 'dense',
      maxInlineSize: 1440,
    },
    bands: [
      {
        id: 'middle',
        below: 1000,
        arrangement: { columns: shares(4), padding: all(20) },
        spans: { 'Table top': [4, 3], Hands: [2, 2], Tools: [4, 1], Rule: [2, 1] },
      },
      {
        id: 'narrow',
        below: 620,
        arrangement: { columns: shares(2), columnGap: 10, rowGap: 10, padding: all(14) },
        spans: { 'Table top': [2, 2], Hands: [2, 1], Tools: [2, 1] },
      },
      {
        id: 'smallest',
        below: 330,
        arrangement: { columns: shares(1), autoRows: 'minmax(160px, auto)' },
        spans: {
          'Table top': [1, 1],
          Path: [1, 1],
          Hands: [1, 1],
          Tools: [1, 1],
          Roof: [1, 1],
          Shingles: [1, 1],
          Firewood: [1, 1],
          'Hut bread': [1, 1],
          Rule: [1, 1],
          Join: [1, 1],
        },
      },
    ],
    look: { ...look, background: '{chalk}', radius: 16, tilePadding: 20, headingSize: 22 },
    namedLooks: {
      chalk: { name: 'Chalk', kind: 'colour', value: '#f1eadd' },
      paper: { name: 'Paper', kind: 'colour', value: '#fbf7ef' },
      bark: { name: 'Bark', kind: 'colour', value: '#2a1c12' },
      resin: { name: 'Resin', kind: 'colour', value: '#e6b574' },
      rust: { name: 'Rust', kind: 'colour', value: '#8f3f22' },
    },
    tiles: [
      {
        name: 'Table top',
        span: [3, 3],
        parts: [
          eyebrow('Since the first roof'),
          heading('A year of work days'),
          text('Thirty-one Saturdays, seven huts, and everybody’s hands.'),
        ],
        fill: under('wood-grain', '#1e120a', 0.72),
        type: { headingSize: { from: 25, to: 46, fromWidth: 360, toWidth: 1440 }, outerShadow: soft },
      },
      {
        name: 'Path',
        span: [2, 2],
        parts: [
          picture('noon-snow'),
          eyebrow('May'),
          heading('Marks on the path'),
          text('A brush, a tin of red, and eleven kilometres.'),
        ],
        ...day,
        fill: '{paper}',
        recipe: 'work-day',
      },
      {
        name: 'Hands',
        span: [1, 2],
        parts: [icons([['hand', 'Hands']], { size: 30 }), spacer(), figure('212'), label('hands last year')],
        fill: dusk,
        type: {
          headingSize: 52,
          border: {
            width: 2,
            paint: {
              kind: 'linear',
              angle: 140,
              stops: stops(['#ffe2b0', 0], ['#e6b574', 0.35, 0.2], ['#e6b574', 0.7, 0], ['#ffe2b0', 1, 0.7]),
            },
          },
        },
      },
      {
        name: 'Tools',
        span: [3, 1],
        parts: [
          eyebrow('Bring what you have', { align: 'center' }),
          icons(TOOLS, { size: 34, line: 'scrolling' }),
        ],
        fill: {
          kind: 'conic',
          x: 0.5,
          y: 1.4,
          angle: 290,
          stops: stops(['#e9d3ad', 0], ['#f7ecd8', 0.2], ['#d9bd90', 0.4], ['#e9d3ad', 1]),
        },
        textColour: '#3b2a1b',
        spread: 'between',
      },
      {
        name: 'Roof',
        span: [2, 1],
        parts: [
          eyebrow('June'),
          heading('A roof in a day'),
          text([
            {
              kind: 'paragraph',
              spans: [
                { text: 'Forty hands, one ladder, ' },
                { text: 'no rain until five', strong: true },
                { text: '.' },
              ],
            },
          ]),
        ],
        ...day,
        fill: '#e3d5bf',
        recipe: 'work-day',
      },
      {
        name: 'Firewood',
        span: [2, 2],
        parts: [
          eyebrow('September'),
          heading('Forty cords before snow'),
          divider(),
          text('Split on Saturday, stacked on Sunday.'),
        ],
        fill: under('firewood', '#1e120a', 0.8),
      },
      {
        name: 'Hut bread',
        span: [2, 2],
        parts: [
          picture('loaf'),
          eyebrow('December'),
          heading('Bread for Sunday'),
          text('The oven is lit at four; come for the crust.'),
        ],
        ...day,
        fill: '{paper}',
        recipe: 'work-day',
      },
      {
        name: 'Shingles',
        span: [2, 1],
        parts: [figure('900'), label('shingles on hut two, larch, split by hand')],
        ...day,
        fill: '{bark}',
        textColour: '#f6e3c4',
        type: { headingSize: 44 },
        recipe: 'work-day',
      },
      {
        name: 'Rule',
        span: [4, 1],
        parts: [quote('“Leave it drier than you found it.”'), source('The only house rule')],
        fill: { kind: 'plain', colour: '#c9d6cf', opacity: 0.5 },
        spread: 'between',
        type: {
          headingSize: { from: 21, to: 30, fromWidth: 360, toWidth: 1440 },
          border: {
            width: 2,
            paint: { kind: 'linear', angle: 90, stops: stops(['#5f7f78', 0], ['#8f3f22', 1]) },
          },
        },
      },
      {
        name: 'Join',
        span: [2, 1],
        parts: [eyebrow('Next: 12 June'), spacer(), action('Come to the next one', '#join')],
        fill: '{rust}',
        textColour: '#fff1e6',
        spread: 'end',
      },
    ],
    recipe: { id: 'work-day', name: 'Work day', variants: { Text: 'Words alone', Stat: 'Figure' } },
    icons: iconAssets([...new Set(['hand', ...TOOLS.map(([icon]) => icon)])]),
  },
  {
    name: 'Seven days, seven paths',
    arrangement: {
      kind: 'fluid',
      columns: shares(4),
      rows: [],
      autoRows: '222px',
      columnGap: 14,
      rowGap: 14,
      padding: all(16),
      flow: 'dense',
      maxInlineSize: 1372,
      fluid: { repeat: 'auto-fill', min: 200, max: 4, spansFrom: null },
    },
    bands: [],
    look: { ...look, background: '#e4edec', radius: 18, tilePadding: 16, headingSize: 20 },
    tiles: [
      {
        name: 'The whole ridge',
        span: [2, 1],
        parts: [
          eyebrow('A week on foot'),
          heading('Seven days, seven paths'),
          text('One ridge, seen from every side of it.'),
        ],
        fill: under('hut-at-dusk', '#141d2b', 0.55),
        type: { headingSize: { from: 26, to: 40, fromWidth: 360, toWidth: 1372 } },
      },
      {
        name: 'Monday',
        parts: [
          picture('larch-slope'),
          eyebrow('Monday'),
          heading('Up through the larches'),
          text('Four hours, one spring.'),
        ],
        ...path,
        recipe: 'path',
      },
      {
        name: 'Tuesday',
        parts: [eyebrow('Tuesday'), heading('The lake valley'), text('Flat, long, and cold to swim in.')],
        fill: under('lake-morning', '#0f2b2c'),
      },
      {
        name: 'Wednesday',
        parts: [
          eyebrow('Wednesday'),
          spacer(),
          figure('1 120'),
          label('metres up, most of them before noon'),
        ],
        ...path,
        fill: { kind: 'linear', angle: 165, stops: stops(['#2f5a55', 0], ['#17302d', 1]) },
        type: { headingSize: 48 },
        recipe: 'path',
      },
      {
        name: 'Thursday',
        parts: [eyebrow('Thursday'), heading('Rest, or bread'), text('The warden bakes at four.')],
        fill: under('loaf', '#1d130c'),
      },
      {
        name: 'Friday',
        parts: [
          picture('violet-evening'),
          eyebrow('Friday'),
          heading('Into the violet'),
          text('Start late, and take a lamp.'),
        ],
        ...path,
        recipe: 'path',
      },
      {
        name: 'Rule',
        parts: [quote('“Turn back at two.”'), source('Painted on every signpost')],
        fill: {
          kind: 'radial',
          x: 0,
          y: 0,
          radii: { x: 1.2, y: 1.2 },
          stops: stops(['#6a6f9a', 0], ['#34385a', 0.6], ['#22253d', 1]),
        },
        spread: 'between',
        type: { headingSize: 26 },
      },
      {
        name: 'Saturday',
        parts: [
          eyebrow('Saturday'),
          heading('The pass, both ways'),
          text('Lunch at the cairn. Nobody minds if you stay there.'),
        ],
        ...path,
        fill: '#f1dfbd',
        recipe: 'path',
      },
      {
        name: 'Sunday',
        parts: [eyebrow('Sunday'), heading('Down by the moss'), text('Slowly. The bus leaves at five.')],
        fill: under('moss-valley', '#14210f'),
      },
      {
        name: 'Pack',
        parts: [
          heading('Pack light'),
          text('Five things, and the rest stays at home.'),
          spacer(),
          icons(NEEDS, { size: 24, line: 'centred' }),
        ],
        fill: 'none',
        type: {
          border: {
            width: 2,
            paint: {
              kind: 'linear',
              angle: 135,
              stops: stops(['#2f5a55', 0], ['#b06f35', 0.55], ['#8f3f22', 1]),
            },
          },
        },
      },
      {
        name: 'Start',
        parts: [eyebrow('From 3 June'), spacer(), action('Walk it with us', '#june')],
        fill: '#8f3f22',
        textColour: '#fff1e6',
        spread: 'end',
      },
    ],
    recipe: { id: 'path', name: 'Path of a day', variants: { Card: 'Figure', Text: 'Words alone' } },
    icons: iconAssets(NEEDS.map(([icon]) => icon)),
  },
];
