/** @jest-environment jsdom */
import '../../testing/browser';
import { beforeEach, expect, jest, test } from '@jest/globals';
import { addTile, change, emptyDocument, setLook, type CollectionDocument } from '@noria/core';
import { detailsReader } from './details';

const picture = (id: string) => ({
  id,
  name: id,
  file: `${id}.webp`,
  hash: id.repeat(64),
  mediaType: 'image/webp' as const,
  inlineSize: 1200,
  blockSize: 800,
  alternativeText: '',
  colours: ['#808080', '#000000', '#ffffff'],
});

/** A text on each of some pictures. */
const onPictures = (...ids: string[]): CollectionDocument =>
  ids.reduce(
    (document, id) =>
      change(document, (draft) => {
        draft.pictures[id] = picture(id);
        addTile('text', `on-${id}`)(draft);
        const tint = { colour: '#000000', opacity: 0 };
        setLook([`on-${id}`], {
          fill: { kind: 'picture', picture: id, focalPoint: { x: 0.5, y: 0.5 }, tint },
        })(draft);
      }).document,
    emptyDocument('Pictures'),
  );

const asked: string[] = [];
let isThere = true;

beforeEach(() => {
  asked.length = 0;
  isThere = true;
  const fetched = (address: string) => {
    asked.push(address);
    return isThere
      ? Promise.resolve({ ok: true, blob: () => Promise.resolve({}) })
      : Promise.reject(new TypeError('Failed to fetch'));
  };
  class Canvas {
    constructor(
      readonly width: number,
      readonly height: number,
    ) {}
    getContext = () => ({
      drawImage: () => undefined,
      getImageData: () => ({ data: new Uint8ClampedArray(this.width * this.height * 4).fill(255) }),
    });
  }
  Object.assign(globalThis, {
    fetch: jest.fn(fetched),
    createImageBitmap: () => Promise.resolve({ width: 6, height: 4, close: () => undefined }),
    OffscreenCanvas: Canvas,
  });
});

test('pictures behind words are read once, as wide as they are drawn; the same ones are the same details', async () => {
  const details = detailsReader();
  const first = await details(onPictures('a', 'b'));
  expect([...first.keys()]).toEqual(['a'.repeat(64), 'b'.repeat(64)]);
  expect(asked).toHaveLength(2);
  expect(asked[0]).toMatch(/a{64}\/960$/);
  expect(await details(onPictures('b', 'a'))).toBe(first);
  expect(asked).toHaveLength(2);
  const fewer = await details(onPictures('a'));
  expect([...fewer.keys()]).toEqual(['a'.repeat(64)]);
  expect(asked).toHaveLength(2);
});

test('what can’t be fetched is left out, and asked for again', async () => {
  const details = detailsReader();
  isThere = false;
  expect((await details(onPictures('a'))).size).toBe(0);
  isThere = true;
  expect((await details(onPictures('a'))).size).toBe(1);
  expect(asked).toHaveLength(2);
});

test('a collection without words on pictures asks for nothing', async () => {
  expect((await detailsReader()(emptyDocument('Empty'))).size).toBe(0);
  expect(asked).toEqual([]);
});
