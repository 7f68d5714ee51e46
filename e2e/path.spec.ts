import {
  downloadedPage,
  drag,
  expect,
  expectSameBoxes,
  hand,
  pageBoxes,
  readStored,
  saved,
  showWidth,
  stageBoxes,
  test,
} from './noria';

/** The whole way of a designer through the application, in one go. */
test('open, reflow, move, stretch, set, undo, reload, restart, export', async ({
  page,
  application,
  collection,
  browser,
}, info) => {
  const columns = () => page.getByRole('group', { name: 'Columns' }).getByRole('button');
  await page.goto(application.url);
  await expect(page.getByRole('heading', { name: 'Collections' })).toBeVisible();
  await page.getByRole('link', { name: 'Winter at the huts' }).first().click();
  await expect(page.locator('[data-tile-hand]')).toHaveCount(14);
  await page.goto(`${application.url}/collections/${collection}/compose`);
  await expect(columns()).toHaveCount(6);

  // Drag the needle from 1280 down to 360 and see the columns go.
  const needle = page.getByRole('slider', { name: 'Needle' });
  const ruler = await page.getByRole('region', { name: 'Width ruler' }).locator('> div').boundingBox();
  const x = (width: number) =>
    (ruler?.x ?? 0) + (Math.log(width / 240) / Math.log(2560 / 240)) * (ruler?.width ?? 0);
  const start = await needle.boundingBox();
  await page.mouse.move((start?.x ?? 0) + 11, (start?.y ?? 0) + 8);
  await page.mouse.down();
  const seen: number[] = [];
  for (const width of [1200, 1000, 800, 600, 450, 360]) {
    await page.mouse.move(x(width), 60, { steps: 3 });
    seen.push(await columns().count());
  }
  await page.mouse.up();
  expect(seen).toEqual([6, 4, 4, 2, 2, 2]);
  await expect(page.getByLabel('Width shown, px')).toHaveValue(/^3(59|60|61)$/);
  await expect(page.getByTestId('packed')).toHaveText('Packed 100 %');

  // Drag a tile to another cell.
  await showWidth(page, 1280);
  const before = await stageBoxes(page);
  const beds = await hand(page, 'beds').boundingBox();
  const opening = await hand(page, 'opening').boundingBox();
  await drag(page, hand(page, 'beds'), (opening?.x ?? 0) - (beds?.x ?? 0), 0);
  await expect
    .poll(async () => (await stageBoxes(page)).beds?.slice(0, 2))
    .toEqual(before.opening?.slice(0, 2));

  // Stretch one over two columns by its grip.
  await hand(page, 'highest').click();
  const highest = await hand(page, 'highest').boundingBox();
  await drag(page, page.getByTestId('grip-inline'), (highest?.width ?? 0) + 10, 0);
  await expect(hand(page, 'highest')).toHaveAccessibleName(/2 by 1/);

  // Change columns and gap.
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'Columns', exact: true }).fill('5');
  await page.keyboard.press('Enter');
  await expect(columns()).toHaveCount(5);
  await page.getByRole('button', { name: 'Set gaps one by one' }).click();
  await page.getByLabel('Column gap').fill('30');
  await page.keyboard.press('Enter');
  await saved(page);
  const changed = await readStored(application, collection);
  expect(changed.document.arrangement).toMatchObject({ columnGap: 30, rowGap: 16 });
  expect(changed.document.tiles.highest?.place.columnSpan).toBe(2);

  // Undo both, redo both.
  await page.getByRole('button', { name: 'Undo: Column gap' }).click();
  await page.getByRole('button', { name: 'Undo: Columns' }).click();
  await expect(columns()).toHaveCount(6);
  await page.keyboard.press('Control+Shift+Z');
  await page.keyboard.press('Control+Shift+Z');
  await expect(columns()).toHaveCount(5);
  await saved(page);
  const shown = await stageBoxes(page);

  // Reload: all as it was. Stop and start the server: all as it was.
  await page.reload();
  await expect(columns()).toHaveCount(5);
  expect(await stageBoxes(page)).toEqual(shown);
  await application.stop();
  await application.start();
  await page.reload();
  await expect(columns()).toHaveCount(5);
  expect(await stageBoxes(page)).toEqual(shown);

  // Export, open the page from the archive in a browser of its own.
  const address = await downloadedPage(page, info, 'winter-at-the-huts');
  const exported = await browser.newPage();
  for (const width of [360, 768, 1280]) {
    await showWidth(page, width);
    await exported.setViewportSize({ width, height: 900 });
    await exported.goto(address);
    expectSameBoxes(await pageBoxes(exported), await stageBoxes(page));
  }
  const pictures = exported.locator('img');
  await exported.evaluate(() =>
    document.querySelectorAll('img').forEach((image) => (image.loading = 'eager')),
  );
  await expect
    .poll(() =>
      pictures.evaluateAll((all) => all.every((image) => (image as HTMLImageElement).naturalWidth > 0)),
    )
    .toBe(true);
  await exported.close();
});
