/**
 * How soon the server answers where there is much: a workspace of 1,000 collections, a save among 10,000
 * tiles, and others while large files are read. `npm run bench:server`
 */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import pg from 'pg';
import { root } from './lib/paths.mjs';
import { ensurePostgres, makeDatabase, startPostgres } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';
import { emptyDocument, newCard } from '../packages/core/dist/index.js';

const COLLECTIONS = 1000;
const TILES = 10_000;
const SAVES = 40;

await ensurePostgres();
const postgres = await startPostgres('postgres-test');
const name = `noria_bench_${process.pid}`;
const asked = async (sql) => {
  const client = new pg.Client({ connectionString: postgres.url('postgres') });
  await client.connect();
  await client.query(sql).finally(() => client.end());
};
await makeDatabase(postgres.url('postgres'), name);
const server = await startServer({ databaseUrl: postgres.url(name), port: 0 });
const huts = `${server.url}/api/workspaces/huts`;

const at = (times, share) => times.toSorted((a, b) => a - b)[Math.floor((times.length - 1) * share)];
const ms = (value) => `${value.toFixed(1)} ms`;
const report = (what, times) =>
  console.log(
    `${what}: median ${ms(at(times, 0.5))}, 95 % ${ms(at(times, 0.95))}, worst ${ms(at(times, 1))}`,
  );
async function timed(work) {
  const start = performance.now();
  await work();
  return performance.now() - start;
}
const json = (method, path, body, headers = {}) =>
  fetch(`${huts}${path}`, {
    method,
    headers: { 'Content-Type': 'application/json', ...headers },
    body: JSON.stringify(body),
  });
const patch = (id, revision, operations) =>
  json('PATCH', `/collections/${id}`, operations, {
    'Content-Type': 'application/json-patch+json',
    'If-Match': `"${revision}"`,
  });

/** Asks for something small all the time while work goes on; how long each answer took. */
async function meanwhile(work) {
  const times = [];
  let going = true;
  const probe = (async () => {
    while (going) {
      times.push(await timed(async () => (await fetch(`${huts}/collections?limit=1`)).text()));
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const said = await work();
  going = false;
  await probe;
  return { times, said };
}

function large(count) {
  const words = 'Words about the hut and the path that leads there. '.repeat(4);
  const tiles = Array.from({ length: count }, (_, k) => newCard('text', `t${k}`, { text: { words } }));
  return {
    ...emptyDocument('Large'),
    tiles: Object.fromEntries(tiles.map((tile) => [tile.id, tile])),
    order: tiles.map(({ id }) => id),
  };
}
const svg = (inside) => `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300">${inside}</svg>`;
const upload = (text) => async () => {
  const form = new FormData();
  form.append('picture', new Blob([text]), 'drawing.svg');
  const answer = await fetch(`${huts}/pictures`, { method: 'POST', body: form });
  return answer.status;
};

try {
  const winter = JSON.parse(await readFile(join(root, 'demo', 'winter-at-the-huts.noria.json'), 'utf8'));
  for (let k = 0; k < COLLECTIONS; k++)
    await json('POST', '/collections', { document: { ...winter, name: `Winter ${k}` } });
  const pages = [];
  for (let k = 0; k < 20; k++)
    pages.push(await timed(async () => (await fetch(`${huts}/collections?limit=24`)).text()));
  report(`a page of ${COLLECTIONS} collections`, pages);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
  });
  const opened = [];
  for (let k = 0; k < 6; k++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    opened.push(
      await timed(async () => {
        await page.goto(server.url);
        await page.getByRole('heading', { level: 2 }).nth(5).waitFor();
      }),
    );
    await page.close();
  }
  await browser.close();
  report(`the first screen of ${COLLECTIONS} collections, from an empty cache`, opened);
  const library = [];
  for (let k = 0; k < 20; k++)
    library.push(await timed(async () => (await fetch(`${huts}/pictures?limit=60`)).text()));
  report(`a page of pictures, with their uses in ${COLLECTIONS} collections`, library);

  const { id } = await (await json('POST', '/collections', { document: large(TILES) })).json();
  const saves = [];
  for (let revision = 1; revision <= SAVES; revision++) {
    const value = `Heading ${revision}`;
    saves.push(
      await timed(async () => {
        const answer = await patch(id, revision, [{ op: 'replace', path: '/tiles/t9/parts/1/words', value }]);
        if (!answer.ok) throw new Error(await answer.text());
      }),
    );
  }
  report(`a save of one heading among ${TILES} tiles`, saves);

  const cases = [
    ['a flat SVG of 20,000 shapes', upload(svg('<path d="M0 0h4v4z" fill="#a00"/>'.repeat(19_000)))],
    ['a flat SVG of 1.7 MB', upload(svg('<path d="M0 0h4v4z" fill="#a00"/>'.repeat(45_000)))],
    ['an SVG nested 20,000 deep', upload(svg('<g>'.repeat(20_000) + '</g>'.repeat(20_000)))],
    [
      'a new collection of 10,000 tiles',
      async () => (await json('POST', '/collections', { document: large(TILES) })).status,
    ],
    [
      'a patch of 20,000 operations',
      async () => {
        const operations = Array.from({ length: 20_000 }, (_, k) => ({
          op: 'replace',
          path: `/tiles/t${k % TILES}/parts/1/words`,
          value: String(k),
        }));
        return (await patch(id, SAVES + 1, operations)).status;
      },
    ],
    [
      'a patch that copies',
      async () => (await patch(id, 1, [{ op: 'copy', from: '/tiles', path: '/tiles/t1/x' }])).status,
    ],
  ];
  for (const [what, work] of cases) {
    let took = 0;
    const { times, said } = await meanwhile(async () => {
      let status = 0;
      took = await timed(async () => (status = await work()));
      return status;
    });
    report(`others during ${what} (${said} after ${Math.round(took)} ms)`, times);
  }
} finally {
  await server.stop();
  await asked(`DROP DATABASE ${name} WITH (FORCE)`);
  if (!postgres.adopted) await postgres.stop();
}
