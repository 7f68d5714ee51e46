import { access, writeFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import sharp from 'sharp';
import {
  allTiles,
  change,
  fragmentId,
  flatTiles,
  layoutCollection,
  setBandTypeSizes,
  writeForm,
  writeFragment,
  type CollectionDocument,
  type Form,
  type TextMeasurer,
} from '@noria/core';
import { fontMeasurer } from '../packages/cli/dist/fonts.js';
import { DEMOS, demo, expect, exported, fontsThere, test } from './noria';
import type { Page, TestInfo } from '@playwright/test';

/** A page with rules for everything, as those of a site that grew. */
const HOST = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Host</title><style>
:root { color-scheme: dark; --moss: red }
* { margin: 3px; padding: 2px; box-sizing: content-box; border: 1px solid red; letter-spacing: 1px; line-height: 2; font-style: italic }
*::before { content: "!"; color: red }
body { min-height: 12000px; background: #14181a; color: #eee; font: 19px/2.2 monospace; text-transform: uppercase; text-align: right; word-spacing: 4px }
article, section, div, figure, ul { background: #300; display: inline-block; float: left; min-width: 40px }
h1, h2, h3, p, a, strong, blockquote, li { color: lime; font-weight: 300; text-indent: 12px }
a:hover, a:focus { outline: 4px solid lime }
img, svg, video { border: 5px solid lime; max-width: 60%; filter: invert(1); border-radius: 50% }
ul, ol { list-style: square inside }
.card, .text, .quote, .stat { padding: 40px; color: pink }
.slot { display: block; float: none; margin: 0; padding: 0; border: 0; background: none; min-width: 0 }
#after { position: absolute; top: 120px; left: 1760px; width: 120px }
</style></head><body><p id="before">Before it</p><div class="slot" style="width: WIDTHpx">FRAGMENT</div><p id="after">Beside it</p></body></html>`;

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

/** Where pages are that load modules, which files may not. */
const SITE = 'http://forms.test/';

/** A folder with the pictures and fonts of a demo; it is written once a test. */
async function besides(name: string, info: TestInfo): Promise<string> {
  const folder = info.outputPath('page');
  const isThere = await access(join(folder, 'index.html')).then(
    () => true,
    () => false,
  );
  if (!isThere) await exported(name, info);
  return folder;
}

/** A collection in one of its forms, in the hostile page and with what belongs beside it. */
async function inHost(name: string, form: Form, width: number, info: TestInfo, page: Page) {
  // A grid has no pictures of its own.
  const folder = form === 'element' ? await besides(name, info) : '';
  const document = await demo(name);
  const { files } = writeForm(form, document, measurer);
  const texts = new Map(Object.entries(files));
  const found = (ending: string) => [...texts].find(([path]) => path.endsWith(ending)) ?? ['', ''];
  const [sheet] = found('.css');
  const [script] = found('.js');
  const use =
    form === 'element'
      ? `<${script.slice(0, -3)}></${script.slice(0, -3)}>`
      : filled(document, width, found('.html')[1]);
  const link =
    form === 'element'
      ? `<script type="module" src="${script}"></script>`
      : `<link rel="stylesheet" href="${sheet}">`;
  const host = (inside: string, head: string) =>
    HOST.replace('WIDTH', String(width)).replace('</head>', `${head}</head>`).replace('FRAGMENT', inside);
  texts.set('host.html', host(use, link)).set('alone.html', host('', ''));
  await page.route(`${SITE}**`, async (route) => {
    const path = decodeURIComponent(new URL(route.request().url()).pathname.slice(1));
    const text = texts.get(path);
    if (text === undefined) await route.fulfill({ path: join(folder, path) });
    else await route.fulfill({ body: text, contentType: TYPES[extname(path)] ?? 'text/plain' });
  });
  return { document, address: (path: string) => `${SITE}${path}` };
}

const TYPES: Readonly<Record<string, string>> = {
  '.html': 'text/html',
  '.css': 'text/css',
  '.js': 'text/javascript',
};

/** Markup of a grid with something in each item that is as high as what the tile holds. */
function filled(document: CollectionDocument, width: number, html: string): string {
  const laid = flatTiles(layoutCollection(document, width, { measurer }));
  const heights = new Map(laid.map(({ id, blockSize }) => [id, blockSize]));
  const ids = allTiles(document);
  let k = 0;
  return html.replace(
    /<div( class="[^"]*")?>(?:([^<]*)(<\/div>))?/g,
    (text, own: string | undefined, words: string | undefined, end: string | undefined) => {
      if (text.includes(`class="${fragmentId(document)}"`)) return text;
      const id = ids[k++] ?? '';
      return `<div${own ?? ''} data-tile="${id}"${end ? ' style="padding: 0; border: 0; font-size: 0; line-height: 0"' : ''}>${end ? `<i style="all: unset; display: block; block-size: ${heights.get(id) ?? 0}px"></i></div>` : ''}`;
    },
  );
}

/** A fragment in the hostile page, with its style sheet and what belongs beside it. */
async function hosted(name: string, document: CollectionDocument, width: number, info: TestInfo) {
  const folder = await besides(name, info);
  const { files } = writeFragment(document, measurer);
  const html = Object.entries(files).find(([path]) => path.endsWith('.html'))?.[1] ?? '';
  const [path, css] = Object.entries(files).find(([each]) => each.endsWith('.css')) ?? ['', ''];
  await writeFile(join(folder, path), css);
  const page = (fragment: string, link: string) =>
    HOST.replace('WIDTH', String(width)).replace('</head>', `${link}</head>`).replace('FRAGMENT', fragment);
  await writeFile(join(folder, 'host.html'), page(html, `<link rel="stylesheet" href="${path}">`));
  await writeFile(join(folder, 'alone.html'), page('', ''));
  return (file: string) => `file://${join(folder, file)}`;
}

/** Boxes of the tiles, px from the fragment. */
const boxes = (page: Page) =>
  page.evaluate(() => {
    const from = document.querySelector('.slot > *')?.getBoundingClientRect();
    const host = document.querySelector('.slot > *');
    const root = host?.shadowRoot ?? document;
    return [...root.querySelectorAll('[data-grid] > [data-tile], .slot > div > [data-tile]')].map((tile) => {
      const { x, y, width, height } = tile.getBoundingClientRect();
      return [
        (tile as HTMLElement).dataset.tile,
        // A grid may stand in the middle of its place.
        x - (document.querySelector('.slot')?.getBoundingClientRect().x ?? 0),
        y - (from?.y ?? 0),
        width,
        height,
      ] as const;
    });
  });

/** How the host looks: its two paragraphs, and where they are across. */
async function hostLooks(page: Page) {
  const shots = [];
  for (const id of ['before', 'after']) {
    const clip = (await page.locator(`#${id}`).boundingBox()) ?? { x: 0, y: 0, width: 1, height: 1 };
    const { data } = await sharp(await page.screenshot({ clip }))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    shots.push([clip.width, data.toString('base64')]);
  }
  return shots;
}

for (const name of DEMOS)
  test(`the fragment of “${name}” is exact in a hostile page, and changes nothing in it`, async ({
    page,
  }, info) => {
    const document = await demo(name);
    for (const width of [500, 1600]) {
      await page.setViewportSize({ width: 1920, height: 900 });
      const address = await hosted(name, document, width, info);
      await page.goto(address('alone.html'));
      const alone = await hostLooks(page);
      await page.goto(address('host.html'));
      await fontsThere(page);
      expect(await hostLooks(page)).toEqual(alone);
      expect(await farOff(page, document, width)).toEqual([]);
    }
  });

/** The tiles that lie more than half a px from where core lays them. */
async function farOff(page: Page, document: CollectionDocument, width: number): Promise<string[]> {
  const { tiles, inlineSize: whole } = layoutCollection(document, width, { measurer });
  const left = Math.max(0, (width - whole) / 2);
  const seen = await boxes(page);
  return tiles.flatMap(({ id, x, y, inlineSize, blockSize }) => {
    const there = seen.find(([each]) => each === id);
    const off = there
      ? [there[1] - x - left, there[2] - y, there[3] - inlineSize, there[4] - blockSize].map(Math.abs)
      : [];
    return there && Math.max(...off) <= 0.5
      ? []
      : [`${width} ${id} ${off.map((by) => by.toFixed(1)).join(' ')}`];
  });
}

for (const form of ['element', 'grid', 'grid-by-order'] as const)
  for (const name of DEMOS)
    test(`the ${form} of “${name}” is exact in a hostile page, and changes nothing in it`, async ({
      page,
    }, info) => {
      for (const width of [500, 1600]) {
        await page.setViewportSize({ width: 1920, height: 900 });
        const { document, address } = await inHost(name, form, width, info, page);
        await page.goto(address('alone.html'));
        const alone = await hostLooks(page);
        await page.goto(address('host.html'));
        if (form === 'element') await expect(page.locator('[data-tile]').first()).toBeAttached();
        await fontsThere(page);
        expect(await hostLooks(page)).toEqual(alone);
        expect(await farOff(page, document, width)).toEqual([]);
        await page.unrouteAll();
      }
    });

test('type sizes of a narrower band hold where the container is measured', async ({ page }, info) => {
  const winter = await demo('winter-at-the-huts');
  const [band] = winter.bands;
  const document = change(winter, setBandTypeSizes({ headingSize: 37, bodySize: 19 }, 1)).document;
  await page.goto(await exported(document, info));
  const sizes = async (width: number) => {
    await page.setViewportSize({ width, height: 800 });
    return page
      .locator('[data-tile="opening"]')
      .evaluate((tile) =>
        [tile, tile.querySelector('h1, h2, h3')].map((each) => each && getComputedStyle(each).fontSize),
      );
  };
  const below = band?.below ?? 0;
  expect(await sizes(below - 10)).toEqual(['19px', '37px']);
  expect(await sizes(below + 10)).not.toContain('37px');
});
