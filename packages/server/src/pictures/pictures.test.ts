import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { rasterOf } from '@noria/core';
import sharp from 'sharp';
import request from 'supertest';
import { claimingPicture, createTestApp, oneStat, picture, type TestApp } from '../testing/testApp.js';

let running: TestApp;
const http = () => request(running.app.getHttpServer());
const pictures = '/api/workspaces/huts/pictures';
const collections = '/api/workspaces/huts/collections';
const send = (bytes: Buffer, name: string) => http().post(pictures).attach('picture', bytes, name);
const body = (response: { body: unknown }) => response.body as { detail: string };

interface Shown {
  readonly hash: string;
  readonly name: string;
  readonly colours: readonly string[];
  readonly raster: string | null;
  readonly placeholder: string | null;
  readonly alternativeText: string;
  readonly uses: number;
}
const stored = async (bytes: Buffer, name: string) => (await send(bytes, name).expect(201)).body as Shown;

beforeAll(async () => {
  running = await createTestApp();
});
afterAll(() => running.close());

describe('pictures', () => {
  test('are stored once, delivered to keep, and made smaller on demand', async () => {
    const bytes = await picture(1400, 700);
    const stored = (await send(bytes, 'hut.png').expect(201)).body as { hash: string };
    expect(stored).toMatchObject({
      mediaType: 'image/png',
      inlineSize: 1400,
      blockSize: 700,
      name: 'hut.png',
    });
    // Under another name it is the same picture, and is found by both.
    expect((await send(bytes, 'again.png').expect(201)).body).toMatchObject({
      hash: stored.hash,
      name: 'hut.png',
      aliases: ['again.png'],
    });
    expect((await send(bytes, 'again.png').expect(201)).body).toMatchObject({ aliases: ['again.png'] });
    const found = (await http().get(`${pictures}?search=again`).expect(200)).body as { entries: Shown[] };
    expect(found.entries.map(({ hash }) => hash)).toEqual([stored.hash]);
    const original = await http().get(`${pictures}/${stored.hash}`).expect(200);
    expect(original.headers).toMatchObject({
      'content-type': 'image/png',
      'cache-control': 'public, max-age=31536000, immutable',
    });
    expect(Buffer.compare(original.body as Buffer, bytes)).toBe(0);
    await http()
      .get(`${pictures}/${stored.hash}`)
      .set('If-None-Match', original.headers.etag as string)
      .expect(304);
    const small = await http().get(`${pictures}/${stored.hash}/640`).expect(200);
    expect(small.headers['content-type']).toBe('image/webp');
    const none = await http().get(`${pictures}/${stored.hash}/641`).expect(404);
    expect(body(none).detail).toContain('320, 480, 640, 960, 1400 px wide; 641 is none of them');
    await http().get(`/api/workspaces/other/pictures/${stored.hash}`).expect(404);
    await http().get(`/api/workspaces/other/pictures/${stored.hash}/640`).expect(404);
  });

  test('a picture turned by its camera is turned upright', async () => {
    const turned = await sharp(await picture(40, 20, 'jpeg'))
      .withMetadata({ orientation: 6 })
      .toBuffer();
    expect((await send(turned, 'turned.jpg').expect(201)).body).toMatchObject({
      inlineSize: 20,
      blockSize: 40,
    });
  });

  test.each<[string, () => Promise<Buffer>, number, string]>([
    [
      'notes.png',
      () => Promise.resolve(Buffer.from('no picture at all')),
      415,
      '“notes.png” was not stored. Its bytes can’t be read as a picture. Choose a JPEG, PNG, WebP',
    ],
    ['cut.png', async () => (await picture(600, 600)).subarray(0, 400), 415, '“cut.png” was not stored.'],
    [
      'large.svg',
      () =>
        Promise.resolve(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${' '.repeat(2.1e6)}</svg>`)),
      415,
      'at most 2097152 are read',
    ],
    ['nothing.svg', () => Promise.resolve(Buffer.from('<svg')), 415, '“nothing.svg” was not stored.'],
    [
      'huge.png',
      () => claimingPicture(30_000, 30_000),
      413,
      'It is 30000 × 30000 px; at most 120 million px are read',
    ],
  ])('%s is refused', async (name, make, status, words) => {
    const answer = await send(await make(), name).expect(status);
    expect(body(answer).detail).toContain(words);
  });

  test('a form without a picture is refused', async () => {
    expect(body(await http().post(pictures).field('note', 'x').expect(400)).detail).toContain(
      'as the field “picture”',
    );
  });

  test('what a picture says of its place is taken out; its pixels stay', async () => {
    const withPlace = await sharp(await picture(60, 40, 'jpeg'))
      .withExif({ IFD3: { GPSLatitude: '46/1 30/1 0/1', GPSLatitudeRef: 'N' } })
      .toBuffer();
    expect((await sharp(withPlace).metadata()).exif).toBeDefined();
    const { hash } = await stored(withPlace, 'pass.jpg');
    const kept = (await http().get(`${pictures}/${hash}`).expect(200)).body as Buffer;
    expect((await sharp(kept).metadata()).exif).toBeUndefined();
    const pixels = (bytes: Buffer) => sharp(bytes).raw().toBuffer();
    expect(Buffer.compare(await pixels(kept), await pixels(withPlace))).toBe(0);
  });

  test('colours and a placeholder are read', async () => {
    const half = await sharp({ create: { width: 80, height: 40, channels: 3, background: '#000000' } })
      .composite([
        {
          input: { create: { width: 40, height: 40, channels: 3, background: '#ffffff' } },
          left: 40,
          top: 0,
        },
      ])
      .png()
      .toBuffer();
    const { colours, raster, placeholder } = await stored(half, 'half.png');
    const px = rasterOf(raster ?? '');
    expect([px?.columns, px?.rows]).toEqual([24, 12]);
    expect([px?.bytes.slice(0, 3), px?.bytes.slice(-3)]).toEqual([
      [0, 0, 0],
      [255, 255, 255],
    ]);
    expect(colours.slice(1)).toEqual(['#000000', '#ffffff']);
    expect(placeholder).toMatch(/^data:image\/webp;base64,/);
    const clear = await sharp({ create: { width: 8, height: 8, channels: 4, background: '#0000' } })
      .png()
      .toBuffer();
    expect(await stored(clear, 'clear.png')).toMatchObject({
      colours: [],
      raster: null,
      placeholder: null,
    });
  });

  test.each(['avif', 'gif'] as const)('%s is taken', async (format) => {
    const bytes = await sharp(await picture(64, 32))
      .toFormat(format)
      .toBuffer();
    const { hash } = await stored(bytes, `small.${format}`);
    await http().get(`${pictures}/${hash}/64`).expect(200).expect('Content-Type', 'image/webp');
  });

  test('a drawing is made safe', async () => {
    const hostile = `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"
      width="40" height="20" onload="alert(1)"><circle r="4" fill="#a00"/><script>alert(1)</script><style>@import url(https://example.org/x.css);</style>
      <a href="https://example.org"><rect width="9" height="9"/></a><image href="https://example.org/x.png"/>
      <foreignObject><iframe src="https://example.org"/></foreignObject><use xlink:href="https://example.org/x.svg#a"/>
      <rect width="40" height="20" fill="url(https://example.org/x#p)" style="fill:url(//example.org)"/></svg>`;
    const { hash } = await stored(Buffer.from(hostile), 'drawing.svg');
    const answer = await http().get(`${pictures}/${hash}`).expect(200);
    expect(answer.headers['content-security-policy']).toContain("default-src 'none'");
    const text = (answer.body as Buffer).toString('utf8');
    expect(text).toContain('<circle');
    expect(text).not.toMatch(/script|example\.org|onload|foreignObject|iframe|@import/i);
    expect(answer.headers['content-type']).toContain('image/svg+xml');
    await http().get(`${pictures}/${hash}/640`).expect(200).expect('Content-Type', 'image/webp');
  });

  test('the library finds, describes, says where used, and deletes only what is not used unless told', async () => {
    const { hash, name } = await stored(await picture(90, 60), 'Ridge at noon.png');
    const described = await http()
      .patch(`${pictures}/${hash}`)
      .send({ alternativeText: 'A 100% flat ridge' });
    expect(described.body).toMatchObject({ alternativeText: 'A 100% flat ridge' });
    const find = async (search: string) =>
      ((await http().get(pictures).query({ search }).expect(200)).body as { entries: Shown[] }).entries.map(
        (each) => each.name,
      );
    expect(await find('AT NOON')).toEqual([name]);
    expect(await find('100% flat')).toEqual([name]);
    expect(await find('100_')).toEqual([]);

    const base = oneStat();
    const asset = {
      id: 'ridge',
      name,
      file: 'ridge.png',
      hash,
      mediaType: 'image/png',
      inlineSize: 90,
      blockSize: 60,
      alternativeText: '',
    };
    const look = {
      fill: {
        kind: 'picture',
        picture: 'ridge',
        focalPoint: { x: 0, y: 0 },
        tint: { colour: '#000000', opacity: 0.5 },
      },
      textColour: 'auto',
      spread: 'end',
    };
    const document = { ...base, tiles: { beds: { ...base.tiles.beds, look } }, pictures: { ridge: asset } };
    const made = await http().post(collections).send({ document }).expect(201);
    expect((await http().get(`${pictures}/${hash}/uses`)).body).toMatchObject([
      { name: 'Beds', tiles: ['0 of something'] },
    ]);
    const refused = await http().delete(`${pictures}/${hash}`).expect(409);
    expect(body(refused).detail).toBe('It was not deleted: it is shown in “Beds” (0 of something).');
    await http().delete(`${pictures}/${hash}?evenUsed=true`).expect(204);
    await http().get(`${pictures}/${hash}`).expect(404);
    // Other changes of the collection are saved nevertheless.
    await http()
      .patch(`${collections}/${(made.body as { id: string }).id}`)
      .set('Content-Type', 'application/json-patch+json')
      .set('If-Match', '"1"')
      .send(JSON.stringify([{ op: 'replace', path: '/tiles/beds/parts/0/words', value: '9' }]))
      .expect(200);
  });
});

describe('films', () => {
  const films = '/api/workspaces/huts/films';
  /** A WebM of a header and a track of moving picture, then what would be its pictures. */
  const webm = Buffer.concat([
    Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d4287810242858102', 'hex'),
    Buffer.from(
      '18538067' + '01ffffffffffffff' + '1654ae6b' + '85' + 'ae83' + '8381011f43b675ff'.slice(0, 6),
      'hex',
    ),
    Buffer.alloc(1_400_000, 7),
  ]);

  test('are stored and delivered in the pieces that browsers ask for', async () => {
    const made = await http().post(films).attach('film', webm, 'snow.webm').expect(201);
    const { hash, mediaType } = made.body as { hash: string; mediaType: string };
    expect(mediaType).toBe('video/webm');
    await http().get(`${films}/${hash}`).expect(200).expect('Content-Length', String(webm.length));
    const piece = await http().get(`${films}/${hash}`).set('Range', 'bytes=10-19').expect(206);
    expect(piece.headers['content-range']).toBe(`bytes 10-19/${webm.length}`);
    expect(Buffer.compare(piece.body as Buffer, webm.subarray(10, 20))).toBe(0);
    await http().get(`${films}/${hash}`).set('Range', 'bytes=9000000-').expect(416);
  });

  test('what is no film is refused, whatever it is called', async () => {
    const answer = await http()
      .post(films)
      .attach('film', await picture(9, 9), 'snow.mp4')
      .expect(415);
    expect(body(answer).detail).toContain(
      '“snow.mp4” was not stored. It is image/png. Choose an MP4 or WebM',
    );
  });
});
