import { expect, test } from '@jest/globals';
import { addTile, change, partIn, type CollectionDocument, type TileId } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { pasteWords } from './pasteWords';

/** Two stats, a text card, a picture and a row of icons. */
const mixed = (['text', 'picture', 'icons'] as const).reduce<CollectionDocument>(
  (document, kind) => change(document, addTile(kind, kind)).document,
  stats([
    [1, 1],
    [1, 1],
  ]),
);

function pasted(text: string, ...selected: TileId[]) {
  const compose = composeStore(mixed);
  compose.take(...selected);
  const taken = compose.run(pasteWords(text));
  const wordsOf = (tile: TileId, part: string, field = 'words') => {
    const held = partIn(compose.document().tiles[tile], part);
    return held && (held as unknown as Record<string, unknown>)[field];
  };
  return { ...compose, taken, wordsOf };
}

test('lines go into several tiles in reading order, however they were selected, as one step', () => {
  const { wordsOf, steps, taken } = pasted('Seven\n\n  Hut four \r\n', 'text', 't2');
  expect(taken).toBe(true);
  expect(wordsOf('t2', 'figure')).toBe('Seven');
  expect(wordsOf('text', 'heading')).toBe('Hut four');
  expect(wordsOf('t1', 'figure')).toBe('1');
  expect(steps()).toEqual(['Paste words']);
});

test('tiles without words are passed over, so that no line is lost in them', () => {
  const { wordsOf } = pasted('Seven\nHut four', 't2', 'icons', 'picture', 'text');
  expect([wordsOf('t2', 'figure'), wordsOf('text', 'heading')]).toEqual(['Seven', 'Hut four']);
  expect(wordsOf('picture', 'picture', 'caption')).toBe('');
  const captions = pasted('At dusk', 'picture', 'icons');
  expect(captions.wordsOf('picture', 'picture', 'caption')).toBe('At dusk');
});

test('cells of a table go into the words after each other; what lacks a cell stays', () => {
  const { wordsOf } = pasted('184\tbeds in all\n2 710', 't1', 't2');
  expect([wordsOf('t1', 'figure'), wordsOf('t1', 'label')]).toEqual(['184', 'beds in all']);
  expect([wordsOf('t2', 'figure'), wordsOf('t2', 'label')]).toEqual(['2 710', 'beds']);
});

test('lines for which there is no tile are told of', () => {
  expect(pasted('One\nTwo\nThree\nFour', 't1', 't2').warned()).toBe(
    '2 lines were left over: select more tiles.',
  );
});

test('one tile, or nothing to paste, is left to whatever else pastes', () => {
  expect(pasted('One\nTwo', 't1').taken).toBe(false);
  expect(pasted(' \n ', 't1', 't2').taken).toBe(false);
  expect(pasted('One', 't1').steps()).toEqual([]);
});
