import { newTile } from '../commands/newTile.js';
import { emptyGroup } from '../document/emptyDocument.js';
import { slotsOf } from './commands.js';
import { STARTER_ICONS } from './starterIcons.js';
import type { Assets } from '../commands/assets.js';
import type {
  BentoArrangement,
  GroupTile,
  Recipe,
  Tile,
  TileKind,
  TileLook,
  Variant,
} from '../document/types.js';

type Look = Partial<TileLook>;
type Looks = Readonly<Record<string, Look>>;

const LICHEN = '#dfe8e2';
const LAKE = '#d9e5e6';
const FIR = '#24413f';
const NIGHT = '#17302d';
const LARCH = '#a64d2c';
const BREAD = '#efe3d3';
const SNOW = '#f6f4ee';
const DUSK = '#46557a';

/** A tile of a recipe, with its span when it is used. */
function part<K extends TileKind>(
  kind: K,
  content: Partial<Omit<Extract<Tile, { kind: K }>, 'id' | 'kind' | 'look'>>,
  look: Look = {},
  span: readonly [number, number] = [1, 1],
): Tile {
  const tile = newTile(kind, 'card');
  return {
    ...tile,
    ...content,
    place: { columnSpan: span[0], rowSpan: span[1], pin: null, ...content.place },
    look: { ...tile.look, ...look },
  };
}

const variant = (name: string, looks: Looks | Look, isOne = true): Variant => ({
  id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
  name,
  looks: (isOne ? { card: looks } : looks) as Variant['looks'],
});

function recipe(
  id: string,
  name: string,
  root: Tile,
  variants: readonly Variant[] = [],
  inside: Readonly<Record<string, Tile>> = {},
): Recipe {
  const order = Object.keys(inside);
  const outer = root.kind === 'group' ? { ...root, order } : root;
  const within = Object.entries(inside).map(([key, tile]) => [key, { ...tile, id: key }]);
  const parts = { card: outer, ...Object.fromEntries(within) } as Recipe['parts'];
  return { id, name, root: 'card', parts, slots: slotsOf(parts, 'card'), variants };
}

/** A card that holds tiles in a grid of its own. */
function card(
  arrangement: Partial<BentoArrangement>,
  look: Look,
  span: readonly [number, number],
  name: string,
): GroupTile {
  return part(
    'group',
    { name, arrangement: { ...emptyGroup(), columns: ['1fr'], columnGap: 0, rowGap: 0, ...arrangement } },
    look,
    span,
  ) as GroupTile;
}

const pinned = (columnSpan = 1, rowSpan = 1) => ({ columnSpan, rowSpan, pin: { column: 1, row: 1 } });

/** Recipes that every collection can begin with. All of them are drawn for Noria. */
export const STARTERS: readonly Recipe[] = [
  recipe(
    'note',
    'Note, washed',
    part(
      'text',
      { name: 'Note', heading: 'Open all winter', body: 'Stove lit, key with the warden.' },
      { fill: LICHEN },
      [2, 1],
    ),
    [
      variant('Bread', { fill: BREAD }),
      variant('Lake', { fill: LAKE }),
      variant('Fir', { fill: FIR }),
      variant('Line', { fill: 'none', ink: '#1d2b2a', border: { width: 1, paint: '#9db0aa' } }),
    ],
  ),
  recipe(
    'lead',
    'Lead',
    part(
      'text',
      {
        name: 'Lead',
        eyebrow: 'Winter',
        heading: 'Seven huts above the tree line',
        body: 'Each with a stove, a warden and a view.',
      },
      {
        fill: {
          kind: 'linear',
          angle: 200,
          stops: [
            { colour: '#2f4a52', at: 0 },
            { colour: '#17302d', at: 1 },
          ],
        },
        spread: 'between',
        headingSize: { from: 28, to: 52, fromWidth: 360, toWidth: 1440 },
        headingLineHeight: 1.04,
        headingTracking: -0.025,
        padding: 26,
      },
      [3, 2],
    ),
    [
      variant('Dawn', {
        fill: {
          kind: 'linear',
          angle: 170,
          stops: [
            { colour: '#f3e0cc', at: 0 },
            { colour: '#dcb49c', at: 1 },
          ],
        },
      }),
      variant('Snow', { fill: SNOW }),
    ],
  ),
  recipe(
    'figure',
    'Big figure',
    part(
      'stat',
      { name: 'Figure', figure: '184', label: 'beds, all with a blanket' },
      { fill: FIR, headingSize: 46 },
    ),
    [variant('Snow', { fill: SNOW }), variant('Larch', { fill: '#8f3f22' }), variant('Lake', { fill: LAKE })],
  ),
  recipe(
    'figure-line',
    'Figure on a line',
    part(
      'stat',
      { name: 'Figure', figure: '31', label: 'work days a year' },
      { fill: BREAD, direction: 'along', align: 'centre', spread: 'between', gap: 16, headingSize: 40 },
      [2, 1],
    ),
    [variant('Night', { fill: NIGHT }), variant('Lake', { fill: LAKE })],
  ),
  recipe(
    'glow',
    'Glowing figure',
    part(
      'stat',
      { name: 'Figure', figure: '−17°', label: 'at the door, on average' },
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
        innerShade: { x: 0, y: 1, blur: 0, spread: 0, colour: '#ffffff', strength: 0.14 },
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
    part(
      'quote',
      {
        name: 'Voice',
        words: '“We came for one night and stayed the storm.”',
        source: 'Guest book, hut four',
      },
      { fill: LARCH, spread: 'between' },
      [1, 2],
    ),
    [variant('Lichen', { fill: LICHEN }), variant('Night', { fill: NIGHT })],
  ),
  recipe(
    'framed-voice',
    'Framed voice',
    part(
      'quote',
      { name: 'Voice', words: '“Leave it drier than you found it.”', source: 'The only house rule' },
      {
        fill: SNOW,
        spread: 'centre',
        align: 'centre',
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
  recipe('plain-picture', 'Picture', part('picture', { name: 'Picture' }, { fill: '#9fb4b2' }, [2, 2]), [
    variant('Soft edge', { fade: { blockStart: 0, inlineEnd: 0, blockEnd: 48, inlineStart: 0 } }),
  ]),
  recipe(
    'caption',
    'Picture with a caption',
    part(
      'picture',
      { name: 'Picture', caption: 'First light on the pass' },
      { fill: '#67898b', ink: '#ffffff' },
      [2, 1],
    ),
  ),
  recipe(
    'framed-picture',
    'Mounted picture',
    part(
      'picture',
      { name: 'Picture' },
      {
        fill: SNOW,
        padding: 12,
        outerShade: { x: 0, y: 6, blur: 20, spread: -8, colour: '#17302d', strength: 0.35 },
      },
      [2, 2],
    ),
    [variant('Night', { fill: NIGHT })],
  ),
  recipe(
    'over-picture',
    'Words over a picture',
    card({ rows: ['1fr'] }, { fill: NIGHT }, [2, 2], 'Words over a picture'),
    [
      variant(
        'Larch',
        {
          words: {
            fill: {
              kind: 'linear',
              angle: 0,
              stops: [
                { colour: '#4b1f12', at: 0, strength: 0.94 },
                { colour: '#4b1f12', at: 0.75, strength: 0 },
              ],
            },
          },
        },
        false,
      ),
    ],
    {
      picture: part('picture', { name: 'Picture behind', place: pinned() }, { fill: NIGHT, radius: 0 }),
      words: part(
        'text',
        {
          name: 'Words',
          heading: 'Ridge path',
          body: 'Four hours, one ladder.',
          place: { ...pinned(), layer: 1 },
        },
        {
          fill: {
            kind: 'linear',
            angle: 0,
            stops: [
              { colour: '#0b1714', at: 0, strength: 0.9 },
              { colour: '#0b1714', at: 0.7, strength: 0 },
            ],
          },
          ink: '#ffffff',
          radius: 0,
        },
      ),
    },
  ),
  recipe(
    'picture-card',
    'Picture card',
    card({ rows: ['1fr', 'auto'] }, { fill: SNOW }, [2, 2], 'Picture card'),
    [variant('Fir', { card: { fill: FIR }, words: { ink: '#eaf3f0' } }, false)],
    {
      picture: part('picture', { name: 'Picture' }, { fill: '#9fb4b2', radius: 0 }),
      words: part(
        'text',
        { name: 'Words', heading: 'Soup at six', body: 'Bring a spoon.' },
        { fill: 'none', ink: '#1d2b2a', radius: 0 },
      ),
    },
  ),
  recipe(
    'side-picture',
    'Picture at the side',
    card({ columns: ['2fr', '3fr'], rows: ['1fr'] }, { fill: LAKE }, [3, 1], 'Picture at the side'),
    [],
    {
      picture: part('picture', { name: 'Picture' }, { fill: '#67898b', radius: 0 }),
      words: part(
        'text',
        { name: 'Words', eyebrow: 'Hut four', heading: 'Eight moonless nights', body: 'Lamps out at nine.' },
        { fill: 'none', ink: '#1d2b2a', spread: 'centre', radius: 0 },
      ),
    },
  ),
  recipe(
    'person',
    'Person',
    card(
      {
        columns: ['64px', '1fr'],
        rows: ['1fr'],
        columnGap: 4,
        padding: { blockStart: 16, inlineEnd: 16, blockEnd: 16, inlineStart: 16 },
      },
      { fill: SNOW },
      [2, 1],
      'Person',
    ),
    [variant('Bread', { card: { fill: BREAD } }, false)],
    {
      face: part(
        'picture',
        {
          name: 'Face',
          place: {
            columnSpan: 1,
            rowSpan: 1,
            pin: null,
            fit: { inline: 'fill', block: 'centre', inlineSize: null, blockSize: 64 },
          },
        },
        { fill: '#bb9788', radius: 32 },
      ),
      words: part(
        'text',
        { name: 'Words', heading: 'Ylva Brand', body: 'Warden, hut two' },
        {
          fill: 'none',
          ink: '#1d2b2a',
          spread: 'centre',
          padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 12 },
          headingSize: 18,
        },
      ),
    },
  ),
  recipe(
    'marks',
    'Row of marks',
    part(
      'marks',
      {
        name: 'Marks',
        marks: STARTER_ICONS.slice(0, 5).map(({ id, name }) => ({
          icon: id,
          picture: null,
          label: name,
          address: '',
        })),
      },
      { fill: LICHEN, align: 'centre', spread: 'centre', gap: 22 },
      [2, 1],
    ),
    [variant('Fir', { fill: FIR }), variant('Bread', { fill: BREAD })],
  ),
  recipe(
    'action',
    'Action',
    part(
      'action',
      { name: 'Action', label: 'Ask for a bunk', address: '#book' },
      { fill: NIGHT, ink: '#f0c9a4' },
    ),
    [
      variant('Larch', { fill: '#8f3f22', ink: '#fff1e6' }),
      variant('Line', { fill: 'none', ink: '#17302d', border: { width: 2, paint: '#17302d' } }),
    ],
  ),
  recipe(
    'step',
    'Step',
    part(
      'text',
      { name: 'Step', eyebrow: '1', heading: 'Ring the bell', body: 'The warden comes down with the key.' },
      { fill: SNOW, spread: 'between', bodyFamily: 'Hanken Grotesk', border: { width: 1, paint: '#d5dbd3' } },
    ),
    [variant('Lichen', { fill: LICHEN, border: { width: 0, paint: '#d5dbd3' } })],
  ),
  recipe(
    'spine',
    'Words down the side',
    part(
      'text',
      { name: 'Spine', heading: 'Night sky', body: '' },
      {
        fill: '#132634',
        textDirection: 'block',
        spread: 'centre',
        align: 'centre',
        headingSize: 24,
        headingWeight: 560,
      },
      [1, 2],
    ),
    [variant('Dawn', { fill: '#f3e0cc' })],
  ),
  recipe(
    'film',
    'Film',
    part('film', { name: 'Film', caption: '' }, { fill: '#22303c', ink: '#ffffff' }, [2, 1]),
  ),
  recipe(
    'offer',
    'Offer',
    card(
      {
        rows: ['auto', '1fr', 'auto'],
        padding: { blockStart: 6, inlineEnd: 6, blockEnd: 6, inlineStart: 6 },
      },
      { fill: SNOW, border: { width: 1, paint: '#d5dbd3' } },
      [2, 3],
      'Offer',
    ),
    [
      variant(
        'Dusk',
        {
          card: { fill: DUSK, border: { width: 0, paint: DUSK } },
          price: { ink: '#ffffff' },
          words: { ink: '#eef1fb' },
          action: { fill: '#ffffff', ink: '#2b3658' },
        },
        false,
      ),
    ],
    {
      price: part(
        'stat',
        { name: 'Price', figure: '38', label: 'a night, soup and all' },
        { fill: 'none', ink: '#1d2b2a', headingSize: 40 },
      ),
      words: part(
        'text',
        {
          name: 'What is in it',
          heading: '',
          body: [
            {
              kind: 'list',
              items: [
                [{ text: 'A bunk by the stove' }],
                [{ text: 'Bread in the morning' }],
                [{ text: 'The path, explained' }],
              ],
            },
          ],
        },
        { fill: 'none', ink: '#3a4947', spread: 'start' },
      ),
      action: part(
        'action',
        { name: 'Action', label: 'Stay a night', address: '#book' },
        { fill: NIGHT, ink: '#f0c9a4', headingSize: 17, align: 'centre', padding: 14 },
      ),
    },
  ),
];

/** What a starter shows beside its words. */
export const starterAssets: Assets = {
  pictures: {},
  icons: Object.fromEntries(STARTER_ICONS.map((each) => [each.id, each])),
};
