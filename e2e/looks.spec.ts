import { emptyDocument, newCard, newTile, partIn, type CollectionDocument, type Tile } from '@noria/core';
import { readFile } from 'node:fs/promises';
import { createCollection, expect, hand, openCompose, readStored, saved, test } from './noria';
import type { Page } from '@playwright/test';

const settings = (page: Page) => page.getByRole('complementary', { name: 'Settings' });

test('a recipe is made of a tile, used by others, changed once; what is its own is shown and reset', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const lookOf = async (id: string) => (await readStored(application, collection)).document.tiles[id]?.look;
  await hand(page, 'panorama').click();
  await page.keyboard.press('Escape');
  await hand(page, 'voice').click();
  await settings(page).getByRole('button', { name: 'Make one' }).click();
  await page.getByRole('textbox', { name: 'Name of the recipe' }).fill('Loud voice');
  await page.keyboard.press('Enter');
  await expect(settings(page).getByRole('button', { name: 'Recipe, Loud voice' })).toBeVisible();

  await hand(page, 'booking').click();
  await page.keyboard.press('r');
  await page.getByRole('button', { name: 'Use Loud voice', exact: true }).click();
  await page.getByRole('button', { name: 'Close recipes' }).click();
  await saved(page);
  const booking = (await readStored(application, collection)).document.tiles.booking;
  expect(booking).toMatchObject({
    parts: [
      { kind: 'quote', words: 'Ask for a bunk' },
      { kind: 'source' },
      // Where it led is kept for the next recipe that leads somewhere.
      { kind: 'action', address: '#book', hidden: true },
    ],
    look: { fill: '{larch}' },
  });

  // Its own spread: shown as its own, kept while the recipe changes, then reset.
  await settings(page)
    .getByRole('radiogroup', { name: 'Spread' })
    .getByRole('radio', { name: 'Centre' })
    .click();
  await expect(settings(page).getByRole('button', { name: 'Recipe, Loud voice' })).toContainText(
    '1 own value',
  );
  await hand(page, 'voice').click();
  // The settings follow the selection when there is time.
  await expect(settings(page).getByRole('heading', { level: 2 })).toHaveText('Voice');
  await settings(page).getByRole('radiogroup', { name: 'Align' }).getByRole('radio', { name: 'End' }).click();
  await settings(page)
    .getByRole('button', { name: /Own changes/ })
    .click();
  const update = settings(page).getByRole('button', { name: 'Update the recipe from this tile' });
  await update.click();
  await expect(update).toHaveCount(0);
  await saved(page);
  expect(await lookOf('booking')).toMatchObject({ align: 'end', spread: 'center' });
  await hand(page, 'booking').click();
  await settings(page).getByRole('button', { name: 'Spread: reset to the recipe' }).click();
  await saved(page);
  expect(await lookOf('booking')).toMatchObject({ align: 'end', spread: 'between' });
  await settings(page).getByRole('button', { name: 'Unlink from the recipe' }).click();
  await expect(settings(page).getByRole('button', { name: 'Use recipe…' })).toBeVisible();
});

test('a named colour is changed once, and every tile that follows it changes; tokens go out and come in', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await page.keyboard.press('k');
  const panel = page.getByRole('complementary', { name: 'Named looks' });
  await panel.getByRole('button', { name: 'Fir, #24413f' }).click();
  await page.getByRole('textbox', { name: 'Fir in hexadecimal' }).fill('#402040');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  const fill = (id: string) =>
    page.evaluate((tile) => {
      const host = document.querySelector('[data-stage-page]');
      const element = host?.shadowRoot?.querySelector(`[data-tile="${tile}"]`);
      return element ? getComputedStyle(element).backgroundColor : null;
    }, id);
  await expect.poll(() => fill('beds')).toBe('rgb(64, 32, 64)');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    panel.getByRole('button', { name: 'Export tokens' }).click(),
  ]);
  const tokens = JSON.parse(await readFile(await download.path(), 'utf8')) as {
    colour: Record<string, { $value: { hex: string } }>;
  };
  expect(tokens.colour.fir?.$value.hex).toBe('#402040');
  await panel.getByTestId('tokens-file').setInputFiles({
    name: 'brand.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      '{"colour":{"$type":"color","fir":{"$value":"#0b6e4f"}},"x":{"$type":"shadow","$value":1}}',
    ),
  });
  await expect.poll(() => fill('beds')).toBe('rgb(11, 110, 79)');
  await expect(page.getByText('Left out: x: its type is shadow')).toBeVisible();
  await panel.getByTestId('tokens-file').setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{'),
  });
  await expect(page.getByText('“broken.json” is not JSON')).toBeVisible();
});

test('the look, then the spans of one tile are put on others, by pointer and by keyboard', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await hand(page, 'beds').click();
  await page.keyboard.press('c');
  const bar = page.getByRole('toolbar', { name: 'Copy to tiles' });
  await expect(bar).toContainText('From Beds');
  await hand(page, 'opening').click();
  await bar.getByRole('radio', { name: 'Spans' }).click();
  await hand(page, 'wardens-week').focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(bar).toHaveCount(0);
  await saved(page);
  const { document } = await readStored(application, collection);
  expect(document.tiles.opening?.look).toEqual(document.tiles.beds?.look);
  expect(document.tiles['wardens-week']?.place).toMatchObject({ columnSpan: 1, rowSpan: 1 });
  expect(document.tiles['wardens-week']?.look.fill).toBe('{lake}');
});

test('a table becomes tiles; taken in anew, what was made by hand stays and it is said what changed', async ({
  page,
  application,
}) => {
  const { id } = await createCollection(application, { name: 'Huts' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await page.getByRole('button', { name: 'Import a table…' }).click();
  const panel = page.getByRole('complementary', { name: 'Tables' });
  const csv = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await panel.getByTestId('table-file').setInputFiles(csv('broken.csv', 'no,title\n1,"Two\n'));
  await expect(page.getByText('“broken.csv” was not imported. Row')).toBeVisible();
  await panel
    .getByTestId('table-file')
    .setInputFiles(csv('huts.csv', 'no,title,text\n1,Two,Soup\n2,Four,Stars\n3,Six,Snow\n'));
  await panel.getByRole('button', { name: 'Make 3 tiles' }).click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(3);
  await panel.getByRole('textbox', { name: 'Words to filter by' }).fill('2');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(1);
  await panel.getByRole('textbox', { name: 'Words to filter by' }).fill('');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(3);

  await panel.getByRole('button', { name: 'Close tables' }).click();
  await page.locator('[data-tile-hand]').first().click();
  await page.getByRole('textbox', { name: 'Heading', exact: true }).fill('By hand');
  await page.keyboard.press('Enter');
  await page
    .getByRole('button', { name: 'Close', exact: true })
    .or(page.getByRole('main'))
    .first()
    .click({ trial: true });
  await page.locator('[data-tile-hand]').first().press('Escape');
  await page.getByRole('button', { name: 'Import a table…' }).click();
  await panel
    .getByTestId('table-again')
    .setInputFiles(csv('huts.csv', 'no,title,text\n1,Zwei,Bread\n3,Six,Snow\n4,Eight,Wind\n'));
  const report = panel.getByRole('status');
  await expect(report).toContainText('Changed (1): 1');
  await expect(report).toContainText('Added (1): 4');
  await expect(report).toContainText('Removed (1): 2');
  await expect(report).toContainText('Kept, changed by hand (1): 1');
  await saved(page);
  const { document } = await readStored(application, id);
  expect(
    Object.values(document.tiles).map((tile) =>
      ['heading', 'text'].map((id) => partIn(tile, id)).map((part) => part && 'words' in part && part.words),
    ),
  ).toEqual(
    expect.arrayContaining([
      ['By hand', 'Bread'],
      ['Eight', 'Wind'],
    ]),
  );
});

test('rich words, marks and a link over the tile are written, and the page keeps its levels', async ({
  page,
  application,
}) => {
  const text = (id: string, words: string): Tile => newCard('text', id, { heading: { words } });
  const start: CollectionDocument = {
    ...emptyDocument('Words'),
    tiles: { a: text('a', 'First'), m: newTile('icons', 'm') },
    order: ['a', 'm'],
  };
  const { id } = await createCollection(application, { document: start });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await hand(page, 'a').click();
  const words = page.getByRole('textbox', { name: 'Text', exact: true });
  await words.click();
  // Whatever editor was there before: where spaces are not kept, one comes into the bold words.
  await expect(words).toHaveCSS('white-space', 'break-spaces');
  await page.keyboard.type('Bring a ');
  await page.keyboard.press('Control+b');
  await page.keyboard.type('spoon');
  await page.keyboard.press('Control+b');
  await page.keyboard.press('Enter');
  await page
    .getByRole('toolbar', { name: 'Text formatting' })
    .getByRole('button', { name: 'List', exact: true })
    .click();
  await page.keyboard.type('and bread');
  await page.getByRole('textbox', { name: 'Link', exact: true }).fill('#kitchen');
  // A heading of a megabyte is refused in words, and the one that was there stays.
  await page.getByRole('textbox', { name: 'Heading', exact: true }).fill('x'.repeat(1_000_000));
  await expect(page.getByText('Heading: 1000000 characters; at most 20000 are kept.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Heading', exact: true })).toHaveValue('First');
  await saved(page);

  await page.getByRole('button', { name: '2, Icons' }).click();
  await page.getByRole('button', { name: 'Add icons…' }).click();
  await page.getByRole('textbox', { name: 'Find an icon' }).fill('soup');
  await page.getByRole('button', { name: 'Soup', exact: true }).click();
  await page.getByRole('textbox', { name: 'Find an icon' }).fill('star');
  await page.getByRole('dialog').getByRole('listitem').first().getByRole('button', { name: 'Star' }).click();
  await page.getByRole('button', { name: 'Add 2 icons' }).click();
  await saved(page);
  const stored = (await readStored(application, id)).document;
  expect(stored.tiles.a).toMatchObject({
    link: '#kitchen',
    parts: [
      { kind: 'eyebrow' },
      { kind: 'heading' },
      {
        kind: 'text',
        words: [
          { kind: 'paragraph', spans: [{ text: 'Bring a ' }, { text: 'spoon', strong: true }] },
          { kind: 'list', items: [[{ text: 'and bread' }]] },
        ],
      },
    ],
  });
  expect(Object.keys(stored.icons ?? {})).toEqual(['soup', 'star']);
  await page.getByRole('link', { name: 'Export' }).click();
  const html = page.getByLabel('Text of index.html');
  await expect(html).toContainText('<h1 class="unseen">Words</h1>');
  await expect(html).toContainText('<h2><a class="cover" href="#kitchen">First</a></h2>');
  await expect(html).toContainText('<p>Bring a <strong>spoon</strong></p><ul><li>and bread</li></ul>');
  await expect(html).toContainText('<ul class="icons soup-star" data-tile="m"><li><svg');
});
