/**
 * How soon after an edit the heat strip shows the fit check of every px from 240 to 2560: collections
 * of 60 and 500 tiles, a span set again and again. Run the build first.
 */
import { chromium } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { root } from './lib/paths.mjs';
import { makeDatabase, startPostgres } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';

const EDITS = 24;

const postgres = await startPostgres('postgres-test');
const database = `noria_bench_${process.pid}`;
await makeDatabase(postgres.url('postgres'), database);
const server = await startServer({ databaseUrl: postgres.url(database), port: 0 });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});

const demo = JSON.parse(await readFile(join(root, 'demo', 'winter-at-the-huts.noria.json'), 'utf8'));

/** The demo's tiles again and again, until there are so many. */
function many(count) {
  const tiles = Array.from({ length: count }, (_, k) => {
    const tile = demo.tiles[demo.order[k % demo.order.length]];
    return { ...tile, id: `t${k}`, name: `${tile.name} ${k + 1}` };
  });
  return {
    ...demo,
    name: `${count} tiles`,
    bands: demo.bands.map((band) => ({
      ...band,
      tiles: Object.fromEntries(
        tiles.flatMap(({ id }, k) => {
          const own = band.tiles[demo.order[k % demo.order.length]];
          return own ? [[id, own]] : [];
        }),
      ),
    })),
    tiles: Object.fromEntries(tiles.map((each) => [each.id, each])),
    order: tiles.map(({ id }) => id),
  };
}

for (const count of [60, 500]) {
  const stored = await fetch(`${server.url}/api/workspaces/huts/collections`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ document: many(count) }),
  }).then((response) => response.json());
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.url}/collections/${stored.id}/compose`);
  const opened = Date.now();
  await page
    .locator('[data-testid=heat-strip][data-fresh=true]')
    .waitFor({ state: 'attached', timeout: 60_000 });
  const first = Date.now() - opened;
  await page.locator('[data-tile-hand=t1]').click();
  await page.evaluate(() => {
    window.edits = [];
    let from = null;
    window.addEventListener('keydown', () => (from = performance.now()), true);
    new MutationObserver((changes) => {
      const fresh = changes.at(-1)?.target.dataset.fresh === 'true';
      if (fresh && from !== null) {
        window.edits.push(performance.now() - from);
        from = null;
      }
    }).observe(document.querySelector('[data-testid=heat-strip]'), { attributeFilter: ['data-fresh'] });
  });
  for (let k = 0; k < EDITS; k++) {
    await page.keyboard.press(k % 2 === 0 ? '1' : '2');
    await page.waitForFunction((done) => window.edits.length > done, k, { timeout: 20_000 });
  }
  const times = (await page.evaluate(() => window.edits)).sort((a, b) => a - b);
  const at = (share) => Math.round(times[Math.min(times.length - 1, Math.floor(share * times.length))]);
  console.log(
    `${count} tiles: first check ${first} ms after opening; after an edit median ${at(0.5)} ms, 90 % ${at(0.9)} ms, worst ${at(1)} ms`,
  );
  await page.close();
}

await browser.close();
await server.stop();
await postgres.stop();
