import AxeBuilder from '@axe-core/playwright';
import {
  assignArea,
  change,
  checkDocument,
  flatTiles,
  groupTiles,
  layoutCollection,
  onLevel,
  paintArea,
  placeOver,
  removeArea,
  setArrangement,
  setBadges,
  setFit,
  setTrack,
  type CollectionDocument,
  type Command,
  type TextMeasurer,
} from '@noria/core';
import type { Page } from '@playwright/test';
import { execFile } from 'node:child_process';
import { symlink, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { fontMeasurer } from '../packages/cli/dist/fonts.js';
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

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
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
      const layout = layoutCollection(document, width, { measurer });
      const offset = (width - layout.inlineSize) / 2;
      const expected = flatTiles(layout).map(
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

test('tracks of every kind, heights, areas, groups, layers and badges lie in the page as core says', async ({
  page,
}, info) => {
  const out = info.outputPath('page');
  const file = info.outputPath('everything.noria.json');
  const document = everything(await demo('winter-at-the-huts'));
  expect(checkDocument(document).problems).toEqual([]);
  await writeFile(file, JSON.stringify(document));
  await symlink(join(root, 'demo', 'pictures'), info.outputPath('pictures'));
  await run(join(root, 'node_modules', '.bin', 'noria'), ['export', file, '--out', out]);
  await page.goto(`file://${join(out, 'index.html')}`);
  await page.evaluate(() => window.document.fonts.ready);
  for (const width of [240, 333, 480, 639, 640, 800, 1000, 1079, 1080, 1280, 1600, 2000, 2560]) {
    await page.setViewportSize({ width, height: 800 });
    const layout = layoutCollection(document, width, { measurer });
    const offset = (width - layout.inlineSize) / 2;
    const expected = flatTiles(layout).map(
      (tile) => [tile.id, [tile.x + offset, tile.y, tile.inlineSize, tile.blockSize]] as const,
    );
    expectSameBoxes(await pageBoxes(page), Object.fromEntries(expected));
  }
  await expect(page.locator('.badge')).toHaveText(['New']);
});

/** The winter collection with all that a bento can have. */
function everything(start: CollectionDocument): CollectionDocument {
  const track = (axis: 'row' | 'column', index: number, size: string, band: number) =>
    setTrack({ axis, index, size, band, setFor: 'band' });
  const commands: Command[] = [
    track('column', 0, 'minmax(180px, 1fr)', 0),
    track('column', 2, 'fit-content(260px)', 0),
    track('column', 3, 'auto', 0),
    track('row', 1, 'auto', 0),
    track('row', 2, 'minmax(80px, auto)', 0),
    track('column', 1, 'max(120px, 20%)', 1),
    track('row', 0, '1fr', 2),
    setArrangement({ height: { kind: 'fixed', px: 1500 } }, 2, 'band'),
    setArrangement({ height: { kind: 'screen', share: 1.5 }, autoRows: '1fr' }, 1, 'band'),
    setFit(['beds'], { inline: 'end', block: 'centre' }, 0, 'band'),
    setFit(['opening'], { inline: 'centre', inlineSize: 240, block: 'end' }, 0, 'band'),
    setFit(['night'], { inline: 'start', inlineSize: 90, block: 'start', blockSize: 60 }, 0, 'band'),
    setFit(['night'], { inline: 'fill', block: 'fill' }, 2, 'band'),
    setBadges('hut-at-dusk', [
      { words: 'New', inline: 'end', block: 'start', fill: '#ffffff', ink: '#000000' },
    ]),
    groupTiles(['highest', 'wardens-week'], 'g', 0),
    onLevel('g', track('column', 0, '2fr', 0)),
    onLevel(
      'g',
      setArrangement(
        { autoRows: 'auto', padding: { blockStart: 8, inlineEnd: 8, blockEnd: 8, inlineStart: 8 } },
        1,
        'band',
      ),
    ),
    onLevel('g', groupTiles(['highest'], 'inner', 0)),
    paintArea('side', { column: 1, row: 3, columnSpan: 1, rowSpan: 2 }, 0, 'band'),
    assignArea(['voice'], 'side', 0, 'band'),
    removeArea('side', 2, 'band'),
    (draft) => placeOver(draft, 'booking', 0, { column: 3, row: 1 })(draft),
  ];
  return commands.reduce((document, command) => change(document, command).document, start);
}
