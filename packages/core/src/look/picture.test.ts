import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assign, bestFit } from '../geometry/assign.js';
import { cropIn, isFocusLost, positionInView, scaleIn, sharpnessIn, shownShare } from './crop.js';
import { change } from '../edit/patch/change.js';
import { byNumberedName, fitPictures, pictureSlots, placeMedia } from '../edit/commands/pictures.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { newTile } from '../parts/newTile.js';
import { pictureOf } from '../document/card.js';
import type { CollectionDocument, PictureAsset } from '../document/types.js';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const size = fc.integer({ min: 1, max: 4000 });
const box = fc.record({ inlineSize: size, blockSize: size });

describe('a crop', () => {
  const centre = { x: 0.5, y: 0.5 };

  test('shows min(a/s, s/a) of a picture that covers its slot', () => {
    fc.assert(
      fc.property(box, box, (picture, slot) => {
        const a = picture.inlineSize / picture.blockSize;
        const s = slot.inlineSize / slot.blockSize;
        expect(shownShare(cropIn(picture, slot, { focalPoint: centre }))).toBeCloseTo(
          Math.min(a / s, s / a),
          6,
        );
      }),
    );
  });

  test('keeps its focal point in view, whatever the slot and the zoom', () => {
    fc.assert(
      fc.property(
        box,
        box,
        share,
        share,
        fc.double({ min: 1, max: 8, noNaN: true }),
        (picture, slot, x, y, zoom) => {
          const focalPoint = { x, y };
          expect(isFocusLost(cropIn(picture, slot, { focalPoint, zoom }), focalPoint, 0)).toBe(false);
        },
      ),
    );
  });

  test('a position that was asked for gives way to the focal point, and no more than it must', () => {
    fc.assert(
      fc.property(box, box, share, share, share, share, (picture, slot, x, y, px, py) => {
        const tile = { focalPoint: { x, y }, zoom: 1.6 };
        const position = positionInView(picture, slot, tile, { x: px, y: py });
        const crop = cropIn(picture, slot, { ...tile, position });
        expect(isFocusLost(crop, tile.focalPoint, -1e-6)).toBe(false);
        const free = cropIn(picture, slot, { ...tile, position: { x: px, y: py } });
        if (!isFocusLost(free, tile.focalPoint, 0.031)) expect(position).toEqual({ x: px, y: py });
      }),
    );
  });

  test('contain shows all of it; sharpness counts the density', () => {
    const picture = { inlineSize: 800, blockSize: 400 };
    const slot = { inlineSize: 400, blockSize: 400 };
    expect(cropIn(picture, slot, { focalPoint: centre, fit: 'contain' })).toEqual({
      x: 0,
      y: 0,
      width: 1,
      height: 1,
    });
    expect(scaleIn(picture, slot, { focalPoint: centre })).toBe(1);
    expect(sharpnessIn(picture, slot, { focalPoint: centre }, 2)).toBe(0.5);
  });
});

/** The least sum over all ways, tried one by one. */
function leastSum(costs: readonly (readonly number[])[], used: readonly number[] = []): number {
  const [row, ...rest] = costs;
  if (!row) return 0;
  return Math.min(
    ...row.map((cost, k) => (used.includes(k) ? Infinity : cost + leastSum(rest, [...used, k]))),
  );
}

describe('assignment', () => {
  const matrix = fc
    .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 2 }))
    .chain(([rows, more]) =>
      fc.array(
        fc.array(fc.integer({ min: -9, max: 20 }), { minLength: rows + more, maxLength: rows + more }),
        {
          minLength: rows,
          maxLength: rows,
        },
      ),
    );

  test('has the least sum there is, each column once', () => {
    fc.assert(
      fc.property(matrix, (costs) => {
        const given = assign(costs);
        expect(new Set(given).size).toBe(costs.length);
        const sum = given.reduce((total, column, row) => total + (costs[row]?.[column] ?? NaN), 0);
        expect(sum).toBe(leastSum(costs));
      }),
    );
  });

  test('more rows than columns can’t be', () => expect(() => assign([[1], [2]])).toThrow(RangeError));

  test('wide pictures go to wide slots, tall to tall, and every picture has one as long as there are any', () => {
    expect(bestFit([0.5, 2, 1], [2, 1, 0.6])).toEqual([1, 2, 0]);
    expect(bestFit([2], [0.5, 1.9, 1])).toEqual([null, 0, null]);
    expect(bestFit([0.5, 2, 1], [1.8])).toEqual([1]);
  });
});

describe('a set of pictures', () => {
  const asset = (id: string, inlineSize: number, blockSize: number): PictureAsset => ({
    id,
    name: id,
    file: `${id}.webp`,
    hash: id.charCodeAt(0).toString(16).padStart(64, '0'),
    mediaType: 'image/webp',
    inlineSize,
    blockSize,
    alternativeText: '',
  });
  const wide = asset('wide', 200, 100);
  const tall = asset('tall', 100, 200);
  const square = asset('square', 100, 100);
  const document: CollectionDocument = {
    ...emptyDocument('Huts'),
    tiles: { a: newTile('picture', 'a'), t: newTile('text', 't'), b: newTile('picture', 'b') },
    order: ['a', 't', 'b'],
  };
  let made = 0;
  const place = (slots: string[], aspects?: number[]) =>
    placeMedia({
      media: [wide, tall, square],
      slots,
      ...(aspects && { aspects }),
      freshId: () => `new-${made++}`,
      position: 3,
    });
  const shown = ({ tiles, order }: CollectionDocument) =>
    order.flatMap((id) => {
      const tile = tiles[id];
      const part = tile && pictureOf(tile);
      return part ? [part.picture] : [];
    });

  test('fills tiles in reading order from the one pointed at; the rest become tiles', () => {
    expect(pictureSlots(document, null)).toEqual(['a', 'b']);
    expect(pictureSlots(document, 't')).toEqual(['b']);
    const { command, tiles } = place(['a', 'b']);
    const after = change(document, command).document;
    expect(shown(after)).toEqual(['wide', 'tall', 'square']);
    expect(after.order.at(-1)).toBe(tiles.at(-1));
  });

  test('goes where least is cropped when asked to, and again later', () => {
    const after = change(document, place(['a', 'b'], [0.5, 2]).command).document;
    expect(shown(after)).toEqual(['tall', 'wide', 'square']);
    const again = change(after, fitPictures({ a: 2, b: 0.5 })).document;
    expect(shown(again)).toEqual(['wide', 'tall', 'square']);
  });

  test('is sorted by the numbers in its names', () => {
    const names = byNumberedName([{ name: 'hut 10.jpg' }, { name: 'hut 2.jpg' }, { name: 'Hut 1.jpg' }]);
    expect(names.map(({ name }) => name)).toEqual(['Hut 1.jpg', 'hut 2.jpg', 'hut 10.jpg']);
  });
});
