import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { emptyDocument, newCard, newTile, partIn, type CollectionDocument } from '@noria/core';
import request from 'supertest';
import { readConfig } from '../config/config.js';
import { createTestApp, oneStat, picture, type TestApp } from '../testing/testApp.js';

/** Fewer connections than requests at once: none may hold one and wait for another. */
const CONNECTIONS = 3;
let running: TestApp;
let address: string;
const huts = '/api/workspaces/huts';

beforeAll(async () => {
  const { limits } = readConfig({ DATABASE_URL: 'postgres://unused' });
  running = await createTestApp({ limits: { ...limits, connections: CONNECTIONS, connectionWait: 20_000 } });
  await running.app.listen(0, '127.0.0.1');
  address = await running.app.getUrl();
});
afterAll(() => running.close());

interface Created {
  readonly id: string;
  readonly revision: number;
  readonly document: CollectionDocument;
}
const created = async (document: object) =>
  (await request(address).post(`${huts}/collections`).send({ document }).expect(201)).body as Created;

const patch = (id: string, basedOn: number, operations: unknown, key?: string) => {
  const sent = request(address)
    .patch(`${huts}/collections/${id}`)
    .set('Content-Type', 'application/json-patch+json')
    .set('If-Match', `"${basedOn}"`);
  if (key) void sent.set('Idempotency-Key', key);
  return sent.send(JSON.stringify(operations));
};

describe('many at once', () => {
  test('40 saves that each add a picture are all answered', async () => {
    const uploaded = await request(address)
      .post(`${huts}/pictures`)
      .attach('picture', await picture(40, 30), 'hut.png')
      .expect(201);
    const { hash } = uploaded.body as { hash: string };
    const all = await Promise.all(Array.from({ length: 40 }, () => created(oneStat())));
    const asset = {
      id: 'hut',
      name: 'Hut',
      file: 'hut.png',
      hash,
      mediaType: 'image/png',
      inlineSize: 40,
      blockSize: 30,
      alternativeText: '',
    };
    const answers = await Promise.all(
      all.map(({ id }) => patch(id, 1, [{ op: 'add', path: '/pictures/hut', value: asset }])),
    );
    expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 200));
    await request(address).get('/api/health').expect(200);
  });

  test('40 writers at one collection: every acknowledged change is there once', async () => {
    const { id } = await created(oneStat());
    const write = async (name: string): Promise<void> => {
      for (;;) {
        const { body: now } = (await request(address).get(`${huts}/collections/${id}`)) as unknown as {
          body: Created;
        };
        const value = newTile('stat', name);
        const operations = [
          { op: 'add', path: `/tiles/${name}`, value },
          { op: 'add', path: '/order/-', value: name },
        ];
        const { status } = await patch(id, now.revision, operations, name);
        if (status === 200) return;
        expect(status).toBe(412);
      }
    };
    const names = Array.from({ length: 40 }, (_, k) => `tile-${k}`);
    await Promise.all(names.map(write));
    const after = (await request(address).get(`${huts}/collections/${id}`).expect(200)).body as Created;
    expect(after.revision).toBe(41);
    expect([...after.document.order].sort()).toEqual(['beds', ...names].sort());
  });
});

/** A collection of very many tiles with words. */
function large(count: number): CollectionDocument {
  const words = 'Words about the hut and the path. '.repeat(4);
  const tiles = Array.from({ length: count }, (_, k) => newCard('text', `t${k}`, { text: { words } }));
  return {
    ...emptyDocument('Large'),
    tiles: Object.fromEntries(tiles.map((tile) => [tile.id, tile])),
    order: tiles.map(({ id }) => id),
  };
}

const headingOf = (document: CollectionDocument, tile: string) => {
  const part = partIn(document.tiles[tile], 'heading');
  return part && 'words' in part ? part.words : null;
};

describe('a large collection', () => {
  test('is checked in a thread, saved by what changed, and read again as it was', async () => {
    const document = large(4000);
    const { id } = await created(document);
    for (let revision = 1; revision <= 60; revision++) {
      const value = `Heading ${revision}`;
      await patch(id, revision, [{ op: 'replace', path: `/tiles/t${revision}/parts/1/words`, value }]).expect(
        200,
      );
    }
    const rows = (await running.query(
      `SELECT number, octet_length(document::text) AS whole, octet_length(patch::text) AS patch
       FROM collection_revision WHERE collection_id = '${id}' ORDER BY number`,
    )) as { number: number; whole: number | null; patch: number | null }[];
    const wholes = rows.filter(({ whole }) => whole !== null).map(({ number }) => number);
    expect(wholes).toEqual([1, 51]);
    expect(rows.filter(({ patch: size }) => (size ?? 0) > 200)).toEqual([]);
    const answer = (await request(address).get(`${huts}/collections/${id}`).expect(200)).body as Created;
    expect(headingOf(answer.document, 't60')).toBe('Heading 60');
    const old = (await request(address).get(`${huts}/collections/${id}/revisions/31`).expect(200))
      .body as Created;
    expect(headingOf(old.document, 't30')).toBe('Heading 30');
    expect(headingOf(old.document, 't31')).toBe('A heading');
  });

  test('takes a patch of very many operations whole or not at all, and says which one does not fit', async () => {
    const { id } = await created(large(50));
    const value = 'w'.repeat(300);
    const operations = Array.from({ length: 3000 }, (_, k) => ({
      op: 'replace',
      path: k === 2500 ? '/tiles/gone/parts/1/words' : `/tiles/t${k % 50}/parts/1/words`,
      value,
    }));
    const refused = await patch(id, 1, operations).expect(422);
    expect(refused.body).toMatchObject({ operation: 2500, path: '/tiles/gone/parts/1/words' });
    expect((refused.body as { detail: string }).detail).toContain('Operation 2501 of the patch');
    const fitting = operations.filter((_, k) => k !== 2500);
    await patch(id, 1, fitting).expect(200);
    const after = (await request(address).get(`${huts}/collections/${id}`).expect(200)).body as Created;
    expect([after.revision, headingOf(after.document, 't49')]).toEqual([2, value]);
  });

  test('that is not sound is refused with the places', async () => {
    const document = { ...large(4000), order: ['nothing'] };
    const answer = await request(address).post(`${huts}/collections`).send({ document }).expect(422);
    expect((answer.body as { detail: string }).detail).toContain('There is no tile “nothing”');
  });
});

describe('the same change twice', () => {
  test('under one key with another patch is refused', async () => {
    const { id } = await created(oneStat());
    const rename = (value: string) => [{ op: 'replace', path: '/name', value }];
    await patch(id, 1, rename('A'), 'key').expect(200);
    await patch(id, 1, rename('A'), 'key').expect(200);
    const answer = await patch(id, 2, rename('B'), 'key').expect(422);
    expect((answer.body as { type: string }).type).toContain('key-reused');
  });

  test('a key is not cut short: two long ones that begin alike are two', async () => {
    const { id } = await created(oneStat());
    await patch(id, 1, [{ op: 'replace', path: '/name', value: 'A' }], 'k'.repeat(101)).expect(400);
  });
});

describe('lists', () => {
  test('come by pages without documents, each collection once, the last changed first', async () => {
    const made = await Promise.all(Array.from({ length: 25 }, () => created(oneStat())));
    const path = `${huts}/collections`;
    const ids: string[] = [];
    let after: string | null = null;
    do {
      const query: Record<string, string> = { limit: '7', ...(after !== null && { after }) };
      const page = (await request(address).get(path).query(query).expect(200)).body as {
        entries: { id: string; document?: unknown; summary: { tiles: number } }[];
        next: string | null;
      };
      expect(page.entries.length).toBeLessThanOrEqual(7);
      expect(page.entries.some((entry) => 'document' in entry)).toBe(false);
      ids.push(...page.entries.map(({ id }) => id));
      after = page.next;
    } while (after !== null);
    expect(new Set(ids).size).toBe(ids.length);
    expect(made.filter(({ id }) => !ids.includes(id))).toEqual([]);
    await request(address).get(path).query({ after: 'nonsense' }).expect(400);
    await request(address).get(path).query({ limit: '100000' }).expect(400);
  });

  test('a collection that was changed comes first, with its name as it is now', async () => {
    const { id } = await created(oneStat());
    await created(oneStat());
    await patch(id, 1, [{ op: 'replace', path: '/name', value: 'Renamed' }]).expect(200);
    const page = (await request(address).get(`${huts}/collections`).query({ limit: '1' }).expect(200))
      .body as {
      entries: unknown[];
    };
    expect(page.entries).toMatchObject([{ id, name: 'Renamed', revision: 2, summary: { tiles: 1 } }]);
  });
});

test('others hear of a change, of its key, and of a deletion', async () => {
  const heard: string[] = [];
  const stop = new AbortController();
  const stream = await fetch(`${address}${huts}/events`, { signal: stop.signal });
  expect(stream.headers.get('content-type')).toContain('text/event-stream');
  const reading = (async () => {
    for await (const bytes of stream.body as unknown as AsyncIterable<Uint8Array>)
      heard.push(Buffer.from(bytes).toString('utf8'));
  })().catch(() => undefined);
  const { id } = await created(oneStat());
  await patch(id, 1, [{ op: 'replace', path: '/name', value: 'A' }], 'mine').expect(200);
  await request(address).delete(`${huts}/collections/${id}`).set('If-Match', '"2"').expect(204);
  const said = () =>
    [...heard.join('').matchAll(/data: (\{.*\})/g)].map(
      ([, json = '']) => JSON.parse(json) as { id: string },
    );
  while (said().filter((change) => change.id === id).length < 3) await new Promise((r) => setTimeout(r, 20));
  expect(said().filter((change) => change.id === id)).toEqual([
    { id, revision: 1, changeId: null },
    { id, revision: 2, changeId: 'mine' },
    { id, revision: null, changeId: null },
  ]);
  stop.abort();
  await reading;
});
