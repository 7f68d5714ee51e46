/** How fast 200 pictures of 4 to 12 MB go into the library, and what that takes of server and page. */
import { chromium } from '@playwright/test';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { makeDatabase, startPostgres } from './lib/postgres.mjs';
import { framesSeen, watchFrames } from './lib/frames.mjs';
import { startServer } from './lib/server.mjs';

const PICTURES = 200;
/** Inline sizes of noisy pictures of 3 : 2, which come out at about 4 to 12 MB as JPEG. */
const SIZES = [2900, 3400, 3900, 4400, 4800];

const folder = await mkdtemp(join(tmpdir(), 'noria-bench-'));
const masters = await Promise.all(
  SIZES.map((width) =>
    sharp({
      create: {
        width,
        height: Math.round(width / 1.5),
        channels: 3,
        background: '#456',
        noise: { type: 'gaussian', mean: 120, sigma: 46 },
      },
    })
      .jpeg({ quality: 93 })
      .toBuffer(),
  ),
);
const mb = (bytes) => (bytes / 1024 / 1024).toFixed(1);
let total = 0;
const files = await Promise.all(
  Array.from({ length: PICTURES }, async (_, k) => {
    // Bytes after the picture's end make each another picture.
    const bytes = Buffer.concat([masters[k % masters.length], Buffer.from(`picture ${k}`)]);
    total += bytes.length;
    const path = join(folder, `picture ${k + 1}.jpg`);
    await writeFile(path, bytes);
    return path;
  }),
);

const postgres = await startPostgres('postgres-test');
const database = `noria_bench_${process.pid}`;
await makeDatabase(postgres.url('postgres'), database);
const server = await startServer({ databaseUrl: postgres.url(database), port: 0 });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${server.url}/pictures`);
await page.getByRole('button', { name: /Hut bread/ }).waitFor();
await watchFrames(page);
const memory = async () =>
  Number(/VmRSS:\s+(\d+)/.exec(await readFile(`/proc/${server.child.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
let most = await memory();
const timer = setInterval(() => void memory().then((mb) => (most = Math.max(most, mb))), 100);
const begun = performance.now();
await page.getByTestId('library-files').setInputFiles(files);
await page.getByText(`of ${PICTURES} pictures`).waitFor();
await page.getByText(`of ${PICTURES} pictures`).waitFor({ state: 'hidden', timeout: 1_200_000 });
const seconds = (performance.now() - begun) / 1000;
clearInterval(timer);
const { at, long } = await framesSeen(page);
const stored = await page.evaluate(() =>
  fetch('/api/workspaces/huts/pictures?limit=200')
    .then((response) => response.json())
    .then(({ total }) => total),
);
console.log(
  `${PICTURES} pictures of ${mb(masters[0].length)} to ${mb(masters.at(-1).length)} MB, ${Math.round(total / 1024 / 1024)} MB together, in ${seconds.toFixed(1)} s: ${(PICTURES / seconds).toFixed(2)} pictures a second; ${stored} in the library`,
);
console.log(`the server at most ${Math.round(most)} MB`);
console.log(
  `the page meanwhile: frames of ${at(0.5)} ms in the median, ${at(0.99)} ms at 99 %, worst ${at(1)} ms; tasks over 50 ms: ${long.length}`,
);

await browser.close();
await server.stop();
await postgres.stop();
await rm(folder, { recursive: true, force: true });
