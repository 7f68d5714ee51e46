import { expect, test } from '@jest/globals';
import { addTile, change, groupTiles, setPart, type CollectionDocument } from '@noria/core';
import { stats } from '../../testing/composeStore';
import { groupsAround, placeBeside, placesIn, placeToBegin } from './places';

/** Two stats, a text without words under its heading and a picture, the text in a group. */
function held(): CollectionDocument {
  const commands = [
    addTile('text', 'note'),
    addTile('picture', 'view'),
    addTile('icons', 'signs'),
    groupTiles(['note'], 'box', 0),
  ];
  return commands.reduce<CollectionDocument>(
    (document, command) => change(document, command).document,
    stats([
      [1, 1],
      [1, 1],
    ]),
  );
}

const tile = (document: CollectionDocument, id: string) => {
  const found = document.tiles[id];
  if (!found) throw new Error(`There is no tile “${id}”.`);
  return found;
};

test('words are written in reading order, over tiles and into groups', () => {
  const document = held();
  const way: string[] = [];
  let at = placeToBegin(tile(document, 't1'));
  while (at) {
    way.push(`${at.tile} ${at.part}`);
    at = placeBeside(document, at, 1);
  }
  expect(way).toEqual(['t1 figure', 't1 label', 't2 figure', 't2 label', 'note heading', 'note text']);
  const back: string[] = [];
  at = { tile: 'note', part: 'text' };
  while (at) {
    back.push(`${at.tile} ${at.part}`);
    at = placeBeside(document, at, -1);
  }
  expect(back).toEqual(way.toReversed());
});

test('an eyebrow and a caption that are empty are passed over, and written in where one is there', () => {
  const document = held();
  expect(placesIn(tile(document, 'note')).map(({ part }) => part)).toEqual(['heading', 'text']);
  expect(placeBeside(document, { tile: 'note', part: 'eyebrow' }, 1)).toEqual({
    tile: 'note',
    part: 'heading',
  });
  expect(placesIn(tile(document, 'view'))).toEqual([]);
  expect(placeToBegin(tile(document, 'view'))).toEqual({ tile: 'view', part: 'picture' });
  expect(placeToBegin(tile(document, 'signs'))).toBeNull();
  const captioned = change(document, setPart(['view'], 'picture', { caption: 'At dusk' })).document;
  expect(placesIn(tile(captioned, 'view'))).toEqual([{ tile: 'view', part: 'picture' }]);
});

test('the groups around a tile are told from outside in', () => {
  const document = change(held(), groupTiles(['box'], 'outer', 0)).document;
  expect(groupsAround(document, 'note')).toEqual(['outer', 'box']);
  expect(groupsAround(document, 't1')).toEqual([]);
});
