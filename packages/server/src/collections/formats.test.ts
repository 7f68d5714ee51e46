import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { partIn, type CollectionDocument } from '@noria/core';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { createTestApp, createTestAppOn, oneStat, type TestApp } from '../testing/testApp.js';

let running: TestApp;
const huts = '/api/workspaces/huts/collections';
const http = (app = running.app) => request(app.getHttpServer());

interface Body {
  readonly id: string;
  readonly revision: number;
  readonly document: CollectionDocument;
}

beforeAll(async () => {
  running = await createTestApp();
});
afterAll(() => running.close());

/** A tile as the first format version had it. */
const old = {
  id: 'beds',
  name: 'Stat',
  kind: 'stat',
  figure: '184',
  label: 'beds',
  place: { columnSpan: 1, rowSpan: 1, pin: null },
  look: { fill: '#ffffff', ink: 'auto', spread: 'centre' },
};
const marks = {
  ...old,
  id: 'marks',
  kind: 'marks',
  marks: [
    { icon: null, picture: null, label: 'Soup', address: '' },
    { icon: null, picture: null, label: 'Bread', address: '' },
  ],
  markSize: 28,
  showLabels: true,
};

/** A collection as a server of the first format version left it: a whole document, and two changes since. */
async function storedThen(): Promise<string> {
  const { id } = (await http().post(huts).send({ document: oneStat() }).expect(201)).body as Body;
  const { formatVersion: _, tiles: __, ...rest } = oneStat();
  const document = { ...rest, formatVersion: 1, tiles: { beds: old, marks }, order: ['beds', 'marks'] };
  const database = running.app.get(DataSource);
  await database.query('DELETE FROM collection_revision WHERE collection_id = $1', [id]);
  const add = (number: number, whole: object | null, patch: object | null) =>
    database.query(
      `INSERT INTO collection_revision (collection_id, number, document, patch, change_id, format)
       VALUES ($1, $2, $3, $4, $5, 1)`,
      [id, number, whole && JSON.stringify(whole), patch && JSON.stringify(patch), `then-${number}`],
    );
  await add(1, document, null);
  await add(2, null, [{ op: 'replace', path: '/tiles/beds/figure', value: '190' }]);
  // The icons had got their ids when the document was read, and changed places.
  await add(3, null, [
    { op: 'replace', path: '/tiles/marks/marks/0/label', value: 'Bread' },
    { op: 'replace', path: '/tiles/marks/marks/0/id', value: 'icon-2' },
    { op: 'replace', path: '/tiles/marks/marks/1/label', value: 'Soup' },
    { op: 'replace', path: '/tiles/marks/marks/1/id', value: 'icon-1' },
  ]);
  await database.query('UPDATE collection SET revision = 3, summed_up = 1 WHERE id = $1', [id]);
  return id;
}

const patch = (app: TestApp['app'], id: string, basedOn: number, operations: unknown, headers: object = {}) =>
  http(app)
    .patch(`${huts}/${id}`)
    .set({ 'Content-Type': 'application/json-patch+json', 'If-Match': `"${basedOn}"`, ...headers })
    .send(JSON.stringify(operations));

const figureOf = (document: CollectionDocument) => partIn(document.tiles.beds, 'figure');

test('a collection of an older format version is read, listed, changed and read back as of then and now', async () => {
  const id = await storedThen();
  // Another server, which has nothing of it in memory.
  const { app, close } = await createTestAppOn(running);
  try {
    const { document } = (await http(app).get(`${huts}/${id}`).expect(200)).body as Body;
    expect(document.formatVersion).toBe(3);
    expect(figureOf(document)).toEqual({ id: 'figure', kind: 'figure', words: '190' });
    expect(document.tiles.beds?.look.spread).toBe('center');
    expect(partIn(document.tiles.marks, 'icons')).toMatchObject({
      icons: [
        { id: 'icon-2', label: 'Bread' },
        { id: 'icon-1', label: 'Soup' },
      ],
    });
    const list = (await http(app).get(huts).expect(200)).body as {
      entries: { id: string; summary: { document: CollectionDocument | null } }[];
    };
    const listed = list.entries.find((each) => each.id === id)?.summary.document;
    expect(listed && figureOf(listed)).toMatchObject({ words: '190' });

    const set = [{ op: 'replace', path: '/tiles/beds/parts/0/words', value: '191' }];
    await patch(app, id, 3, set).expect(200);
    const before = (await http(app).get(`${huts}/${id}/revisions/2`).expect(200)).body as Body;
    expect(before.document).toMatchObject({ formatVersion: 1, tiles: { beds: { figure: '190' } } });

    // Put together anew, from what was stored in both versions.
    const third = await createTestAppOn(running);
    const read = (await http(third.app).get(`${huts}/${id}`).expect(200)).body as Body;
    await third.close();
    expect(read.revision).toBe(4);
    expect(figureOf(read.document)).toMatchObject({ words: '191' });
  } finally {
    await close();
  }
});

test('a change that was made in another format version is refused, unless it was made already', async () => {
  const id = await storedThen();
  const set = [{ op: 'replace', path: '/tiles/beds/figure', value: '7' }];
  const refused = await patch(running.app, id, 3, set, { 'Noria-Format': '1' }).expect(409);
  expect(refused.body).toMatchObject({ title: 'The change is in another format version' });
  const known = { 'Noria-Format': '1', 'Idempotency-Key': 'then-3' };
  expect((await patch(running.app, id, 2, set, known).expect(200)).body).toMatchObject({ revision: 3 });
  await patch(running.app, id, 3, set, { 'Noria-Format': 'x' }).expect(400);
});
