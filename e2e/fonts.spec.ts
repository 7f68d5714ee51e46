import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import wawoff2 from 'wawoff2';
import { change, emptyDocument, newCard, type CollectionDocument, type TileLook } from '@noria/core';
import {
  createCollection,
  downloadedPage,
  expect,
  expectAccessible,
  expectSameBoxes,
  hand,
  pageBoxes,
  readStored,
  root,
  saved,
  showWidth,
  stageBoxes,
  test,
  type Application,
  fontsThere,
} from './noria';
import { drop, hover } from './files';
import type { Page, TestInfo } from '@playwright/test';

const settings = (page: Page) => page.getByRole('complementary', { name: 'Settings' });

/** A font that ships, as a file of another name: what is in it is not what a page finds by itself. */
async function fontFile(slug: string, name = `${slug}.ttf`) {
  const file = `${slug}-latin-wght-normal.woff2`;
  const bytes = await readFile(join(root, 'node_modules/@fontsource-variable', slug, 'files', file));
  const plain = Buffer.from(await wawoff2.decompress(bytes));
  return { name, mimeType: 'font/ttf', buffer: plain };
}

const WORDS = 'Seven huts, stove lit, key with the warden: 1110 or 2710 metres up, whichever comes first';

/** Cards that are as high as their words. */
function cards(look: Partial<TileLook> = {}): CollectionDocument {
  const { document } = change(emptyDocument('Letters'), (draft) => {
    draft.arrangement.autoRows = 'auto';
    draft.arrangement.columns = ['1fr', '1fr', '1fr'];
    for (const id of ['one', 'two', 'three']) {
      const card = newCard('text', id);
      draft.order.push(id);
      draft.tiles[id] = {
        ...card,
        look: { ...card.look, ...look },
        parts: card.parts.map((part) => ('words' in part ? { ...part, words: WORDS } : part)),
      } as never;
    }
  });
  return document;
}

async function openCards(page: Page, application: Application, document: CollectionDocument) {
  const { id } = await createCollection(application, { document });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(hand(page, 'one')).toBeVisible();
  return id;
}

/** Opens the heading type of a tile. */
async function openHeading(page: Page, tile: string) {
  await hand(page, tile).click();
  await settings(page).getByRole('button', { name: 'Heading type' }).click();
}

async function chooseFamily(page: Page, name: string) {
  await settings(page).getByRole('button', { name: 'Family' }).click();
  await page.getByRole('menuitemradio', { name, exact: true }).click();
}

/** The stage and the downloaded page lay every tile out alike. */
async function expectAlike(page: Page, info: TestInfo): Promise<string> {
  await saved(page);
  const at = new Map<number, Awaited<ReturnType<typeof stageBoxes>>>();
  for (const width of [420, 834, 1280]) {
    await showWidth(page, width);
    at.set(width, await stageBoxes(page));
  }
  const address = await downloadedPage(page, info);
  const other = await page.context().newPage();
  await other.goto(address);
  await fontsThere(other);
  for (const [width, boxes] of at) {
    await other.setViewportSize({ width, height: 800 });
    expectSameBoxes(await pageBoxes(other), boxes);
  }
  await other.close();
  return address;
}

test('a family is chosen by its own letters; stage and page agree, in its optical sizes and italics', async ({
  page,
  application,
}, info) => {
  const id = await openCards(page, application, cards());
  await openHeading(page, 'one');
  await settings(page).getByRole('button', { name: 'Family' }).click();
  const name = page.getByRole('menuitemradio', { name: 'Newsreader' }).locator('span').last();
  await expect(name).toHaveCSS('font-family', 'Newsreader, serif');
  await page.keyboard.press('Escape');
  await chooseFamily(page, 'Newsreader');
  await page.keyboard.press('Escape');
  await hand(page, 'two').click();
  await chooseFamily(page, 'Unbounded');
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.tiles.one?.look.headingFamily).toBe('Newsreader');
  expect(document.tiles.two?.look.headingFamily).toBe('Unbounded');
  await expectAlike(page, info);
});

test('features and line breaks hold on stage and page, of the heading and of the body', async ({
  page,
  application,
}, info) => {
  const id = await openCards(page, application, cards({ headingFamily: 'Figtree', bodyFamily: 'Bitter' }));
  await openHeading(page, 'one');
  const before = await stageBoxes(page);
  await settings(page).getByRole('button', { name: 'Features' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Tabular figures' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Fractions' }).click();
  await page.keyboard.press('Escape');
  await expect(settings(page).getByRole('button', { name: 'Features' })).toHaveText(
    'Tabular figures, Fractions',
  );
  await settings(page).getByRole('combobox', { name: 'Line breaks' }).click();
  await page.getByRole('option', { name: 'Pretty' }).click();
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.tiles.one?.look).toMatchObject({
    headingFeatures: ['tnum', 'frac'],
    headingWrap: 'pretty',
  });
  expect(Object.keys(await stageBoxes(page))).toEqual(Object.keys(before));
  const address = await expectAlike(page, info);
  const css = await readFile(join(fileURLToPath(address), '..', 'style.css'), 'utf8');
  expect(css).toContain('font-feature-settings: "tnum", "frac";');
  expect(css).toContain('text-wrap-style: pretty;');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  expect((await readStored(application, id)).document.tiles.one?.look.headingFeatures).toEqual(['tnum']);
});

test('a font file is added from the list of families, and goes out with the letters of the page', async ({
  page,
  application,
}, info) => {
  const id = await openCards(page, application, cards());
  await openHeading(page, 'one');
  await settings(page).getByRole('button', { name: 'Family' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('menuitem', { name: 'Add font files…' }).click();
  const file = await fontFile('bitter');
  await (await chooser).setFiles(file);
  await expect(settings(page).getByRole('button', { name: 'Family' })).toHaveText('Bitter own');
  await saved(page);
  const { document } = await readStored(application, id);
  expect(document.families?.['Bitter own']?.faces).toMatchObject([{ weight: [100, 900], style: 'normal' }]);
  expect(document.tiles.one?.look.headingFamily).toBe('Bitter own');
  // It is among the families from now on, for the whole collection too.
  await page.keyboard.press('Escape');
  await settings(page).getByRole('button', { name: 'Body family' }).click();
  await page.getByRole('menuitemradio', { name: 'Bitter own' }).click();
  const address = await expectAlike(page, info);
  const fonts = join(fileURLToPath(address), '..', 'fonts');
  const own = (await readdir(fonts)).filter((name) => name.startsWith('bitter-') && name.length < 30);
  expect(own).toHaveLength(1);
  const bytes = await readFile(join(fonts, own[0] ?? ''));
  expect(bytes.toString('latin1', 0, 4)).toBe('wOF2');
  expect(bytes.length).toBeLessThan(file.buffer.length / 2);
});

test('a font that is dropped on a card is its heading type; one that is none says what to do', async ({
  page,
  application,
}) => {
  const id = await openCards(page, application, cards());
  await saved(page);
  const file = await fontFile('caveat');
  await hover(hand(page, 'two'), [file]);
  await expect(page.getByText(/takes the font for its heading type/)).toBeVisible();
  await drop(hand(page, 'two'), [file]);
  await expect(page.getByText('Added to the fonts: Caveat own.')).toBeVisible();
  await saved(page);
  const stored = (await readStored(application, id)).document;
  expect(stored.tiles.two?.look.headingFamily).toBe('Caveat own');
  expect(stored.tiles.one?.look.headingFamily).toBeUndefined();
  // Beside the tiles nothing would show that it came, so it is said.
  await drop(page.getByRole('main', { name: 'Stage' }), [await fontFile('nunito')], { at: [0.5, 0.95] });
  await expect(page.getByRole('alert')).toContainText('Nunito own is among the fonts now.');
  await drop(hand(page, 'one'), [{ ...file, name: 'broken.ttf', buffer: file.buffer.subarray(0, 700) }]);
  await expect(
    page.getByText(/“broken\.ttf” can’t be shown by this browser, and was not stored/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  expect((await readStored(application, id)).document.tiles.two?.look.headingFamily).toBeUndefined();
});

test('the fonts of the workspace are listed with where they are used, deleted and brought back', async ({
  page,
  application,
}) => {
  await page.goto(`${application.url}/huts/fonts`);
  await expect(page.getByRole('heading', { name: 'Fonts', level: 1 })).toBeVisible();
  await page.getByTestId('font-files').setInputFiles([await fontFile('oswald', 'ridge-sign.ttf')]);
  await expect(page.getByText('ridge-sign.ttf', { exact: true })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Delete ridge-sign.ttf' }).click();
  await expect(page.getByText('“ridge-sign.ttf” was deleted.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Delete ridge-sign.ttf' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Delete ridge-sign.ttf' })).toBeVisible();
  // One that a collection is set in is not deleted at a single press.
  await openCards(page, application, cards());
  await openHeading(page, 'one');
  await chooseFamily(page, 'Oswald own');
  await saved(page);
  await page.goto(`${application.url}/huts/fonts`);
  const row = page.getByRole('listitem').filter({ hasText: 'ridge-sign.ttf' });
  await expect(row.getByText(/used in one collection/)).toBeVisible();
  await page.getByRole('button', { name: 'Delete ridge-sign.ttf' }).click();
  await expect(page.getByRole('alert')).toContainText('“Letters”');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Delete ridge-sign.ttf' })).toBeVisible();
});
