import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyCollection } from '../../testing/anyCollection.js';
import { cardWith } from '../../testing/held.js';
import { change, type Command } from '../patch/change.js';
import { compareDocuments } from './compareDocuments.js';
import { groupTiles } from '../commands/groups.js';
import { moveInOrder, removeTiles, renameCollection, setLook, setPart, setTile } from '../commands/tiles.js';
import { sample } from '../../testing/sample.js';
import { setArrangement } from '../commands/arrangement.js';
import { setBreakpoints } from '../commands/bands.js';
import { setNamedLook } from '../commands/namedLooks.js';
import { setSpan } from '../commands/place.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

const tiles: readonly Tile[] = ['Bread', 'Soup', 'Beds', 'Snow'].map((words) =>
  cardWith('text', words.toLowerCase(), { heading: words }),
);
const huts: CollectionDocument = {
  ...sample([]),
  name: 'Huts',
  tiles: Object.fromEntries(tiles.map((tile) => [tile.id, tile])),
  order: tiles.map(({ id }) => id),
};
const heading =
  huts.tiles.bread?.kind === 'card'
    ? (huts.tiles.bread.parts.find((part) => 'words' in part && part.words === 'Bread')?.id ?? '')
    : '';
const lines = (before: CollectionDocument, after: CollectionDocument) =>
  compareDocuments(before, after).map(({ of, says }) => `${of}: ${says}`);
const after = (...commands: Command[]) =>
  lines(
    huts,
    commands.reduce((document, command) => change(document, command).document, huts),
  );

describe('what changed between two collections', () => {
  const cases: readonly (readonly [string, Command, readonly string[]])[] = [
    ['a name', renameCollection('Winter'), ['The collection: name: Huts, then Winter']],
    [
      'a span',
      setSpan({ tiles: ['soup'], band: 0, setFor: 'all', columnSpan: 2 }),
      ['Tile “Soup”: column span: 1, then 2'],
    ],
    [
      'words',
      setPart(['bread'], heading, { words: 'Loaves' }),
      ['Tile “Bread”: heading: Bread, then Loaves'],
    ],
    [
      'a look',
      setLook(['beds'], { fill: '#102030' }),
      [expect.stringMatching(/^Tile “Beds”: fill: .*, then #102030$/) as unknown as string],
    ],
    ['a link', setTile(['snow'], { link: '#snow' }), ['Tile “Snow”: link: unset, then #snow']],
    ['a tile that is gone', removeTiles(['beds']), ['Tile “Beds”: is gone']],
    ['an order', moveInOrder(['snow'], 0), ['Tile “Snow”: comes first']],
    ['one that moved back', moveInOrder(['bread'], 2), ['Tile “Bread”: comes after “Beds”']],
    ['a gap', setArrangement({ columnGap: 5 }, 0, 'band'), ['The collection: column gap: 16, then 5']],
    ['a band', setBreakpoints([700], () => 'new'), ['Band below 700 px: is new']],
    [
      'a named look',
      setNamedLook({ id: 'moss', name: 'Moss', kind: 'colour', value: '#0b6e4f' }),
      ['Named look “Moss”: is new'],
    ],
  ];
  test.each(cases)('%s', (_, command, words) => expect(after(command)).toEqual(words));

  test('groups say where their tiles went', () => {
    const said = after(groupTiles(['bread', 'soup'], 'g', 0));
    expect(said).toContain('Tile “Bread and 1 more”: is new');
    expect(said).toContain('Tile “Bread”: comes first in “Bread and 1 more”');
  });

  test('is nothing where nothing did, and something where anything did', () => {
    fc.assert(
      fc.property(anyCollection, anyCollection, (one, other) => {
        expect(compareDocuments(one, structuredClone(one))).toEqual([]);
        const there = compareDocuments(one, other);
        expect(there.length > 0).toBe(JSON.stringify(one) !== JSON.stringify(other));
        for (const { of, says } of there) {
          expect(of.trim()).not.toBe('');
          expect(says).not.toMatch(/undefined|\[object/);
        }
      }),
      { numRuns: 20 },
    );
  });
});
