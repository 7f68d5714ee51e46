import { cp, mkdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { expect, expectAccessible, readStored, root, test } from './noria';
import type { Page, TestInfo } from '@playwright/test';

const GRID = `<style>
  .g { display: grid; grid-template-columns: repeat(3, 1fr); gap: 12px; padding: 20px }
  .g { font: 16px/1.5 sans-serif }
  h2, p { margin: 0; line-height: 1.25 }
  .g > * { background: #fff; padding: 16px }
  @media (width < 700px) { .g { grid-template-columns: 1fr } }
</style>
<section class="g"><article><h2>Bread</h2><p>At four.</p></article><article><h2>Soup</h2><p>At six.</p></article></section>`;

/** A page as it lies on a disk, with its style sheet and a picture. */
async function folder(info: TestInfo): Promise<string> {
  const out = info.outputPath('tool-shed');
  await cp(join(root, 'e2e', 'pages', 'tool-shed'), out, { recursive: true });
  await mkdir(join(out, 'pictures'));
  await cp(join(root, 'demo', 'pictures', 'hut-at-dusk.webp'), join(out, 'pictures', 'hut-at-dusk.webp'));
  return out;
}

const became = (page: Page) => page.getByRole('complementary', { name: 'What was found' });
const said = (page: Page) => page.getByRole('region', { name: 'Side by side' });
const idOf = (page: Page) => /collections\/([^/]+)/.exec(page.url())?.[1] ?? '';

test('a page from a folder is shown beside its reading at three widths, and opened', async ({
  page,
  application,
}, info) => {
  await page.goto(application.url);
  await page.getByRole('button', { name: 'Open a page or file' }).click();
  await expectAccessible(page);
  await page.getByTestId('folder-to-open').setInputFiles(await folder(info));

  const found = became(page).getByRole('button', { pressed: true });
  await expect(found).toContainText('Bento of 4, 2 and 1 columns');
  await expect(found).toContainText('section#tools, line 12: six tiles, bands below 900 and 520');
  for (const width of ['1280', '768', '360']) {
    await said(page).getByRole('radio', { name: width }).click();
    await expect(became(page)).toContainText(`Layout kept at ${width} px6 of 6`);
    await expect(said(page)).toContainText('no differences');
  }
  await expect(became(page)).toContainText(
    'Changed: “border” of <article> is dashed; it is solid now.shed.css 19',
  );
  await expect(became(page)).toContainText(
    'Left out: “background” of <a> is left out: only whole tiles have one.shed.css 20',
  );
  await expect(became(page)).toContainText('Left out: A script is left out.29');
  // The page itself is there, and nothing in it ran.
  const there = page.frameLocator('iframe[title="The page"]');
  await expect(there.getByRole('heading', { name: 'Forty tools, one key' })).toBeVisible();
  await expect(there.getByRole('img')).toHaveJSProperty('complete', true);
  expect(await there.locator('title').textContent()).toBe('The tool shed');
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Open as a collection' }).click();
  await page.waitForURL(/compose$/);
  await expect(page.getByRole('heading', { name: 'The tool shed' })).toBeVisible();
  const { document } = await readStored(application, idOf(page));
  expect(document.order).toHaveLength(6);
  const [picture] = Object.values(document.pictures);
  expect(picture).toMatchObject({ inlineSize: 1800, alternativeText: 'The shed at dusk, one lit window' });
  expect(picture?.raster).toBeDefined();
});

test('another grid of the page is chosen, and taken alone', async ({ page, application }, info) => {
  await page.goto(`${application.url}/huts/open`);
  await page.getByTestId('folder-to-open').setInputFiles(await folder(info));
  await became(page)
    .getByRole('button', { name: /section\.hours/ })
    .click();
  await expect(became(page)).toContainText('Layout kept at 1280 px3 of 3');
  await page.getByRole('button', { name: 'Open as a collection' }).click();
  await page.waitForURL(/compose$/);
  expect((await readStored(application, idOf(page))).document.order).toHaveLength(3);
});

test('all grids of the page are taken as groups, one below the other', async ({
  page,
  application,
}, info) => {
  await page.goto(`${application.url}/huts/open`);
  await page.getByTestId('folder-to-open').setInputFiles(await folder(info));
  await became(page).getByRole('button', { name: 'The whole page' }).click();
  for (const width of ['1280', '768', '360']) {
    await said(page).getByRole('radio', { name: width }).click();
    await expect(became(page)).toContainText(`Layout kept at ${width} px11 of 11`);
  }
  await expect(became(page)).toContainText(
    '2 grids lie one below the other; what is between them is left out.',
  );
  await page.getByRole('button', { name: 'Open as a collection' }).click();
  await page.waitForURL(/compose$/);
  const { document } = await readStored(application, idOf(page));
  expect(document.order).toEqual(['tools', 'hours']);
});

test('what differs is marked in Noria’s reading, with both values', async ({ page, application }) => {
  await page.goto(`${application.url}/huts/open`);
  const odd = GRID.replace('<article>', '<article style="margin-right: 40px">');
  await page.getByLabel('Or paste HTML').fill(odd);
  await page.getByRole('button', { name: 'Read HTML' }).click();
  await expect(said(page)).toContainText('one difference');
  const mark = page.frameLocator('iframe[title="Noria’s reading"]').locator('[title]');
  await expect(mark).toHaveText(/◆ 40 px wider/);
  expect(await mark.getAttribute('title')).toMatch(/px here, .* px in the page$/);
  await expect(became(page)).toContainText('Changed: Bread: 40 px wider');
});

test('a page is pasted or dropped anywhere on Collections', async ({ page, application }) => {
  await page.goto(application.url);
  await expect(page.getByRole('heading', { name: 'Collections' })).toBeVisible();
  await page.evaluate((html) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', html);
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
  }, GRID);
  await expect(became(page)).toContainText('Bento of 3 and 1 columns');
  await page.getByRole('link', { name: 'Collections' }).click();
  await expect(page.getByRole('heading', { name: 'Collections' })).toBeVisible();
  await page.evaluate((html) => {
    const dataTransfer = new DataTransfer();
    dataTransfer.items.add(new File([html], 'menu.html', { type: 'text/html' }));
    const on = document.querySelector('main') as Element;
    on.dispatchEvent(new DragEvent('dragover', { dataTransfer, bubbles: true, cancelable: true }));
    on.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
  }, GRID);
  await expect(became(page)).toContainText('menu.html');
  await expect(became(page)).toContainText('Layout kept at 1280 px2 of 2');
});

test('a file of Noria opens as it is, alone or in a ZIP with its pictures', async ({ page, application }) => {
  const name = 'winter-at-the-huts.noria.json';
  const text = await readFile(join(root, 'demo', name));
  await page.goto(`${application.url}/huts/open`);
  await page.getByTestId('files-to-open').setInputFiles({ name, mimeType: 'application/json', buffer: text });
  await page.waitForURL(/compose$/);
  await expect(page.getByRole('heading', { name: 'Winter at the huts' })).toBeVisible();
  await page.goto(`${application.url}/huts/open`);
  const picture = await readFile(join(root, 'demo', 'pictures', 'hut-at-dusk.webp'));
  const buffer = Buffer.from(
    zipSync({ [name]: strToU8(text.toString()), 'pictures/hut-at-dusk.webp': picture }),
  );
  await page
    .getByTestId('files-to-open')
    .setInputFiles({ name: 'huts.zip', mimeType: 'application/zip', buffer });
  await page.waitForURL(/compose$/);
  const { document } = await readStored(application, idOf(page));
  expect(document.name).toBe('Winter at the huts');
});

test('a hostile page runs nothing and fetches nothing, and all of it is said', async ({
  page,
  application,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(application.url) && !/^(blob|data):/.test(request.url()))
      asked.push(request.url());
  });
  page.on('dialog', (dialog) => asked.push(dialog.message()));
  const far = 'https://huts.example';
  const hostile = `<!doctype html><html><head><base href="${far}/"><meta http-equiv="refresh" content="0;url=${far}">
<link rel="stylesheet" href="${far}/a.css"><link rel="preload" as="image" href="${far}/b.png">
<style>@import url(${far}/c.css); @font-face { font-family: F; src: url(${far}/f.woff2) }
.g { display: grid; grid-template-columns: 1fr 1fr; font-family: F; background: url(${far}/d.png); width: expression(alert(1)) }</style></head>
<body onload="alert(1)"><div class="g"><a href="javascript:alert(2)" onclick="alert(3)">Press</a>
<img src="${far}/e.png" onerror="alert(4)"><iframe src="${far}"></iframe><svg onload="alert(5)"><script>alert(6)</script></svg></div>
<script>alert(7)</script><script src="${far}/g.js"></script></body></html>`;
  await page.goto(`${application.url}/huts/open`);
  await page.getByLabel('Or paste HTML').fill(hostile);
  await page.getByRole('button', { name: 'Read HTML' }).click();
  await expect(became(page)).toContainText(/Layout kept at 1280 px/);
  for (const each of [
    'A script is left out.',
    '“onclick”',
    '“onload” of <body>',
    'A page in the page is left out.',
    '“javascript:alert(2)”',
    `${far}/a.css`,
    `${far}/e.png`,
    '@import',
  ])
    await expect(became(page)).toContainText(each);
  await page.getByRole('button', { name: 'Open as a collection' }).click();
  await page.waitForURL(/compose$/);
  expect(JSON.stringify((await readStored(application, idOf(page))).document)).not.toMatch(
    /alert|huts\.example/,
  );
  expect(asked).toEqual([]);
});

test('what can’t be read says why, and the next can be opened', async ({ page, application }) => {
  await page.goto(`${application.url}/huts/open`);
  const html = page.getByLabel('Or paste HTML');
  await html.fill('<p>No grid here</p>');
  await page.getByRole('button', { name: 'Read HTML' }).click();
  await expect(page.getByRole('alert')).toHaveText(
    'There is no grid in pasted.html: no element with “display: grid”.',
  );
  await html.fill('<div>'.repeat(50_000));
  await page.getByRole('button', { name: 'Read HTML' }).click();
  await expect(page.getByRole('alert')).toContainText('Elements are nested more than 512 deep');
  await html.fill(GRID);
  await page.getByRole('button', { name: 'Read HTML' }).click();
  await expect(became(page)).toContainText('Bento of 3 and 1 columns');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(html).toHaveValue('');
});
