/**
 * How the stage keeps its pace with 2,000 pictures in masonry and in a row gallery: it is scrolled,
 * the needle is dragged, and its page is written. Run the build first.
 */
import { chromium } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { makeDatabase, startPostgres } from './lib/postgres.mjs';
import { framesSeen, watchFrames } from './lib/frames.mjs';
import { startServer } from './lib/server.mjs';

const PICTURES = 2000;
const STEPS = 180;

const demo = JSON.parse(
  await readFile(join(import.meta.dirname, '..', 'demo', 'the-long-way-round.noria.json'), 'utf8'),
);
const ids = Object.keys(demo.pictures);
const postgres = await startPostgres('postgres-test');
const database = `noria_bench_${process.pid}`;
await makeDatabase(postgres.url('postgres'), database);
const server = await startServer({ databaseUrl: postgres.url(database), port: 0 });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});

const tiles = Array.from({ length: PICTURES }, (_, k) => ({
  ...demo.tiles[demo.order[k % demo.order.length]],
  id: `t${k}`,
  name: `Picture ${k + 1}`,
  picture: ids[(k * 7) % ids.length],
}));

const post = (document) =>
  fetch(`${server.url}/api/workspaces/huts/collections`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ document }),
  }).then((response) => response.json());

for (const kind of ['masonry', 'rows']) {
  const { id } = await post({
    ...demo,
    name: `Many in ${kind}`,
    bands: [],
    arrangement: { ...demo.arrangement, kind },
    tiles: Object.fromEntries(tiles.map((each) => [each.id, each])),
    order: tiles.map((each) => each.id),
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const opened = performance.now();
  await page.goto(`${server.url}/collections/${id}/compose`);
  await page.locator('[data-tile-hand="t5"]').waitFor();
  console.log(`${PICTURES} pictures, ${kind}: there after ${Math.round(performance.now() - opened)} ms`);
  // The check of all widths goes on beside it; what is measured is the stage at rest from it.
  await page.waitForTimeout(4000);

  await watchFrames(page);
  await page.evaluate(async (steps) => {
    const stage = document.querySelector('main');
    for (let k = 0; k < steps; k++) {
      stage.scrollTop += 40;
      await new Promise(requestAnimationFrame);
    }
  }, STEPS);
  await say(page, 'scrolled');

  await page.evaluate(() => (document.querySelector('main').scrollTop = 3000));
  const needle = await page
    .getByRole('slider', { name: /needle|width/i })
    .first()
    .boundingBox();
  const from = { x: needle.x + needle.width / 2, y: needle.y + 6 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await watchFrames(page);
  for (let k = 1; k <= STEPS; k++) {
    await page.mouse.move(from.x + Math.sin(k / 30) * 160, from.y);
    await page.waitForTimeout(16);
  }
  await say(page, 'needle dragged');
  await page.mouse.up();

  const asked = performance.now();
  await page.getByRole('link', { name: 'Export' }).click();
  await watchFrames(page);
  await page.getByLabel('Text of index.html').waitFor({ timeout: 120_000 });
  const written = Math.round(performance.now() - asked);
  await page.getByRole('button', { name: /^style\.css/ }).click();
  await page.getByLabel('Text of style.css').waitFor();
  await say(page, `page written in ${written} ms, its style sheet shown`);
  await page.close();
}

async function say(page, what) {
  const { count, at, long } = await framesSeen(page);
  console.log(
    `  ${what}: ${count} frames, median ${at(0.5)} ms, 95 % ${at(0.95)} ms, worst ${at(1)} ms; tasks over 50 ms: ${long.length}${long.length > 0 ? ` (${long.slice(0, 12).join(', ')})` : ''}`,
  );
}

await browser.close();
await server.stop();
await postgres.stop();
