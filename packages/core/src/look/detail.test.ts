import { describe, expect, test } from '@jest/globals';
import { boundIn, byDetails, detailOf, extremeIn, type Detail } from './detail.js';
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

const hundred = { columns: 100, rows: 50 };

describe('every px of a picture', () => {
  test('the darkest and the lightest px in a part are found, and none beside it', () => {
    const image = detail(100, 50, 100, { '20,10': 255, '60,40': 0 }).drawnIn(100);
    const at = (which: 1 | 2, x: number, y: number) =>
      Math.round(extremeIn(image, which, around(x / 100, y / 50, 0.05, 0.06), hundred)[0] * 255);
    expect([at(LIGHTEST, 20, 10), at(DARKEST, 20, 10)]).toEqual([255, 100]);
    expect([at(LIGHTEST, 60, 40), at(DARKEST, 60, 40)]).toEqual([100, 0]);
    expect([at(LIGHTEST, 27, 10), at(LIGHTEST, 20, 15)]).toEqual([100, 100]);
  });

  test('a part smaller than a px is the px in its middle; what lies outside is held at the edge', () => {
    const image = detail(10, 10, 50, { '3,3': 200, '9,9': 250 }).drawnIn(10);
    const lightest = (...at: Parameters<typeof around>) =>
      extremeIn(image, LIGHTEST, around(...at), { columns: 10, rows: 10 })[0];
    expect(lightest(0.35, 0.35)).toBeCloseTo(200 / 255);
    expect(lightest(1.5, 1.5)).toBeCloseTo(250 / 255);
    expect(lightest(-1, -1, 0.1, 0.1)).toBeCloseTo(50 / 255);
  });

  test('each px of the page is the mean of what it covers of a picture, in part too', () => {
    // A bright line of one px, drawn two thirds as large: half of it lies in one px of the page, half in the next.
    const line = Object.fromEntries(Array.from({ length: 30 }, (_, x) => [`${x},4`, 240]));
    const image = detail(30, 30, 0, line).drawnIn(20);
    const drawn = { columns: 20, rows: 20 };
    const row = (k: number) =>
      extremeIn(image, LIGHTEST, { left: 0, right: 1, top: k / 20, bottom: (k + 1) / 20 }, drawn)[0] * 255;
    expect([1, 2, 3, 4].map((k) => Math.round(row(k)))).toEqual([0, 80, 80, 0]);
  });

  test('the bound of a part is never less dark, nor less light, than any px of the page in it', () => {
    const others = Object.fromEntries(
      Array.from({ length: 300 }, (_, k) => [`${(k * 37) % 100},${(k * 23) % 50}`, (k * 71) % 256]),
    );
    const image = detail(100, 50, 128, others).drawnIn(70);
    for (let k = 0; k < 200; k++) {
      const [left, top] = [((k * 7) % 83) / 100, ((k * 11) % 71) / 100];
      const part = { left, top, right: left + 0.15, bottom: top + 0.1 };
      const exact = (which: 1 | 2) => extremeIn(image, which, part, { columns: 70, rows: 35 })[0];
      expect(boundIn(image, DARKEST, part)[0]).toBeLessThanOrEqual(exact(DARKEST));
      expect(boundIn(image, LIGHTEST, part)[0]).toBeGreaterThanOrEqual(exact(LIGHTEST));
    }
    // What is far from it is not in it.
    const far = detail(100, 50, 128, { '90,40': 255 }).drawnIn(100);
    expect(boundIn(far, LIGHTEST, around(0.2, 0.2, 0.1, 0.1))[0]).toBeCloseTo(128 / 255);
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
    const half = detail(3, 1, 0, { '1,0': 90 }).drawnIn(1);
    expect(half.columns).toBe(2);
    expect([...half.bytes]).toEqual([30, 30, 30, 30, 30, 30]);
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
