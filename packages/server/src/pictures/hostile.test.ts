import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import request from 'supertest';
import { deflateSync, crc32 } from 'node:zlib';
import { createTestApp, picture, type TestApp } from '../testing/testApp.js';

let running: TestApp;
let address: string;
const pictures = '/api/workspaces/huts/pictures';
const films = '/api/workspaces/huts/films';
const send = (bytes: Buffer, name: string) => request(address).post(pictures).attach('picture', bytes, name);
const detail = (answer: { body: unknown }) => (answer.body as { detail: string }).detail;

async function kept(bytes: Buffer, name: string): Promise<Buffer> {
  const { hash } = (await send(bytes, name).expect(201)).body as { hash: string };
  return (await request(address).get(`${pictures}/${hash}`).buffer(true).expect(200)).body as Buffer;
}

beforeAll(async () => {
  running = await createTestApp();
  await running.app.listen(0, '127.0.0.1');
  address = await running.app.getUrl();
});
afterAll(() => running.close());

const svg = (inside: string) =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20">${inside}</svg>`);

describe('drawings that would take long', () => {
  const nested = (depth: number) => svg('<g>'.repeat(depth) + '<path d="M0 0h4"/>' + '</g>'.repeat(depth));
  test.each<[string, Buffer, string]>([
    ['20,000 groups in each other', nested(20_000), 'lie more than 64 deep'],
    ['100,000 groups in each other', nested(100_000), 'lie more than 64 deep'],
    ['60,000 shapes', svg('<path d="M0 0h4v4z"/>'.repeat(60_000)), 'at most 20000 are read'],
    ['attributes without end', svg(`<path ${'a="1" '.repeat(70_000)}/>`), 'attributes'],
    ['filters without end', svg(`<filter id="f">${'<feTurbulence/>'.repeat(400)}</filter>`), 'filters'],
    [
      'entities that multiply',
      Buffer.from('<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>'),
      'declares entities',
    ],
    [
      'what is never closed',
      Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${'<g '.repeat(400_000)}`),
      '',
    ],
  ])('%s: refused at once, and others are served meanwhile', async (_, bytes, words) => {
    const sent = send(bytes, 'drawing.svg').then((answer) => answer);
    await request(address).get('/api/health/process').expect(200);
    const answer = await sent;
    expect([415, 422]).toContain(answer.status);
    expect(detail(answer)).toContain(words);
  });

  test('as large as is read at all is made safe in a thread', async () => {
    const text = (
      await kept(svg('<path d="M0 0h4v4z" onclick="x()"/>'.repeat(18_000)), 'full.svg')
    ).toString();
    expect(text).not.toContain('onclick');
    expect(text.match(/<path/g)).toHaveLength(18_000);
  });

  test('a group that closes itself does not count as open', async () => {
    await send(svg('<g/>'.repeat(500)), 'flat.svg').expect(201);
  });
});

describe('a drawing reaches nothing outside, however it is spelled', () => {
  test.each([
    '<rect style="fill:u\\72l(https://example.org/a)"/>',
    '<rect fill="url( \'https://example.org/a\' )"/>',
    '<rect style="background:image-set(\'https://example.org/a\' 1x)"/>',
    '<rect style="background:-webkit-image-set(\'https://example.org/a\' 1x)"/>',
    '<rect style="fill:src(\'https://example.org/a\')"/>',
    '<rect style="mask-image:cross-fade(url(https://example.org/a),red)"/>',
    '<rect style="cursor:url/**/(https://example.org/a)"/>',
    '<style>@\\69mport "https://example.org/a";</style>',
    '<style>@import/**/"https://example.org/a";</style>',
    '<style>@font-face{font-family:x;src:url(https://example.org/a)}</style>',
    '<style>@namespace x url(https://example.org/a);</style>',
    '<style>rect{fill:URL(HTTPS://example.org/a)}</style>',
    '<use href="https://example.org/a#b"/>',
    '<use xlink:href="https://example.org/a#b"/>',
    '<image href="https://example.org/a"/>',
    '<feImage href="https://example.org/a"/>',
    '<a href="https://example.org/a"><rect width="4" height="4"/></a>',
    '<textPath href="https://example.org/a"><tspan>x</tspan></textPath>',
    '<linearGradient href="https://example.org/a"/>',
    '<rect xml:base="https://example.org/a"/>',
    '<animate attributeName="href" to="https://example.org/a"/>',
    '<set attributeName="fill" to="url(https://example.org/a)"/>',
    '<foreignObject><iframe src="https://example.org/a"></iframe></foreignObject>',
    '<script href="https://example.org/a"/>',
    '<metadata>at 46.5 N, by example.org</metadata>',
  ])('%s', async (inside) => {
    const text = (await kept(svg(`<circle r="3"/>${inside}`), 'drawing.svg')).toString();
    expect(text).toContain('<circle');
    expect(text).not.toMatch(/example\.org|\\/i);
  });

  test('what refers to itself stays', async () => {
    const inside =
      '<linearGradient id="g"><stop stop-color="rgb(1,2,3)"/></linearGradient><rect fill="url(#g)" transform="translate(2)"/>';
    const text = (await kept(svg(inside), 'drawing.svg')).toString();
    expect(text).toContain('url(#g)');
    expect(text).toContain('translate(2)');
  });
});

/** A chunk of a PNG: length, type, data, checksum. */
function pngChunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc32(body));
  return Buffer.concat([length, body, sum]);
}
const segment = (marker: number, data: Buffer) => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(data.length + 2, 2);
  return Buffer.concat([head, data]);
};
const SECRET = Buffer.from('46.5N-8.1E-Anna');
const pixels = (bytes: Buffer) => sharp(bytes).raw().toBuffer();

/** Pictures with words in every place that their format has for them. */
const SPEAKING: readonly (readonly [string, () => Promise<Buffer>])[] = [
  [
    'jpeg',
    async () => {
      const plain = await picture(64, 48, 'jpeg');
      const said = [0xe1, 0xe3, 0xec, 0xed, 0xef, 0xfe].map((marker) => segment(marker, SECRET));
      const jfxx = segment(0xe0, Buffer.concat([Buffer.from('JFXX\0\x10'), SECRET]));
      const mpf = segment(0xe2, Buffer.concat([Buffer.from('MPF\0'), SECRET]));
      return Buffer.concat([plain.subarray(0, 2), ...said, jfxx, mpf, plain.subarray(2), SECRET]);
    },
  ],
  [
    'progressive.jpeg',
    async () => {
      const plain = await sharp(await picture(400, 300))
        .jpeg({ progressive: true })
        .toBuffer();
      // Between two scans.
      const scan = plain.indexOf(Buffer.from([0xff, 0xda]), plain.indexOf(Buffer.from([0xff, 0xda])) + 2);
      return Buffer.concat([plain.subarray(0, scan), segment(0xfe, SECRET), plain.subarray(scan), SECRET]);
    },
  ],
  [
    'png',
    async () => {
      const plain = await picture(64, 48, 'png');
      const end = plain.length - 12;
      const chunks = [
        pngChunk('tEXt', Buffer.concat([Buffer.from('Comment\0'), SECRET])),
        pngChunk('iTXt', Buffer.concat([Buffer.from('Place\0\0\0\0\0'), SECRET])),
        pngChunk('zTXt', Buffer.concat([Buffer.from('Place\0\0'), deflateSync(SECRET)])),
        pngChunk('tIME', Buffer.from([7, 234, 11, 27, 9, 0, 0])),
        pngChunk('prVt', SECRET),
      ];
      return Buffer.concat([plain.subarray(0, end), ...chunks, plain.subarray(end), SECRET]);
    },
  ],
  [
    'gif',
    async () => {
      const plain = await sharp(await picture(64, 48))
        .gif()
        .toBuffer();
      const comment = Buffer.concat([Buffer.from([0x21, 0xfe, SECRET.length]), SECRET, Buffer.from([0])]);
      const xmp = Buffer.concat([
        Buffer.from([0x21, 0xff, 11]),
        Buffer.from('XMP DataXMP'),
        Buffer.from([SECRET.length]),
        SECRET,
        Buffer.from([0]),
      ]);
      return Buffer.concat([plain.subarray(0, -1), comment, xmp, plain.subarray(-1)]);
    },
  ],
  [
    'webp',
    async () => {
      const speaking = await sharp(await picture(64, 48))
        .webp()
        .withExif({ IFD0: { ImageDescription: SECRET.toString() } })
        .toBuffer();
      const own = Buffer.concat([
        Buffer.from('wHo '),
        Buffer.from([SECRET.length + 1, 0, 0, 0]),
        SECRET,
        Buffer.from([0]),
      ]);
      const all = Buffer.concat([speaking, own]);
      all.writeUInt32LE(all.length - 8, 4);
      return all;
    },
  ],
  [
    'avif',
    async () =>
      sharp(await picture(64, 48))
        .avif()
        .withExif({ IFD0: { ImageDescription: SECRET.toString() } })
        .toBuffer(),
  ],
];

describe('what a picture says of itself is left out; its pixels stay', () => {
  test.each(SPEAKING)('%s', async (format, make) => {
    const speaking = await make();
    expect(speaking.includes(SECRET)).toBe(true);
    const silent = await kept(speaking, `secret.${format}`);
    expect(silent.includes(SECRET)).toBe(false);
    const metadata = await sharp(silent).metadata();
    expect([metadata.exif, metadata.xmp, metadata.iptc, metadata.comments]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    if (format !== 'avif') expect(Buffer.compare(await pixels(silent), await pixels(speaking))).toBe(0);
  });

  test('a colour profile stays', async () => {
    const profiled = await sharp(await picture(64, 48))
      .withIccProfile('p3')
      .jpeg()
      .toBuffer();
    expect((await sharp(await kept(profiled, 'p3.jpeg')).metadata()).icc).toBeDefined();
  });

  test('a film of pictures is played as often as it was', async () => {
    const frames = await Promise.all(
      ['#a00', '#0a0'].map((background) =>
        sharp({ create: { width: 8, height: 8, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
    const film = await sharp(frames, { join: { animated: true } })
      .gif({ loop: 3, delay: [200, 300] })
      .toBuffer();
    const after = await sharp(await kept(film, 'film.gif'), { animated: true }).metadata();
    expect([after.pages, after.loop, after.delay]).toEqual([2, 3, [200, 300]]);
  });
});

describe('films', () => {
  const box = (type: string, ...inside: Buffer[]) => {
    const body = Buffer.concat(inside);
    const head = Buffer.alloc(8);
    head.writeUInt32BE(body.length + 8);
    head.write(type, 4, 'latin1');
    return Buffer.concat([head, body]);
  };
  const ftyp = box('ftyp', Buffer.from('isom\0\0\0\0isomiso2mp41'));
  const track = (kind: string) =>
    box('moov', box('trak', box('mdia', box('hdlr', Buffer.alloc(8), Buffer.from(kind), Buffer.alloc(12)))));
  const store = (bytes: Buffer, name: string) => request(address).post(films).attach('film', bytes, name);

  test('are listed, delivered in pieces across their chunks, deleted', async () => {
    const data = Buffer.alloc(1_300_000, 'snow ');
    const film = Buffer.concat([ftyp, track('vide'), box('mdat', data)]);
    const { hash } = (await store(film, '../../snow.mp4').expect(201)).body as { hash: string };
    const list = (await request(address).get(films).expect(200)).body as { entries: object[] };
    expect(list.entries).toMatchObject([{ hash, name: 'snow.mp4', byteSize: film.length, uses: 0 }]);
    const piece = (range: string) =>
      request(address).get(`${films}/${hash}`).set('Range', range).buffer(true);
    const across = await piece('bytes=524200-524400').expect(206);
    expect(Buffer.compare(across.body as Buffer, film.subarray(524_200, 524_401))).toBe(0);
    const last = await piece('bytes=-5').expect(206);
    expect(Buffer.compare(last.body as Buffer, film.subarray(-5))).toBe(0);
    const whole = await request(address).get(`${films}/${hash}`).buffer(true).expect(200);
    expect(Buffer.compare(whole.body as Buffer, film)).toBe(0);
    await request(address).head(`${films}/${hash}`).expect(200).expect('Content-Length', String(film.length));
    await request(address).delete(`${films}/${hash}`).expect(204);
    await request(address).get(`${films}/${hash}`).expect(404);
    expect(await running.query(`SELECT count(*)::int AS n FROM file_chunk WHERE hash = '${hash}'`)).toEqual([
      { n: 0 },
    ]);
  });

  test.each<[string, Buffer]>([
    ['only sound', Buffer.concat([ftyp, track('soun'), box('mdat', Buffer.alloc(50))])],
    ['only a beginning', ftyp],
    ['boxes longer than the file', Buffer.concat([ftyp, Buffer.from('7fffffff6d6f6f76', 'hex')])],
    [
      'a WebM without a track',
      Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d4287810242858102', 'hex'),
    ],
  ])('%s is refused', async (_, bytes) => {
    expect(detail(await store(bytes, 'snow.mp4').expect(415))).toContain('was not stored.');
  });
});
