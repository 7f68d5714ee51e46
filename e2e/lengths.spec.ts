import type { Page } from '@playwright/test';
import { expect, hand, openCompose, stageBoxes, test } from './noria';

const settings = (page: Page) => page.locator('aside[aria-label="Settings"]');
const choose = (page: Page, row: string, choice: string) =>
  settings(page)
    .getByRole('radiogroup', { name: row, exact: true })
    .getByRole('radio', { name: choice })
    .click();
const kind = (name: string) => (page: Page) => choose(page, 'Arrangement', name);

/** Where lengths are, how one gets there, and all that take one. */
const PLACES: readonly {
  readonly name: string;
  readonly go: (page: Page) => Promise<void>;
  readonly fields: readonly string[];
}[] = [
  {
    name: 'the collection',
    go: async (page) => {
      await choose(page, 'Height', 'Fixed');
      await choose(page, 'Width', 'Limited');
    },
    fields: ['Gap', 'Padding', 'Fixed height', 'Maximum width', 'Tile padding', 'Heading size', 'Body size'],
  },
  { name: 'fluid columns', go: kind('Fluid'), fields: ['Column width'] },
  { name: 'lanes', go: kind('Masonry'), fields: ['Minimum width of lanes'] },
  {
    name: 'lanes that are rows',
    go: async (page) => {
      await kind('Masonry')(page);
      await choose(page, 'Direction', 'Rows');
    },
    fields: ['Lane height'],
  },
  {
    name: 'rows of pictures',
    go: kind('Rows'),
    fields: ['Row height', 'Minimum row height', 'Maximum row height'],
  },
  { name: 'modules', go: kind('Mosaic'), fields: ['Minimum width of modules'] },
  { name: 'a fan', go: kind('Fan'), fields: ['Card width', 'Card height', 'Strip'] },
  {
    name: 'a tile',
    go: async (page) => {
      await kind('Bento')(page);
      await hand(page, 'beds').click();
      for (const name of [/^Body type/, /^Padding and gap/, /^Border and radius/])
        await settings(page).getByRole('button', { name }).click();
      await settings(page).getByRole('button', { name: 'Radius: unlink from the named look' }).click();
      await choose(page, 'Padding', 'All sides');
      await choose(page, 'Across', 'Start');
      await choose(page, 'Own width, how', 'Own size');
      await choose(page, 'Down', 'Start');
      await choose(page, 'Own height, how', 'Own size');
    },
    fields: ['Size', 'All sides', 'Gap', 'Radius', 'Own width', 'Own height'],
  },
];

test('lengths are px, or any that CSS has', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  for (const { name, go, fields } of PLACES) {
    await go(page);
    for (const called of fields) {
      const field = settings(page).getByRole('textbox', { name: called, exact: true });
      const of = `${called} of ${name}`;
      const before = await field.inputValue();
      await field.fill('2em');
      await expect(page.getByRole('alert'), of).toContainText('vh and em are not known here');
      await field.fill('clamp(12px, 1rem + 1vw, 3rem)');
      await field.press('Enter');
      await expect(field, of).toHaveValue('clamp(12px, 1rem + 1vw, 3rem)');
      await expect(field, of).toHaveAttribute('title', /: 28\.8 px at this width$/);
      await expect(page.getByText('Saved'), of).toBeVisible();
      await page.keyboard.press('Control+z');
      await expect(field, of).toHaveValue(before);
    }
  }
});

test('a gap and a track follow the width shown', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  const gap = settings(page).getByRole('textbox', { name: 'Gap', exact: true });
  await gap.fill('2.5cqi');
  await gap.press('Enter');
  const column = page.getByRole('group', { name: 'Columns' }).getByRole('button', { name: 'Column 1,' });
  await column.click();
  await page.keyboard.type('20cqi');
  await page.keyboard.press('Enter');
  await expect(column).toHaveAccessibleName('Column 1, 20cqi');
  const apart = async () => {
    const [, second] = await columns(page);
    return second;
  };
  // The padding of 24 px, a fifth of the page and a fortieth of it.
  await expect.poll(apart).toBeCloseTo(24 + 256 + 32, 0);
  await page.getByRole('textbox', { name: 'Width shown, px' }).fill('1200');
  await page.keyboard.press('Enter');
  await expect.poll(apart).toBeCloseTo(24 + 240 + 30, 0);
});

/** Where tiles begin, from the left, px of the page. */
async function columns(page: Page): Promise<number[]> {
  const boxes = Object.values(await stageBoxes(page)).map(([x]) => Math.round(x));
  return [...new Set(boxes)].sort((a, b) => a - b);
}
