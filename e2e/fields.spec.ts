import type { Locator, Page } from '@playwright/test';
import { expect, hand, openCompose, test } from './noria';

/** Where fields are, and how one gets there. */
interface Place {
  readonly name: string;
  readonly go: (page: Page) => Promise<void>;
  /** What is around the fields; left out: the settings. */
  readonly around?: string;
}

const SETTINGS = 'aside[aria-label="Settings"]';
const press = (page: Page, name: string) => page.getByRole('button', { name }).click();
const tile = (id: string, isRich = false): Place => ({
  name: `the tile ${id}`,
  go: async (page) => {
    await hand(page, id).click();
    await expect(page.locator(SETTINGS).getByRole('heading', { name: 'Content' })).toBeVisible();
    // The editor of rich words comes a little later.
    if (isRich) await expect(page.locator(SETTINGS).locator('[contenteditable=true]')).toBeVisible();
  },
});
const kind = (word: string): Place => ({
  name: `the arrangement ${word}`,
  go: (page) => page.getByRole('radio', { name: word, exact: true }).click(),
});

const PLACES: readonly Place[] = [
  { name: 'the collection', go: () => Promise.resolve() },
  kind('Fluid'),
  kind('Masonry'),
  kind('Rows'),
  kind('Mosaic'),
  kind('Fan'),
  tile('opening', true),
  tile('beds'),
  tile('hut-at-dusk'),
  tile('voice'),
  tile('booking'),
  {
    name: 'several tiles',
    go: async (page) => {
      await hand(page, 'beds').click();
      await hand(page, 'highest').click({ modifiers: ['Shift'] });
      await expect(page.locator(SETTINGS).getByText('2 tiles')).toBeVisible();
    },
  },
  {
    name: 'folded sections',
    go: async (page) => {
      await hand(page, 'beds').click();
      for (const name of [/^Heading type/, /^Padding and gap/, /^Border and radius/, /^Shadow/]) {
        await page.locator(SETTINGS).getByRole('button', { name }).click();
      }
    },
  },
  {
    name: 'named looks',
    go: (page) => press(page, 'Named looks'),
    around: 'aside[aria-label="Named looks"]',
  },
  {
    name: 'a table',
    go: async (page) => {
      await press(page, 'Import a table…');
      await page.getByTestId('table-file').setInputFiles({
        name: 'huts.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('no,title\n1,Two\n2,Four\n'),
      });
      await press(page, 'Make 2 tiles');
      await expect(page.getByRole('textbox', { name: 'Words to filter by' })).toBeVisible();
    },
    around: 'aside[aria-label="Tables"]',
  },
  {
    name: 'a band',
    go: async (page) => {
      await page.getByRole('textbox', { name: 'Width shown, px' }).fill('768');
      await page.keyboard.press('Enter');
      await page.keyboard.press('w');
    },
    around: 'aside[aria-label="Band"]',
  },
  {
    name: 'the width shown',
    go: () => Promise.resolve(),
    around: 'section[aria-label="Width shown"]',
  },
];

/** What is asked of Noria, and is no value of the collection. */
const ASKED = [
  'Width shown, px',
  'Columns wanted at this width',
  'Furthest move in reading order',
  // A type scale is a value once it is applied.
  'Text size, at 360 px',
  'Ratio, at 360 px',
  'Text size, at 1280 px',
  'Ratio, at 1280 px',
];

/** Something else than a field holds, in the order in which it is tried. */
const others = (value: string): readonly string[] => {
  if (/^-?\d+(\.\d+)?$/.test(value)) return [String(Number(value) + 1), String(Number(value) - 1)];
  if (/^[\d.]+(px|fr)$/.test(value)) return ['140px'];
  return ['larch', '#larch', '3, 2', '12'];
};

const isHome = (page: Page) =>
  page.evaluate(() => document.activeElement?.matches('[data-home], button') === true);

/** Types something that the field takes; null: it takes nothing of it. */
async function typeAnother(page: Page, field: Locator, before: string): Promise<string | null> {
  for (const text of others(before)) {
    await field.fill(text);
    if ((await field.getAttribute('aria-invalid')) !== 'true') return text;
  }
  await page.keyboard.press('Escape');
  return null;
}

for (const { name, go, around = SETTINGS } of PLACES) {
  test(`fields of ${name}: Escape restores, Enter applies, both give the focus back; undo is the collection’s`, async ({
    page,
    application,
    collection,
  }) => {
    await openCompose(page, application, collection);
    await go(page);
    const fields = page
      .locator(around)
      .first()
      .locator('input:not([type=radio], [type=checkbox], [type=file]), textarea, [role=textbox]');
    await expect(fields.first()).toBeVisible();
    const count = await fields.count();
    let taken = 0;
    for (let k = 0; k < count; k++) {
      const field = fields.nth(k);
      const read = async () =>
        (await field.getAttribute('role')) === 'textbox' ? field.innerText() : field.inputValue();
      const called = await field.evaluate(
        (it) =>
          it.ariaLabel ??
          document.getElementById(it.getAttribute('aria-labelledby') ?? '')?.textContent ??
          '',
      );
      const of = `field ${k}, ${called}`;
      const before = await read();
      const selected = await page.locator('[data-tile-hand][aria-pressed=true]').count();

      await field.focus();
      const text = await typeAnother(page, field, before);
      expect(await isHome(page), of).toBe(text === null);
      if (text === null) continue;
      taken++;
      await page.keyboard.press('Escape');
      await expect.poll(read, of).toBe(before);
      expect(await isHome(page), of).toBe(true);

      await field.focus();
      await typeAnother(page, field, before);
      await page.keyboard.press(
        (await field.evaluate((it) => it.tagName)) === 'INPUT' ? 'Enter' : 'Control+Enter',
      );
      await expect.poll(() => isHome(page), of).toBe(true);
      expect(await page.locator('[data-tile-hand][aria-pressed=true]').count(), of).toBe(selected);

      if (ASKED.includes(called)) continue;
      await field.focus();
      await page.keyboard.press('Control+z');
      await expect.poll(read, of).toBe(before);
      await expect(fields, of).toHaveCount(count);
    }
    expect(taken, 'fields that took something').toBeGreaterThan(0);
  });
}

test('global keys work from fields: the command list, undo and redo', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const columns = page.getByRole('textbox', { name: 'Columns', exact: true });
  await columns.fill('5');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+z');
  await expect(columns).toHaveValue('6');
  await columns.focus();
  await page.keyboard.press('Control+y');
  await expect(columns).toHaveValue('5');
  await columns.fill('80');
  await page.keyboard.press('Control+z');
  await expect(columns).toHaveValue('5');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog')).toBeVisible();
});

test('what a field can’t take is said there, with what it can, and changes nothing', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  const columns = page.getByRole('textbox', { name: 'Columns', exact: true });
  await columns.fill('80');
  await page.keyboard.press('Enter');
  await expect(columns).toHaveAccessibleDescription(/From 1 to 48\./);
  await expect(columns).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(columns).toHaveValue('6');
  await expect(page.getByRole('alert')).toHaveText('Not changed. From 1 to 48.');
});

test('a colour that is typed key by key is the colour that was typed', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await page.getByRole('button', { name: /^Background/ }).click();
  const hex = page.getByRole('textbox', { name: 'Background in hexadecimal' });
  await hex.selectText();
  await page.keyboard.type('#123456');
  await page.keyboard.press('Escape');
  await expect(hex).not.toHaveValue('#123456');
  await hex.selectText();
  await page.keyboard.type('#123456');
  await page.keyboard.press('Enter');
  await expect(hex).toHaveValue('#123456');
});

test('words that a script selects in a field go into the tile selected just before, in place of its own', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await hand(page, 'opening').click();
  const field = page.locator(SETTINGS).getByLabel('Name', { exact: true });
  await field.fill('Opening');
  await field.press('Enter');
  // All in one task: what is put off has not followed yet when the field is come to.
  await field.evaluate((input: HTMLInputElement) => {
    document.querySelector<HTMLElement>('[data-tile-hand="beds"]')?.click();
    input.select();
  });
  await page.keyboard.insertText('Sauna');
  await expect(field).toHaveValue('Sauna');
});
