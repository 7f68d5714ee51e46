import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyCollection } from '../../testing/anyCollection.js';
import { flatTiles, layoutCollection } from '../../layout/layout.js';
import { layoutPage } from '../../engine/html/layoutPage.js';
import { readPage } from '../../engine/html/readPage.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { writePage } from './writePage.js';
import type { LaidOutTile } from '../../arrangements/kind.js';
import type { GridArea } from '../../geometry/area.js';

/** Every tile’s place from the collection’s corner, by its id. */
const places = (tiles: readonly Omit<LaidOutTile, keyof GridArea>[]) =>
  new Map(tiles.map(({ id, x, y, inlineSize, blockSize }) => [id, [x, y, inlineSize, blockSize]]));

test('any collection without pictures lies in its page as on the stage, at any width', () => {
  fc.assert(
    fc.property(anyCollection, fc.integer({ min: 420, max: 1600 }), (document, width) => {
      const { files } = writePage(document, LETTERS);
      const page = readPage(files['index.html'] ?? '', (href) => files[href] ?? null);
      expect(page.reports).toEqual([]);
      const options = { height: 800, measurer: LETTERS, pictureSize: () => null };
      const there = places(layoutPage(page, width, options).tiles);
      const stage = places(flatTiles(layoutCollection(document, width, { measurer: LETTERS })));
      for (const [id, place] of stage) {
        const far = place.map((value, k) => Math.abs(value - (there.get(id)?.[k] ?? NaN)));
        expect([id, far.every((each) => each < 0.5) || [place, there.get(id)]]).toEqual([id, true]);
      }
    }),
    { numRuns: 60 },
  );
});
