import { createCollection, demo, expect, expectAccessible, test, type Application } from './noria';
import type { CollectionDocument, Tile } from '@noria/core';
import type { Page } from '@playwright/test';

async function openPreview(
  page: Page,
  application: Application,
  document: CollectionDocument,
): Promise<void> {
  const { id } = await createCollection(application, { document });
  await page.goto(`${application.url}/collections/${id}/preview`);
  await expect(page.locator('iframe')).toBeVisible();
}

test('pictures open large in Preview: buttons, keys, a swipe, and the focus comes back', async ({
  page,
  application,
}) => {
  await openPreview(page, application, await demo('the-long-way-round'));
  await expectAccessible(page);
  const frame = page.frameLocator('iframe');
  await frame.getByRole('button', { name: /^Enlarge: A wide view of rose/ }).click();
  const dialog = frame.getByRole('dialog', { name: 'Enlarged picture' });
  await expect(dialog).toContainText('1 of 20');
  await dialog.getByRole('button', { name: 'Next picture' }).click();
  await expect(dialog).toContainText('2 of 20');
  await page.keyboard.press('End');
  await expect(dialog).toContainText('20 of 20');
  await page.keyboard.press('ArrowRight');
  await expect(dialog).toContainText('1 of 20');
  const box = await dialog.boundingBox();
  const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + 200];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 160, y, { steps: 4 });
  await page.mouse.up();
  await expect(dialog).toContainText('2 of 20');
  for (let step = 0; step < 5; step++) {
    await page.keyboard.press('Tab');
    expect(
      await dialog.evaluate((element) => element.contains(element.ownerDocument.activeElement) || null),
    ).not.toBe(false);
  }
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(frame.getByRole('button', { name: /^Enlarge: Green ridge lines/ })).toBeFocused();
  await showPreviewWidth(page, 600);
  await expect(page.getByText('The page as exported')).toBeVisible();
});

test('a finger in Preview: nothing is pointed at, a tap opens a card, a drag scrolls, a swipe turns', async ({
  page,
  application,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openPreview(page, application, await demo('six-huts-six-evenings'));
  const frame = page.frameLocator('iframe');
  await page.getByRole('radio', { name: 'Touch' }).click();
  const card = frame.locator('[data-tile="dawn-column"]');
  const opener = frame.getByRole('radio', { name: 'Dawn column' });
  const startOf = async (id: string) => (await frame.locator(`[data-tile="${id}"]`).boundingBox())?.x ?? NaN;
  const shown = async () => (await startOf('after-the-storm')) - (await startOf('dawn-column'));
  const box = await card.boundingBox();
  const closed = await shown();
  await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 200);
  await expect(page.getByTestId('touch').locator('i')).toBeVisible();
  await expect(opener).not.toBeChecked();
  expect(await shown()).toBeCloseTo(closed, 0);
  await page.mouse.down();
  await page.mouse.up();
  await expect(opener).toBeChecked();
  await expect(opener).toBeFocused();
  await expect.poll(shown).toBeGreaterThan(2 * closed);

  await openPreview(page, application, await demo('the-long-way-round'));
  await page.getByRole('radio', { name: 'Touch' }).click();
  const first = frame.getByRole('button', { name: /^Enlarge: A wide view of rose/ });
  const drag = async (dx: number, dy: number) => {
    const touch = await page.getByTestId('touch').boundingBox();
    const [x, y] = [(touch?.x ?? 0) + (touch?.width ?? 0) / 2, (touch?.y ?? 0) + (touch?.height ?? 0) / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps: 6 });
    await page.mouse.up();
  };
  const scrolled = () => first.evaluate((element) => element.ownerDocument.scrollingElement?.scrollTop ?? 0);
  await expect(first).toBeVisible();
  await drag(0, -150);
  expect(await scrolled()).toBeGreaterThan(60);
  await drag(0, 300);
  expect(await scrolled()).toBe(0);
  const dialog = frame.getByRole('dialog', { name: 'Enlarged picture' });
  await expect(dialog).toBeHidden();
  const { x = 0, y = 0 } = (await first.boundingBox()) ?? {};
  await page.mouse.click(x + 40, y + 40);
  await expect(dialog).toContainText('1 of 20');
  await drag(-160, 0);
  await expect(dialog).toContainText('2 of 20');
  await drag(0, -160);
  await expect(dialog).toContainText('2 of 20');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
});

test('a link in Preview leads nowhere, and says where it would', async ({ page, application }) => {
  const document = await demo('winter-at-the-huts');
  const [id = ''] = document.order;
  const tile = document.tiles[id] as Tile;
  const linked = { ...document, tiles: { ...document.tiles, [id]: { ...tile, link: '/huts' } } };
  await openPreview(page, application, linked);
  const frame = page.frameLocator('iframe');
  await expect.poll(() => frame.locator('html').evaluate(() => window.document.readyState)).toBe('complete');
  await frame.locator(`[data-tile="${id}"]`).click({ position: { x: 30, y: 30 } });
  await expect(page.getByRole('alert')).toContainText('This leads to /huts.');
  await expect(frame.locator('[data-tile]').first()).toBeVisible();
});

async function showPreviewWidth(page: Page, width: number): Promise<void> {
  const field = page.getByRole('textbox', { name: 'Width of the page' });
  await field.fill(String(width));
  await field.press('Enter');
}
