import { expect, expectAccessible, hand, openCompose, readStored, saved, test } from './noria';
import type { Page } from '@playwright/test';

test.beforeEach(async ({ page, application, collection }) => {
  await openCompose(page, application, collection);
});

const field = (page: Page) => page.locator('main [data-writing] [role=textbox]');
const bar = (page: Page) => page.locator('main [data-writing]').first();
const selectedHand = (page: Page) => page.locator('[data-tile-hand][aria-pressed=true]');

/** How the words of a part are drawn, and the field over them: both as lines of the same words at the same place. */
const linesOver = (page: Page, tile: string, part: string) =>
  page.evaluate(
    ([id, of]) => {
      const lines = (elements: Iterable<Element>) =>
        [...elements].flatMap((element) => {
          const range = document.createRange();
          range.selectNodeContents(element);
          return [...range.getClientRects()]
            .filter(({ width }) => width > 1)
            .map(({ left, top, width }) => [left, top, width]);
        });
      const drawn = document
        .querySelector('main [data-stage-page]')
        ?.shadowRoot?.querySelectorAll(`[data-slot="${id}"] [data-words="${of}"]`);
      const written = document.querySelectorAll('main [data-writing] [role=textbox]');
      return [lines(drawn ?? []), lines(written)];
    },
    [tile, part] as const,
  );

const expectOver = async (page: Page, tile: string, part: string) => {
  // What is marked has a box of its own in one of them only.
  await expect
    .poll(async () => {
      const [drawn = [], written = []] = await linesOver(page, tile, part);
      const edges = (rows: readonly number[][]) => [
        ...new Set(rows.map(([left = 0, top = 0]) => `${Math.round(left)} ${Math.round(top)}`)),
      ];
      return edges(drawn).filter((edge) => !edges(written).includes(edge));
    })
    .toEqual([]);
};

test('by keyboard: Enter writes in the first words, Tab goes on over tiles, Escape restores', async ({
  page,
  application,
  collection,
}) => {
  await hand(page, 'opening').focus();
  await page.keyboard.press('Enter');
  await expect(field(page)).toBeFocused();
  await expect(field(page)).toHaveAccessibleName('Heading of “Opening”');
  await expectOver(page, 'opening', 'heading');
  await expectAccessible(page);
  // All of the old words are selected, so typing is writing anew; no letter of it is a command.
  await page.keyboard.type('Open all winter long, at every hut above the lake');
  await expectOver(page, 'opening', 'heading');
  await page.keyboard.press('Tab');
  await expect(field(page)).toHaveAccessibleName('Text of “Opening”');
  await expectOver(page, 'opening', 'text');
  await page.keyboard.type('Bring a ');
  await page.keyboard.press('Control+b');
  await page.keyboard.type('spoon');
  await page.keyboard.press('Control+b');
  await page.keyboard.press('Enter');
  await page.keyboard.type('and a friend');
  await expectOver(page, 'opening', 'text');
  await page.keyboard.press('Tab');
  await expect(field(page)).toHaveAccessibleName('Figure of “Beds”');
  await expect(selectedHand(page)).toHaveAttribute('data-tile-hand', 'beds');
  await page.keyboard.type('212');
  await page.keyboard.press('Escape');
  await expect(hand(page, 'beds')).toBeFocused();
  await expect(field(page)).toHaveCount(0);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Shift+Tab');
  await expect(field(page)).toHaveAccessibleName('Text of “Opening”');
  await page.keyboard.press('Control+Enter');
  await expect(hand(page, 'opening')).toBeFocused();
  await saved(page);
  const { document } = await readStored(application, collection);
  const words = (id: string) => {
    const tile = document.tiles[id];
    return tile?.kind === 'card' ? tile.parts.flatMap((part) => ('words' in part ? [part.words] : [])) : [];
  };
  expect(words('opening')).toEqual([
    '',
    'Open all winter long, at every hut above the lake',
    [
      { kind: 'paragraph', spans: [{ text: 'Bring a ' }, { text: 'spoon', strong: true }] },
      { kind: 'paragraph', spans: [{ text: 'and a friend' }] },
    ],
  ]);
  expect(words('beds')[0]).toBe('184');
  // Undo takes back what was typed, and the field shows it.
  await page.keyboard.press('Enter');
  await expect(async () => {
    await page.keyboard.press('Control+z');
    await expect(field(page)).toHaveText('Open all winter', { timeout: 500 });
  }).toPass();
});

test('by pointer: a double press writes in the words that it meets; elsewhere a picture is moved', async ({
  page,
}) => {
  const words = page.locator('[data-stage-page] [data-tile="beds"] [data-words="label"]');
  const at = await words.boundingBox();
  if (!at) throw new Error('There are no such words.');
  await page.mouse.dblclick(at.x + at.width / 2, at.y + at.height / 2);
  await expect(field(page)).toHaveAccessibleName('Label of “Beds”');
  await page.keyboard.type('beds, and a stove');
  // A press on the settings leaves the words as they are now.
  await page.getByRole('complementary', { name: 'Settings' }).getByLabel('Figure', { exact: true }).click();
  await expect(field(page)).toHaveCount(0);
  await expect(words).toHaveText('beds, and a stove');
  // One on another tile, too.
  await hand(page, 'opening').dblclick();
  await expect(field(page)).toBeFocused();
  await page.keyboard.type('Snow');
  await hand(page, 'voice').click();
  await expect(field(page)).toHaveCount(0);
  await expect(selectedHand(page)).toHaveAttribute('data-tile-hand', 'voice');
  // The marks of rich words are in the bar above, and do not end the writing.
  await hand(page, 'opening').click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await bar(page).getByRole('button', { name: 'Emphasis' }).click();
  await expect(field(page)).toBeFocused();
  await expect(page.locator('[data-stage-page] [data-tile="opening"] em')).toHaveText(/Seven huts/);
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-stage-page] [data-tile="opening"] em')).toHaveCount(0);
  // A picture that fills its tile has no words under the pointer.
  await hand(page, 'panorama').dblclick();
  await expect(field(page)).toHaveCount(0);
  await expect(page.getByTestId('crop-hand')).toBeVisible();
});

test('words that an undo takes away, and another view, end the writing: keys are commands again', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Text heading and words' }).click();
  await expect(selectedHand(page)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(field(page)).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(field(page)).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await expect(page.getByRole('button', { name: /^Undo: Add tile/ })).toBeVisible();
  await hand(page, 'opening').focus();
  await page.keyboard.press('Enter');
  await expect(field(page)).toBeFocused();
  // By an address, as the back button goes: nothing loses the focus first.
  const goTo = (view: string) =>
    page.evaluate((to) => {
      history.pushState(null, '', location.pathname.replace(/[a-z]+$/, to));
      dispatchEvent(new PopStateEvent('popstate'));
    }, view);
  await goTo('check');
  await expect(field(page)).toHaveCount(0);
  await goTo('compose');
  await expect(hand(page, 'opening')).toBeVisible();
  await expect(field(page)).toHaveCount(0);
});

test('empty words get a line to be written in, and a group’s words are reached in turn', async ({ page }) => {
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Text heading and words' }).click();
  await expect(selectedHand(page)).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.type('New');
  await page.keyboard.press('Tab');
  await expect(field(page)).toHaveAccessibleName('Text of “New”');
  await expect.poll(async () => (await field(page).boundingBox())?.height ?? 0).toBeGreaterThan(8);
  await page.keyboard.type('Words that were not there');
  await page.keyboard.press('Control+Enter');
  await page.keyboard.press('g');
  await page.keyboard.press('Control+d');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/In the group/).first()).toBeAttached();
  await page.keyboard.press('Enter');
  await expect(field(page)).toHaveAccessibleName('Heading of “New”');
  await page.keyboard.press('Shift+Tab');
  await expect(field(page)).toHaveAccessibleName('Text of “New”');
  await expect(field(page)).toHaveText('Words that were not there');
});
