import { afterAll, beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Agent, request as ask } from 'node:http';
import { readConfig } from './config/config.js';
import { createTestApp, oneStat, picture, type TestApp } from './testing/testApp.js';

let running: TestApp;
let port: number;
const agent = new Agent({ keepAlive: true, maxSockets: 16 });

interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | null;
}
interface Answer {
  readonly status: number;
  readonly type: string;
  readonly body: string;
}

function send({ method, path, headers, body }: Asked): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const length = body === null ? {} : { 'Content-Length': String(Buffer.byteLength(body)) };
    const sent = ask(
      { agent, host: '127.0.0.1', port, method, path, headers: { ...headers, ...length } },
      (answer) => {
        const { statusCode = 0, headers: said } = answer;
        const type = said['content-type'] ?? '';
        // A stream of events has no end.
        if (type.startsWith('text/event-stream')) {
          sent.destroy();
          resolve({ status: statusCode, type, body: '' });
          return;
        }
        const pieces: Buffer[] = [];
        answer.on('data', (piece: Buffer) => pieces.push(piece));
        answer.on('end', () =>
          resolve({ status: statusCode, type, body: Buffer.concat(pieces).toString('utf8') }),
        );
        answer.on('error', reject);
      },
    );
    sent.on('error', reject);
    sent.end(body ?? undefined);
  });
}

let collection = '';
let hash = '';
beforeAll(async () => {
  const { limits } = readConfig({ DATABASE_URL: 'postgres://unused' });
  running = await createTestApp({ limits: { ...limits, requestsInTenSeconds: 0 } });
  await running.app.listen(0, '127.0.0.1');
  port = Number(new URL(await running.app.getUrl()).port);
  const json = { 'Content-Type': 'application/json' };
  const made = await send({
    method: 'POST',
    path: '/api/workspaces/huts/collections',
    headers: json,
    body: JSON.stringify({ document: oneStat() }),
  });
  collection = (JSON.parse(made.body) as { id: string }).id;
  const form = new FormData();
  form.append('picture', new Blob([new Uint8Array(await picture(20, 10))]), 'hut.png');
  const stored = await fetch(`http://127.0.0.1:${port}/api/workspaces/huts/pictures`, {
    method: 'POST',
    body: form,
  });
  hash = ((await stored.json()) as { hash: string }).hash;
});
afterAll(async () => {
  agent.destroy();
  await running.close();
});

/** What stands where an id, a hash, a number or words are due. */
const word = fc.oneof(
  fc.constantFrom(
    'COLLECTION',
    'HASH',
    'huts',
    'other',
    'nowhere',
    '0',
    '1',
    '320',
    '-1',
    '1e3',
    '0x10',
    '1.5',
  ),
  fc.constantFrom(
    '2147483647',
    '2147483648',
    '9007199254740993',
    '99999999999999999999',
    'NaN',
    'null',
    'undefined',
  ),
  fc.constantFrom(
    '%00',
    'a%00b',
    '%',
    '%zz',
    '%ff',
    '..',
    '%2e%2e%2f',
    '%F0%9F%8F%94',
    '__proto__',
    'constructor',
  ),
  fc.constantFrom('00000000-0000-4000-8000-000000000000', 'a'.repeat(64), 'A'.repeat(64), 'x'.repeat(3000)),
  fc.string({ maxLength: 12 }).map(encodeURIComponent),
);
const step = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.constantFrom(
      'workspaces',
      'collections',
      'pictures',
      'films',
      'fonts',
      'subset',
      'revisions',
      'uses',
      'recipes',
      'events',
      'health',
    ),
  },
  { weight: 5, arbitrary: word },
);
const KNOWN = [
  ['workspaces'],
  ['health'],
  ['docs-json'],
  ['schema'],
  ['workspaces', 'huts', 'collections'],
  ['workspaces', 'huts', 'collections', '?'],
  ['workspaces', 'huts', 'collections', '?', 'revisions'],
  ['workspaces', 'huts', 'collections', '?', 'revisions', '?'],
  ['workspaces', 'huts', 'pictures'],
  ['workspaces', 'huts', 'pictures', '?'],
  ['workspaces', 'huts', 'pictures', '?', 'uses'],
  ['workspaces', 'huts', 'pictures', '?', '?'],
  ['workspaces', 'huts', 'films'],
  ['workspaces', 'huts', 'films', '?'],
  ['workspaces', 'huts', 'fonts'],
  ['workspaces', 'huts', 'fonts', '?'],
  ['workspaces', 'huts', 'fonts', '?', 'subset'],
  ['workspaces', 'huts', 'recipes'],
  ['workspaces', '?', 'collections'],
] as const;
const steps = fc.oneof(
  {
    weight: 5,
    arbitrary: fc
      .tuple(fc.constantFrom(...KNOWN), fc.array(word, { minLength: 3, maxLength: 3 }))
      .map(([way, words]) => {
        let k = 0;
        return way.map((each) => (each === '?' ? (words[k++] ?? '') : each));
      }),
  },
  { weight: 1, arbitrary: fc.array(step, { maxLength: 7 }) },
);
const query = fc.array(
  fc.tuple(
    fc.constantFrom(
      'search',
      'limit',
      'after',
      'before',
      'only',
      'evenUsed',
      '__proto__',
      'search[]',
      'limit[a]',
      'after',
    ),
    word,
  ),
  { maxLength: 4 },
);

const odd = fc.oneof(
  fc.jsonValue({ maxDepth: 3 }),
  fc.constantFrom(
    '\u0000',
    'a\u0000b',
    '\ud800',
    null,
    2 ** 31,
    2 ** 53,
    1e308,
    -0,
    '',
    [],
    {},
    [null],
    [[]],
    true,
  ),
  fc.constantFrom(
    'x'.repeat(5000),
    oneStat(),
    { __proto__: null },
    JSON.parse('{"__proto__":{"a":1}}') as object,
  ),
);
const fieldNames = fc.constantFrom(
  'name',
  'document',
  'alternativeText',
  'op',
  'path',
  'value',
  'from',
  '__proto__',
  'constructor',
  'toString',
  '',
  'a\u0000',
);
const operation = fc.record(
  {
    op: fc.oneof(fc.constantFrom('add', 'remove', 'replace', 'move', 'copy', 'test'), odd),
    path: fc.oneof(
      fc.constantFrom(
        '',
        '/',
        '/name',
        '/tiles/beds',
        '/tiles/beds/figure',
        '/order/-',
        '/order/0',
        '/bands',
        '/__proto__/a',
        '/tiles/~2',
        '/a/b/c',
      ),
      odd,
    ),
    from: fc.oneof(fc.constantFrom('/tiles', '/name', ''), odd),
    value: odd,
  },
  { requiredKeys: [] },
);
const body = fc.oneof(
  fc.constant(null),
  fc.constantFrom(
    '',
    '{',
    'null',
    '[]',
    '""',
    '0',
    '[[[[',
    '['.repeat(70) + ']'.repeat(70),
    '{"a":'.repeat(500),
    '\u0000',
    '{"name":"a\\u0000b"}',
  ),
  odd.map((value) => JSON.stringify(value)),
  fc.dictionary(fieldNames, odd, { maxKeys: 3 }).map((value) => JSON.stringify(value)),
  fc.array(operation, { maxLength: 4 }).map((value) => JSON.stringify(value)),
  fc.string({ maxLength: 40 }),
);
const TYPES = [
  'application/json',
  'application/json-patch+json',
  'text/plain',
  'multipart/form-data',
  'multipart/form-data; boundary=x',
  'application/json; charset=utf-99',
  'nonsense',
  '',
] as const;
const header = (name: string, ...values: readonly string[]) =>
  fc
    .option(
      fc.oneof(
        fc.constantFrom(...values),
        fc.string({ maxLength: 10 }).map((text) => text.replace(/[^\x20-\x7e]/g, '?')),
      ),
      { nil: undefined, freq: 2 },
    )
    .map((value) => (value === undefined ? {} : { [name]: value }));
const headers = fc
  .tuple(
    fc.constantFrom(...TYPES).map((type) => (type === '' ? {} : { 'Content-Type': type })),
    header('If-Match', '"1"', '"2"', '"99999999999"', '*', '1', 'W/"1"'),
    header('Idempotency-Key', 'one', 'k'.repeat(200), ''),
    header('Range', 'bytes=0-5', 'bytes=5-2', 'bytes=-', 'bytes=0-0,2-3', 'bytes=99999999999-', 'items=1-2'),
    header('If-None-Match', '*', '"1"'),
    header('Content-Encoding', 'gzip', 'br', 'nonsense'),
    header('Accept-Encoding', 'identity', '*;q=0'),
  )
  .map((parts) => Object.assign({}, ...parts) as Record<string, string>);

const asked = fc.record({
  method: fc.constantFrom('GET', 'GET', 'POST', 'PATCH', 'PATCH', 'DELETE', 'PUT', 'HEAD', 'OPTIONS'),
  path: fc.tuple(steps, query).map(([way, pairs]) => {
    const asks = pairs.map(([name, value]) => `${name}=${value}`).join('&');
    return `/api/${way.join('/')}${asks === '' ? '' : `?${asks}`}`;
  }),
  headers,
  body,
});

const RUNS = 10_000;

test('any request is answered: never by 500, a refusal in words', async () => {
  const wrong: unknown[] = [];
  const all = fc.sample(asked, {
    numRuns: RUNS,
    ...(typeof fc.readConfigureGlobal().seed === 'number' && {
      seed: fc.readConfigureGlobal().seed as number,
    }),
  });
  const queue = all.values();
  const worker = async () => {
    for (const each of queue) {
      const request = {
        ...each,
        path: each.path.replaceAll('COLLECTION', collection).replaceAll('HASH', hash).replaceAll(' ', '%20'),
        // What has no body by its method is sent without one.
        body: ['GET', 'HEAD', 'OPTIONS'].includes(each.method) ? null : each.body,
      };
      const answer = await send(request);
      const isWrong =
        answer.status >= 500 ||
        (answer.status >= 400 &&
          request.method !== 'HEAD' &&
          answer.status !== 416 &&
          (!answer.type.includes('application/problem+json') ||
            ((JSON.parse(answer.body) as { detail?: string }).detail ?? '').length < 8));
      if (isWrong) wrong.push([request, answer.status, answer.type, answer.body.slice(0, 300)]);
    }
  };
  await Promise.all(Array.from({ length: 12 }, worker));
  expect(wrong.slice(0, 5)).toEqual([]);
  const { status } = await send({ method: 'GET', path: '/api/health', headers: {}, body: null });
  expect(status).toBe(200);
});

test('a read that fails does not speak of a change', async () => {
  await running.query('ALTER TABLE film RENAME TO gone');
  const answer = await send({ method: 'GET', path: '/api/workspaces/huts/films', headers: {}, body: null });
  await running.query('ALTER TABLE gone RENAME TO film');
  expect(answer.status).toBe(500);
  expect(answer.body).not.toContain('change');
  expect(JSON.parse(answer.body)).toMatchObject({ requestId: expect.stringMatching(/^[0-9a-f-]{36}$/) });
});
