import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import {
  createCollection,
  expect,
  readStored,
  root,
  saved,
  stageBoxes,
  test,
  type Application,
} from './noria';
import type { Page } from '@playwright/test';
import { resolvedBands, coverageOf, type CollectionDocument } from '@noria/core';

/** Clicks, drags, drops, key presses and typed fields, each counted as one action. */
class Hands {
  actions = 0;
  constructor(readonly page: Page) {}

  async drag(from: readonly [number, number], to: readonly [number, number]): Promise<void> {
    this.actions++;
    await this.page.mouse.move(...from);
    await this.page.mouse.down();
    for (let step = 1; step <= 6; step++) {
      const along = (k: 0 | 1) => from[k] + ((to[k] - from[k]) * step) / 6;
      await this.page.mouse.move(along(0), along(1));
    }
    await this.page.mouse.up();
  }

  /** Turns the wheel over the stage. */
  async scroll(px: number): Promise<void> {
    this.actions++;
    await this.page.mouse.wheel(0, px);
    await this.page.waitForTimeout(300);
  }

  async press(key: string): Promise<void> {
    this.actions++;
    await this.page.keyboard.press(key);
  }

  async click(name: string): Promise<void> {
    this.actions++;
    await this.page.getByLabel(name, { exact: true }).click();
  }

  async type(words: string): Promise<void> {
    this.actions++;
    await this.page.keyboard.type(words);
  }

  /** Sweeps columns × rows out over the matrix. */
  async sweep(columns: number, rows: number): Promise<void> {
    const box = await this.page.getByRole('slider', { name: 'Columns and rows' }).boundingBox();
    const { x = 0, y = 0, width = 0, height = 0 } = box ?? {};
    await this.drag([x + 4, y + 4], [x + (width / 12) * columns - 6, y + (height / 6) * rows - 5]);
    await expect(this.page.getByRole('group', { name: 'Columns' }).getByRole('button')).toHaveCount(columns);
  }

  /** Drags a number by so many steps. */
  async scrub(field: string, steps: number): Promise<void> {
    const box = await this.page.getByLabel(field, { exact: true }).boundingBox();
    const { x = 0, y = 0, height = 0 } = box ?? {};
    await this.drag([x + 8, y + height / 2], [x + 8 + steps * 2, y + height / 2]);
  }

  /** Drags over cells of the stage, from one to another, both included. */
  async over(
    from: readonly [column: number, row: number],
    to: readonly [column: number, row: number] = from,
  ) {
    const tracks = (name: string) =>
      this.page
        .getByRole('group', { name, exact: true })
        .getByRole('button')
        .evaluateAll((buttons) =>
          buttons.map((button) => {
            const { x, y, width, height } = button.getBoundingClientRect();
            return { x, y, width, height };
          }),
        );
    const [columns, rows] = [await tracks('Columns'), await tracks('Rows')];
    const at = ([c, r]: readonly [number, number], share: number): [number, number] => {
      const [column, row] = [columns[c - 1], rows[r - 1]];
      if (!column || !row) throw new Error(`There is no cell ${c}, ${r}.`);
      return [column.x + column.width * share, row.y + row.height * share];
    };
    await this.drag(at(from, 0.3), at(to, 0.7));
  }
}

async function begin(page: Page, application: Application): Promise<{ hands: Hands; id: string }> {
  const { id } = await createCollection(application, { name: 'Empty' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByText('No tiles yet').first()).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  return { hands: new Hands(page), id };
}

/** The collection when it is saved, and what its widest band leaves uncovered. */
async function result(page: Page, application: Application, id: string) {
  await saved(page);
  const { document } = await readStored(application, id);
  const band = resolvedBands(document)[0];
  if (!band) throw new Error('There is no band.');
  return { document, holes: coverageOf(document, band).holes };
}

const spans = ({ order, tiles }: CollectionDocument) =>
  order.map((id) => `${tiles[id]?.place.columnSpan}×${tiles[id]?.place.rowSpan}`);

/** The table in the docs says what is counted here. */
async function expectDocumented(task: string, actions: number): Promise<void> {
  expect(actions).toBeLessThan(15);
  const table = await readFile(join(root, 'docs', 'actions.md'), 'utf8');
  const row = table.split('\n').find((line) => line.startsWith(`| ${task} `));
  expect(row, `docs/actions.md has no row “${task}”`).toBeDefined();
  expect(row?.split('|')[2]?.trim()).toBe(String(actions));
}

test('a 4 × 3 bento of seven cards, packed', async ({ page, application }) => {
  const { hands, id } = await begin(page, application);
  await hands.sweep(4, 3);
  await hands.over([1, 1], [2, 2]);
  await hands.over([3, 1]);
  await hands.over([4, 1]);
  await hands.over([3, 2], [4, 2]);
  await hands.over([1, 3]);
  await hands.over([2, 3], [3, 3]);
  await hands.over([4, 3]);
  const { document, holes } = await result(page, application, id);
  expect(spans(document)).toEqual(['2×2', '1×1', '1×1', '2×1', '1×1', '2×1', '1×1']);
  expect(holes).toEqual([]);
  await expect(page.getByTestId('packed')).toHaveText('Packed 100 %');
  await expectDocumented('Bento 4 × 3', hands.actions);
});

test('a grid read off rows of three, two with halves, three', async ({ page, application }) => {
  const { hands, id } = await begin(page, application);
  await hands.click('From rows');
  await hands.type('3, 2 with halves, 3');
  await hands.press('Enter');
  const { document, holes } = await result(page, application, id);
  expect(document.arrangement.columns).toHaveLength(6);
  expect(spans(document)).toEqual(['2×1', '2×1', '2×1', '3×2', '3×1', '3×1', '2×1', '2×1', '2×1']);
  expect(holes).toEqual([]);
  await expectDocumented('Rows of three, two, three', hands.actions);
});

test('a 12 × 5 grid with gaps of 24 px, padding of 40 px and nine cards', async ({ page, application }) => {
  const { hands, id } = await begin(page, application);
  await hands.sweep(12, 5);
  await hands.scrub('Gap', 8);
  await hands.scrub('Padding', 16);
  await hands.over([1, 1], [6, 2]);
  await hands.over([7, 1], [9, 1]);
  await hands.over([10, 1], [12, 2]);
  await hands.over([7, 2], [9, 2]);
  await hands.scroll(300);
  await hands.over([1, 3], [3, 5]);
  await hands.over([4, 3], [9, 4]);
  await hands.over([10, 3], [12, 4]);
  await hands.over([4, 5], [6, 5]);
  await hands.over([7, 5], [12, 5]);
  const { document, holes } = await result(page, application, id);
  const { columns, columnGap, rowGap, padding } = document.arrangement;
  expect([columns.length, columnGap, rowGap, padding]).toEqual([
    12,
    24,
    24,
    { blockStart: 40, inlineEnd: 40, blockEnd: 40, inlineStart: 40 },
  ]);
  expect(document.order).toHaveLength(9);
  expect(holes).toEqual([]);
  await expectDocumented('Grid of 12 × 5', hands.actions);
});

test('a page skeleton of areas', async ({ page, application }) => {
  const { hands, id } = await begin(page, application);
  await hands.sweep(4, 4);
  await hands.press('a');
  for (const [from, to] of [
    [
      [1, 1],
      [4, 1],
    ],
    [
      [1, 2],
      [1, 3],
    ],
    [
      [2, 2],
      [4, 3],
    ],
    [
      [1, 4],
      [4, 4],
    ],
  ] as const) {
    await hands.over(from, to);
    await expect(page.getByLabel('Name of the area')).toBeFocused();
    await hands.press('Enter');
  }
  await hands.press('a');
  const { document, holes } = await result(page, application, id);
  expect(document.arrangement.areas).toEqual([
    'header header header header',
    'sidebar content content content',
    'sidebar content content content',
    'footer footer footer footer',
  ]);
  expect(document.order.map((tile) => document.tiles[tile]?.place.area)).toEqual([
    'header',
    'sidebar',
    'content',
    'footer',
  ]);
  expect(holes).toEqual([]);
  await expectDocumented('Page skeleton', hands.actions);
});

test('24 pictures dropped, without a hole', async ({ page, application }) => {
  const { hands, id } = await begin(page, application);
  const names = (await readdir(join(root, 'demo', 'pictures'))).sort();
  const files = await Promise.all(
    Array.from({ length: 24 }, async (_, k) => {
      const file = names[k % names.length] as string;
      return {
        name: `${k + 1}-${file}`,
        bytes: (await readFile(join(root, 'demo', 'pictures', file))).toString('base64'),
      };
    }),
  );
  hands.actions++;
  const data = await page.evaluateHandle((all) => {
    const transfer = new DataTransfer();
    for (const { name, bytes } of all) {
      const type = name.endsWith('png') ? 'image/png' : name.endsWith('webp') ? 'image/webp' : 'image/jpeg';
      transfer.items.add(new File([Uint8Array.from(atob(bytes), (c) => c.charCodeAt(0))], name, { type }));
    }
    return transfer;
  }, files);
  await page.dispatchEvent('main', 'drop', { dataTransfer: data });
  await expect.poll(async () => Object.keys(await stageBoxes(page)).length).toBe(24);
  await hands.press('Escape');
  await hands.press('o');
  await expect(page.getByRole('button', { name: 'Proposal 1,' })).toBeFocused();
  await hands.press('Enter');
  const { document, holes } = await result(page, application, id);
  expect(document.order).toHaveLength(24);
  expect(new Set(spans(document)).size).toBeGreaterThan(2);
  expect(holes).toEqual([]);
  await expectDocumented('24 pictures', hands.actions);
});
