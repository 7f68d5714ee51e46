import { expect, hand, openCompose, readStored, saved, test } from './noria';
import type { Application } from './noria';
import type { Page } from '@playwright/test';

const state = (page: Page) => page.getByRole('status', { name: 'Saving state' });

async function renameTo(page: Page, name: string): Promise<void> {
  await page.getByTitle('Rename').click();
  await page.getByLabel('Name of the collection').fill(name);
  await page.keyboard.press('Enter');
}

const nameOf = async (application: Application, id: string) =>
  (await readStored(application, id)).document.name;

test.beforeEach(async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
});

test('the server goes away and comes back: the change waits, says why, and arrives', async ({
  page,
  application,
  collection,
}) => {
  await application.stop();
  await renameTo(page, 'Written while away');
  await expect(state(page)).toHaveText('Not saved');
  await page.getByRole('button', { name: 'why' }).click();
  const why = page.getByText('Your changes are kept in this browser');
  await expect(why).toBeVisible();
  // The next attempts leave what one reads where it is.
  await page.waitForEvent('requestfailed');
  await page.waitForEvent('requestfailed');
  await expect(why).toBeVisible();
  await application.start();
  await saved(page);
  expect(await nameOf(application, collection)).toBe('Written while away');
});

test('a reload while offline loses nothing that was typed', async ({
  page,
  context,
  application,
  collection,
}) => {
  await context.setOffline(true);
  await renameTo(page, 'Typed offline');
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await expect(state(page)).toHaveText('Not saved');
  await page.reload().catch(() => undefined);
  await context.setOffline(false);
  await page.goto(`${application.url}/collections/${collection}/compose`);
  await expect(page.getByTitle('Rename')).toHaveText('Typed offline');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1/);
  await saved(page);
  const { document } = await readStored(application, collection);
  expect([document.name, document.tiles.beds?.place.columnSpan]).toEqual(['Typed offline', 2]);
});

test('a tab closed right after a change loses nothing', async ({
  page,
  context,
  application,
  collection,
}) => {
  await page.route('**/collections/*', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.fallback(),
  );
  await renameTo(page, 'Closed at once');
  await page.close();
  const again = await context.newPage();
  await openCompose(again, application, collection);
  await expect(again.getByTitle('Rename')).toHaveText('Closed at once');
  await saved(again);
  expect(await nameOf(application, collection)).toBe('Closed at once');
});

test('an answer that got lost does not make the change twice', async ({ page, application, collection }) => {
  let lost = 0;
  await page.route('**/collections/*', async (route) => {
    if (route.request().method() !== 'PATCH' || lost > 0) return route.fallback();
    lost++;
    await route.fetch();
    return route.abort();
  });
  await hand(page, 'beds').click();
  await page.keyboard.press('Control+d');
  await saved(page);
  expect(lost).toBe(1);
  const stored = await readStored(application, collection);
  expect(stored.revision).toBe(2);
  expect(stored.document.order).toHaveLength(15);
});

test('two tabs change different things: both changes are kept', async ({
  page,
  context,
  application,
  collection,
}) => {
  const other = await context.newPage();
  await openCompose(other, application, collection);
  await renameTo(other, 'Named by the other tab');
  await saved(other);
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await saved(page);
  await expect(page.getByTitle('Rename')).toHaveText('Named by the other tab');
  const { document } = await readStored(application, collection);
  expect([document.name, document.tiles.beds?.place.columnSpan]).toEqual(['Named by the other tab', 2]);
});

test('two tabs change what does not fit together: one is asked, nothing is lost', async ({
  page,
  context,
  application,
  collection,
}) => {
  const other = await context.newPage();
  await openCompose(other, application, collection);
  await hand(other, 'beds').click();
  await other.keyboard.press('Delete');
  await saved(other);
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  const dialog = page.getByRole('alertdialog', { name: 'Changed in two places' });
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Keep mine as a new collection' }).click();
  await expect(page.getByTitle('Rename')).toHaveText('Winter at the huts (mine)');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1/);
  expect((await readStored(application, collection)).document.tiles.beds).toBeUndefined();
});

test('a picture that is none is refused in words, and the tile keeps its own', async ({ page }) => {
  await hand(page, 'ridge-path').click();
  const before = await page.locator('[data-slot="ridge-path"] img').getAttribute('src');
  await page.getByRole('button', { name: 'Picture, Ridge path' }).click();
  await page
    .getByTestId('picture-file')
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') });
  const alert = page.getByRole('dialog', { name: 'Choose a picture' }).getByRole('alert');
  await expect(alert).toContainText('“notes.png” was not stored.');
  await expect(alert).toContainText('Choose a JPEG, PNG, WebP, AVIF, GIF or SVG picture.');
  expect(await page.locator('[data-slot="ridge-path"] img').getAttribute('src')).toBe(before);
});

test('a picture is replaced', async ({ page, application, collection }) => {
  await hand(page, 'ridge-path').click();
  await page.getByRole('button', { name: 'Picture, Ridge path' }).click();
  await page.getByTestId('picture-file').setInputFiles('demo/pictures/loaf.webp');
  await expect(page.locator('[data-slot="ridge-path"] img')).toHaveAttribute('width', '1400');
  await page.getByLabel('Alternative text').fill('A round loaf');
  await saved(page);
  const { document } = await readStored(application, collection);
  // The library has these bytes already, as the bread of another collection.
  expect(document.tiles['ridge-path']).toMatchObject({ picture: 'hut-bread' });
  expect(document.pictures['hut-bread']).toMatchObject({ alternativeText: 'A round loaf', inlineSize: 1400 });
});

test('a collection that is not there says so', async ({ page, application }) => {
  await page.goto(`${application.url}/collections/00000000-0000-4000-8000-000000000000/compose`);
  await expect(page.getByRole('alert')).toContainText('There is no collection');
  await page.getByRole('link', { name: 'All collections' }).click();
  await expect(page.getByRole('heading', { name: 'Collections' })).toBeVisible();
});
