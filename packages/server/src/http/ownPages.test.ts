import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { createTestApp, oneStat, type TestApp } from '../testing/testApp.js';

let running: TestApp;
const collections = '/api/workspaces/huts/collections';
const http = () => request(running.app.getHttpServer());

beforeAll(async () => {
  running = await createTestApp({ hosts: ['noria.internal'] });
});
afterAll(() => running.close());

/** What a browser says of a request; a page can set none of it. */
const cases: readonly (readonly [string, Record<string, string>, number])[] = [
  ['a program', {}, 200],
  ['our own page', { Origin: 'http://127.0.0.1', Host: '127.0.0.1', 'Sec-Fetch-Site': 'same-origin' }, 200],
  ['an address typed by hand', { 'Sec-Fetch-Site': 'none', 'Sec-Fetch-Mode': 'navigate' }, 200],
  ['a name of this server', { Host: 'noria.internal:4680' }, 200],
  ['the loopback by its other names', { Host: '[::1]:4680' }, 200],
  ['a name that was made to point here', { Host: 'rebound.example' }, 403],
  ['such a name from its own page', { Host: 'rebound.example', Origin: 'http://rebound.example' }, 403],
  ['no name at all', { Host: '' }, 403],
  ['a script of another site', { Origin: 'https://other.example', 'Sec-Fetch-Site': 'cross-site' }, 403],
  ['a page without an origin', { Origin: 'null' }, 403],
  ['another port of the same host', { Origin: 'http://127.0.0.1:9', Host: '127.0.0.1:4680' }, 403],
  ['a picture in another site', { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'no-cors' }, 403],
  [
    'a frame of another site',
    { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'navigate', 'Sec-Fetch-Dest': 'iframe' },
    403,
  ],
  [
    'a link to the API from another site',
    { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'navigate', 'Sec-Fetch-Dest': 'document' },
    403,
  ],
];

describe('who may ask', () => {
  test.each(cases)('%s', async (_, headers, status) => {
    await http().get(collections).set(headers).expect(status);
    const sent = http().post(collections).set(headers).send({ document: oneStat() });
    await sent.expect(status === 200 ? 201 : 403);
  });

  test('says what is wrong, with an id of the request', async () => {
    const answer = await http().get(collections).set('Host', 'rebound.example').expect(403);
    expect((answer.body as { detail: string }).detail).toContain('does not go by that name');
    expect(answer.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    expect(answer.headers['content-type']).toContain('application/problem+json');
  });
});
