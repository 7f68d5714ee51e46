import { checkDocument, emptyDocument, newTile, type CollectionDocument } from '@noria/core';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { startPostgres } from '../scripts/lib/postgres.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { startServer } from '../scripts/lib/server.mjs';
import { hand } from './noria';
import { seeded, type Random } from './witness/random';

/** How long it goes on, and from which seed; `npm run torture` asks for much longer. */
const SECONDS = Number(process.env.TORTURE_SECONDS ?? 40);
const SEED = Number(process.env.TORTURE_SEED ?? 1);
/** What was typed less long before the whole browser was killed may be gone: nothing can keep that. */
const NOT_YET_ON_DISK_MS = 1500;
const TILES_A_TAB = 6;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const quietly = <Result>(work: Promise<Result>) => work.catch(() => null);

/** Everything that is killed again and again, and how it comes back. */
class World {
  postgres!: Awaited<ReturnType<typeof startPostgres>>;
  servers: (Awaited<ReturnType<typeof startServer>> | null)[] = [null, null];
  ports: number[] = [];
  context!: BrowserContext;
  readonly database = `noria_torture_${process.pid}`;
  profile = '';
  readonly killed: Record<string, number> = {};
  /** What happened when, for when something is lost. */
  readonly log: string[] = [];

  async begin() {
    this.postgres = await startPostgres('postgres-torture');
    await this.asked('postgres', `CREATE DATABASE ${this.database}`);
    const first = await freePort(4900);
    this.ports = [first, await freePort(first + 1)];
    for (const k of [0, 1]) await this.startServer(k);
    this.profile = await mkdtemp(join(tmpdir(), 'noria-torture-'));
    await this.openBrowser();
  }

  async end() {
    await quietly(this.context.close());
    for (const server of this.servers) await quietly(server?.stop() ?? Promise.resolve());
    await this.asked('postgres', `DROP DATABASE ${this.database} WITH (FORCE)`);
    await this.postgres.stop();
    await rm(this.profile, { recursive: true, force: true, maxRetries: 5 });
  }

  url = (k: number) => `http://127.0.0.1:${this.ports[k]}`;

  async asked(database: string, sql: string) {
    const client = new pg.Client({ connectionString: this.postgres.url(database) });
    client.on('error', () => undefined);
    await client.connect();
    return client.query<Record<string, unknown>>(sql).finally(() => client.end());
  }

  async startServer(k: number) {
    while (this.servers[k] === null) {
      this.servers[k] = await quietly(
        startServer({ databaseUrl: this.postgres.url(this.database), port: this.ports[k] ?? 0 }),
      );
      if (this.servers[k] === null) await pause(300);
    }
  }

  async openBrowser() {
    this.context = await chromium.launchPersistentContext(this.profile, {
      executablePath: '/usr/bin/chromium',
      viewport: { width: 1280, height: 800 },
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-sync',
      ],
    });
  }

  private count(what: string) {
    this.log.push(`${Date.now() % 1e6} ${what}`);
    this.killed[what] = (this.killed[what] ?? 0) + 1;
  }

  async killServer(k: number, random: Random) {
    this.count('servers');
    this.servers[k]?.child.kill('SIGKILL');
    this.servers[k] = null;
    await pause(random.int(100, 1800));
    await this.startServer(k);
  }

  async killPostmaster(random: Random) {
    this.count('postmasters');
    const pid = Number((await readFile(join(this.postgres.folder, 'postmaster.pid'), 'utf8')).split('\n')[0]);
    process.kill(pid, 'SIGKILL');
    await pause(random.int(100, 1200));
    for (;;) {
      const started = await quietly(startPostgres('postgres-torture', this.postgres.port));
      if (started?.port === this.postgres.port) return;
      await pause(300);
    }
  }

  async killBackends() {
    this.count('backends');
    await this.asked(
      'postgres',
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = '${this.database}' AND random() < 0.6`,
    );
  }

  async goOffline(random: Random) {
    this.count('networks');
    await this.context.setOffline(true);
    await pause(random.int(300, 2500));
    await this.context.setOffline(false);
  }

  async killBrowser() {
    this.count('browsers');
    // No process of that profile is no fault: it may have died already.
    spawnSync('pkill', ['-9', '-f', this.profile]);
    await pause(400);
    await quietly(this.context.close());
    await this.openBrowser();
  }

  /** The revisions that changed a tile, for when what was typed in it is not there. */
  async changesOf(tile: string) {
    const found = await this.asked(
      this.database,
      `SELECT number, created_at, patch FROM collection_revision WHERE patch::text LIKE '%${tile}%' ORDER BY number`,
    );
    return found.rows.map((row) => JSON.stringify(row).slice(0, 600));
  }

  counted(what: string) {
    this.count(what);
  }
}

/** Adds tiles through the API, each until it is acknowledged, whatever happens meanwhile. */
async function write(world: World, k: number, id: string, until: () => boolean, acknowledged: Set<string>) {
  const path = `/api/workspaces/huts/collections/${id}`;
  for (let n = 0; until(); n++) {
    const name = `writer-${k}-${n}`;
    const patch = JSON.stringify([
      { op: 'add', path: `/tiles/${name}`, value: newTile('stat', name) },
      { op: 'add', path: '/order/-', value: name },
    ]);
    for (let revision = 0; ;) {
      const base = world.url(k);
      try {
        const signal = AbortSignal.timeout(8000);
        if (revision === 0) {
          const read = await fetch(`${base}${path}`, { signal });
          if (!read.ok) throw new Error(`${read.status}`);
          ({ revision } = (await read.json()) as { revision: number });
        }
        const answer = await fetch(`${base}${path}`, {
          method: 'PATCH',
          signal,
          headers: {
            'Content-Type': 'application/json-patch+json',
            'If-Match': `"${revision}"`,
            'Idempotency-Key': name,
          },
          body: patch,
        });
        if (answer.status === 200) {
          acknowledged.add(name);
          break;
        }
        if (answer.status === 412) revision = 0;
        else if (answer.status < 500) throw new Error(`${answer.status}: ${await answer.text()}`);
      } catch (error) {
        if (error instanceof Error && /^4\d\d: /.test(error.message)) throw error;
      }
      await pause(120);
    }
    await pause(150);
  }
}

interface Made {
  readonly value: string;
  readonly at: number;
}

/** One tab that types names of tiles of its own; it is closed, reloaded and killed under its hands. */
class Tab {
  page: Page | null = null;
  /** What was typed last in each tile, and before that. */
  readonly made = new Map<string, Made[]>();
  private count = 0;

  constructor(
    private readonly world: World,
    readonly number: number,
    private readonly id: string,
    private readonly random: Random,
  ) {}

  private get tiles() {
    return Array.from({ length: TILES_A_TAB }, (_, k) => `tab-${this.number}-${k}`);
  }

  async open(): Promise<Page> {
    const page = await this.world.context.newPage();
    this.page = page;
    await page.goto(`${this.world.url(this.number % 2)}/collections/${this.id}/compose`, { timeout: 15_000 });
    // A first screen on a busy machine takes longer than a press once it stands.
    await hand(page, this.tiles[0] as string).waitFor({ timeout: 15_000 });
    return page;
  }

  async type(until: () => boolean) {
    while (until()) {
      try {
        const page = this.page ?? (await this.open());
        const tile = this.random.pick(this.tiles);
        await hand(page, tile).click({ timeout: 4000 });
        const value = `by tab ${this.number}, ${++this.count}`;
        const field = page.getByLabel('Name', { exact: true });
        // A press may have met something that lies over the tile; words go into this tile or nowhere.
        await expect(hand(page, tile)).toHaveAttribute('aria-pressed', 'true', { timeout: 2000 });
        await field.fill(value, { timeout: 4000 });
        this.made.set(tile, [...(this.made.get(tile) ?? []), { value, at: Date.now() }]);
        await page.keyboard.press('Enter');
        await pause(this.random.int(20, 500));
      } catch {
        // It was closed, or there was no server to open it from.
        await quietly(this.page?.close() ?? Promise.resolve());
        this.page = null;
        await pause(300);
      }
    }
  }
}

/** What the browser keeps for a server's pages: how much is unsent, and why versions were set aside. */
const keptIn = (page: Page) =>
  page.evaluate(async () => {
    const answer = <Value>(asked: IDBRequest<Value>) =>
      new Promise<Value>((resolve, reject) => {
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(new Error('The database does not answer.'));
      });
    let left = Object.keys(localStorage).filter((key) => key.startsWith('noria-unsent:')).length;
    const aside: string[] = [];
    for (const { name = '' } of await indexedDB.databases()) {
      const database = await answer(indexedDB.open(name));
      for (const name of database.objectStoreNames) {
        const store = database.transaction(name).objectStore(name);
        for (const key of await answer(store.getAllKeys())) {
          if (typeof key !== 'string') continue;
          if (key.startsWith('unsent:')) left++;
          if (key.startsWith('aside:')) aside.push(((await answer(store.get(key))) as { why: string }).why);
        }
      }
      database.close();
    }
    return { left, aside };
  });

test('kills of servers, database, network, tabs and browser lose, misplace and double no edit', async () => {
  test.setTimeout((SECONDS + 900) * 1000);
  const random = seeded(SEED);
  const world = new World();
  await world.begin();
  try {
    const tabTiles = [0, 1, 2].flatMap((tab) =>
      Array.from({ length: TILES_A_TAB }, (_, k) => `tab-${tab}-${k}`),
    );
    const base = emptyDocument('Torture');
    const start: CollectionDocument = {
      ...base,
      tiles: Object.fromEntries(tabTiles.map((name) => [name, newTile('stat', name)])),
      order: tabTiles,
    };
    const created = await fetch(`${world.url(0)}/api/workspaces/huts/collections`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ document: start }),
    });
    const { id } = (await created.json()) as { id: string };

    const end = Date.now() + SECONDS * 1000;
    const killing = () => Date.now() < end;
    const acknowledged = new Set<string>();
    // Two tabs of one server, which share what the browser keeps, and one of the other.
    const tabs = [0, 2, 1].map((number) => new Tab(world, number, id, seeded(SEED * 10 + number)));
    // Where the machine is so busy that no tab came to type anything while things were killed, it goes on.
    const until = () =>
      killing() || (tabs.every(({ made }) => made.size === 0) && Date.now() < end + 120_000);
    const browserKilledAt: number[] = [];
    const chaos = async () => {
      while (killing()) {
        await pause(random.int(600, 2500));
        const tab = random.pick(tabs);
        const act = random.pick([
          () => world.killServer(random.int(0, 1), random),
          () => world.killServer(random.int(0, 1), random),
          () => world.killPostmaster(random),
          () => world.killBackends(),
          () => world.goOffline(random),
          async () => {
            world.counted('tabs');
            await tab.page?.close();
          },
          async () => {
            world.counted('reloads');
            await tab.page?.reload({ timeout: 5000 });
          },
          async () => {
            if (!random.chance(0.5)) return;
            browserKilledAt.push(Date.now());
            await world.killBrowser();
          },
        ]);
        await quietly(act());
      }
    };
    await Promise.all([
      ...[0, 1].map((k) => write(world, k, id, until, acknowledged)),
      ...tabs.map((tab) => tab.type(until)),
      chaos(),
    ]);

    // All is well again: what was left goes out by itself.
    for (const k of [0, 1]) await world.startServer(k);
    await world.context.setOffline(false);
    for (const tab of tabs) await quietly(tab.page?.close() ?? Promise.resolve());
    const setAside: string[] = [];
    for (const number of [0, 1]) {
      const page = await world.context.newPage();
      await page.goto(`${world.url(number)}/collections/${id}/compose`);
      await expect(hand(page, 'tab-0-0')).toBeVisible();
      await expect(page.getByRole('status', { name: 'Saving state' })).toHaveText('Saved');
      // Nobody is asked: no two changed the same.
      await expect(page.getByRole('alertdialog')).toHaveCount(0);
      // What other tabs left is sent from any view, now and then.
      await expect.poll(async () => (await keptIn(page)).left).toBe(0);
      setAside.push(...(await keptIn(page)).aside);
    }

    const stored = (await (await fetch(`${world.url(0)}/api/workspaces/huts/collections/${id}`)).json()) as {
      revision: number;
      document: CollectionDocument;
    };
    const { tiles, order } = stored.document;
    expect(checkDocument(stored.document).problems).toEqual([]);
    const lost = [...acknowledged].filter((name) => !(name in tiles) || !order.includes(name));
    const doubled = order.filter((name, k) => order.indexOf(name) !== k);
    const foreign = order.filter((name) => !name.startsWith('writer-') && !tabTiles.includes(name));
    let typed = 0;
    const misplaced: string[] = [];
    for (const tab of tabs) {
      for (const [tile, all] of tab.made) {
        typed += all.length;
        const name = tiles[tile]?.name;
        const last = all.at(-1) as Made;
        if (name === last.value) continue;
        // The last of what was typed may not have reached the disk when the browser was killed.
        const young = all.filter(({ at }) =>
          browserKilledAt.some((killed) => at > killed - NOT_YET_ON_DISK_MS && at < killed + 600),
        );
        const before = all.filter((each) => !young.includes(each)).at(-1);
        if (young.includes(last) && (name === before?.value || all.some(({ value }) => value === name)))
          continue;
        misplaced.push(`${tile}: “${name ?? 'gone'}” instead of “${last.value}”`);
        world.log.push(...all.map(({ value, at }) => `${at % 1e6} typed in ${tile}: ${value}`));
        world.log.push(...(await world.changesOf(tile)));
      }
    }
    console.log(
      `Torture, ${SECONDS} s, seed ${SEED}: killed ${JSON.stringify(world.killed)}; ${acknowledged.size} tiles added by two writers, ${typed} names typed in three tabs, ${stored.revision} revisions; lost ${lost.length}, misplaced ${misplaced.length}, doubled ${doubled.length}.`,
    );
    if (misplaced.length + lost.length > 0) console.log(world.log.sort().join('\n'));
    expect({ lost, doubled, foreign, misplaced, setAside }).toEqual({
      lost: [],
      doubled: [],
      foreign: [],
      misplaced: [],
      setAside: [],
    });
    expect(acknowledged.size).toBeGreaterThan(0);
    expect(typed).toBeGreaterThan(0);
  } finally {
    await quietly(world.end());
  }
});
