import AxeBuilder from '@axe-core/playwright';
import {
  test as base,
  expect,
  type Download,
  type Locator,
  type Page,
  type TestInfo,
} from '@playwright/test';
import {
  checkDocument,
  flatTiles,
  layoutCollection,
  type CollectionDocument,
  type TextMeasurer,
} from '@noria/core';
import { execFile } from 'node:child_process';
import { unzipSync } from 'fflate';
import { mkdir, readFile, symlink, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import pg from 'pg';
import { startServer } from '../scripts/lib/server.mjs';

export { expect };
export const root = join(import.meta.dirname, '..');

/** The application with a server and a database of this worker's own. */
export interface Application {
  readonly url: string;
  stop(): Promise<void>;
  /** Starts the server again on the same port. */
  start(): Promise<void>;
  /** Asks the database itself. */
  query(sql: string): Promise<unknown>;
}

const admin = async (sql: string, url = process.env.DATABASE_URL): Promise<unknown[]> => {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<object>(sql).finally(() => client.end());
  return rows;
};

export const test = base.extend<
  { collection: string; brokenConsole: string[] },
  { application: Application }
>({
  application: [
    async ({}, use, { workerIndex }) => {
      const name = `noria_e2e_${process.pid}_${workerIndex}`;
      await admin(`CREATE DATABASE ${name}`);
      const databaseUrl = new URL(process.env.DATABASE_URL ?? '');
      databaseUrl.pathname = `/${name}`;
      const launch = (port: number) => startServer({ databaseUrl: databaseUrl.href, port });
      let server = await launch(0);
      const port = Number(new URL(server.url).port);
      const url = `http://127.0.0.1:${port}`;
      await use({
        url,
        stop: () => server.stop(),
        start: async () => {
          server = await launch(port);
        },
        query: (sql) => admin(sql, databaseUrl.href),
      });
      await server.stop();
      await admin(`DROP DATABASE ${name} WITH (FORCE)`);
    },
    { scope: 'worker' },
  ],

  /** Id of a fresh copy of the demo's winter collection. */
  collection: async ({ application }, use) => {
    const { id } = await createCollection(application, { document: await demo('winter-at-the-huts') });
    await use(id);
  },
});

export async function demo(name: string): Promise<CollectionDocument> {
  const { document } = checkDocument(
    JSON.parse(await readFile(join(root, 'demo', `${name}.noria.json`), 'utf8')),
  );
  if (!document) throw new Error(`The demo ${name} is not sound.`);
  return document;
}

export const DEMOS = [
  'winter-at-the-huts',
  'a-year-of-work-days',
  'night-sky-above-hut-four',
  'seven-days-seven-paths',
  'sent-in-by-guests',
  'the-long-way-round',
  'one-valley-many-lights',
  'six-huts-six-evenings',
  'pocket-album',
  'hut-four-its-own-page',
] as const;

interface Stored {
  readonly id: string;
  readonly revision: number;
  readonly document: CollectionDocument;
}

const api = ({ url }: Application) => `${url}/api/workspaces/huts/collections`;

export async function createCollection(application: Application, body: object): Promise<Stored> {
  const response = await fetch(api(application), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(response.status).toBe(201);
  return (await response.json()) as Stored;
}

export const readStored = async (application: Application, id: string) =>
  (await (await fetch(`${api(application)}/${id}`)).json()) as Stored;

export async function openCompose(page: Page, application: Application, id: string): Promise<void> {
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(hand(page, 'hut-at-dusk')).toBeVisible();
  await fontsThere(page);
}

/** Waits for the fonts of a page. Asked again and again: the promise of a page that draws no frame may not come. */
export const fontsThere = (page: Page) =>
  expect.poll(() => page.evaluate(() => document.fonts.status)).toBe('loaded');

/** The button that takes a tile in hand on the stage. */
/** No violation in what is on the screen, but for what a designer put on the stage. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // Left out of the tags unless it is asked for.
    .options({ rules: { 'target-size': { enabled: true } } })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
    // The designer's own page on the stage: it is inert here, and is checked as a page when exported.
    .exclude('[data-stage-page]')
    .analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html)])).toEqual([]);
}

export const hand = (page: Page, id: string): Locator => page.locator(`[data-tile-hand="${id}"]`);

export const saved = (page: Page) =>
  expect(page.getByRole('status', { name: 'Saving state' })).toHaveText('Saved');

/** Shows a width by typing it. */
export async function showWidth(page: Page, width: number): Promise<void> {
  const reading = page.getByLabel('Width shown, px');
  await reading.fill(String(width));
  await reading.press('Enter');
  await reading.blur();
}

/** Enlarges and moves a picture in its slot, by wheel, pointer and keys, and ends that. */
export async function moveInSlot(page: Page, crop: Locator): Promise<void> {
  const box = await crop.boundingBox();
  const [x, y] = [(box?.x ?? 0) + 60, (box?.y ?? 0) + 80];
  await page.mouse.move(x, y);
  await page.mouse.wheel(0, -400);
  await page.mouse.down();
  await page.mouse.move(x - 40, y - 30, { steps: 5 });
  await page.mouse.up();
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Escape');
  await expect(crop).toHaveCount(0);
}

/** Drags by real pointer steps from the middle of one place to a point. */
export async function drag(
  page: Page,
  from: Locator,
  dx: number,
  dy: number,
  { hold = false } = {},
): Promise<void> {
  // What arrives beside the first paint may still move it.
  await from.hover({ trial: true });
  const box = await from.boundingBox();
  if (!box) throw new Error('There is nothing to drag.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 8; step++) await page.mouse.move(x + (dx * step) / 8, y + (dy * step) / 8);
  if (!hold) await page.mouse.up();
}

/** Boxes of the tiles on the stage, as core put them, in px of the page. */
export function stageBoxes(page: Page): Promise<Record<string, [number, number, number, number]>> {
  return page.evaluate(() => {
    const host = document.querySelector('[data-stage-page]');
    const slots = [...(host?.shadowRoot?.querySelectorAll<HTMLElement>('[data-slot]') ?? [])];
    return Object.fromEntries(
      slots.map((slot) => {
        const [x = '0', y = '0'] = slot.style.translate.split(' ');
        const box = [x, y, slot.style.width, slot.style.height].map(Number.parseFloat);
        return [slot.dataset.slot ?? '', box as [number, number, number, number]];
      }),
    );
  });
}

/** Runs Noria’s command line. */
export const noria = (...args: string[]) =>
  promisify(execFile)(join(root, 'node_modules', '.bin', 'noria'), args);

/** The page of a demo collection, or of one made from it, as the command line writes it; answers its address. */
export async function exported(of: string | CollectionDocument, info: TestInfo): Promise<string> {
  const out = info.outputPath('page');
  const file =
    typeof of === 'string' ? join(root, 'demo', `${of}.noria.json`) : info.outputPath('made.noria.json');
  if (typeof of !== 'string') {
    await writeFile(file, JSON.stringify(of));
    await symlink(join(root, 'demo', 'pictures'), info.outputPath('pictures'));
  }
  await noria('export', file, '--out', out);
  return `file://${join(out, 'index.html')}`;
}

/** Downloads the page of the collection that is open, and comes back to Compose; answers its address. */
export async function downloadedPage(page: Page, info: TestInfo, name?: string): Promise<string> {
  await page.getByRole('link', { name: 'Export' }).click();
  const download = await pressedForDownload(page, 'Download the page as ZIP');
  if (name !== undefined) expect(download.suggestedFilename()).toBe(`${name}.zip`);
  const folder = info.outputPath('page');
  for (const [path, bytes] of Object.entries(unzipSync(await readFile(await download.path())))) {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    await writeFile(join(folder, path), bytes);
  }
  await page.getByRole('link', { name: 'Compose' }).click();
  return `file://${join(folder, 'index.html')}`;
}

/** Presses a button that downloads, and waits for the file; where none comes, what the page says instead is told. */
export async function pressedForDownload(page: Page, button: string): Promise<Download> {
  const coming = page.waitForEvent('download', { timeout: 300_000 });
  const said = page
    .getByRole('alert')
    .filter({ hasText: 'could not be made' })
    .waitFor({ timeout: 300_000 })
    .then(
      async () => {
        throw new Error(await page.getByRole('alert').first().innerText());
      },
      () => coming,
    );
  const [download] = await Promise.all([
    Promise.race([coming, said]),
    page.getByRole('button', { name: button }).click({ timeout: 300_000 }),
  ]);
  return download;
}

/** Downloads the fragment of the collection that is open, puts it into a plain page, and answers the address of that. */
export async function downloadedFragment(page: Page, info: TestInfo): Promise<string> {
  const download = await pressedForDownload(page, 'Download the fragment as ZIP');
  const folder = info.outputPath('fragment');
  const files = Object.entries(unzipSync(await readFile(await download.path())));
  for (const [path, bytes] of files) {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    await writeFile(join(folder, path), bytes);
  }
  const [css, html] = ['.css', '.html'].map((ending) => files.find(([path]) => path.endsWith(ending)));
  await writeFile(
    join(folder, 'host.html'),
    `<!doctype html><html lang="en"><head><title>Host</title><link rel="stylesheet" href="${css?.[0] ?? ''}"></head><body style="margin: 0">${html ? Buffer.from(html[1]).toString() : ''}</body></html>`,
  );
  return `file://${join(folder, 'host.html')}`;
}

/** Boxes of the tiles of an exported page, as the browser laid them out. */
export function pageBoxes(page: Page): Promise<Record<string, [number, number, number, number]>> {
  return page.evaluate(() =>
    Object.fromEntries(
      [...document.querySelectorAll<HTMLElement>('[data-tile]')].map((tile) => {
        const { x, y, width, height } = tile.getBoundingClientRect();
        return [
          tile.dataset.tile ?? '',
          [x + scrollX, y + scrollY, width, height] as [number, number, number, number],
        ];
      }),
    ),
  );
}

/** Every tile of both, within half a px. */
export function expectSameBoxes(
  actual: Record<string, readonly number[]>,
  expected: Record<string, readonly number[]>,
): void {
  expect(Object.keys(actual)).toEqual(Object.keys(expected));
  const off = Object.entries(expected).flatMap(([id, box]) =>
    box.some((value, k) => Math.abs(value - (actual[id]?.[k] ?? Infinity)) > 0.5)
      ? [{ id, box, actual: actual[id] }]
      : [],
  );
  expect(off).toEqual([]);
}

/** The tiles of an exported page at a width lie where core says. */
export async function expectAsCoreAt(
  page: Page,
  document: CollectionDocument,
  measurer: TextMeasurer,
  width: number,
): Promise<void> {
  await page.setViewportSize({ width, height: 800 });
  const layout = layoutCollection(document, width, { measurer });
  const offset = (width - layout.inlineSize) / 2;
  const expected = flatTiles(layout).map(
    (tile) => [tile.id, [tile.x + offset, tile.y, tile.inlineSize, tile.blockSize]] as const,
  );
  expectSameBoxes(await pageBoxes(page), Object.fromEntries(expected));
}
