import { afterEach, describe, expect, jest, test } from '@jest/globals';
import type { CollectionDocument, Page } from '@noria/core';
import { unzipSync } from 'fflate';
import { stats } from '../../testing/composeStore';
import { pageArchive } from './archive';

/** As many requests as a browser sends to one server at once; a further one waits, and its time runs. */
const SENT_AT_ONCE = 6;

const pictures = Array.from({ length: 40 }, (_, k) => `p${k}`);
const document: CollectionDocument = {
  ...stats([[1, 1]]),
  pictures: Object.fromEntries(
    pictures.map((id) => [
      id,
      {
        id,
        name: `${id}.jpg`,
        alternativeText: '',
        file: `${id}.jpg`,
        hash: id,
        inlineSize: 640,
        blockSize: 400,
        mediaType: 'image/jpeg',
      } as unknown as CollectionDocument['pictures'][string],
    ]),
  ),
};
const page: Page = {
  files: { 'index.html': '<!doctype html>' },
  assets: pictures.map((picture) => ({
    kind: 'picture',
    picture,
    inlineSize: 320,
    path: `pictures/${picture}-320.webp`,
  })),
};

/** A server that answers each request after a moment, and counts how many wait for it. */
function slowServer(answer: (address: string) => Response) {
  const seen = { underWay: 0, most: 0, asked: 0 };
  jest.spyOn(globalThis, 'fetch').mockImplementation(async (address) => {
    seen.most = Math.max(seen.most, ++seen.underWay);
    seen.asked++;
    await new Promise((resolve) => setTimeout(resolve, 2));
    seen.underWay--;
    return answer(address instanceof Request ? address.url : address.toString());
  });
  return seen;
}

afterEach(() => {
  jest.restoreAllMocks();
});

describe('the archive of a page', () => {
  test('asks for no file before its time runs: those of a slow server all come', async () => {
    const seen = slowServer(() => new Response('bytes'));
    const { blob, missing } = await pageArchive(document, page);
    expect(missing).toEqual([]);
    expect(Object.keys(unzipSync(new Uint8Array(await blob.arrayBuffer()))).sort()).toEqual(
      ['index.html', ...pictures.map((id) => `pictures/${id}-320.webp`)].sort(),
    );
    expect(seen.most).toBeLessThanOrEqual(SENT_AT_ONCE);
  });

  test('names what the library has no more, and keeps the rest', async () => {
    slowServer((address) =>
      /\/p[37]\//.test(address)
        ? Response.json({ detail: 'There is no picture.' }, { status: 404 })
        : new Response('bytes'),
    );
    const { blob, missing } = await pageArchive(document, page);
    expect(missing).toEqual(['p3.jpg', 'p7.jpg']);
    expect(Object.keys(unzipSync(new Uint8Array(await blob.arrayBuffer())))).toHaveLength(39);
  });

  test('is not made where a file can’t be had, and asks for nothing more then', async () => {
    const seen = slowServer(() => Response.json({ detail: 'The disk is full.' }, { status: 500 }));
    await expect(pageArchive(document, page)).rejects.toThrow('The disk is full.');
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(seen.asked).toBeLessThanOrEqual(SENT_AT_ONCE);
  });
});
