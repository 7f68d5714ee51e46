import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkFit } from './fit/checkFit.js';
import { LEAST_SHOWN } from './fit/pictureFindings.js';
import { bearingAt } from './bearingAt.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { sample } from '../testing/sample.js';
import { cardWith, withHeld } from '../testing/held.js';
import type { CollectionDocument } from '../document/types.js';

const base = sample([[1, 1]]);
const text = cardWith('text', 'words', { heading: '', text: 'Hüttenwartsversammlung' });
const picture = cardWith('picture', 'wide', { picture: { picture: 'p' } });
const document: CollectionDocument = {
  ...base,
  tiles: { words: text, wide: picture },
  order: ['words', 'wide'],
  pictures: {
    p: {
      id: 'p',
      name: 'P',
      file: 'p.webp',
      hash: 'a'.repeat(64),
      mediaType: 'image/webp',
      inlineSize: 3000,
      blockSize: 1000,
      alternativeText: '',
    },
  },
};
// Six columns in 1280 px: (1280 − 48 − 5·16) / 6 = 192 px; rows of 160 px.
const at = (mostCrop: number, doc = document) => bearingAt(doc, 1280, 1280, mostCrop, LETTERS);

describe('what tiles bear at a width', () => {
  test('no word sticks out of a span: 22 letters of 8 px and the padding', () => {
    expect(at(0.5).allows('words', { columns: 1, rows: 1 })).toBe(false);
    expect(at(0.5).allows('words', { columns: 2, rows: 1 })).toBe(true);
  });

  test('no text is clipped by rows of px; rows that follow their content bear any', () => {
    const long = {
      ...document,
      tiles: { ...document.tiles, words: withHeld(text, { text: 'snow '.repeat(200) }) },
    };
    expect(at(0.5, long).allows('words', { columns: 1, rows: 2 })).toBe(false);
    const growing = { ...long, arrangement: { ...long.arrangement, autoRows: 'auto' } };
    expect(at(0.5, growing).allows('words', { columns: 1, rows: 1 })).toBe(true);
    expect(at(0.5, growing).aspectOf({ columns: 2, rows: 1 })).toBeNull();
  });

  test('a picture of 3 : 1 loses more in a square than in a wide slot', () => {
    expect(at(0.5).aspectOf({ columns: 2, rows: 1 })).toBe(400 / 160);
    expect(at(0.5).allows('wide', { columns: 1, rows: 1 })).toBe(false);
    expect(at(0.5).allows('wide', { columns: 2, rows: 1 })).toBe(true);
    expect(at(0.7).allows('wide', { columns: 1, rows: 1 })).toBe(true);
  });

  test('nothing is allowed that the check finds squashed, clipped or cropped too far', () => {
    const contained = { ...withHeld(picture, { picture: { fit: 'contain' } }), id: 'whole' };
    const running = cardWith('text', 'running', { heading: 'Hut', text: 'Bread, a spoon and a blanket.' });
    const all: CollectionDocument = {
      ...document,
      tiles: { ...document.tiles, whole: contained, running },
      bands: [],
    };
    fc.assert(
      fc.property(
        fc.constantFrom('words', 'wide', 'whole', 'running'),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 500, max: 1600 }),
        (id, columns, rows, width) => {
          const tile = all.tiles[id];
          if (!tile) throw new Error('There is no such tile.');
          const alone = {
            ...all,
            order: [id],
            tiles: { [id]: { ...tile, place: { columnSpan: columns, rowSpan: rows, pin: null } } },
          };
          const amiss = checkFit(alone, { measurer: LETTERS, from: width, to: width }).findings.filter(
            ({ kind }) => kind === 'squashed' || kind === 'clipped' || kind === 'over-cropped',
          );
          const { allows } = bearingAt(alone, width, width, 1 - LEAST_SHOWN, LETTERS);
          expect([allows(id, { columns, rows }), amiss.map(({ kind }) => kind)]).toEqual([
            amiss.length === 0,
            amiss.map(({ kind }) => kind),
          ]);
        },
      ),
    );
  });
});
