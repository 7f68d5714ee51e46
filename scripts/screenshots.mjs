/** Takes docs/screenshots anew from the demo: one picture of each main view, at 1280 × 800; or those that are named. */
import { chromium } from '@playwright/test';
import { join } from 'node:path';
import { root } from './lib/paths.mjs';
import { makeDatabase, startPostgres } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';

const postgres = await startPostgres('postgres-test');
const database = `noria_screenshots_${process.pid}`;
await makeDatabase(postgres.url('postgres'), database);
const server = await startServer({ databaseUrl: postgres.url(database), port: 0 });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});

const wanted = process.argv.slice(2);

async function take(name, { dark = false, width = 1280, height = 800, show }) {
  if (wanted.length > 0 && !wanted.includes(name)) return;
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light' });
  await page.goto(server.url);
  await page.getByRole('link', { name: 'Winter at the huts' }).waitFor();
  await show(page);
  await page.evaluate(() => document.fonts.ready);
  // A picture that is still coming shows as a blur.
  await page.waitForFunction(() =>
    [...document.images].every(({ complete, loading }) => complete || loading === 'lazy'),
  );
  await page.waitForLoadState('networkidle', { timeout: 5000 }).catch(() => undefined);
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
  await page.close();
  console.log(`${name}.png`);
}

async function open(page, name = 'Winter at the huts') {
  await page.getByRole('link', { name }).click();
  await page.locator('[data-tile-hand]').first().waitFor();
}

const hand = (page, id) => page.locator(`[data-tile-hand="${id}"]`);

async function showWidth(page, width) {
  const reading = page.getByLabel('Width shown, px');
  await reading.fill(String(width));
  await reading.press('Enter');
  await reading.blur();
}

await take('collections', { show: (page) => page.waitForTimeout(9000) });
await take('compose', {
  show: async (page) => {
    await open(page);
    await hand(page, 'wardens-week').click();
    await page
      .getByRole('group', { name: 'Span pad' })
      .getByRole('button', { name: '3 by 1', exact: true })
      .hover();
  },
});
await take('compose-arrangement', { show: (page) => open(page, 'A year of work days') });
await take('compose-narrow', {
  show: async (page) => {
    await open(page);
    await showWidth(page, 390);
    await hand(page, 'beds').click();
  },
});
await take('widths', {
  show: async (page) => {
    await open(page);
    await hand(page, 'ridge-path').click();
    await page.getByRole('link', { name: 'Widths' }).click();
    await page.locator('[data-pane="768"]').hover();
  },
});
await take('compose-dark', {
  dark: true,
  show: async (page) => {
    await open(page, 'Night sky above hut four');
    await hand(page, 'moonless').click();
    await page.keyboard.press('l');
  },
});
await take('compose-looks', {
  show: async (page) => {
    await open(page, 'Night sky above hut four');
    await hand(page, 'moonless').click();
    await page.getByRole('button', { name: 'Heading type' }).click();
    await page.getByRole('complementary', { name: 'Settings' }).evaluate((panel) => {
      panel.scrollTop = 470;
    });
    await page.getByRole('button', { name: /^Stop 1, / }).click();
  },
});
await take('pictures', {
  show: async (page) => {
    await page.getByRole('link', { name: 'Pictures' }).click();
    await page.getByRole('button', { name: /Ridge path/ }).click();
  },
});
await take('recipes', { show: (page) => page.getByRole('link', { name: 'Recipes' }).click() });
await take('fonts', { show: (page) => page.getByRole('link', { name: 'Fonts' }).click() });
await take('open', {
  show: async (page) => {
    await page.getByRole('button', { name: 'Open a page or file' }).click();
    const shed = join(root, 'e2e', 'pages', 'tool-shed');
    await page
      .getByTestId('files-to-open')
      .setInputFiles([
        join(shed, 'index.html'),
        join(shed, 'css', 'shed.css'),
        join(root, 'demo', 'pictures', 'hut-at-dusk.webp'),
      ]);
    await page.getByText('Layout kept at 1280 px').waitFor();
  },
});
/** Pictures come from the server a little later. */
const settled = (page) => page.waitForTimeout(3500);
for (const [name, collection] of [
  ['masonry', 'Sent in by guests'],
  ['rows', 'The long way round'],
  ['mosaic', 'One valley, many lights'],
  ['fan', 'Six huts, six evenings'],
  ['page', 'Hut four, its own page'],
]) {
  await take(name, {
    show: async (page) => {
      await open(page, collection);
      if (name === 'masonry') await page.keyboard.press('t');
      await settled(page);
    },
  });
}
await take('preview', {
  show: async (page) => {
    await open(page, 'Hut four, its own page');
    await page.getByRole('link', { name: 'Preview' }).click();
    await settled(page);
  },
});

/** A tile that wants more room than it has at some widths. */
async function squash(page) {
  await open(page, 'Night sky above hut four');
  await hand(page, 'stars').click();
  await page.getByLabel('Minimum width').fill('210');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByTestId('found-count').waitFor();
}
await take('check', {
  show: async (page) => {
    await squash(page);
    await page.getByRole('link', { name: /^Check/ }).click();
    await page.getByRole('list', { name: 'Open findings' }).getByRole('button').first().click();
    await page.waitForTimeout(3000);
  },
});
await take('export', {
  show: async (page) => {
    await open(page);
    await page.getByRole('link', { name: 'Export' }).click();
    await page.getByRole('button', { name: /style\.css/ }).click();
  },
});

await browser.close();
await server.stop();
await postgres.stop();
