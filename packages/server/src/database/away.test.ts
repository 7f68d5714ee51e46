import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import request from 'supertest';
import { createTestApp, oneStat, type TestApp } from '../testing/testApp.js';

/** A way to the database that can be cut and laid again. */
class Way {
  private server: Server | null = null;
  private readonly sockets = new Set<Socket>();
  port = 0;

  constructor(private readonly target: URL) {}

  async open(): Promise<void> {
    const server = createServer((client) => {
      const database = connect(Number(this.target.port), this.target.hostname);
      for (const socket of [client, database]) {
        this.sockets.add(socket);
        socket.on('error', () => undefined);
        socket.on('close', () => {
          client.destroy();
          database.destroy();
        });
      }
      client.pipe(database).pipe(client);
    });
    this.server = server;
    await new Promise<void>((resolve) => server.listen(this.port, '127.0.0.1', resolve));
    this.port = (server.address() as AddressInfo).port;
  }

  async cut(): Promise<void> {
    const closed = new Promise((resolve) => this.server?.close(resolve));
    for (const socket of this.sockets) socket.destroy();
    this.sockets.clear();
    await closed;
  }
}

let running: TestApp;
let way: Way;
const http = () => request(running.app.getHttpServer());
const collections = '/api/workspaces/huts/collections';

beforeAll(async () => {
  way = new Way(new URL(process.env.DATABASE_URL ?? ''));
  await way.open();
  running = await createTestApp({}, way.port);
});
afterAll(async () => {
  await running.close();
  await way.cut();
});

test('while the database is away it is said, nothing is stored, and the server goes on by itself after', async () => {
  const made = await http().post(collections).send({ document: oneStat() }).expect(201);
  const path = `${collections}/${(made.body as { id: string }).id}`;
  await http().get('/api/health').expect(200);
  await way.cut();

  const health = await http().get('/api/health').expect(503);
  expect((health.body as { title: string }).title).toBe('The database does not answer');
  await http().get('/api/health/process').expect(200);
  const read = await http().get(path).expect(503);
  expect(read.headers['retry-after']).toBe('1');
  expect((read.body as { detail: string }).detail).toBe('The database does not answer. Try again.');
  const patch = JSON.stringify([{ op: 'replace', path: '/name', value: 'Renamed' }]);
  const change = () =>
    http()
      .patch(path)
      .set('Content-Type', 'application/json-patch+json')
      .set('If-Match', '"1"')
      .set('Idempotency-Key', 'rename')
      .send(patch);
  const refused = await change().expect(503);
  expect((refused.body as { detail: string }).detail).toContain('Your change was not stored');

  await way.open();
  await http().get('/api/health').expect(200);
  await change().expect(200);
  // Others are heard of again, by a connection that is made anew.
  const { EventsService } = await import('../events/events.service.js');
  const heard = new Promise((resolve) => running.app.get(EventsService).changes.subscribe(resolve));
  const asking = setInterval(
    () =>
      void http()
        .post(collections)
        .send({ document: oneStat() })
        .then(() => undefined),
    300,
  );
  await heard;
  clearInterval(asking);
});
