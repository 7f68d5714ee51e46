import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { CollectionDocument } from '@noria/core';
import request from 'supertest';
import { createTestApp, createTestAppOn, oneStat, type TestApp } from '../testing/testApp.js';

let running: TestApp;
const http = () => request(running.app.getHttpServer());
const huts = '/api/workspaces/huts/collections';

interface Body {
  readonly id: string;
  readonly revision: number;
  readonly currentRevision: number;
  readonly detail: string;
  readonly type: string;
  readonly document: CollectionDocument;
}
const body = (response: { body: unknown }) => response.body as Body;

const create = async (document: object = oneStat()) =>
  body(await http().post(huts).send({ document }).expect(201));

const patch = (id: string, basedOn: number | string | null, operations: unknown, key?: string) => {
  const sent = http().patch(`${huts}/${id}`).set('Content-Type', 'application/json-patch+json');
  if (basedOn !== null) void sent.set('If-Match', `"${basedOn}"`);
  if (key) void sent.set('Idempotency-Key', key);
  return sent.send(JSON.stringify(operations));
};
const rename = (name: string) => [{ op: 'add', path: '/tiles/beds/name', value: name }];

beforeAll(async () => {
  running = await createTestApp();
});
afterAll(() => running.close());

describe('a collection', () => {
  test('is created, listed, read, changed, deleted', async () => {
    const { id, revision } = await create();
    expect(revision).toBe(1);
    const list = ((await http().get(huts).expect(200)).body as { entries: { id: string }[] }).entries;
    expect(list.map((each) => each.id)).toContain(id);
    const changed = await patch(id, 1, rename('Bunks')).expect(200);
    expect(changed.headers.etag).toBe('"2"');
    const read = await http().get(`${huts}/${id}`).expect(200);
    expect(read.headers.etag).toBe('"2"');
    expect(body(read).document.tiles.beds?.name).toBe('Bunks');
    await http().delete(`${huts}/${id}`).set('If-Match', '"1"').expect(412);
    await http().delete(`${huts}/${id}`).set('If-Match', '"2"').expect(204);
    await http().get(`${huts}/${id}`).expect(404);
  });

  test('belongs to its workspace: from another one it is not there', async () => {
    const { id } = await create();
    const elsewhere = `/api/workspaces/other/collections/${id}`;
    await http().get(elsewhere).expect(404);
    await http().delete(elsewhere).set('If-Match', '"1"').expect(404);
    await http().get(`${elsewhere}/revisions`).expect(404);
    const sent = http()
      .patch(elsewhere)
      .set('If-Match', '"1"')
      .set('Content-Type', 'application/json-patch+json');
    await sent.send(JSON.stringify(rename('Mine'))).expect(404);
    expect((await http().get('/api/workspaces/other/collections').expect(200)).body).toEqual({
      entries: [],
      next: null,
    });
    const none = await http().get('/api/workspaces/nowhere/collections').expect(404);
    expect(body(none).detail).toContain('There is no workspace “nowhere”');
  });

  test('keeps every revision, also between whole copies of it', async () => {
    const { id } = await create();
    for (let basedOn = 1; basedOn <= 52; basedOn++)
      await patch(id, basedOn, rename(`Beds ${basedOn + 1}`)).expect(200);
    for (const number of [2, 50, 51, 53]) {
      const { document } = body(await http().get(`${huts}/${id}/revisions/${number}`).expect(200));
      expect(document.tiles.beds?.name).toBe(`Beds ${number}`);
    }
    expect(body(await http().get(`${huts}/${id}/revisions/54`).expect(404)).detail).toContain(
      'no revision 54',
    );
  });

  test('takes one of two changes at once, and tells the other', async () => {
    const { id } = await create();
    const answers = await Promise.all(['A', 'B', 'C'].map((name) => patch(id, 1, rename(name))));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 412, 412]);
    const stale = answers.find(({ status }) => status === 412);
    expect(stale?.headers['content-type']).toContain('application/problem+json');
    expect(body(stale as { body: unknown })).toMatchObject({
      type: 'urn:noria:problem:stale-revision',
      currentRevision: 2,
    });
  });

  test('answers what it stored, with an id for every entry of a list, so that patches fit', async () => {
    const created = await create();
    expect(created.document.arrangement.columnIds).toHaveLength(created.document.arrangement.columns.length);
    const renamed = [{ op: 'replace', path: '/arrangement/columnIds/0', value: 'track-mine' }];
    await patch(created.id, 1, renamed).expect(200);
    // One that was stored before entries had ids gets them when it is read.
    await running.query(
      `UPDATE collection_revision SET document = (document::jsonb #- '{arrangement,columnIds}')::json
       WHERE collection_id = '${created.id}' AND number = 1`,
    );
    const old = await createTestAppOn(running);
    const read = body(await request(old.app.getHttpServer()).get(`${huts}/${created.id}`).expect(200));
    expect(read.document.arrangement.columnIds?.[0]).toBe('track-mine');
    await old.close();
  });

  test('makes a change that is sent twice once', async () => {
    const { id } = await create();
    const band = { id: 'narrow', below: 640, arrangement: {}, tiles: { beds: { columnSpan: 2 } } };
    const add = [{ op: 'add', path: '/bands/-', value: band }];
    expect(body(await patch(id, 1, add, 'one').expect(200)).revision).toBe(2);
    expect(body(await patch(id, 1, add, 'one').expect(200)).revision).toBe(2);
    expect(body(await http().get(`${huts}/${id}`)).revision).toBe(2);
  });
});

describe('bad input is refused in words, and changes nothing', () => {
  const place = { columnSpan: 0, rowSpan: 1, pin: null };
  test.each<[string, number | string | null, unknown, number, string]>([
    ['no revision', null, rename('x'), 428, 'Send the revision you read as If-Match'],
    ['a revision that is none', 'one', rename('x'), 400, 'If-Match is a revision in quotes'],
    [
      'a path that is not there',
      1,
      [{ op: 'replace', path: '/tiles/attic/name', value: 'x' }],
      422,
      'there is nothing at this path',
    ],
    [
      'a broken document',
      1,
      [{ op: 'replace', path: '/tiles/beds/place', value: place }],
      422,
      '/tiles/beds/place/columnSpan: A span is a whole number',
    ],
    ['a lost tile', 1, [{ op: 'remove', path: '/tiles/beds' }], 422, 'There is no tile “beds”'],
    ['no list', 1, { op: 'replace' }, 400, 'The body is a JSON Patch'],
    ['an unknown operation', 1, [{ op: 'paint', path: '/name', value: 1 }], 400, '/0/op'],
    [
      'an unknown field',
      1,
      [{ op: 'replace', path: '/name', value: 'x', colour: 1 }],
      400,
      '“colour” is not a field',
    ],
    ['a hostile path', 1, [{ op: 'add', path: '/__proto__/x', value: 1 }], 422, 'can’t be applied here'],
    ['nothing at all', 1, [null], 400, 'An operation is an object'],
    [
      'a missing picture',
      1,
      [
        {
          op: 'add',
          path: '/pictures/hut',
          value: {
            id: 'hut',
            name: 'Hut',
            file: 'hut.webp',
            hash: 'a'.repeat(64),
            mediaType: 'image/webp',
            inlineSize: 10,
            blockSize: 10,
            alternativeText: '',
          },
        },
      ],
      422,
      'The picture “Hut” is not in this workspace',
    ],
  ])('%s', async (_, basedOn, operations, status, words) => {
    const { id } = await create();
    const answer = await patch(id, basedOn, operations);
    expect(answer.status).toBe(status);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(body(answer).detail).toContain(words);
    const after = body(await http().get(`${huts}/${id}`).expect(200));
    expect(after).toMatchObject({ revision: 1, document: oneStat() });
  });

  test('an unknown field of the document is kept, with a notice', async () => {
    const { id } = await create();
    const answer = await patch(id, 1, [{ op: 'add', path: '/tiles/beds/season', value: 'winter' }]).expect(
      200,
    );
    expect(answer.body).toMatchObject({ revision: 2, notices: [{ path: '/tiles/beds/season' }] });
    expect(body(await http().get(`${huts}/${id}`)).document.tiles.beds).toHaveProperty('season', 'winter');
  });

  test.each([
    [{ document: { formatVersion: 1 } }, 422, 'A collection lacks “name”'],
    [{ document: 'text' }, 400, '/document'],
    [{ title: 'x' }, 400, '“title” is not a field of this request'],
    [{ name: '' }, 400, '/name'],
    [{ name: 'a\u0000b' }, 422, 'A name holds a character that no text can have (U+0000). Remove it.'],
  ])('creating from %j', async (sent, status, words) => {
    const answer = await http().post(huts).send(sent).expect(status);
    expect(body(answer).detail).toContain(words);
  });

  test('a body that is no JSON, and an id that is none', async () => {
    const broken = await http()
      .post(huts)
      .set('Content-Type', 'application/json')
      .send('{"name": ')
      .expect(400);
    expect(body(broken).detail).toContain('The body is not JSON');
    await http().get(`${huts}/not-an-id`).expect(400);
    await http().get(`${huts}/00000000-0000-4000-8000-000000000000`).expect(404);
  });
});

test('the API describes itself', async () => {
  const description: unknown = (await http().get('/api/docs-json').expect(200)).body;
  expect(Object.keys((description as { paths: object }).paths)).toContain(
    '/api/workspaces/{workspace}/collections/{id}',
  );
});
