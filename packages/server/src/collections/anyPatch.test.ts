import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { checkDocument, type CollectionDocument } from '@noria/core';
import fc from 'fast-check';
import request from 'supertest';
import { createTestApp, oneStat, type TestApp } from '../testing/testApp.js';

let running: TestApp;
const huts = '/api/workspaces/huts/collections';
const http = () => request(running.app.getHttpServer());

interface Body {
  readonly id: string;
  readonly revision: number;
  readonly detail: string;
  readonly document: CollectionDocument;
}
const body = (response: { body: unknown }) => response.body as Body;

beforeAll(async () => {
  running = await createTestApp();
});
afterAll(() => running.close());

const send = (id: string, revision: number, operations: unknown) =>
  http()
    .patch(`${huts}/${id}`)
    .set('Content-Type', 'application/json-patch+json')
    .set('If-Match', `"${revision}"`)
    .send(JSON.stringify(operations));

/** Every path of a value in JSON Pointer, the root left out. */
function pointers(value: unknown, at = ''): string[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => {
    const path = `${at}/${key}`;
    return [path, ...pointers(inner, path)];
  });
}

// A name is also kept beside its document, so it comes up more often.
const PATHS = [...pointers(oneStat()), ...Array.from({ length: 4 }, () => '/name')];
const path = fc.oneof(
  { weight: 6, arbitrary: fc.constantFrom(...PATHS) },
  fc.constantFrom(
    '',
    '/',
    '/order/-',
    '/order/9',
    '/tiles/new',
    '/__proto__/a',
    '/constructor',
    '/tiles/~2',
    '/bands/0/groups',
  ),
);
/** What JSON can hold, and some of it a database can't. */
const value = fc.oneof(
  fc.jsonValue({ maxDepth: 2 }),
  fc.constantFrom('\u0000', 'a\u0000b', '\ud800', 1e308, -0, '', 'x'.repeat(30_000), [], {}, null),
  fc.constantFrom(1, 2, 16, 400, 1001, 'Bunks', '1fr', 'dense', '#112233', true),
);
const operation = fc.oneof(
  fc.record({ op: fc.constantFrom('add', 'replace', 'test'), path, value }),
  fc.record({ op: fc.constant('remove'), path }),
  fc.record({ op: fc.constantFrom('move', 'copy'), from: path, path }),
);

describe('any patch', () => {
  test('is taken whole, and leaves a sound document, or refused in words, and changes nothing', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.array(operation, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 5 }),
        async (patches) => {
          const created = body(await http().post(huts).send({ document: oneStat() }).expect(201));
          let now = body(await http().get(`${huts}/${created.id}`).expect(200));
          for (const operations of patches) {
            const answer = await send(created.id, now.revision, operations);
            const after = body(await http().get(`${huts}/${created.id}`).expect(200));
            if (answer.status === 200) {
              expect(after.revision).toBe(now.revision + 1);
              const { problems } = checkDocument(after.document);
              expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
              const kept = await http().get(`${huts}/${created.id}/revisions/${after.revision}`).expect(200);
              expect(body(kept).document).toEqual(after.document);
            } else {
              expect([operations, answer.status]).toEqual([operations, answer.status === 400 ? 400 : 422]);
              expect(body(answer).detail.length).toBeGreaterThan(10);
              expect(after).toEqual(now);
            }
            now = after;
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
