import type { PageLayoutOptions } from '@noria/core';
import { test as base, expect, type Page } from '@playwright/test';
import { mkdir, readFile, readdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { root } from '../noria';
import { asked } from './implements';
import { writeHtml, type Node } from './pageModel';
import { randomLanes, randomPage } from './randomPage';
import {
  browserBoxes,
  compare,
  coreBoxes,
  differences,
  NO_WORDS,
  prepareFrame,
  shrink,
  type Difference,
} from './witness';

/** How many pages, and from which seed; `npm run witness` asks for many more. */
const PAGES = Number(process.env.WITNESS_PAGES ?? 520);
const SEED = Number(process.env.WITNESS_SEED ?? 1);
const WIDTHS = [320, 611, 900, 1280];
const AT_ONCE = 40;
const cases = join(import.meta.dirname, 'cases');
/** What comes out differently is kept where git and lint don’t look, until somebody moves it to the cases. */
const found = join(root, '.noria', 'witness');

const test = base.extend({
  page: async ({ page }, use) => {
    await prepareFrame(page);
    await use(page);
  },
});

test.use({
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--font-render-hinting=none',
      '--enable-blink-features=CSSGridLanesLayout',
    ],
  },
});
test.describe.configure({ mode: 'parallel' });

/** Lays random pages out in both, and keeps the smallest page of each seed that comes out differently. */
async function witness(
  page: Page,
  make: (seed: number) => Node,
  seeds: readonly number[],
  options: PageLayoutOptions = NO_WORDS,
): Promise<string[]> {
  const failed: string[] = [];
  for (let from = 0; from < seeds.length; from += AT_ONCE) {
    const some = seeds.slice(from, from + AT_ONCE);
    const pages = some.map((seed) => writeHtml(make(seed)));
    const browser = await browserBoxes(page, pages, WIDTHS);
    for (const [k, seed] of some.entries()) {
      const off = differences(browser[k] ?? [], coreBoxes(pages[k] ?? '', WIDTHS, options), WIDTHS);
      if (off.length === 0) continue;
      const smallest = writeHtml(await shrink(page, make(seed), WIDTHS, options));
      const file = `${make.name}-${seed}.html`;
      await mkdir(found, { recursive: true });
      await writeFile(join(found, file), smallest);
      failed.push(`${file}: ${describe(await compare(page, smallest, WIDTHS, options))}`);
    }
  }
  return failed;
}

const describe = (off: readonly Difference[]) =>
  off
    .slice(0, 2)
    .map(
      ({ width, tile, browser, core }) =>
        `${tile} at ${width}: browser ${browser?.join(' ') ?? 'none'}, core ${core?.join(' ') ?? 'none'}`,
    )
    .join('; ');

const range = (count: number) => Array.from({ length: count }, (_, k) => SEED + k);

/** A part a worker, so that both processors have work. */
for (const part of [0, 1]) {
  test(`random grids lie as the browser lays them, part ${part + 1}`, async ({ page }) => {
    test.setTimeout(900_000 + PAGES * 1000);
    expect(
      await witness(
        page,
        randomPage,
        range(PAGES).filter((seed) => seed % 2 === part),
      ),
    ).toEqual([]);
  });
}

test('random lanes lie as this browser lays them', async ({ page }) => {
  const count = Math.ceil(PAGES / 4);
  test.setTimeout(900_000 + count * 1000);
  const { lanesGoOnAfter } = await asked(page);
  // What it doesn't have can't be witnessed; the rule itself is tested in core, both ways.
  if (lanesGoOnAfter === null) return;
  const options = { ...NO_WORDS, lanesGoOnAfter };
  expect(await witness(page, randomLanes, range(count), options)).toEqual([]);
});

test('pages that once came out differently still come out the same', async ({ page }) => {
  const files = (await readdir(cases)).filter((name) => name.endsWith('.html')).sort();
  const failed: string[] = [];
  for (const file of files) {
    const off = await compare(page, await readFile(join(cases, file), 'utf8'), WIDTHS, NO_WORDS);
    if (off.length > 0) failed.push(`${file}: ${describe(off)}`);
  }
  expect(files.length).toBeGreaterThan(0);
  expect(failed).toEqual([]);
});
