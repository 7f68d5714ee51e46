import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anySteps, commandOf, start } from '../testing/anySteps.js';
import { change } from '../edit/patch/change.js';
import { checkDocument } from '../check/checkDocument.js';
import { layoutCollection } from '../layout/layout.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { newTile } from '../parts/newTile.js';
import { sample, samplePictures } from '../testing/sample.js';
import { summaryOf } from './summary.js';
import { withEntryIds } from '../check/entryIds.js';
import { cardWith } from '../testing/held.js';
import type { CollectionDocument, Tile } from '../document/types.js';

describe('a summary', () => {
  test('of any collection is sound, and has its first tiles in their order', () => {
    fc.assert(
      fc.property(anySteps(12), fc.integer({ min: 1, max: 12 }), (steps, most) => {
        let document = start;
        steps.forEach((step, k) => ({ document } = change(document, commandOf(document, step, `n${k}`))));
        const small = summaryOf(document, most);
        expect(checkDocument(small).problems).toEqual([]);
        expect(small.order).toEqual(document.order.slice(0, small.order.length));
        expect(Object.keys(small.tiles).length).toBe(Math.min(most, Object.keys(document.tiles).length));
      }),
      { numRuns: 200 },
    );
  });

  test('lies as the beginning of the collection, and holds only the pictures that it shows', () => {
    const document = samplePictures(Array.from({ length: 60 }, (_, k) => 0.6 + (k % 5) / 4));
    const small = summaryOf(document, 12);
    expect(Object.keys(small.pictures)).toEqual(small.order);
    const tiles = (of: CollectionDocument) =>
      layoutCollection(of, 1280, { measurer: LETTERS }).tiles.slice(0, 12);
    expect(tiles(small)).toEqual(tiles(document));
  });

  test('is small, however long the words are', () => {
    const body = 'A very long story of the hut. '.repeat(500);
    const tiles = Object.fromEntries(
      Array.from({ length: 200 }, (_, k) => [`t${k}`, cardWith('text', `t${k}`, { text: body })]),
    );
    const document = { ...sample([]), tiles, order: Object.keys(tiles) };
    expect(JSON.stringify(summaryOf(document)).length).toBeLessThan(60_000);
  });
});

describe('what is left out of entries of lists', () => {
  const stop = (colour: string, at: number, id?: string) => ({ colour, at, ...(id && { id }) });
  const tile = (stops: ReturnType<typeof stop>[]) =>
    ({
      ...newTile('text', 't1'),
      look: { ...newTile('text', 't1').look, fill: { kind: 'linear', angle: 0, stops } },
    }) as Tile;
  const idsOf = (document: CollectionDocument) => {
    const fill = document.tiles.t1?.look.fill;
    return typeof fill === 'object' && 'stops' in fill ? fill.stops.map(({ id }) => id) : [];
  };
  const base = { ...sample([[1, 1]], 3) };

  test('is filled in alike for everyone, and stays what it is where it is there', () => {
    const document = {
      ...base,
      tiles: { t1: tile([stop('#111111', 0), stop('#222222', 0.5, 'mine'), stop('#333333', 1)]) },
    };
    const once = withEntryIds(document);
    expect(idsOf(once)).toEqual(['stop-1', 'mine', 'stop-2']);
    expect(once.arrangement.columnIds).toEqual(['track-1', 'track-2', 'track-3']);
    expect(withEntryIds(once)).toBe(once);
    expect(withEntryIds(JSON.parse(JSON.stringify(document)) as CollectionDocument)).toEqual(once);
  });

  test('gets another id where two entries have the same one', () => {
    const twice = { ...base, tiles: { t1: tile([stop('#111111', 0, 'a'), stop('#222222', 1, 'a')]) } };
    expect(new Set(idsOf(withEntryIds(twice))).size).toBe(2);
  });
});

describe('a document that was made from a sound one', () => {
  test('is checked as if it were looked at anew', () => {
    const sound = checkDocument(start).document as CollectionDocument;
    fc.assert(
      fc.property(
        fc.constantFrom('t1', 't2', 'gone'),
        fc.constantFrom<Record<string, unknown>>(
          { name: '' },
          { name: 'x' },
          { kind: 'quote' },
          { place: null },
          { id: 't9' },
        ),
        fc.boolean(),
        (id, values, isMoved) => {
          const tiles: Record<string, unknown> = {
            ...sound.tiles,
            [id]: { ...sound.tiles.t1, id, ...values },
          };
          // The same object under another id is another tile.
          if (isMoved) tiles.t3 = sound.tiles.t4;
          const made = { ...sound, tiles };
          expect(checkDocument(made, sound).problems).toEqual(checkDocument(made).problems);
        },
      ),
    );
  });

  test('is refused when what it shows is taken away', () => {
    const sound = checkDocument(samplePictures([1, 2])).document as CollectionDocument;
    const without = { ...sound, pictures: {} };
    expect(checkDocument(without, sound).document).toBeNull();
    expect(checkDocument(without, sound).problems).toEqual(checkDocument(without).problems);
  });
});
