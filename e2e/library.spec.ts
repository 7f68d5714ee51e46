import {
  createCollection,
  demo,
  downloadedPage,
  expect,
  expectAccessible,
  hand,
  openCompose,
  pressedForDownload,
  readStored,
  saved,
  test,
} from './noria';
import { drop, file, hover } from './files';

const tilesOf = '[data-tile-hand]';

test('a picture in use is deleted after a question, the export goes on without it', async ({
  page,
  application,
  browser,
}) => {
  const document = await demo('winter-at-the-huts');
  await page.goto(`${application.url}/pictures`);
  await page.getByTestId('library-files').setInputFiles([await file('gone soon.jpg', 120, 80, '#415263')]);
  const search = page.getByRole('searchbox', { name: 'Find pictures' });
  await search.fill('gone soon');
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards).toHaveCount(1);
  const { id } = await createCollection(application, {
    name: 'Kept slot',
    document: { ...document, name: 'Kept slot' },
  });
  await openCompose(page, application, id);
  await hand(page, 'panorama').click();
  await page
    .getByRole('complementary', { name: 'Settings' })
    .getByRole('button', { name: /^Picture, / })
    .click();
  await page.getByRole('dialog').getByLabel('Find a picture').fill('gone soon');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /gone soon/ })
    .first()
    .click();
  await saved(page);

  await page.goto(`${application.url}/pictures`);
  await search.fill('gone soon');
  await expect(cards).toHaveCount(1);
  await cards.first().getByRole('button').click();
  const details = page.getByRole('complementary', { name: 'Picture' });
  await details.getByRole('textbox', { name: 'Alternative text' }).fill('A slope in grey');
  await expect(details.getByRole('status')).toContainText('Saved');
  await details.getByRole('button', { name: 'Delete…' }).click();
  await expect(page.getByRole('alertdialog')).toContainText('“Kept slot” (');
  await page.getByRole('button', { name: 'Delete anyway' }).click();
  await expect(page.getByText('was deleted.').last()).toBeVisible();
  await expect(cards).toHaveCount(0);

  // The export is made without it, and says so, where no browser has kept it.
  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto(`${application.url}/collections/${id}/export`);
  const download = await pressedForDownload(other, 'Download the page as ZIP');
  expect(download.suggestedFilename()).toBe('kept-slot.zip');
  await expect(other.getByRole('alert')).toContainText(
    'Not in the library any more, so not in kept-slot.zip: gone soon',
  );
  await context.close();
});

test('a deleted picture comes back with its words by undo', async ({ page, application }) => {
  await page.goto(`${application.url}/pictures`);
  await page.getByTestId('library-files').setInputFiles([await file('back again.jpg', 120, 80, '#634152')]);
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('back again');
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards).toHaveCount(1);
  await cards.first().getByRole('button').click();
  const details = page.getByRole('complementary', { name: 'Picture' });
  await details.getByRole('textbox', { name: 'Alternative text' }).fill('A slope in red');
  await expect(details.getByRole('status')).toContainText('Saved');
  await details.getByRole('button', { name: 'Delete' }).click();
  await expect(cards).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cards).toHaveCount(1);
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('slope in red');
  await expect(cards).toHaveCount(1);
});

test('alternative texts are written one after the other, in the library and in a collection', async ({
  page,
  application,
}) => {
  await page.goto(`${application.url}/pictures`);
  await page
    .getByTestId('library-files')
    .setInputFiles([
      await file('wordless 1.jpg', 60, 60, '#223344'),
      await file('wordless 2.jpg', 60, 60, '#443322'),
    ]);
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('wordless');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(2);
  await page.getByRole('radio', { name: 'Alternative texts' }).click();
  const texts = page.getByRole('list', { name: 'Alternative texts' }).getByRole('textbox');
  await texts.first().click();
  await page.keyboard.type('The first');
  await page.keyboard.press('Tab');
  await page.keyboard.type('The second');
  await expectAccessible(page);
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('The second');
  await expect(texts).toHaveCount(1);

  const document = await demo('winter-at-the-huts');
  const pictures = Object.fromEntries(
    Object.entries(document.pictures).map(([id, each]) => [id, { ...each, alternativeText: '' }]),
  );
  const { id } = await createCollection(application, {
    name: 'Wordless',
    document: { ...document, pictures },
  });
  await openCompose(page, application, id);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('alternative texts');
  await page.getByRole('option', { name: 'Write alternative texts' }).click();
  const panel = page.getByRole('complementary', { name: 'Alternative texts' });
  await expect(panel.getByRole('status')).toContainText(/of \d+ have none/);
  await panel.getByRole('textbox').first().click();
  await page.keyboard.type('Dusk');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Dawn');
  await expectAccessible(page);
  await saved(page);
  const stored = await readStored(application, id);
  const said = Object.values(stored.document.pictures).map(({ alternativeText }) => alternativeText);
  expect(said).toEqual(expect.arrayContaining(['Dusk', 'Dawn']));
});

test('recipes of other collections are offered, and go on being added', async ({ page, application }) => {
  const { id } = await createCollection(application, { name: 'Blank for recipes' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByText('No tiles yet').first()).toBeVisible();
  await page.keyboard.press('r');
  const panel = page.getByRole('complementary', { name: 'Recipes' });
  await expect(panel.getByRole('heading', { name: 'In other collections' })).toBeVisible();
  const use = panel.getByRole('button', { name: 'Use Big figure', exact: true }).first();
  await use.click();
  await expect(page.locator(tilesOf)).toHaveCount(1);
  await expect(panel.getByText('add another tile')).toBeVisible();
  await panel.getByRole('button', { name: /^Use / }).last().click();
  await expect(page.locator(tilesOf)).toHaveCount(2);
  await panel.getByRole('button', { name: /^Change .* instead$/ }).click();
  await panel.getByRole('button', { name: 'Use Big figure', exact: true }).first().click();
  await expect(page.locator(tilesOf)).toHaveCount(2);
});

test('the brush paints on the belt too', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  await hand(page, 'beds').click();
  await page.keyboard.press('c');
  await page.getByRole('button', { name: /^2, Opening/ }).click();
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.tiles.opening?.look.fill).toEqual(document.tiles.beds?.look.fill);
});

test('the page’s own data is set in Export, and stands in the page', async ({
  page,
  application,
  collection,
}, info) => {
  await openCompose(page, application, collection);
  await page.getByRole('link', { name: 'Export' }).click();
  const fields = page.getByRole('complementary', { name: 'Files' });
  await fields.getByLabel('Title', { exact: true }).fill('Huts in winter');
  await fields.getByLabel('Description', { exact: true }).fill('Seven huts, one key.');
  const language = fields.getByLabel('Language', { exact: true });
  await language.fill('no language');
  await page.keyboard.press('Enter');
  await expect(fields.getByRole('alert')).toContainText('“en” or “pt-BR”');
  await language.fill('en-gb');
  await page.keyboard.press('Enter');
  await fields.getByLabel('Canonical address', { exact: true }).fill('https://example.org/huts/');
  await page.keyboard.press('Enter');
  await fields.getByRole('button', { name: 'Social picture, none' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Ridge path/i })
    .first()
    .click();
  await expect(fields.getByRole('button', { name: /^Social picture, Ridge path/i })).toBeVisible();
  await expectAccessible(page);
  await saved(page);
  await page.goto(await downloadedPage(page, info));
  await expect(page).toHaveTitle('Huts in winter');
  const head = await page.evaluate(() => ({
    language: document.documentElement.lang,
    description: document.querySelector('meta[name=description]')?.getAttribute('content'),
    address: document.querySelector('link[rel=canonical]')?.getAttribute('href'),
    picture: document.querySelector('meta[property="og:image"]')?.getAttribute('content'),
  }));
  expect(head).toMatchObject({
    language: 'en-GB',
    description: 'Seven huts, one key.',
    address: 'https://example.org/huts/',
    picture: expect.stringMatching(/^https:\/\/example\.org\/huts\/pictures\/ridge-path/),
  });
});

test('numbered files come by their numbers, with the order in which they were picked one press away; a row of icons takes logos', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { name: 'In order' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByText('No tiles yet').first()).toBeVisible();
  const files = await Promise.all(
    [10, 2, 1].map((n) => file(`morning ${n}.jpg`, 60 + n, 60, `#4a5b${String(n).padStart(2, '0')}`)),
  );
  await drop(page.getByRole('main', { name: 'Stage' }), files);
  const names = async () => {
    await saved(page);
    const { document } = await readStored(application, id);
    return document.order.map((each) => {
      const tile = document.tiles[each];
      const [part] = tile?.kind === 'card' ? tile.parts : [];
      return part && 'picture' in part ? document.pictures[part.picture ?? '']?.name : undefined;
    });
  };
  const tray = page.getByRole('region', { name: 'Uploads' });
  await expect(tray.getByRole('status')).toHaveText('3 pictures by number.');
  await expectAccessible(page);
  expect(await names()).toEqual(['morning 1', 'morning 2', 'morning 10']);
  await tray.getByRole('button', { name: 'Use the order picked' }).click();
  await expect(tray).toHaveCount(0);
  await expect.poll(names).toEqual(['morning 10', 'morning 2', 'morning 1']);
  await page.keyboard.press('Control+z');
  await expect(page.locator(tilesOf)).toHaveCount(0);

  await page.getByRole('button', { name: 'Add', exact: true }).first().click();
  await page.getByRole('menuitem', { name: /^Icons/ }).click();
  const row = page.locator(tilesOf).first();
  await hover(row, files);
  await expect(page.getByText('takes the pictures as logos')).toBeVisible();
  await drop(row, files);
  await expect(page.getByRole('list', { name: 'Icons' }).getByRole('listitem')).toHaveCount(3);
  await expect(page.locator(tilesOf)).toHaveCount(1);
});

test('a picture that comes again under another name is told of, and found by both names', async ({
  page,
  application,
}) => {
  await page.goto(`${application.url}/pictures`);
  const picture = await file('north face.jpg', 96, 64, '#2b3c4d');
  const files = page.getByTestId('library-files');
  const cards = page.getByRole('main').getByRole('listitem');
  await files.setInputFiles([picture]);
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('north face');
  await expect(cards).toHaveCount(1);
  await files.setInputFiles([{ ...picture, name: 'IMG 0417.jpg' }]);
  await expect(page.getByRole('alert')).toHaveText(
    '“IMG 0417.jpg” is in the library already, as “north face.jpg”. Both names find it.',
  );
  await page.getByRole('searchbox', { name: 'Find pictures' }).fill('img 0417');
  await expect(cards).toHaveCount(1);
  await cards.first().getByRole('button').click();
  await expect(page.getByRole('complementary', { name: 'Picture' })).toContainText('IMG 0417.jpg');
});
