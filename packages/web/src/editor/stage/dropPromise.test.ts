import { expect, test } from '@jest/globals';
import { addTile, change, type CollectionDocument } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { dropPromise, type Hovering } from './dropPromise';

/** Two alike figures, a picture tile and a film tile. */
const four = ['picture', 'film'].reduce<CollectionDocument>(
  (document, kind) => change(document, addTile(kind as 'picture', kind)).document,
  stats([
    [1, 1],
    [1, 1],
  ]),
);
const promised = (hovering: Partial<Hovering>, document = four) =>
  dropPromise(composeStore(document).store.getState(), {
    types: 'image/jpeg',
    onto: null,
    isCell: false,
    ...hovering,
  });
const THREE = 'image/jpeg image/png image/webp';

test.each<[string, Partial<Hovering>, string, readonly string[]]>([
  ['one picture on a card', { onto: 't1' }, 'Drop: “Stat 1” takes the picture.', ['t1']],
  ['one picture on a film', { onto: 'film' }, 'Drop: “Film” takes the picture.', ['film']],
  [
    'three on a card',
    { onto: 't1', types: THREE },
    'Drop: two tiles take pictures in order, from “Stat 1” on; one picture more becomes a new tile. With Shift, each goes where it fits best.',
    ['t1', 't2'],
  ],
  [
    'two on the last of its kind',
    { onto: 't2', types: 'image/jpeg image/jpeg' },
    'Drop: one tile takes pictures in order, from “Stat 2” on; one picture more becomes a new tile.',
    ['t2'],
  ],
  ['one beside all tiles', {}, 'Drop: “Picture” takes the picture.', ['picture']],
  ['a film on a card', { onto: 't1', types: 'video/mp4' }, 'Drop: “Stat 1” takes the film.', ['t1']],
  ['a film beside all tiles', { types: 'video/mp4' }, 'Drop: “Picture” takes the film.', ['picture']],
  [
    'two films on a card',
    { onto: 't1', types: 'video/mp4 video/webm' },
    'Drop: two tiles take films in order, from “Stat 1” on. With Shift, each goes where it fits best.',
    ['t1', 't2'],
  ],
  [
    'two films beside all tiles',
    { types: 'video/mp4 video/webm' },
    'Drop: one tile takes films in order, from “Picture” on; one film more becomes a new tile.',
    ['picture'],
  ],
  [
    'a picture and a film on a card',
    { onto: 't1', types: 'video/mp4 image/jpeg' },
    'Drop: two tiles take pictures and films in order, from “Stat 1” on. With Shift, each goes where it fits best.',
    ['t1', 't2'],
  ],
  [
    'an archive',
    { onto: 't1', types: 'application/zip' },
    'Drop to fill tiles from “Stat 1” on; the rest become new tiles.',
    ['t1'],
  ],
  [
    'a table on a card',
    { onto: 't1', types: 'text/csv' },
    'Drop: the rows of the table become tiles, once you say how.',
    [],
  ],
  [
    'a free cell',
    { isCell: true, types: THREE },
    'Drop: the first picture lies in this cell, the rest follow it.',
    [],
  ],
])('%s', (_, hovering, says, tiles) => {
  expect(promised(hovering)).toEqual({ says, tiles });
});

test('a row of icons takes pictures as logos', () => {
  const { document } = change(four, addTile('icons', 'row'));
  expect(promised({ onto: 'row' }, document)).toEqual({
    says: 'Drop: “Icons” takes the picture as a logo.',
    tiles: ['row'],
  });
  expect(promised({ onto: 'row', types: THREE }, document)).toEqual({
    says: 'Drop: “Icons” takes the pictures as logos.',
    tiles: ['row'],
  });
  expect(promised({ onto: 'row', types: 'image/jpeg video/mp4' }, document).says).toBe(
    'Drop: “Icons” takes the picture as a logo; one film becomes a new tile.',
  );
  expect(promised({ onto: 'row', types: 'video/mp4' }, document)).toEqual({
    says: 'Drop: one new tile with the film.',
    tiles: [],
  });
});

test('where nothing takes a picture, new tiles are promised', () => {
  const two = stats([[1, 1]]);
  expect(promised({}, two).says).toBe('Drop: one new tile with the picture.');
  expect(promised({ types: THREE }, two).says).toBe('Drop: three new tiles with the pictures.');
});
