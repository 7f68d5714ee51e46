import {
  createCollection,
  demo,
  expect,
  hand,
  openCompose,
  readStored,
  saved,
  test,
  moveInSlot,
} from './noria';
import type { Page } from '@playwright/test';
import type { CollectionDocument, TileLook } from '@noria/core';

const settings = (page: Page) => page.getByRole('complementary', { name: 'Settings' });
const field = (page: Page, name: string) => settings(page).getByRole('textbox', { name, exact: true });

async function choose(page: Page, name: string, option: string) {
  await page.getByRole('combobox', { name, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

async function type(page: Page, name: string, words: string) {
  await field(page, name).fill(words);
  await page.keyboard.press('Enter');
}

/** What the stage draws of a tile. */
const drawn = (page: Page, tile: string, pseudo?: string) =>
  page.evaluate(
    ([id, part]) => {
      const host = document.querySelector('[data-stage-page]');
      const element = host?.shadowRoot?.querySelector(`[data-tile="${id}"]`);
      if (!element) return null;
      const {
        backgroundImage,
        backgroundColor,
        backgroundBlendMode,
        borderRadius,
        boxShadow,
        borderTopWidth,
      } = getComputedStyle(element, part ?? undefined);
      return {
        backgroundImage,
        backgroundColor,
        backgroundBlendMode,
        borderRadius,
        boxShadow,
        borderTopWidth,
      };
    },
    [tile, pseudo ?? null] as const,
  );

test('a picture behind the contents is moved and scaled on the stage, for its band alone where that is asked', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await hand(page, 'voice').click();
  await choose(page, 'Fill', 'Picture');
  await settings(page).getByRole('button', { name: 'Move picture' }).click();
  const crop = page.getByTestId('crop-hand');
  await expect(crop).toBeFocused();
  await moveInSlot(page, crop);
  await saved(page);
  const fillOf = async () => (await readStored(application, collection)).document.tiles.voice?.look.fill;
  expect(await fillOf()).toMatchObject({
    kind: 'picture',
    zoom: expect.any(Number),
    position: { x: expect.any(Number), y: expect.any(Number) },
  });
  await settings(page).getByRole('button', { name: 'Reset to the focal point' }).click();
  await saved(page);
  expect(await fillOf()).not.toHaveProperty('position');
  expect(await fillOf()).not.toHaveProperty('zoom');
  // By its words, as any command, though it has words that a double press writes in.
  await page.keyboard.press('Control+k');
  await page.keyboard.type('move the picture in');
  await page.keyboard.press('Enter');
  await expect(crop).toBeFocused();
});

test.describe('the fill of a tile', () => {
  const lookOf = async (
    application: Parameters<typeof readStored>[0],
    collection: string,
    tile: string,
  ): Promise<TileLook | undefined> => (await readStored(application, collection)).document.tiles[tile]?.look;

  test('lets through what is behind it by the opacity of its colour, and its words are told by that', async ({
    page,
    application,
    collection,
  }) => {
    await openCompose(page, application, collection);
    await hand(page, 'voice').click();
    await settings(page)
      .getByRole('button', { name: /^Fill, colour/ })
      .click();
    const before = await page.getByText('legible at any size').textContent();
    await page.getByRole('textbox', { name: 'Opacity, number' }).fill('20');
    await page.keyboard.press('Enter');
    await expect(page.getByText('legible at any size')).not.toHaveText(before ?? '');
    await page.keyboard.press('Escape');
    await saved(page);
    expect((await lookOf(application, collection, 'voice'))?.fill).toEqual({
      kind: 'plain',
      colour: '{larch}',
      opacity: 0.2,
    });
    expect((await drawn(page, 'voice'))?.backgroundColor).toContain('/ 0.2)');
    // What lies behind it may be blurred now.
    await type(page, 'Blur behind', '12');
    await saved(page);
    expect((await lookOf(application, collection, 'voice'))?.backdropBlur).toBe(12);
  });

  test('is one press: a colour of the pictures, before any slider', async ({
    page,
    application,
    collection,
  }) => {
    await openCompose(page, application, collection);
    await hand(page, 'voice').click();
    await settings(page)
      .getByRole('button', { name: /^Fill, colour/ })
      .click();
    const ofPictures = page.getByRole('group', { name: 'From its pictures' }).getByRole('button').first();
    const colour = (await ofPictures.getAttribute('aria-label')) ?? '';
    expect(colour).toMatch(/^#[0-9a-f]{6}$/);
    const { y } = (await ofPictures.boundingBox()) ?? {};
    const { y: slider } = (await page.getByRole('slider', { name: 'Lightness' }).boundingBox()) ?? {};
    expect(y).toBeLessThan(slider ?? 0);
    await ofPictures.click();
    await saved(page);
    expect((await lookOf(application, collection, 'voice'))?.fill).toBe(colour);
  });

  test('is a radial gradient by numbers and by hand: its middle goes out of the tile, its radii turn', async ({
    page,
    application,
    collection,
  }) => {
    await openCompose(page, application, collection);
    await hand(page, 'voice').click();
    await choose(page, 'Fill', 'Radial');
    await type(page, 'Middle, % across', '-40');
    await settings(page).getByText('Own', { exact: true }).click();
    await type(page, 'Radius, % down', '150');
    await type(page, 'Turn', '25');
    expect((await drawn(page, 'voice'))?.backgroundImage).toContain('rotate(25)');
    const grip = page.getByTestId('gradient-middle');
    const box = await grip.boundingBox();
    await grip.hover();
    await page.mouse.down();
    await page.mouse.move((box?.x ?? 0) + 60, (box?.y ?? 0) + 40, { steps: 4 });
    await page.mouse.up();
    await saved(page);
    const fill = (await lookOf(application, collection, 'voice'))?.fill;
    expect(fill).toMatchObject({ kind: 'radial', radii: { x: 0.75, y: 1.5 }, angle: 25 });
    expect((fill as { x: number }).x).toBeGreaterThan(-0.4);
    await page.keyboard.press('Control+z');
    await expect(field(page, 'Middle, % across')).toHaveValue('-40');
  });

  test('has layers over it, each mixed in its own way, brought forward and taken off', async ({
    page,
    application,
    collection,
  }) => {
    await openCompose(page, application, collection);
    await hand(page, 'beds').click();
    await settings(page)
      .getByRole('button', { name: /^Layers/ })
      .click();
    const add = settings(page).getByRole('button', { name: 'Add layer' });
    await add.click();
    await add.click();
    await choose(page, 'Layer 1, kind', 'Solid');
    await settings(page)
      .getByRole('group', { name: 'Layer 1' })
      .getByRole('combobox', { name: 'Blend' })
      .click();
    await page.getByRole('option', { name: 'Multiply' }).click();
    await settings(page).getByRole('button', { name: 'Layer 1: send backward' }).click();
    await saved(page);
    const over = (await lookOf(application, collection, 'beds'))?.over ?? [];
    expect(over.map(({ fill, blend }) => [typeof fill === 'object' && fill.kind, blend])).toEqual([
      ['linear', undefined],
      ['plain', 'multiply'],
    ]);
    expect((await drawn(page, 'beds'))?.backgroundBlendMode).toBe('normal, multiply, normal');
    await settings(page).getByRole('button', { name: 'Remove layer 1' }).click();
    await settings(page).getByRole('button', { name: 'Remove layer 1' }).click();
    await saved(page);
    expect((await lookOf(application, collection, 'beds'))?.over).toBeUndefined();
  });

  test('is a picture, also where the collection has none yet: zoomed, moved, under a gradient', async ({
    page,
    application,
  }) => {
    const bare = await demo('winter-at-the-huts');
    const { voice } = bare.tiles;
    const document = {
      ...bare,
      order: ['voice'],
      tiles: { voice },
      pictures: {},
      recipes: {},
      bands: [],
    } as unknown as CollectionDocument;
    const { id: collection } = await createCollection(application, { document });
    await page.goto(`${application.url}/collections/${collection}/compose`);
    await hand(page, 'voice').click();
    await choose(page, 'Fill', 'Picture');
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /Hut at dusk/ })
      .first()
      .click();
    await type(page, 'Zoom', '200');
    await type(page, 'Position, % across', '100');
    await choose(page, 'Tint, kind', 'Linear');
    await saved(page);
    const fill = (await lookOf(application, collection, 'voice'))?.fill;
    expect(fill).toMatchObject({
      kind: 'picture',
      zoom: 2,
      position: { x: 1, y: 0.5 },
      tint: { kind: 'linear' },
    });
    expect((await drawn(page, 'voice', '::after'))?.backgroundImage).toContain('linear-gradient');
    const behind = await page.evaluate(() => {
      const host = window.document.querySelector('[data-stage-page]');
      const image = host?.shadowRoot?.querySelector('[data-tile="voice"] > .behind');
      return image && [image.tagName, getComputedStyle(image).scale, getComputedStyle(image).zIndex];
    });
    expect(behind).toEqual(['IMG', '2', '-2']);
  });
});

test('corners, sides of the border and shadows are set apart, and together again', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await hand(page, 'beds').click();
  await settings(page)
    .getByRole('button', { name: /^Border and radius/ })
    .click();
  await settings(page).getByRole('radio', { name: 'Each' }).first().click();
  await type(page, 'Radius, bottom end', '60');
  expect((await drawn(page, 'beds'))?.borderRadius).toBe('14px 14px 60px');
  await choose(page, 'Border', 'Solid');
  await settings(page).getByRole('radiogroup', { name: 'Sides of the border' }).getByText('Each').click();
  await type(page, 'Border width, top', '9');
  expect((await drawn(page, 'beds'))?.borderTopWidth).toBe('9px');
  await settings(page)
    .getByRole('button', { name: /^Shadow/ })
    .click();
  await settings(page).getByRole('button', { name: 'Add outer shadow' }).click();
  await settings(page).getByRole('button', { name: 'Add outer shadow' }).click();
  await type(page, 'Outer shadow 2, down', '30');
  await saved(page);
  const { look } = (await readStored(application, collection)).document.tiles.beds ?? {};
  expect(look?.outerShadow).toMatchObject([{ y: 2 }, { y: 30 }]);
  await settings(page).getByRole('button', { name: 'Remove outer shadow 1' }).click();
  await saved(page);
  expect((await readStored(application, collection)).document.tiles.beds?.look.outerShadow).toMatchObject({
    y: 30,
  });
});

test('a style is made of a tile, followed by others, updated from one of them, and let go of', async ({
  page,
  application,
  collection,
}) => {
  await openCompose(page, application, collection);
  await hand(page, 'voice').click();
  await settings(page).getByRole('button', { name: 'New style' }).click();
  await page.getByRole('textbox', { name: 'Name of the style' }).fill('Ember');
  await page.keyboard.press('Enter');
  await hand(page, 'highest').click();
  await choose(page, 'Style', 'Ember');
  const colour = async (tile: string) => (await drawn(page, tile))?.backgroundColor;
  await expect.poll(() => colour('highest')).toBe(await colour('voice'));
  // What one of them has otherwise becomes the style of all.
  await settings(page)
    .getByRole('button', { name: /^Fill, colour/ })
    .click();
  await page.getByRole('textbox', { name: 'Fill, colour in hexadecimal' }).fill('#204060');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(settings(page).getByText('Fill: own')).toBeVisible();
  await settings(page).getByRole('button', { name: 'Update style' }).click();
  await expect.poll(() => colour('voice')).toBe('rgb(32, 64, 96)');
  await expect(settings(page).getByText('Fill: own')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect.poll(() => colour('voice')).not.toBe('rgb(32, 64, 96)');
  await settings(page).getByRole('button', { name: 'Reset', exact: true }).click();
  await expect.poll(() => colour('highest')).toBe(await colour('voice'));
  await choose(page, 'Style', 'None');
  await saved(page);
  const { tiles, styles } = (await readStored(application, collection)).document;
  expect(tiles.highest).not.toHaveProperty('style');
  expect(Object.values(styles ?? {}).map(({ name }) => name)).toEqual(['Ember']);
});

test('a wash follows the colour that it is made of', async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
  await page.keyboard.press('k');
  const panel = page.getByRole('complementary', { name: 'Named looks' });
  await choose(page, 'Add a wash', 'Larch');
  const wash = panel.getByRole('button', { name: /^Larch, pale, #/ });
  const before = await wash.getAttribute('aria-label');
  await panel.getByRole('button', { name: /^Larch, #/ }).click();
  await page.getByRole('textbox', { name: 'Larch in hexadecimal' }).fill('#2050a0');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(wash).not.toHaveAttribute('aria-label', before ?? '');
  await panel.getByRole('textbox', { name: 'Larch, pale, lightness' }).fill('60');
  await page.keyboard.press('Enter');
  await saved(page);
  const { namedLooks = {} } = (await readStored(application, collection)).document;
  const made = Object.values(namedLooks).find(({ name }) => name === 'Larch, pale');
  expect(made).toMatchObject({ wash: { of: 'larch', lightness: 0.6 } });
});
