import { describe, expect, test } from '@jest/globals';
import { ANY_FAN } from '../../arrangements/fan/values.js';
import { layoutCollection } from '../../layout/layout.js';
import { layoutPage } from '../../engine/html/layoutPage.js';
import { readPage } from '../../engine/html/readPage.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { samplePictures } from '../../testing/sample.js';
import { writePage } from './writePage.js';
import type { Arrangement, CollectionDocument } from '../../document/types.js';

const ASPECTS = [1.5, 0.7, 1, 2.2, 0.8, 1.3, 1, 0.6, 1.8, 1, 1.1, 0.9];
const air = { blockStart: 20, inlineEnd: 16, blockEnd: 24, inlineStart: 16 };

/**
 * A page as core writes it, laid out again from its HTML and CSS alone. Kinds in which an aspect
 * says how high a tile is are held against browsers instead.
 */
function pageAt(document: CollectionDocument, width: number) {
  const { files } = writePage(document, LETTERS);
  const page = readPage(files['index.html'] ?? '', (href) => files[href] ?? null);
  return layoutPage(page, width, { height: 800, measurer: LETTERS, pictureSize: () => null });
}

const collection = (arrangement: Partial<Arrangement>): CollectionDocument =>
  samplePictures(ASPECTS, { columnGap: 10, rowGap: 10, padding: air, ...arrangement });

const KINDS: Readonly<Record<string, Partial<Arrangement>>> = {
  bento: { kind: 'bento', columns: ['1fr', '1fr', '1fr'], autoRows: '120px' },
  fluid: {
    kind: 'fluid',
    fluid: { repeat: 'auto-fill', min: 140, max: 5, spansFrom: null },
    autoRows: '90px',
  },
  fan: { kind: 'fan', fan: { ...ANY_FAN, inlineSize: 220, blockSize: 300, strip: 60 } },
};

describe.each(Object.entries(KINDS))('a page in %s', (_, arrangement) => {
  test.each([280, 414, 700, 1024, 1600])('lies at %i px as it was written', (width) => {
    const document = collection(arrangement);
    const { tiles } = layoutCollection(document, width, { measurer: LETTERS });
    const page = pageAt(document, width);
    const laid = new Map(page.tiles.map((tile) => [tile.id, tile]));
    for (const { id, x, y, inlineSize, blockSize } of tiles) {
      const there = laid.get(id);
      for (const [value, is] of [
        [x, there?.x],
        [y, there?.y],
        [inlineSize, there?.inlineSize],
        [blockSize, there?.blockSize],
      ])
        expect([id, Math.abs((value ?? NaN) - (is ?? NaN)) < 0.5 || [value, is]]).toEqual([id, true]);
    }
  });
});
