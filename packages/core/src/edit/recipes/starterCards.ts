import { card, placed, group, PAINT, recipe, variant } from './draw.js';
import type { Recipe } from '../../document/types.js';

/** At the first cell, so that others lie over it. */
const pinned = () => ({ columnSpan: 1, rowSpan: 1, pin: { column: 1, row: 1 } });

/** Starters that are cards with tiles in them. */
export const STARTER_CARDS: readonly Recipe[] = [
  recipe(
    'over-picture',
    'Words over a picture',
    group({ rows: ['1fr'] }, { fill: PAINT.NIGHT }, [2, 2]),
    [
      variant(
        'Larch',
        {
          words: {
            fill: {
              kind: 'linear',
              angle: 0,
              stops: [
                { colour: '#4b1f12', at: 0, opacity: 0.94 },
                { colour: '#4b1f12', at: 0.75, opacity: 0 },
              ],
            },
          },
        },
        false,
      ),
    ],
    {
      picture: placed(card('picture', {}, { fill: PAINT.NIGHT, radius: 0 }), pinned()),
      words: placed(
        card(
          'text',
          { heading: 'Ridge path', text: 'Four hours, one ladder.' },
          {
            fill: {
              kind: 'linear',
              angle: 0,
              stops: [
                { colour: '#0b1714', at: 0, opacity: 0.9 },
                { colour: '#0b1714', at: 0.7, opacity: 0 },
              ],
            },
            textColour: '#ffffff',
            radius: 0,
          },
        ),
        { ...pinned(), layer: 1 },
      ),
    },
  ),
  recipe(
    'picture-card',
    'Picture card',
    group({ rows: ['1fr', 'auto'] }, { fill: PAINT.SNOW }, [2, 2]),
    [variant('Fir', { card: { fill: PAINT.FIR }, words: { textColour: '#eaf3f0' } }, false)],
    {
      picture: card('picture', {}, { fill: '#9fb4b2', radius: 0 }),
      words: card(
        'text',
        { heading: 'Soup at six', text: 'Bring a spoon.' },
        { fill: 'none', textColour: '#1d2b2a', radius: 0 },
      ),
    },
  ),
  recipe(
    'side-picture',
    'Picture at the side',
    group({ columns: ['2fr', '3fr'], rows: ['1fr'] }, { fill: PAINT.LAKE }, [3, 1]),
    [],
    {
      picture: card('picture', {}, { fill: '#67898b', radius: 0 }),
      words: card(
        'text',
        { eyebrow: 'Hut four', heading: 'Eight moonless nights', text: 'Lamps out at nine.' },
        { fill: 'none', textColour: '#1d2b2a', spread: 'center', radius: 0 },
      ),
    },
  ),
  recipe(
    'person',
    'Person',
    group(
      {
        columns: ['64px', '1fr'],
        rows: ['1fr'],
        columnGap: 4,
        padding: { blockStart: 16, inlineEnd: 16, blockEnd: 16, inlineStart: 16 },
      },
      { fill: PAINT.SNOW },
      [2, 1],
    ),
    [variant('Bread', { card: { fill: PAINT.BREAD } }, false)],
    {
      face: placed(card('picture', {}, { fill: '#bb9788', radius: 32 }), {
        columnSpan: 1,
        rowSpan: 1,
        pin: null,
        fit: { inline: 'stretch', block: 'center', inlineSize: null, blockSize: 64 },
      }),
      words: card(
        'text',
        { heading: 'Ylva Brand', text: 'Warden, hut two' },
        {
          fill: 'none',
          textColour: '#1d2b2a',
          spread: 'center',
          padding: { blockStart: 0, inlineEnd: 0, blockEnd: 0, inlineStart: 12 },
          headingSize: 18,
        },
      ),
    },
  ),
  recipe(
    'offer',
    'Offer',
    group(
      {
        rows: ['auto', '1fr', 'auto'],
        padding: { blockStart: 6, inlineEnd: 6, blockEnd: 6, inlineStart: 6 },
      },
      { fill: PAINT.SNOW, border: { width: 1, paint: '#d5dbd3' } },
      [2, 3],
    ),
    [
      variant(
        'Dusk',
        {
          card: { fill: PAINT.DUSK, border: { width: 0, paint: PAINT.DUSK } },
          price: { textColour: '#ffffff' },
          words: { textColour: '#eef1fb' },
          action: { fill: '#ffffff', textColour: '#2b3658' },
        },
        false,
      ),
    ],
    {
      price: card(
        'stat',
        { figure: '38', label: 'a night, soup and all' },
        { fill: 'none', textColour: '#1d2b2a', headingSize: 40 },
      ),
      words: card(
        'text',
        {
          heading: '',
          text: [
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
        { fill: 'none', textColour: '#3a4947', spread: 'start' },
      ),
      action: card(
        'action',
        { action: { words: 'Stay a night', address: '#book' } },
        { fill: PAINT.NIGHT, textColour: '#f0c9a4', headingSize: 17, align: 'center', padding: 14 },
      ),
    },
  ),
];
