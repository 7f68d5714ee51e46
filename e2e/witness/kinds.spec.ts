import {
  change,
  flatTiles,
  layoutCollection,
  removeTiles,
  setArrangement,
  setSpan,
  writePage,
  type CollectionDocument,
  type Layout,
  type TextMeasurer,
} from '@noria/core';
import { chromium, type Page } from '@playwright/test';
import { writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { fontMeasurer } from '../../packages/cli/dist/fonts.js';
import { demo, expect, exported, pageBoxes, test } from '../noria';
import { randomCollection } from './randomCollection';

/** How many collections of each demo, and from which seed; `npm run witness` asks for many more. */
const COLLECTIONS = Number(process.env.WITNESS_COLLECTIONS ?? 12);
const SEED = Number(process.env.WITNESS_SEED ?? 1);
const WIDTHS = [280, 414, 700, 1024, 1600];

/** Padding of both sides of a tile, px. */
const SMALLEST = 50;

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

/** Tiles of a page that do not lie within half a px of where core says, in words. */
async function astray(page: Page, document: CollectionDocument): Promise<string[]> {
  const found: string[] = [];
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 800 });
    const layout = layoutCollection(document, width, { measurer });
    let here = astrayAt(width, layout, await pageBoxes(page));
    // A tile as wide as its picture has its width when the browser has taken in that picture for this width.
    for (let left = 10; here.length > 0 && left > 0; left--) {
      await page.waitForTimeout(200);
      here = astrayAt(width, layout, await pageBoxes(page));
    }
    found.push(...here);
  }
  return found;
}

function astrayAt(width: number, layout: Layout, there: Awaited<ReturnType<typeof pageBoxes>>): string[] {
  const offset = (width - layout.inlineSize) / 2;
  return flatTiles(layout).flatMap(({ id, x, y, inlineSize, blockSize }) => {
    const here = [x + offset, y, inlineSize, blockSize];
    // A tile is no smaller than its padding in a browser; no one wants one so small.
    if (inlineSize < SMALLEST || blockSize < SMALLEST) return [];
    const far = here.map((value, k) => Math.abs(value - (there[id]?.[k] ?? Infinity)));
    return far.some((each) => each > 0.5)
      ? [`${id} at ${width}: core ${here.join(' ')}, browser ${there[id]?.join(' ') ?? 'none'}`]
      : [];
  });
}

const WAYS = [
  { lanes: false, lengths: 'px', says: 'without lanes' },
  { lanes: true, lengths: 'px', says: 'with lanes' },
  { lanes: false, lengths: 'written', says: 'without lanes, lengths as CSS has them' },
  { lanes: true, lengths: 'written', says: 'with lanes, lengths as CSS has them' },
] as const;

for (const { lanes, lengths, says } of WAYS)
  for (const name of ['winter-at-the-huts', 'sent-in-by-guests'])
    test(`any kinds of “${name}” lie in the page as core says, ${says}`, async ({}, info) => {
      const start = await demo(name);
      const folder = dirname(fileURLToPath(await exported(name, info)));
      const browser = await chromium.launch({
        executablePath: '/usr/bin/chromium',
        args: [
          '--no-sandbox',
          '--disable-gpu',
          ...(lanes ? ['--enable-blink-features=CSSGridLanesLayout'] : []),
        ],
      });
      const page = await browser.newPage({ reducedMotion: 'reduce' });
      const failed: string[] = [];
      for (let seed = SEED; seed < SEED + COLLECTIONS; seed++) {
        const document = randomCollection(start, seed, lengths);
        const { files } = writePage(document, measurer);
        for (const [file, text] of Object.entries(files)) await writeFile(join(folder, file), text);
        await page.goto(`file://${join(folder, 'index.html')}`);
        await page.evaluate(() => window.document.fonts.ready);
        const found = await astray(page, document);
        if (found.length > 0) failed.push(`seed ${seed}: ${found.length}, ${found[0] ?? ''}`);
      }
      await browser.close();
      expect(failed).toEqual([]);
    });

test('square cells are square in a row in which no tile begins', async ({ page }, info) => {
  const start = await demo('winter-at-the-huts');
  const [tall = '', small = '', ...others] = start.order;
  const document = [
    removeTiles(others),
    setArrangement({ cells: 'square', columns: ['1fr', '1fr'] }, 0, 'all'),
    setSpan({ tiles: [tall], band: 0, setFor: 'all', columnSpan: 1, rowSpan: 2 }),
    setSpan({ tiles: [small], band: 0, setFor: 'all', columnSpan: 1, rowSpan: 1 }),
  ].reduce<CollectionDocument>((each, command) => change(each, command).document, { ...start, bands: [] });
  const folder = dirname(fileURLToPath(await exported('winter-at-the-huts', info)));
  const { files } = writePage(document, measurer);
  for (const [file, text] of Object.entries(files)) await writeFile(join(folder, file), text);
  await page.goto(`file://${join(folder, 'index.html')}`);
  expect(await astray(page, document)).toEqual([]);
});
