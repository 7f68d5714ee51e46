/** How the stage keeps its pace: 300 tiles, one of them dragged for some seconds. Run the build first. */
import { chromium } from '@playwright/test';
import { makeDatabase, startPostgres } from './lib/postgres.mjs';
import { framesSeen, watchFrames } from './lib/frames.mjs';
import { startServer } from './lib/server.mjs';

const TILES = 300;
const STEPS = 150;

const postgres = await startPostgres('postgres-test');
const database = `noria_bench_${process.pid}`;
await makeDatabase(postgres.url('postgres'), database);
const server = await startServer({ databaseUrl: postgres.url(database), port: 0 });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});

/** Spans of a small repeated pattern, so that every drop of a tile moves many others. */
const tile = (k) => ({
  id: `t${k}`,
  name: `Tile ${k + 1}`,
  kind: 'card',
  place: { columnSpan: 1 + ((k * 7) % 3), rowSpan: 1 + ((k * 5) % 2), pin: null },
  look: { fill: '#ffffff', textColour: '#1d2b2a', spread: 'end' },
  parts: [
    { id: 'eyebrow', kind: 'eyebrow', words: '' },
    { id: 'heading', kind: 'heading', words: `Tile ${k + 1}` },
    { id: 'text', kind: 'text', words: 'Snow, bread and a very long ladder.' },
  ],
});

const post = (body) =>
  fetch(`${server.url}/api/workspaces/huts/collections`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  }).then((response) => response.json());

const { document } = await post({ name: 'Many' });
const tiles = Array.from({ length: TILES }, (_, k) => tile(k));
const { id } = await post({
  document: {
    ...document,
    arrangement: {
      ...document.arrangement,
      columns: Array.from({ length: 12 }, () => '1fr'),
      autoRows: '80px',
    },
    tiles: Object.fromEntries(tiles.map((each) => [each.id, each])),
    order: tiles.map((each) => each.id),
  },
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${server.url}/collections/${id}/compose`);
const hand = page.locator('[data-tile-hand="t20"]');
await hand.waitFor();
await page.waitForTimeout(2000);
const { x, y, width, height } = await hand.boundingBox();
const from = { x: x + width / 2, y: y + height / 2 };
await watchFrames(page);
await page.mouse.move(from.x, from.y);
await page.mouse.down();
for (let k = 1; k <= STEPS; k++) {
  await page.mouse.move(from.x + Math.sin(k / 14) * 400, from.y + k * 2.4);
  await page.waitForTimeout(16);
}
const { count, at, long } = await framesSeen(page);
await page.mouse.up();
console.log(
  `${TILES} tiles, ${count} frames of a drag: median ${at(0.5)} ms, 95 % ${at(0.95)} ms, worst ${at(1)} ms`,
);
console.log(`tasks over 50 ms: ${long.length}${long.length > 0 ? ` (${long.join(', ')} ms)` : ''}`);

await browser.close();
await server.stop();
await postgres.stop();
