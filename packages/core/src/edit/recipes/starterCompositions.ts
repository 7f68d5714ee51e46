import { composed, form, linear, PAINT, part, recipe, variant } from './draw.js';
import { STARTER_ICONS } from './starterIcons.js';
import type { Recipe, RichText } from '../../document/types.js';

const list = (...items: readonly string[]): RichText => [
  { kind: 'list', items: items.map((text) => [{ text }]) },
];

const icons = (from: number, to: number) => ({
  icons: STARTER_ICONS.slice(from, to).map(({ id, name }) => ({
    icon: id,
    picture: null,
    label: name,
    address: '',
  })),
  size: 30,
  showLabels: true,
});

const beside = { beside: true } as const;

/** Starters of one card each that is composed of parts, with variants that show the same slots in other forms. */
export const STARTER_COMPOSITIONS: readonly Recipe[] = [
  recipe(
    'hut-in-brief',
    'Hut in brief',
    composed(
      [
        part('eyebrow', 'Hut two, 2 310 m'),
        part('heading', 'The one with the long table'),
        part('text', 'Four hours from the valley, the last one on a ladder.'),
        part('divider'),
        part('figure', '38'),
        part('label', 'beds, all with a blanket', beside),
      ],
      { fill: PAINT.SNOW, spread: 'end', gap: 8, padding: 22 },
      [2, 2],
    ),
    [
      form('Figure first', 'figure +label divider eyebrow heading text', {
        fill: PAINT.LICHEN,
        spread: 'start',
      }),
      form('In few words', 'eyebrow heading', { fill: PAINT.FIR, spread: 'between' }),
      variant('Night', { fill: PAINT.NIGHT }),
    ],
  ),
  recipe(
    'weather-above',
    'Weather above',
    composed(
      [
        part('eyebrow', 'Above the tree line'),
        part('figure', '−17°'),
        part('label', 'at six in the morning'),
        part('spacer'),
        part('divider'),
        part('text', 'Clear until noon, then wind from the pass.'),
      ],
      {
        fill: linear(190, '#3c5a66', '#17302d'),
        spread: 'start',
        headingSize: 34,
        padding: 20,
      },
      [1, 2],
    ),
    [
      form('On a line', 'figure +label divider text', { spread: 'between' }),
      form('Words first', 'text divider figure +label', {
        fill: PAINT.LAKE,
        spread: 'between',
      }),
    ],
  ),
  recipe(
    'guest-book',
    'Guest book',
    composed(
      [
        part('quote', 'We came for the view and stayed for the soup.'),
        part('divider'),
        part('source', 'Ines and Odo'),
        part('label', 'hut four, in March', { beside: true }),
      ],
      { fill: PAINT.BREAD, spread: 'between', gap: 12, padding: 22, headingSize: 23 },
      [2, 1],
    ),
    [
      form('Name first', 'source +label divider quote', { fill: PAINT.SNOW, spread: 'start' }),
      form('Centred', 'quote source', { fill: '#8f3f22', align: 'center', spread: 'center' }),
    ],
  ),
  recipe(
    'evening',
    'Evening',
    composed(
      [
        part('label', '14 January'),
        part('spacer', undefined, beside),
        part('eyebrow', 'Hut six', beside),
        part('heading', 'Stories by the stove'),
        part('text', 'Bring one, hear twelve.'),
        part('spacer'),
        part('action', { words: 'Keep a seat', address: '#seat' }),
      ],
      { fill: PAINT.DUSK, spread: 'start', gap: 8, padding: 20, headingSize: 21 },
      [2, 2],
    ),
    [
      form('Day at the foot', 'heading text spacer-2 action label +spacer +eyebrow', {
        fill: PAINT.SNOW,
      }),
      form('Announced', 'eyebrow heading label', { fill: PAINT.LARCH, spread: 'between' }),
    ],
  ),
  recipe(
    'path-in-numbers',
    'Path in numbers',
    composed(
      [
        part('heading', 'Over the ridge'),
        part('spacer'),
        part('figure', '11 km'),
        part('label', 'on foot', beside),
        part('divider'),
        part('figure', '870 m'),
        part('label', 'up, most of it early', beside),
      ],
      { fill: PAINT.LAKE, spread: 'start', gap: 8, padding: 20, headingSize: 20 },
      [2, 2],
    ),
    [
      form('Side by side', 'heading spacer figure +figure-2', { fill: PAINT.FIR }),
      form('Numbers over words', 'figure +label divider figure-2 +label-2 spacer heading', {
        fill: PAINT.BREAD,
      }),
    ],
  ),
  recipe(
    'supper',
    'Supper',
    composed(
      [
        part('eyebrow', 'At six, at the long table'),
        part('heading', 'Barley soup'),
        part('text', list('Bread of the morning', 'Cheese from the valley', 'Tea as long as there is snow')),
        part('spacer'),
        part('divider'),
        part('label', 'with a bunk'),
        part('spacer', undefined, beside),
        part('figure', '14', beside),
      ],
      { fill: PAINT.BREAD, spread: 'start', gap: 8, padding: 22, headingSize: 22 },
      [2, 2],
    ),
    [
      form('Price first', 'figure +label divider spacer heading text', { fill: PAINT.SNOW }),
      form('As a board', 'eyebrow heading divider figure', {
        fill: PAINT.NIGHT,
        align: 'center',
        spread: 'center',
      }),
    ],
  ),
  recipe(
    'wardens-word',
    'Warden’s word',
    composed(
      [
        part('heading', 'Ylva Brand'),
        part('label', 'warden, hut two'),
        part('divider'),
        part('quote', 'Knock the snow off and come in.'),
      ],
      { fill: PAINT.LICHEN, spread: 'between', gap: 8, padding: 20, headingSize: 19 },
      [2, 1],
    ),
    [
      form('Word first', 'quote divider heading label', { fill: PAINT.SNOW }),
      form('On a line', 'heading +label divider quote', { fill: PAINT.FIR }),
    ],
  ),
  recipe(
    'packing-list',
    'Packing list',
    composed(
      [
        part('icons', icons(0, 4)),
        part('spacer'),
        part('heading', 'What to bring'),
        part('text', 'A lamp, a spoon and socks for the house.'),
      ],
      { fill: PAINT.LAKE, spread: 'start', gap: 10, padding: 20, headingSize: 20 },
      [2, 2],
    ),
    [
      form('Words first', 'heading text spacer icons', { fill: PAINT.BREAD }),
      form('Signs alone', 'icons', { fill: PAINT.NIGHT, align: 'center', spread: 'center' }),
    ],
  ),
  recipe(
    'signpost',
    'Signpost',
    composed(
      [
        part('heading', 'Hut seven'),
        part('spacer', undefined, beside),
        part('figure', '3 h', beside),
        part('divider'),
        part('text', 'Left at the cairn, then always along the water.'),
      ],
      { fill: PAINT.FIR, spread: 'center', gap: 8, padding: 18, headingSize: 21 },
      [2, 1],
    ),
    [
      form('Stacked', 'figure heading divider text', { fill: PAINT.SNOW, spread: 'between' }),
      form('Name alone', 'heading +spacer +figure', { fill: PAINT.LARCH }),
    ],
  ),
  recipe(
    'notice-board',
    'Notice board',
    composed(
      [
        part('eyebrow', 'Closed until spring'),
        part('divider'),
        part('heading', 'The pass is under three metres of snow'),
        part('source', 'Rescue service, this morning'),
      ],
      { fill: '#8f3f22', spread: 'between', gap: 6, padding: 18, headingSize: 20 },
      [2, 1],
    ),
    [
      form('Quiet', 'heading divider eyebrow +source', { fill: PAINT.SNOW }),
      form('Centred', 'eyebrow heading', { fill: PAINT.NIGHT, align: 'center', spread: 'center' }),
    ],
  ),
  recipe(
    'bunk-to-book',
    'Bunk to book',
    composed(
      [
        part('figure', '38'),
        part('label', 'a night, soup and all', beside),
        part('divider'),
        part('text', list('A bunk by the stove', 'Bread in the morning', 'The path, explained')),
        part('spacer'),
        part('action', { words: 'Stay a night', address: '#book' }),
      ],
      {
        fill: PAINT.SNOW,
        spread: 'start',
        gap: 10,
        padding: 24,
        headingSize: 24,
        border: { width: 1, paint: '#d5dbd3' },
      },
      [2, 2],
    ),
    [
      form('Price at the foot', 'text spacer divider figure +label action', { fill: PAINT.LICHEN }),
      form('In few words', 'figure +label action', { fill: PAINT.NIGHT, spread: 'between' }),
    ],
  ),
  recipe(
    'before-and-after',
    'Before and after',
    composed(
      [
        part('label', 'before'),
        part('figure', '9'),
        part('divider'),
        part('label', 'since the new stove'),
        part('figure', '31'),
        part('text', 'guests who stayed a second night'),
      ],
      {
        fill: linear(160, '#f3e0cc', '#e3bfa6'),
        spread: 'between',
        gap: 4,
        padding: 20,
        headingSize: 28,
      },
      [1, 2],
    ),
    [
      form('Words first', 'text divider label figure label-2 figure-2', {
        fill: PAINT.SNOW,
        spread: 'between',
      }),
      form('The second alone', 'label-2 figure-2 text', { fill: PAINT.FIR, spread: 'end' }),
    ],
  ),
];
