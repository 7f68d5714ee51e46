import { describe, expect, test } from '@jest/globals';
import { newCard, newGroup, newTile } from './newTile.js';
import { nameIn, tileName } from './said.js';
import type { Card, CollectionDocument, Tile } from '../document/types.js';

const pictures = {
  dusk: {
    id: 'dusk',
    name: 'IMG_2041.jpg',
    file: 'dusk.jpg',
    hash: '0'.repeat(64),
    mediaType: 'image/jpeg',
    inlineSize: 40,
    blockSize: 30,
    alternativeText: '',
  },
} as const satisfies CollectionDocument['pictures'];

const called = (tile: Tile, tiles: Readonly<Record<string, Tile>> = {}, alternativeText = '') =>
  tileName(tile, {
    tiles: { ...tiles, [tile.id]: tile },
    pictures: { dusk: { ...pictures.dusk, alternativeText } },
  });

const card = (
  ...[composition, values]: [Parameters<typeof newCard>[0], Parameters<typeof newCard>[2]]
): Card => newCard(composition, 't', values);

describe('a tile without a name of its own is called', () => {
  test.each([
    [
      'by its heading, whatever stands before it',
      'Ridge path',
      card('text', {
        eyebrow: { words: 'Tour' },
        heading: { words: 'Ridge path' },
        text: { words: 'Four hours.' },
      }),
    ],
    [
      'by its words where it has no heading',
      'Four hours, one ladder.',
      card('text', {
        eyebrow: { words: 'Tour' },
        heading: { words: '' },
        text: { words: [{ kind: 'paragraph', spans: [{ text: 'Four hours,' }, { text: ' one ladder.' }] }] },
      }),
    ],
    [
      'by its figure and what it counts',
      '7 huts',
      card('stat', { figure: { words: '7' }, label: { words: 'huts' } }),
    ],
    ['by its figure', '7', card('stat', { figure: { words: '7' }, label: { words: '' } })],
    [
      'by its quote',
      'Bring a spoon.',
      card('quote', { quote: { words: 'Bring a spoon.' }, source: { words: 'The warden' } }),
    ],
    ['by what its action says', 'Book a bed', card('action', { action: { words: 'Book a bed' } })],
    [
      'by the caption of its picture',
      'At dusk',
      card('picture', { picture: { picture: 'dusk', caption: 'At dusk' } }),
    ],
    ['by the file of its picture', 'IMG_2041.jpg', card('picture', { picture: { picture: 'dusk' } })],
    [
      'by the labels of its icons',
      'Stove, Bunks',
      card('icons', {
        icons: {
          icons: ['Stove', '', 'Bunks'].map((label, k) => ({
            id: `i${k}`,
            icon: null,
            picture: null,
            label,
            address: '',
          })),
        },
      }),
    ],
    [
      'by its kind where nothing is said',
      'Stat',
      card('stat', { figure: { words: '' }, label: { words: '' } }),
    ],
    ['by its kind where it shows nothing', 'Film', card('film', {})],
  ] as const)('%s', (_, name, tile) => {
    expect(called(tile)).toBe(name);
  });

  test('by the alternative text of its picture before the file', () => {
    expect(called(card('picture', { picture: { picture: 'dusk' } }), {}, 'A hut at dusk')).toBe(
      'A hut at dusk',
    );
  });

  test('in sixty characters, cut after a word', () => {
    const long = called(
      card('text', {
        heading: { words: 'Every hut above the tree line keeps a stove, a warden and a view' },
      }),
    );
    expect(long).toBe('Every hut above the tree line keeps a stove, a warden and…');
    expect(called(card('text', { heading: { words: 'x'.repeat(80) } }))).toHaveLength(60);
  });

  test('in one line', () => {
    expect(called(card('stat', { figure: { words: ' 7 \n of 9 ' }, label: { words: '' } }))).toBe('7 of 9');
  });
});

test('a name of its own comes first, but not one that only says the kind', () => {
  const tile = card('text', { heading: { words: 'Ridge path' } });
  expect(called({ ...tile, name: 'Tour' })).toBe('Tour');
  expect(called({ ...tile, name: '  ' })).toBe('Ridge path');
  expect(called({ ...tile, name: 'Text' })).toBe('Ridge path');
});

describe('a group is called', () => {
  const inside = {
    a: newCard('picture', 'a', { picture: { picture: 'dusk' } }),
    b: newCard('text', 'b', { heading: { words: 'Soup at six' } }),
  };
  const group = { ...newGroup('g'), order: ['a', 'b'] };

  test('by the first tile in it, and how many more there are', () => {
    expect(called(group, inside)).toBe('IMG_2041.jpg and 1 more');
    expect(called({ ...group, order: ['b'] }, inside)).toBe('Soup at six');
  });

  test('as one card where it is a use of a recipe, headings first', () => {
    expect(called({ ...group, recipe: { recipe: 'r', variant: null, tile: 'card' } }, inside)).toBe(
      'Soup at six',
    );
  });

  test('by its kind where it is empty', () => {
    expect(called(newTile('group', 'g'))).toBe('Group');
  });
});

test('an id of no tile is its own name', () => {
  expect(nameIn({ tiles: {}, pictures: {} }, 'gone')).toBe('gone');
});
