import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { assetsOf } from '../edit/commands/assets.js';
import { nameValue, removeNamedLook } from '../edit/commands/namedLooks.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { change } from '../edit/patch/change.js';
import { cardWith } from '../testing/held.js';
import { namedLooksOf, usesIn } from './uses.js';
import type { CollectionDocument, NamedLook, PictureAsset, Tile } from '../document/types.js';

const colour = (id: string, value: string): NamedLook => ({ id, name: id, kind: 'colour', value });
const hut: PictureAsset = {
  id: 'hut',
  name: 'Hut',
  file: 'hut.webp',
  hash: 'a'.repeat(64),
  mediaType: 'image/webp',
  inlineSize: 900,
  blockSize: 600,
  alternativeText: 'A hut',
};
const tint = { colour: '{moss}', opacity: 0.4 };
const tile: Tile = {
  ...cardWith('picture', 't', { picture: { picture: 'hut', tint } }),
  badges: [
    {
      id: 'new',
      words: '{not a name}',
      inline: 'end',
      block: 'start',
      fill: '{snow}',
      textColour: '#000000',
    },
  ],
};
const document: CollectionDocument = {
  ...emptyDocument('Huts'),
  tiles: { t: { ...tile, look: { ...tile.look, fill: '{lake}' } } },
  order: ['t'],
  pictures: { hut },
  namedLooks: {
    moss: colour('moss', '#335533'),
    snow: colour('snow', '#ffffff'),
    lake: colour('lake', '#225566'),
    other: colour('other', '#111111'),
  },
};
const own = document.tiles.t as Tile;

describe('the names that a tile follows', () => {
  test('are in its look, its badges and its parts; words are none', () => {
    expect(namedLooksOf(own)).toEqual(['lake', 'snow', 'moss']);
    expect(checkDocument(document).problems).toEqual([]);
  });

  test.each([
    ['moss', '/tiles/t/parts/0'],
    ['snow', '/tiles/t/badges/0'],
    ['lake', '/tiles/t/look'],
  ])('“%s” has to be there, and it is said where it is not: %s', (name, path) => {
    const { [name]: _, ...rest } = document.namedLooks ?? {};
    expect(checkDocument({ ...document, namedLooks: rest }).problems.map((each) => each.path)).toEqual([
      path,
    ]);
  });

  test('go along with the tile, and no others', () => {
    expect(Object.keys(assetsOf(document, [own]).namedLooks).sort()).toEqual(['lake', 'moss', 'snow']);
  });

  test('leave their values in a part when they go, and come to where the value is', () => {
    const gone = change(document, removeNamedLook('moss')).document;
    expect(gone.tiles.t).toMatchObject({ parts: [{ tint: { colour: '#335533' } }] });
    const named = change(gone, nameValue(colour('fern', '#335533'))).document;
    expect(named.tiles.t).toMatchObject({ parts: [{ tint: { colour: '{fern}' } }] });
    expect(checkDocument(named).problems).toEqual([]);
  });
});

test('an asset that is named and not there is said where it is named', () => {
  const behind = { kind: 'picture', picture: 'ridge', focalPoint: { x: 0, y: 0 }, tint } as const;
  const both = { ...own, look: { ...own.look, fill: behind } };
  expect(usesIn(both).map(({ id, at }) => `${id} ${at}`)).toEqual(['hut /parts/0', 'ridge /look/fill']);
  const lacking = { ...document, pictures: {}, tiles: { t: both } };
  expect(checkDocument(lacking).problems.map(({ path }) => path)).toEqual([
    '/tiles/t/parts/0',
    '/tiles/t/look/fill',
  ]);
});
