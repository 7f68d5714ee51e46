import type { Page } from '@playwright/test';
import { expect, openCompose, test } from './noria';

/** What changes in the page within a second, by the element it changes in. */
const changes = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string[]>((resolve) => {
        const seen = new Set<string>();
        const observer = new MutationObserver((list) => {
          for (const { type, attributeName, target } of list) {
            seen.add(`${type} ${attributeName ?? ''} in ${target.nodeName}`);
          }
        });
        observer.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
        setTimeout(() => resolve([...seen]), 1000);
      }),
  );

test('a screen at rest draws nothing, so that what comes later comes', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  for (const view of ['Compose', 'Widths', 'Check', 'Preview']) {
    await page.getByRole('link', { name: view, exact: true }).click();
    // Scripts, pictures and the fit check arrive first.
    await expect.poll(() => changes(page), { timeout: 30_000, message: view }).toEqual([]);
  }
});
