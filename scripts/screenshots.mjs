/** Takes docs/screenshots anew from the demo: one picture of each main view, at 1280 × 800. */
import { chromium } from '@playwright/test';
import { join } from 'node:path';
import { root } from './lib/paths.mjs';
import { ensureDatabase, startPostgres } from './lib/postgres.mjs';
import { startServer } from './lib/server.mjs';

const postgres = await startPostgres('postgres-test');
const database = `noria_screenshots_${process.pid}`;
await ensureDatabase(postgres.url('postgres'), database);
const server = await startServer({ databaseUrl: postgres.url(database), port: 0 });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});

async function take(name, { dark = false, width = 1280, height = 800, show }) {
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light' });
  await page.goto(server.url);
  await page.getByRole('link', { name: 'Winter at the huts' }).waitFor();
  await show(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
  await page.close();
  console.log(`${name}.png`);
}

const open = (page, name = 'Winter at the huts') => page.getByRole('link', { name }).click();
const hand = (page, id) => page.locator(`[data-tile-hand="${id}"]`);

async function showWidth(page, width) {
  const reading = page.getByLabel('Width shown, px');
  await reading.fill(String(width));
  await reading.press('Enter');
  await reading.blur();
}

await take('collections', { show: async () => undefined });
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
await take('compose-dark', {
  dark: true,
  show: async (page) => {
    await open(page, 'Night sky above hut four');
    await hand(page, 'moonless').click();
    await page.keyboard.press('l');
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
