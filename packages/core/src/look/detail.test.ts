import { describe, expect, test } from '@jest/globals';
import { byDetails, detailOf, extremeIn, type Detail } from './detail.js';
import { paintedBy } from './painted.js';
import type { PictureAsset } from '../document/types.js';

const DARKEST = 1;
const LIGHTEST = 2;

/** A grey picture with some px of another grey. */
function pixels(
  columns: number,
  rows: number,
  ground: number,
  others: Readonly<Record<string, number>> = {},
) {
  const bytes = new Uint8ClampedArray(columns * rows * 4).fill(255);
  for (let at = 0; at < columns * rows; at++) {
    const grey = others[`${at % columns},${Math.floor(at / columns)}`] ?? ground;
    bytes.set([grey, grey, grey], at * 4);
  }
  return { columns, rows, bytes };
}

const detail = (...of: Parameters<typeof pixels>) => detailOf(pixels(...of)) as Detail;

const around = (x: number, y: number, reachX = 0, reachY = 0) => ({
  left: x - reachX,
  top: y - reachY,
  right: x + reachX,
  bottom: y + reachY,
});

describe('every px of a picture', () => {
  test('the darkest and the lightest px in a part are found, and none beside it', () => {
    const image = detail(100, 50, 100, { '20,10': 255, '60,40': 0 }).drawnIn(100);
    const at = (which: 1 | 2, x: number, y: number) =>
      Math.round(extremeIn(image, which, around(x / 100, y / 50, 0.05, 0.06))[0] * 255);
    expect([at(LIGHTEST, 20, 10), at(DARKEST, 20, 10)]).toEqual([255, 100]);
    expect([at(LIGHTEST, 60, 40), at(DARKEST, 60, 40)]).toEqual([100, 0]);
    expect([at(LIGHTEST, 27, 10), at(LIGHTEST, 20, 15)]).toEqual([100, 100]);
  });

  test('a part smaller than a px is the px in its middle; what lies outside is held at the edge', () => {
    const image = detail(10, 10, 50, { '3,3': 200, '9,9': 250 }).drawnIn(10);
    expect(extremeIn(image, LIGHTEST, around(0.35, 0.35))[0]).toBeCloseTo(200 / 255);
    expect(extremeIn(image, LIGHTEST, around(1.5, 1.5))[0]).toBeCloseTo(250 / 255);
    expect(extremeIn(image, LIGHTEST, around(-1, -1, 0.1, 0.1))[0]).toBeCloseTo(50 / 255);
  });

  test('drawn smaller it has fewer px, each the mean of those that it covers', () => {
    const picture = detail(64, 32, 0, { '10,10': 240 });
    expect(picture.drawnIn(64).columns).toBe(64);
    const half = picture.drawnIn(32);
    expect([half.columns, half.rows]).toEqual([32, 16]);
    expect(Math.max(...half.bytes)).toBe(60);
    expect(picture.drawnIn(32)).toBe(half);
    // Wider than it is, it has no more to show.
    expect(picture.drawnIn(4000).columns).toBe(64);
    expect(picture.drawnIn(0).columns).toBe(1);
  });

  test('px that a smaller one covers in part count for that part', () => {
    const third = detail(3, 1, 0, { '1,0': 90 }).drawnIn(2);
    expect(third.columns).toBeLessThanOrEqual(3);
    const sums = [...third.bytes].reduce((sum, value) => sum + value, 0) / 3 / third.columns;
    expect(sums).toBeCloseTo(30, 0);
  });

  test('a picture that lets something through has none; px that are missing are refused', () => {
    const sheer = pixels(4, 4, 10);
    sheer.bytes[7] = 254;
    expect(detailOf(sheer)).toBeNull();
    expect(() => detailOf({ ...pixels(4, 4, 10), rows: 5 })).toThrow(RangeError);
  });

  test('a fill is painted by them where they are known, and by the few px of the collection elsewhere', () => {
    const picture: PictureAsset = {
      id: 'hut',
      name: 'Hut',
      file: 'hut.png',
      hash: 'a'.repeat(64),
      mediaType: 'image/png',
      inlineSize: 100,
      blockSize: 50,
      alternativeText: '',
      colours: ['#808080', '#000000', '#ffffff'],
      raster: '1x1:gICA',
    };
    const fill = {
      kind: 'picture',
      picture: 'hut',
      focalPoint: { x: 0.5, y: 0.5 },
      tint: { colour: '#000000', opacity: 0 },
    } as const;
    const details = new Map([[picture.hash, detail(100, 50, 128, { '20,10': 255 })]]);
    const grey = (hash: string, x: number) =>
      paintedBy(
        { pictures: { hut: { ...picture, hash } } },
        { fill },
        { inlineSize: 200, blockSize: 100 },
        byDetails(details, LIGHTEST),
      )({ x, y: 21, part: around(x, 21, 4, 2) }).colour[0];
    expect(grey(picture.hash, 41)).toBe(1);
    expect(grey(picture.hash, 60)).toBeCloseTo(128 / 255);
    expect(grey('b'.repeat(64), 41)).toBeCloseTo(128 / 255);
  });
});
