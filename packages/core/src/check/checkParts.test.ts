import { describe, expect, test } from '@jest/globals';
import { checkDocument } from './checkDocument.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { cardWith } from '../testing/held.js';

const withTile = (tile: object, more: object = {}) =>
  checkDocument({
    ...emptyDocument('Huts'),
    tiles: { a: { ...cardWith('text', 'a'), ...tile } },
    order: ['a'],
    ...more,
  });
const said = (tile: object, more?: object) =>
  withTile(tile, more)
    .problems.map(({ path, message }) => `${path}: ${message}`)
    .join('\n');
const look = { fill: '#ffffff', textColour: 'auto', spread: 'end' };
const marks = (shapes: unknown) => ({
  icons: { x: { id: 'x', name: 'X', shapes } },
});

describe('what tiles hold and look like is checked', () => {
  test.each<[string, object, string]>([
    ['a link that runs', { link: 'javascript:alert(1)' }, '/tiles/a/link: An address starts with'],
    [
      'a link in rich words that runs',
      cardWith('text', 'a', {
        text: [{ kind: 'paragraph', spans: [{ text: 'x', link: 'data:text/html,x' }] }],
      }),
      '/tiles/a/parts/2/words/0/spans/0/link: An address',
    ],
    [
      'a block of no kind',
      { parts: [{ id: 'text', kind: 'text', words: [{ kind: 'table' }] }] },
      '/tiles/a/parts/0/words/0/kind: The kind of a block is one of',
    ],
    [
      'a gradient of one stop',
      { look: { ...look, fill: { kind: 'linear', angle: 0, stops: [{ colour: '#000000', at: 0 }] } } },
      'has 2 to 12 entries; here it has 1',
    ],
    [
      'a fill of no kind',
      { look: { ...look, fill: { kind: 'spiral' } } },
      '/tiles/a/look/fill/kind: The kind of a fill is one of "linear", "radial", "conic"',
    ],
    [
      'a colour that is CSS',
      { look: { ...look, fill: 'red; } body { display: none' } },
      '/tiles/a/look/fill: A colour is written like',
    ],
    [
      'an endless shadow',
      { look: { ...look, outerShadow: { x: 0, y: 0, blur: 1e9, spread: 0, colour: '#000000', opacity: 1 } } },
      'A shadow’s blur is a number from 0 to 400',
    ],
    [
      'a level that is none',
      cardWith('text', 'a', { heading: { level: 7 } }),
      '/tiles/a/parts/1/level: A heading’s level is a whole number from 1 to 6',
    ],
    [
      'a part of no kind',
      { parts: [{ kind: 'poem' }] },
      '/tiles/a/parts/0/kind: The kind of a part is one of',
    ],
    ['a part that is no object', { parts: ['poem'] }, '/tiles/a/parts/0: A part is an object'],
    [
      'more parts than a card may hold',
      { parts: Array.from({ length: 61 }, () => ({ kind: 'label', words: '' })) },
      'The list of parts has 0 to 60 entries; here it has 61',
    ],
    [
      'a recipe that is not there',
      { recipe: { recipe: 'r', variant: null, tile: 'a' } },
      '/tiles/a/recipe: There is no recipe “r”',
    ],
    [
      'a picture behind that is not there',
      {
        look: {
          ...look,
          fill: {
            kind: 'picture',
            picture: 'p',
            focalPoint: { x: 0, y: 0 },
            tint: { colour: '#000000', opacity: 0 },
          },
        },
      },
      'There is no picture “p” in the collection',
    ],
    [
      'a motion of no kind',
      { motion: { entrance: 'spin', hover: 'none' } },
      '/tiles/a/motion/entrance: The entrance is one of',
    ],
  ])('%s', (_, tile, words) => expect(said(tile)).toContain(words));

  test.each<[unknown, string]>([
    [[['script', {}]], 'A shape is one of "path"'],
    [[['path', { d: 'M0 0', onload: 'x' }]], '“onload” is no attribute that an icon may have'],
    [[['path', { d: 'url(https://example.org)' }]], 'An attribute of a shape is written like'],
    ['M0 0', 'The list of shapes is a list'],
    [['path'], 'A shape is a pair'],
  ])('an icon of %j', (shapes, words) => expect(said({}, marks(shapes))).toContain(words));

  test('a placeholder is a small WebP and nothing else', () => {
    const picture = {
      id: 'p',
      name: 'P',
      file: 'p.svg',
      hash: 'a'.repeat(64),
      mediaType: 'image/svg+xml',
      inlineSize: 1,
      blockSize: 1,
      alternativeText: '',
    };
    const says = (placeholder: string) => said({}, { pictures: { p: { ...picture, placeholder } } });
    expect(says('data:image/webp;base64,AAAA')).toBe('');
    expect(says('data:image/svg+xml,<svg onload="x">')).toContain('A placeholder is written like');
    expect(says('data:image/webp;base64,AA") , url(https://example.org')).toContain(
      'A placeholder is written like',
    );
  });

  test('a recipe hangs together', () => {
    const recipe = {
      id: 'r',
      name: 'R',
      root: 'x',
      tiles: { x: cardWith('stat', 'x'), y: cardWith('stat', 'y') },
      slots: [{ name: 'Words', tile: 'x', part: 'figure', field: 'heading' }],
      variants: [],
    };
    const words = said({}, { recipes: { r: recipe } });
    expect(words).toContain('“y” is in no group of the recipe');
    expect(words).toContain(
      'The slot “Words” is for “heading” of the part “figure” in “x”, which is not there',
    );
    expect(said({}, { recipes: { r: { ...recipe, root: 'z' } } })).toContain(
      'The recipe’s tile “z” is missing',
    );
  });
});
