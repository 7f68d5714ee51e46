import AxeBuilder from '@axe-core/playwright';
import { layoutCollection } from '@noria/core';
import type { Page } from '@playwright/test';
import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { DEMOS, demo, expect, expectSameBoxes, pageBoxes, root, test } from './noria';

const run = promisify(execFile);

/** Tiles whose words need more room than they have. */
const clippedTiles = (page: Page) =>
  page.evaluate(async () => {
    await document.fonts.ready;
    return [...document.querySelectorAll<HTMLElement>('[data-tile]')]
      .filter((tile) => tile.scrollHeight > tile.clientHeight + 1 || tile.scrollWidth > tile.clientWidth + 1)
      .map((tile) => tile.dataset.tile);
  });

for (const name of DEMOS) {
  test(`the page of “${name}” from the command line lies as core says at every width, no text clipped`, async ({
    page,
  }, info) => {
    const out = info.outputPath('page');
    await run(join(root, 'node_modules', '.bin', 'noria'), [
      'export',
      join(root, 'demo', `${name}.noria.json`),
      '--out',
      out,
    ]);
    const document = await demo(name);
    const trouble: string[] = [];
    page.on('console', (message) => message.type() === 'error' && trouble.push(message.text()));
    page.on('requestfailed', (request) => trouble.push(request.url()));
    await page.goto(`file://${join(out, 'index.html')}`);
    for (const width of [
      240, 280, 360, 500, 559, 560, 639, 640, 759, 760, 768, 899, 900, 1079, 1080, 1280, 1679, 1920, 2560,
    ]) {
      await page.setViewportSize({ width, height: 800 });
      const { tiles, inlineSize } = layoutCollection(document, width);
      const offset = (width - inlineSize) / 2;
      const expected = tiles.map(
        (tile) => [tile.id, [tile.x + offset, tile.y, tile.inlineSize, tile.blockSize]] as const,
      );
      expectSameBoxes(await pageBoxes(page), Object.fromEntries(expected));
      if (width >= 280) expect({ width, clipped: await clippedTiles(page) }).toEqual({ width, clipped: [] });
    }
    expect(trouble).toEqual([]);
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html)])).toEqual([]);
  });
}

test('pictures are fetched no smaller than they are drawn, and hardly larger', async ({ page }, info) => {
  const out = info.outputPath('page');
  await run(join(root, 'node_modules', '.bin', 'noria'), [
    'export',
    join(root, 'demo', 'winter-at-the-huts.noria.json'),
    '--out',
    out,
  ]);
  for (const width of [360, 800, 1280]) {
    await page.setViewportSize({ width, height: 2400 });
    await page.goto(`file://${join(out, 'index.html')}`);
    await page.waitForFunction(() =>
      [...document.images].every((image) => image.complete && image.currentSrc),
    );
    const drawn = await page.evaluate(() =>
      [...document.images].map((image) => {
        const [natural, shown] = [image.width / image.height, image.getBoundingClientRect()];
        const aspect = Number(image.getAttribute('width')) / Number(image.getAttribute('height'));
        const needed = Math.max(shown.width, shown.height * aspect);
        return {
          src: image.currentSrc.split('/').pop(),
          needed,
          got: Number(/-(\d+)\.webp/.exec(image.currentSrc)?.[1]),
          natural,
        };
      }),
    );
    for (const { src, needed, got } of drawn) {
      expect(got, `${src ?? ''} at ${width}`).toBeGreaterThanOrEqual(Math.floor(needed));
      expect(got, `${src ?? ''} at ${width}`).toBeLessThanOrEqual(Math.max(320, needed * 2));
    }
  }
});
