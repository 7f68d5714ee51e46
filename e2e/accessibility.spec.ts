import { createCollection, expect, expectAccessible, hand, openCompose, test } from './noria';

for (const theme of ['light', 'dark'] as const) {
  test.describe(theme, () => {
    test.use({ colorScheme: theme });

    test('Collections', async ({ page, application }) => {
      await page.goto(application.url);
      await expect(page.getByRole('link', { name: 'Winter at the huts' }).first()).toBeVisible();
      await expectAccessible(page);
    });

    test('Widths, Check, the band, findings and a fluid arrangement', async ({
      page,
      application,
      collection,
    }) => {
      await openCompose(page, application, collection);
      await page.keyboard.press('w');
      await expectAccessible(page);
      await page.keyboard.press('w');
      await page.getByRole('radio', { name: 'Fluid' }).click();
      await expectAccessible(page);
      await page.keyboard.press('f');
      await page
        .getByRole('complementary', { name: 'Findings' })
        .getByRole('button', { expanded: false })
        .first()
        .click();
      await expectAccessible(page);
      await page.getByRole('link', { name: 'Widths' }).click();
      await expect(page.locator('[data-pane]').first()).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('link', { name: /^Check/ }).click();
      await expect(page.getByRole('region', { name: /^Columns: from/ })).toBeVisible();
      await expectAccessible(page);
    });

    test('Pictures with one open, Fonts and Recipes', async ({ page, application }) => {
      await page.goto(`${application.url}/pictures`);
      await page.getByRole('button', { name: /Hut bread/ }).click();
      await expect(page.getByRole('complementary', { name: 'Picture' })).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('link', { name: 'Fonts' }).click();
      await expect(page.getByRole('heading', { name: 'Newsreader' })).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('link', { name: 'Recipes' }).click();
      await expect(page.getByRole('heading', { name: 'Words over a picture' })).toBeVisible();
      await expectAccessible(page);
    });

    test('Compose, with looks, recipes, tables, a colour, a gradient, marks and a picture in its slot', async ({
      page,
      application,
      collection,
    }) => {
      await openCompose(page, application, collection);
      for (const [key, name] of [
        ['k', 'Named looks'],
        ['r', 'Recipes'],
      ] as const) {
        await page.keyboard.press(key);
        await expect(page.getByRole('complementary', { name })).toBeVisible();
        await expectAccessible(page);
        await page.keyboard.press(key);
      }
      await page.getByRole('button', { name: 'Import a table…' }).click();
      await page.getByTestId('table-file').setInputFiles({
        name: 'huts.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('no,title\n1,Two\n'),
      });
      await page.getByRole('button', { name: 'Make 1 tile' }).click();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Close tables' }).click();
      await hand(page, 'beds').click();
      await page.getByRole('combobox', { name: 'Fill', exact: true }).click();
      await page.getByRole('option', { name: 'Linear' }).click();
      await page.getByRole('button', { name: 'Border and radius' }).click();
      await page.getByRole('button', { name: 'Heading type' }).click();
      await expectAccessible(page);
      await page.getByRole('button', { name: /^Stop 1, / }).click();
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await hand(page, 'hut-at-dusk').dblclick();
      await expect(page.getByTestId('crop-hand')).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Picture, Hut at dusk' }).click();
      await expect(page.getByRole('dialog', { name: 'Choose a picture' })).toBeVisible();
      await expectAccessible(page);
    });

    test('Compose, with nothing, one and several in hand, and the key sheet', async ({
      page,
      application,
      collection,
    }) => {
      await openCompose(page, application, collection);
      await expectAccessible(page);
      await hand(page, 'ridge-path').click();
      await expectAccessible(page);
      // The span pad lies over this tile, and gives way while Shift is held.
      await page.keyboard.down('Shift');
      await hand(page, 'voice').click();
      await page.keyboard.up('Shift');
      await expectAccessible(page);
      await page.keyboard.press('?');
      await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
      await expectAccessible(page);
    });

    test('Compose, with gaps, proposals, a group, areas, the command list and an empty collection', async ({
      page,
      application,
      collection,
    }) => {
      await openCompose(page, application, collection);
      await hand(page, 'beds').click();
      await page.keyboard.press('Shift+Digit2');
      await page.keyboard.press('h');
      await expect(page.getByRole('status').filter({ hasText: 'No gap is left' })).toBeVisible();
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await page.keyboard.press('o');
      await expect(page.getByRole('button', { name: 'Proposal 8,' })).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Cancel' }).click();
      await hand(page, 'opening').click();
      await page.keyboard.press('g');
      await page.keyboard.press('Enter');
      await expectAccessible(page);
      await page.keyboard.press('Escape');
      await page.keyboard.press('Escape');
      await page.keyboard.press('Escape');
      await page.keyboard.press('a');
      await page.keyboard.press('l');
      await expectAccessible(page);
      await page.keyboard.press('Control+k');
      await expect(page.getByPlaceholder('Search commands')).toBeFocused();
      await expectAccessible(page);
      const { id } = await createCollection(application, { name: 'Empty' });
      await page.goto(`${application.url}/collections/${id}/compose`);
      await expect(page.getByText('No tiles yet').first()).toBeVisible();
      await expectAccessible(page);
    });

    test('Export', async ({ page, application, collection }) => {
      await page.goto(`${application.url}/collections/${collection}/export`);
      await expect(
        page.getByText('container-type').or(page.getByText('<!doctype html>')).first(),
      ).toBeVisible();
      await expectAccessible(page);
    });
  });
}

test('tiles glide, and with reduced motion they do not', async ({ page, application, collection }) => {
  const duration = () =>
    page.evaluate(() => {
      const slot = document.querySelector('[data-stage-page]')?.shadowRoot?.querySelector('.slot');
      return slot && getComputedStyle(slot).transitionDuration;
    });
  await openCompose(page, application, collection);
  expect(await duration()).toContain('0.16s');
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect(await duration()).toBe('0s');
});
