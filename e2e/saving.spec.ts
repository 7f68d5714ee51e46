import { pictureOf } from '@noria/core';
import { expect, expectAccessible, hand, openCompose, readStored, saved, test } from './noria';
import type { Application } from './noria';
import type { BrowserContext, Page } from '@playwright/test';

const state = (page: Page) => page.getByRole('status', { name: 'Saving state' });

async function renameTo(page: Page, name: string): Promise<void> {
  await page.getByTitle('Rename').click();
  await page.getByLabel('Name of the collection').fill(name);
  await page.keyboard.press('Enter');
}

/** No save of this page reaches the server any more. */
const letNothingOut = (page: Page) =>
  page.route('**/collections/*', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.fallback(),
  );

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
  await letNothingOut(page);
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

/** Two tabs, of which the first hears of nothing until it saves. */
async function twoTabs(page: Page, context: BrowserContext, application: Application, collection: string) {
  const other = await context.newPage();
  await openCompose(other, application, collection);
  return other;
}

const question = (page: Page) => page.getByRole('alertdialog', { name: 'Changed here and elsewhere' });

test('a tab shows what another one changes, without having changed anything itself', async ({
  page,
  context,
  application,
  collection,
}) => {
  const other = await twoTabs(page, context, application, collection);
  await renameTo(other, 'Named by the other tab');
  await expect(page.getByTitle('Rename')).toHaveText('Named by the other tab');
  await expect(state(page)).toHaveText('Saved');
});

test('two tabs that are both offline: both changes arrive once they are back', async ({
  page,
  context,
  application,
  collection,
}) => {
  const other = await twoTabs(page, context, application, collection);
  await context.setOffline(true);
  await renameTo(other, 'Named offline');
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await expect(state(page)).toHaveText('Not saved');
  await expect(state(other)).toHaveText('Not saved');
  await context.setOffline(false);
  await saved(page);
  await saved(other);
  const { document } = await readStored(application, collection);
  expect([document.name, document.tiles.beds?.place.columnSpan]).toEqual(['Named offline', 2]);
});

test('what a closed tab left unsent goes out, whichever view is open', async ({
  page,
  context,
  application,
  collection,
}) => {
  await letNothingOut(page);
  await renameTo(page, 'Left by a closed tab');
  await page.close();
  const another = await context.newPage();
  await another.goto(`${application.url}/pictures`);
  await expect.poll(() => nameOf(application, collection)).toBe('Left by a closed tab');
});

test('a tile deleted in one tab and changed in another is asked about; what is not chosen can be opened', async ({
  page,
  context,
  application,
  collection,
}) => {
  const other = await twoTabs(page, context, application, collection);
  await context.setOffline(true);
  await hand(other, 'beds').click();
  await other.keyboard.press('Delete');
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await expect(state(page)).toHaveText('Not saved');
  await expect(state(other)).toHaveText('Not saved');
  await context.setOffline(false);
  // Whichever tab is later is asked.
  const asked = await Promise.race(
    [page, other].map(async (each) => {
      await question(each).waitFor();
      return each;
    }),
  );
  await expectAccessible(asked);
  // A reload during the question loses nothing: it is asked again.
  await asked.reload();
  await expect(question(asked)).toBeVisible();
  await expect(question(asked)).toContainText('deleted');
  await question(asked).getByRole('button', { name: 'Choose all from elsewhere' }).click();
  await question(asked).getByRole('button', { name: 'Apply' }).click();
  await saved(asked);
  await asked.getByRole('link', { name: 'Noria, all collections' }).click();
  await asked.getByRole('button', { name: 'Set aside: 1' }).click();
  const aside = asked.getByRole('dialog', { name: 'Versions set aside' });
  await expect(aside).toContainText('Winter at the huts');
  await expectAccessible(asked);
  await aside.getByRole('button', { name: 'Save as a new collection' }).click();
  await expect(asked.getByTitle('Rename')).toHaveText('Winter at the huts (kept)');
});

test('a collection that is deleted elsewhere stays on the screen, and can be saved anew', async ({
  page,
  application,
  collection,
}) => {
  await hand(page, 'beds').click();
  await page.keyboard.press('2');
  await saved(page);
  const { revision } = await readStored(application, collection);
  const path = `${application.url}/api/workspaces/huts/collections/${collection}`;
  await fetch(path, { method: 'DELETE', headers: { 'If-Match': `"${revision}"` } });
  const dialog = page.getByRole('alertdialog', { name: /was deleted elsewhere/ });
  await expect(dialog).toBeVisible();
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Download as a file' }).click();
  expect((await download).suggestedFilename()).toBe('winter-at-the-huts.noria.json');
  await dialog.getByRole('button', { name: 'Save as a new collection' }).click();
  await expect(page.getByTitle('Rename')).toHaveText('Winter at the huts (kept)');
  await expect(hand(page, 'beds')).toHaveAccessibleName(/2 by 1/);
});

test('a collection that this version can’t read hides no other, and can be taken away', async ({
  page,
  application,
  collection,
}) => {
  await application.query(
    `UPDATE collection_revision SET document = jsonb_set(document::jsonb, '{formatVersion}', '99')
     WHERE collection_id = '${collection}' AND document IS NOT NULL`,
  );
  await application.query(`UPDATE collection SET summed_up = 0 WHERE id = '${collection}'`);
  await application.stop();
  await application.start();
  await page.goto(application.url);
  await expect(page.getByText('this Noria reads up to').first()).toBeVisible();
  await expect(page.getByText('14 tiles').first()).toBeVisible();
  await page.goto(`${application.url}/collections/${collection}/compose`);
  await expect(page.getByRole('alert')).toContainText('has format version 99');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download it as a file' }).click();
  expect((await download).suggestedFilename()).toBe('winter-at-the-huts.noria.json');
});

test('without IndexedDB a change made offline survives a reload all the same', async ({
  context,
  application,
  collection,
}) => {
  const page = await context.newPage();
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
  });
  await openCompose(page, application, collection);
  await context.setOffline(true);
  await renameTo(page, 'Kept in the small store');
  await expect(state(page)).toHaveText('Not saved');
  await page.reload().catch(() => undefined);
  await context.setOffline(false);
  await openCompose(page, application, collection);
  await expect(page.getByTitle('Rename')).toHaveText('Kept in the small store');
  await saved(page);
});

test('what is typed about a picture arrives although its panel is closed at once, and the server is away', async ({
  page,
  application,
}) => {
  await page.goto(`${application.url}/pictures`);
  const first = page.getByRole('main').getByRole('listitem').first();
  await first.getByRole('button').click();
  const panel = page.getByRole('complementary', { name: 'Picture' });
  await application.stop();
  await panel.getByLabel('Alternative text').fill('Written while away');
  await panel.getByRole('button', { name: 'Close' }).click();
  await page.goto('about:blank');
  await application.start();
  await page.goto(`${application.url}/pictures`);
  await expect
    .poll(async () => {
      const path = `${application.url}/api/workspaces/huts/pictures?search=Written%20while`;
      return ((await (await fetch(path)).json()) as { total: number }).total;
    })
    .toBe(1);
});

/** The view Check does not arrive. Gives how often the page was loaded. */
async function withoutCheck(page: Page): Promise<() => number> {
  await page.route('**/assets/*Check*', (route) => route.abort());
  await page.route('**/assets/check*', (route) => route.abort());
  let loads = 0;
  page.on('load', () => loads++);
  return () => loads;
}

const stopped = (page: Page) => page.getByRole('heading', { name: 'This view stopped working' });

test('a view that breaks says so, and the work can be taken away', async ({
  page,
  application,
  collection,
}) => {
  const loads = await withoutCheck(page);
  await page.goto(`${application.url}/collections/${collection}/check`);
  await expect(stopped(page)).toBeVisible();
  await expectAccessible(page);
  // It is the same page still: loading it anew would bring nothing, and take what is unsaved.
  await page.waitForTimeout(1000);
  expect(loads()).toBe(1);
});

test('a part that is gone since an update is asked for once after loading anew, and not again and again', async ({
  page,
  application,
  collection,
}) => {
  const loads = await withoutCheck(page);
  // What the page asks of itself is the updated one, which begins with another script.
  await page.route(`${application.url}/`, async (route) => {
    const body = await (await route.fetch()).text();
    await route.fulfill({
      contentType: 'text/html',
      body: body.replaceAll('/assets/index-', '/assets/index-new-'),
    });
  });
  await page.goto(`${application.url}/collections/${collection}/check`);
  await expect.poll(loads).toBe(2);
  await expect(stopped(page)).toBeVisible();
  await page.waitForTimeout(1000);
  expect(loads()).toBe(2);
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

test('a picture that was deleted is shown as missing, the tile stays, and other changes are saved', async ({
  page,
  application,
  collection,
}) => {
  const { document } = await readStored(application, collection);
  const tile = document.tiles['ridge-path'];
  const { hash = '' } = document.pictures[(tile && pictureOf(tile)?.picture) ?? ''] ?? {};
  const path = `${application.url}/api/workspaces/huts/pictures/${hash}`;
  const bytes = await (await fetch(path)).arrayBuffer();
  expect((await fetch(`${path}?evenUsed=true`, { method: 'DELETE' })).status).toBe(204);
  // The browser may have the picture; another one has not.
  await page.route('**/pictures/**', async (route) => {
    const answer = await route.fetch({
      headers: { ...route.request().headers(), 'cache-control': 'no-cache' },
    });
    await route.fulfill({ response: answer });
  });
  await page.reload();
  await expect(page.locator('[data-slot="ridge-path"] img[data-missing]')).toBeVisible();
  await renameTo(page, 'Saved all the same');
  await saved(page);
  expect(await nameOf(application, collection)).toBe('Saved all the same');
  const form = new FormData();
  form.append('picture', new Blob([bytes]), 'ridge.webp');
  await fetch(path.slice(0, path.lastIndexOf('/')), { method: 'POST', body: form });
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
  const tile = document.tiles['ridge-path'];
  const shown = (tile && pictureOf(tile)?.picture) ?? '';
  expect(document.pictures[shown]).toMatchObject({ alternativeText: 'A round loaf', inlineSize: 1400 });
});

test('a collection that is not there says so', async ({ page, application }) => {
  await page.goto(`${application.url}/collections/00000000-0000-4000-8000-000000000000/compose`);
  await expect(page.getByRole('alert')).toContainText('There is no collection');
  await page.getByRole('link', { name: 'All collections' }).click();
  await expect(page.getByRole('heading', { name: 'Collections' })).toBeVisible();
});
