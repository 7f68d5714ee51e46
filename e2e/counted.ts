import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { coverageOf, resolvedBands, SCREEN_BLOCK_SIZE, type CollectionDocument } from '@noria/core';
import {
  createCollection,
  downloadedPage,
  expect,
  hand,
  pageBoxes,
  readStored,
  root,
  saved,
  showWidth,
  stageBoxes,
  type Application,
  fontsThere,
} from './noria';
import type { Page, TestInfo } from '@playwright/test';

/** Clicks, drags, drops, key presses and typed fields, each counted as one action. */
export class Hands {
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

  /** Presses what is found by its role and name. */
  async pressOn(role: 'button' | 'radio' | 'menuitem' | 'tab', name: string | RegExp): Promise<void> {
    this.actions++;
    await this.page.getByRole(role, { name, exact: true }).click();
  }

  async pressTile(id: string): Promise<void> {
    this.actions++;
    await hand(this.page, id).click();
  }

  /** Turns the wheel over the settings. */
  async scrollSettings(px: number): Promise<void> {
    this.actions++;
    await this.page.getByRole('complementary', { name: 'Settings' }).hover();
    await this.page.mouse.wheel(0, px);
    await this.page.waitForTimeout(300);
  }

  /** Drags the edge behind a column by so many px of the screen. */
  async dragEdge(column: number, by: number): Promise<void> {
    const box = await this.page
      .getByRole('group', { name: 'Columns' })
      .getByRole('button')
      .nth(column - 1)
      .boundingBox();
    const { x = 0, y = 0, width = 0, height = 0 } = box ?? {};
    await this.drag([x + width, y + height / 2], [x + width + by, y + height / 2]);
  }

  async type(words: string): Promise<void> {
    this.actions++;
    await this.page.keyboard.type(words);
  }

  /** Pastes a text that was copied elsewhere. */
  async paste(text: string): Promise<void> {
    this.actions++;
    await this.page.evaluate((words) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', words);
      const at = document.activeElement ?? document.body;
      at.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
    }, text);
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

/** Opens an empty collection; hands that worked before go on counting. */
export async function begin(
  page: Page,
  application: Application,
  hands = new Hands(page),
): Promise<{ hands: Hands; id: string }> {
  const { id } = await createCollection(application, { name: 'Empty' });
  await page.goto(`${application.url}/collections/${id}/compose`);
  await expect(page.getByText('No tiles yet').first()).toBeVisible();
  await fontsThere(page);
  return { hands, id };
}

/** The collection when it is saved, and what its widest band leaves uncovered. */
export async function result(page: Page, application: Application, id: string) {
  await saved(page);
  const { document } = await readStored(application, id);
  const band = resolvedBands(document)[0];
  if (!band) throw new Error('There is no band.');
  return { document, holes: coverageOf(document, band).holes };
}

export const spans = ({ order, tiles }: CollectionDocument) =>
  order.map((id) => `${tiles[id]?.place.columnSpan}×${tiles[id]?.place.rowSpan}`);

/** The table in the docs says what is counted here. */
export async function expectDocumented(task: string, actions: number, most = 14): Promise<void> {
  expect(actions).toBeLessThanOrEqual(most);
  const table = await readFile(join(root, 'docs', 'actions.md'), 'utf8');
  const row = table.split('\n').find((line) => line.startsWith(`| ${task}`));
  expect(row, `docs/actions.md has no row “${task}”`).toBeDefined();
  expect(row?.split('|')[2]?.trim()).toBe(String(actions));
}

export type Boxes = Readonly<Record<string, readonly [x: number, y: number, width: number, height: number]>>;

const WIDTHS = [360, 620, 834, 1280, 1920] as const;

/**
 * What was made is right at five widths, on the stage and in the page that is downloaded.
 * @param taken answers where what leaves is looked at; left out: the page is downloaded
 * @param isRight tells what is wrong with the tiles at a width; an empty list: nothing
 */
export async function expectRight(
  page: Page,
  info: TestInfo,
  isRight: (boxes: Boxes, width: number) => readonly string[],
  taken: () => Promise<string> = () => downloadedPage(page, info),
): Promise<void> {
  // Bands that are derived come a little after what they are derived from, and are saved after it.
  await saved(page);
  const wrong: string[] = [];
  const onStage = new Map<number, Boxes>();
  for (const width of WIDTHS) {
    await showWidth(page, width);
    const boxes = await stageBoxes(page);
    onStage.set(width, boxes);
    wrong.push(...isRight(boxes, width).map((each) => `${width}: ${each}`));
  }
  const address = await taken();
  const other = await page.context().newPage();
  await other.goto(address);
  await fontsThere(other);
  for (const width of WIDTHS) {
    await other.setViewportSize({ width, height: SCREEN_BLOCK_SIZE });
    const [there, here] = [await pageBoxes(other), onStage.get(width) ?? {}];
    for (const [id, box] of Object.entries(here)) {
      const at = there[id];
      if (!at || box.some((value, k) => Math.abs(value - (at[k] ?? Infinity)) > 0.5))
        wrong.push(
          `${width}: ${id} lies at ${at?.map((value) => value.toFixed(1)).join(', ')} in the page, at ${box.join(', ')} on the stage`,
        );
    }
  }
  await other.close();
  expect(wrong).toEqual([]);
}

/** How many tiles begin each row, told by their upper edges, from the top. */
export function besideEachOther(boxes: Boxes): number[] {
  const tops = Object.values(boxes).map(([, y]) => Math.round(y));
  return [...new Set(tops)].sort((a, b) => a - b).map((top) => tops.filter((each) => each === top).length);
}
