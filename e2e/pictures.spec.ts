import { pictureOf } from '@noria/core';
import { zipSync } from 'fflate';
import type { Page } from '@playwright/test';
import {
  createCollection,
  expect,
  hand,
  openCompose,
  readStored,
  saved,
  test,
  type Application,
  moveInSlot,
} from './noria';
import { drop, file, film, picture } from './files';

const zip = (name: string, files: Record<string, Uint8Array>) => ({
  name,
  mimeType: 'application/zip',
  buffer: Buffer.from(zipSync(files)),
});
/** How many pictures of the library are asked for together. */
const SHOWN_AT_ONCE = 60;

const trouble = (page: Page) => page.getByRole('region', { name: 'Uploads' }).getByRole('alert');

test('the library takes many at once, finds, describes, and deletes only what may go', async ({
  page,
  application,
}) => {
  await page.goto(`${application.url}/pictures`);
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards.first()).toBeVisible();
  const before = await cards.count();
  // What another test of this application left in the library counts too.
  const summary = page.getByRole('status').first();
  const wordless = Number(/(\d+) without alternative/.exec((await summary.textContent()) ?? '')?.[1] ?? 0);
  await page.getByRole('radio', { name: 'By number' }).click();
  await page.getByTestId('library-files').setInputFiles([
    await file('slope 10.jpg', 90, 60, '#102030'),
    await file('slope 2.jpg', 60, 90, '#405060'),
    zip('more.zip', {
      'deep/slope 3.jpg': await picture(50, 50, '#708090'),
      'notes.txt': Buffer.from('x'),
    }),
  ]);
  // More than so many are shown when one scrolls to them.
  await expect(cards).toHaveCount(Math.min(before + 3, SHOWN_AT_ONCE));
  await expect(summary).toContainText(`${wordless + 3} without alternative text`);

  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('slope 2');
  await expect(cards).toHaveCount(1);
  await cards.first().getByRole('button').click();
  const details = page.getByRole('complementary', { name: 'Picture' });
  await details.getByRole('textbox', { name: 'Alternative text' }).fill('A pearl slope');
  await expect(details.getByRole('status')).toContainText('Saved');
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('pearl SLOPE');
  await expect(cards).toHaveCount(1);
  await details.getByRole('button', { name: 'Delete' }).click();
  await expect(cards).toHaveCount(0);

  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('star trails');
  await cards.first().getByRole('button').click();
  await expect(details.getByRole('link', { name: 'Night sky above hut four' }).first()).toBeVisible();
  await details.getByRole('button', { name: 'Delete…' }).click();
  await expect(page.getByRole('alertdialog')).toContainText('“Night sky above hut four” (Star trails)');
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(cards).toHaveCount(1);
});

test('what is hostile or broken is refused in words, and nothing of it is stored', async ({
  page,
  application,
}) => {
  await page.goto(`${application.url}/pictures`);
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards.first()).toBeVisible();
  const before = await cards.count();
  const sound = await picture(20, 20, '#aa0000');
  const refused = async (input: { name: string; mimeType: string; buffer: Buffer }, words: string) => {
    await page.getByTestId('library-files').setInputFiles([input]);
    await expect(trouble(page)).toContainText(words);
    await page.getByRole('button', { name: 'Dismiss' }).click();
  };
  await refused(
    { name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('words') },
    '“notes.png” was not stored',
  );
  await refused(
    zip('up.zip', { 'a.jpg': sound, '../../up.jpg': sound }),
    'a path that leads out of it: “../../up.jpg”. Nothing was imported.',
  );
  await refused(
    zip('bomb.zip', { 'a.jpg': sound, 'bomb.jpg': new Uint8Array(60 * 1024 * 1024) }),
    '“bomb.jpg” in it unpacks to more than 40 MB. Nothing was imported.',
  );
  await refused(
    { name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('no archive') },
    'It is no ZIP archive',
  );
  await refused(
    {
      name: 'film.jpg',
      mimeType: 'image/jpeg',
      buffer: Buffer.from('<html><script>alert(1)</script></html>'),
    },
    '“film.jpg” was not stored',
  );
  await expect(cards).toHaveCount(before);
});

const namesShown = async (application: Application, id: string) => {
  const { document } = await readStored(application, id);
  return document.order.flatMap((tile) => {
    const each = document.tiles[tile];
    const part = each && pictureOf(each);
    return part ? [part.picture === null ? null : document.pictures[part.picture]?.name] : [];
  });
};

test('a set dropped on a tile fills from there, the rest become tiles; best fit goes by shape; one replaces one', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const wide = await file('wide.jpg', 400, 100, '#223344');
  const tall = await file('tall.jpg', 100, 300, '#556677');
  await drop(hand(page, 'night'), [wide]);
  await saved(page);
  await expect.poll(() => namesShown(application, collection)).toContain('wide');
  const before = await namesShown(application, collection);
  expect(before).toHaveLength(6);

  // Hut at dusk is wide and Ridge path nearly square: the tall one goes to Ridge path.
  await drop(hand(page, 'hut-at-dusk'), [tall, wide], { shift: true });
  await expect
    .poll(async () => (await namesShown(application, collection)).slice(0, 2))
    .toEqual(['wide', 'tall']);
  await page.keyboard.press('Control+z');
  await saved(page);
  expect(await namesShown(application, collection)).toEqual(before);

  const many = await Promise.all([1, 2, 3].map((n) => file(`n${n}.jpg`, 60, 40, `#00${n}0${n}0`)));
  await drop(hand(page, 'map'), many);
  await saved(page);
  await expect
    .poll(() => namesShown(application, collection))
    .toEqual([...before.slice(0, 4), 'n1', 'n2', 'n3']);
});

test('a picture is moved and scaled in its slot by pointer, wheel and keys, its focal point kept in view', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const tile = async () => {
    const each = (await readStored(application, collection)).document.tiles['ridge-path'];
    const part = each && pictureOf(each);
    if (!part) throw new Error('It is a picture.');
    return part;
  };
  await hand(page, 'ridge-path').dblclick();
  const crop = page.getByTestId('crop-hand');
  await expect(crop).toBeFocused();
  await moveInSlot(page, crop);
  await saved(page);
  const moved = await tile();
  expect(moved.zoom).toBeGreaterThan(1.5);
  expect(moved.position).toBeDefined();
  await page.getByRole('button', { name: 'Reset to the focal point' }).click();
  await saved(page);
  expect(await tile()).not.toHaveProperty('position');
});

test('a film plays in its tile: uploaded, with a frame of it to show before', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { name: 'Films' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Film/ }).click();
  await page.getByTestId('film-file').setInputFiles(await film(page, 'snow.webm'));
  const video = page.locator('[data-stage-page] video');
  await expect(video).toHaveJSProperty('videoWidth', 64);
  await expect(video).toHaveJSProperty('muted', true);
  await saved(page);
  const stored = (await readStored(application, id)).document;
  expect(Object.values(stored.films ?? {})).toMatchObject([
    { inlineSize: 64, blockSize: 36, mediaType: 'video/webm' },
  ]);
  expect(Object.values(stored.pictures)).toHaveLength(1);
  await page.getByTestId('film-file').setInputFiles({
    name: 'broken.webm',
    mimeType: 'video/webm',
    buffer: Buffer.from('no film'),
  });
  await expect(page.getByText('“broken.webm” can’t be played here')).toBeVisible();

  // The same film behind the words of another tile.
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Text/ }).click();
  await page.getByRole('combobox', { name: 'Fill', exact: true }).click();
  await page.getByRole('option', { name: 'Film', exact: true }).click();
  const behind = page.locator('[data-stage-page] video.behind');
  await expect(behind).toHaveJSProperty('videoWidth', 64);
  await expect(behind).toHaveAttribute('aria-hidden', 'true');
  await expect(behind).toHaveCSS('display', 'block');
});
