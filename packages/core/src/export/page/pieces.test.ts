import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ANY_ROW_HEIGHTS } from '../../arrangements/rows/values.js';
import { ANY_MASONRY } from '../../arrangements/masonry/values.js';
import { ANY_MOSAIC } from '../../arrangements/mosaic/values.js';
import { bandAt } from '../../document/bands.js';
import { bandCss } from './bandCss.js';
import { change } from '../../edit/patch/change.js';
import { groupTiles } from '../../edit/commands/groups.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { onLevel } from '../../edit/commands/level.js';
import { piecesOf } from './pieces.js';
import { sample, samplePictures } from '../../testing/sample.js';
import { setKind } from '../../edit/commands/kinds.js';
import type { CollectionDocument } from '../../document/types.js';

const aspects = [1, 0.6, 1.8, 1.2, 0.8, 2.2, 1, 0.7, 1.5, 1.1];
const pictures = (kind: 'masonry' | 'rows' | 'mosaic' | 'fluid'): CollectionDocument => ({
  ...samplePictures(aspects, {
    kind,
    columnGap: 10,
    rowGap: 10,
    masonry: { ...ANY_MASONRY, min: 180 },
    rowHeights: { ...ANY_ROW_HEIGHTS, target: 200 },
    mosaic: { ...ANY_MOSAIC, count: null, min: 80 },
    cells: 'square',
  }),
  bands: [{ id: 'narrow', below: 700, arrangement: { columnGap: 6, rowGap: 6 }, tiles: {} }],
});
const inGroup = (kind: 'masonry' | 'rows' | 'fluid'): CollectionDocument => {
  const grouped = change(
    samplePictures(aspects),
    groupTiles(['p2', 'p3', 'p4', 'p5', 'p6'], 'g', 0),
  ).document;
  return change(grouped, onLevel('g', setKind(kind, 0, 'all'))).document;
};
const words: CollectionDocument = {
  ...sample([
    [1, 1],
    [1, 1],
    [2, 1],
    [1, 1],
  ]),
  bands: [],
  arrangement: { ...pictures('masonry').arrangement, kind: 'masonry' },
};

describe('the pieces of a page', () => {
  const widths = fc.integer({ min: 240, max: 2560 });

  test.each([
    ['masonry', pictures('masonry')],
    ['rows', pictures('rows')],
    ['a mosaic', pictures('mosaic')],
    ['square fluid cells', pictures('fluid')],
    ['a group in masonry', inGroup('masonry')],
    ['a group in rows', inGroup('rows')],
    ['a fluid group', inGroup('fluid')],
  ])('of %s say at every width what its layout says there', (_, document) => {
    const pieces = piecesOf(document, LETTERS);
    fc.assert(
      fc.property(widths, (width) => {
        const piece = pieces.find(({ band }) => width >= band.from && width < band.below);
        expect(piece?.css.rules).toEqual(bandCss(document, bandAt(document, width), LETTERS).rules);
      }),
      { numRuns: 120 },
    );
  });

  test('join without a gap, from wide to narrow, and are few', () => {
    for (const document of [pictures('masonry'), pictures('rows'), words]) {
      const pieces = piecesOf(document, LETTERS);
      expect(pieces[0]?.band.below).toBe(Infinity);
      expect(pieces.at(-1)?.band.from).toBe(0);
      pieces.slice(1).forEach(({ band }, k) => expect(band.below).toBe(pieces[k]?.band.from));
      expect(pieces.length).toBeLessThan(120);
    }
  });

  test('of what holds at every width is one a band', () => {
    for (const kind of ['bento', 'fan'] as const) {
      const document = { ...pictures('masonry') };
      const held = { ...document, arrangement: { ...document.arrangement, kind, cells: 'tracks' as const } };
      expect(piecesOf(held, LETTERS)).toHaveLength(2);
    }
  });
});
