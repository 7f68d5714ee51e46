import { beforeEach, expect, jest, test } from '@jest/globals';
import { applyPatch, checkDocument, type CollectionDocument, type JsonPatch } from '@noria/core';
import { stats } from '../../testing/composeStore';
import { listAside } from './aside';
import { sendLeft } from './left';

/** The browser’s synchronous storage. */
const journal = new Map<string, string>();
Object.assign(globalThis, {
  localStorage: {
    getItem: (key: string) => journal.get(key) ?? null,
    setItem: (key: string, value: string) => void journal.set(key, value),
    removeItem: (key: string) => void journal.delete(key),
  },
  window: { addEventListener: () => undefined },
});

const LEFT = { collection: 'c', tab: 'gone' };
const then = {
  ...stats([[1, 1]]),
  formatVersion: 1,
  tiles: {
    t1: {
      id: 't1',
      name: 'Stat 1',
      kind: 'stat',
      figure: '1',
      label: 'beds',
      place: { columnSpan: 1, rowSpan: 1, pin: null },
      look: { fill: '#ffffff', textColour: 'auto', spread: 'end' },
    },
  },
};
const now = checkDocument(then).document as CollectionDocument;

/** A server whose collection is at a revision; it has the documents of both format versions. */
function serverAt(revision: number, made: readonly string[] = []) {
  const sent: { patch: JsonPatch; format: string | null }[] = [];
  const fetch = (url: string, init: RequestInit = {}) => {
    const headers = new Headers(init.headers);
    if (init.method === 'PATCH') {
      const format = headers.get('Noria-Format');
      if (made.includes(headers.get('Idempotency-Key') ?? ''))
        return Promise.resolve(Response.json({ revision }));
      if (format !== '3')
        return Promise.resolve(Response.json({ detail: 'Another format version.' }, { status: 409 }));
      sent.push({ patch: JSON.parse(init.body as string) as JsonPatch, format });
      return Promise.resolve(Response.json({ revision: revision + 1 }));
    }
    return Promise.resolve(
      Response.json(
        url.includes('/revisions/')
          ? { document: then }
          : { id: 'c', name: 'Beds', revision, updatedAt: '', document: now },
      ),
    );
  };
  Object.assign(globalThis, { fetch: jest.fn(fetch) });
  return sent;
}

/** An outbox as a tab of the first format version left it. */
const left = (underWay: JsonPatch | null, unsent: JsonPatch) =>
  journal.set(
    'noria-unsent:c:gone',
    JSON.stringify({
      revision: 4,
      underWay: underWay && { changeId: 'k', patch: underWay },
      unsent,
      write: Date.now(),
    }),
  );
const figure = (value: string): JsonPatch => [{ op: 'replace', path: '/tiles/t1/figure', value }];
const label = (value: string): JsonPatch => [{ op: 'replace', path: '/tiles/t1/label', value }];

beforeEach(() => journal.clear());

test('changes that were left by an older version of Noria are sent in the words of today', async () => {
  const sent = serverAt(4);
  left(figure('12'), label('bunks'));
  expect(await sendLeft(LEFT)).toEqual({ kind: 'saved', name: 'Beds' });
  expect(sent.map(({ format }) => format)).toEqual(['3']);
  const made = applyPatch(now, sent[0]?.patch ?? []);
  expect(made.tiles.t1).toMatchObject({ parts: [{ words: '12' }, { words: 'bunks' }] });
  expect(await listAside('c')).toEqual([]);
});

test('of those that had arrived already only the rest is sent', async () => {
  const sent = serverAt(5, ['k']);
  left(figure('1'), label('bunks'));
  expect(await sendLeft(LEFT)).toEqual({ kind: 'saved', name: 'Beds' });
  expect(sent.map(({ patch }) => patch)).toEqual([
    [{ op: 'replace', path: '/tiles/t1/parts/1/words', value: 'bunks' }],
  ]);
});

test('what can’t be read just now is left where it is, and tried again', async () => {
  const sent = serverAt(5);
  const { fetch } = globalThis;
  const failing = (url: string, init?: RequestInit) =>
    url.includes('/revisions/')
      ? Promise.resolve(Response.json({ detail: 'No connection to the database.' }, { status: 503 }))
      : fetch(url, init);
  Object.assign(globalThis, { fetch: failing });
  left(null, figure('12'));
  await expect(sendLeft(LEFT)).rejects.toMatchObject({ status: 503 });
  expect(await listAside('c')).toEqual([]);
  Object.assign(globalThis, { fetch });
  expect(await sendLeft(LEFT)).toEqual({ kind: 'saved', name: 'Beds' });
  expect(sent).toHaveLength(1);
});
