import { readFile, readdir } from 'node:fs/promises';
import { extname, join } from 'node:path';
import {
  colourOf,
  groupOf,
  mainWords,
  pictureOf,
  resolvedBands,
  tileName,
  toOklch,
  type CollectionDocument,
  type Tile,
} from '@noria/core';
import {
  begin,
  besideEachOther,
  expectDocumented,
  expectRight,
  result,
  spans,
  type Boxes,
  Hands,
} from './counted';
import { drop, file, film } from './files';
import { downloadedFragment, expect, fontsThere, hand, root, stageBoxes, test } from './noria';
import type { Page } from '@playwright/test';

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
  await hands.click('In words');
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
  await dropPictures(page, hands, 24);
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

/** Drops so many pictures of the demo on the stage, as one drop. */
async function dropPictures(page: Page, hands: Hands, count: number): Promise<void> {
  const names = (await readdir(join(root, 'demo', 'pictures'))).sort();
  const files = Array.from({ length: count }, async (_, k) => {
    const name = names[k % names.length] as string;
    const mimeType = `image/${name.endsWith('jpg') ? 'jpeg' : extname(name).slice(1)}`;
    return {
      name: `${k + 1}-${name}`,
      mimeType,
      buffer: await readFile(join(root, 'demo', 'pictures', name)),
    };
  });
  await dropFiles(page, hands, await Promise.all(files));
}

/** Drops files beside all tiles of an empty collection, as one drop; each becomes a tile. */
async function dropFiles(page: Page, hands: Hands, files: Parameters<typeof drop>[1]): Promise<void> {
  hands.actions++;
  await drop(page.getByRole('main', { name: 'Stage' }), files, { at: [0.5, 0.95] });
  await expect.poll(async () => Object.keys(await stageBoxes(page)).length).toBe(files.length);
}

/** Cells that are left free above the last row, told by what lies around them. */
function holesBefore(boxes: Boxes, gap: number): string[] {
  const all = Object.values(boxes);
  const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x, , width]) => x + width))];
  const last = Math.max(...all.map(([, y]) => y));
  return [...new Set(all.map(([, y]) => Math.round(y)))]
    .filter((y) => y < last - 1)
    .flatMap((y) => {
      const across = all
        .filter(([, top, , height]) => top <= y + 1 && top + height > y + 1)
        .reduce((sum, [, , width]) => sum + width + gap, 0);
      return Math.abs(across - (right - left + gap)) < 1 ? [] : [`a hole in the row at ${y}`];
    });
}

/** Every tile of one size. */
const sizes = (boxes: Boxes) =>
  new Set(Object.values(boxes).map(([, , width, height]) => `${Math.round(width)} × ${Math.round(height)}`));

test('twelve columns, nine cards of 4, 6 and 12 of them by width', async ({ page, application }, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('9 × 4 of 12, 6 below 900, 12 below 600');
  await hands.press('Enter');
  const { document } = await result(page, application, id);
  expect(resolvedBands(document).map(({ columns }) => columns.length)).toEqual([12, 12, 12]);
  await expectRight(page, info, (boxes, width) => {
    const expected = width >= 900 ? [3, 3, 3] : width >= 600 ? [2, 2, 2, 2, 1] : Array(9).fill(1);
    const beside = besideEachOther(boxes);
    return [
      ...(String(beside) === String(expected) ? [] : [`${beside.join()} beside each other`]),
      ...(sizes(boxes).size === 1 ? [] : ['cards of different sizes']),
    ];
  });
  await expectDocumented('Twelve columns, nine cards', hands.actions, 7);
});

test('short and tall cards, breakpoints with a cap, a navigation row with a pinned title', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('1:2, 3 with the 1st in halves, 3 with the 3rd in halves, breakpoints 900 580');
  await hands.press('Enter');
  const { document: first } = await result(page, application, id);
  expect(first.bands.map(({ below }) => below)).toEqual([900, 580]);
  const title = first.order[0] ?? '';
  await hands.pressTile(title);
  await hands.press('p');
  await hands.press('Escape');
  await hands.pressOn('button', 'Phone, 390 px');
  await hands.pressOn('radio', 'Limited');
  await hands.click('Maximum width');
  await hands.type('380');
  await hands.press('Enter');
  const { document } = await result(page, application, id);
  expect(document.tiles[title]?.place.pin).toEqual({ column: 1, row: 1 });
  expect(document.bands.map(({ arrangement }) => arrangement.maxInlineSize)).toEqual([undefined, 380]);
  await expectRight(page, info, (boxes, width) => {
    const [x = 0, y = 0, wide = 0] = boxes[title] ?? [];
    const columns = width >= 900 ? 3 : width >= 580 ? 2 : 1;
    const inner = (width < 580 ? Math.min(width, 380) : width) - 48;
    const column = (inner - (columns - 1) * 16) / columns;
    return [x, y, wide].every((value, k) => Math.abs(value - ([24, 24, column][k] ?? 0)) < 0.6)
      ? []
      : [`the title lies at ${x}, ${y}, ${wide} wide`];
  });
  await expectDocumented('Short and tall cards', hands.actions, 12);
});

test('as many columns of 180 px as fit, eighty items, fit beside fill', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('80 × 180px');
  await hands.press('Enter');
  const { document } = await result(page, application, id);
  expect([document.order.length, document.arrangement.fluid?.min]).toEqual([80, 180]);
  for (const kind of ['auto-fit', 'auto-fill']) {
    await expect(page.getByRole('radio', { name: kind })).toBeInViewport();
  }
  await expectRight(page, info, (boxes, width) => {
    const columns = Math.floor((width - 48 + 16) / (180 + 16));
    const first = besideEachOther(boxes)[0];
    return first === columns ? [] : [`${first} columns`];
  });
  await expectDocumented('As many columns of 180 px', hands.actions, 3);
});

test('three, two with one halved, three; gap, padding; as high as the screen, then fixed', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('3, 2 with halves, 3, gap 18, padding 36');
  await hands.press('Enter');
  await hands.pressOn('radio', 'Screen');
  expect((await result(page, application, id)).document.arrangement.height).toEqual({
    kind: 'screen',
    share: 1,
    rows: 'share',
  });
  await hands.pressOn('radio', 'Fixed');
  const { document, holes } = await result(page, application, id);
  const { columnGap, rowGap, padding, height } = document.arrangement;
  expect([columnGap, rowGap, padding.blockStart, height?.kind]).toEqual([18, 18, 36, 'fixed']);
  expect(holes).toEqual([]);
  await expectRight(page, info, (boxes, width) => {
    const lowest = Math.max(...Object.values(boxes).map(([, y, , h]) => y + h));
    const high = height?.kind === 'fixed' ? Number(height.px) : 0;
    return width < 1280 || Math.abs(lowest - (high - 36)) < 1 ? [] : [`tiles end at ${lowest} of ${high}`];
  });
  await expectDocumented('Rows of three, two and three', hands.actions, 6);
});

test('four equal; full height; a page that changes at 720 and 1080', async ({ page, application }, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('4');
  await hands.press('Enter');
  await expect.poll(async () => Object.keys(await stageBoxes(page)).length).toBe(4);
  await expectRight(page, info, (boxes) => (sizes(boxes).size === 1 ? [] : ['cards of different sizes']));
  await result(page, application, id);

  const full = await begin(page, application, hands);
  await hands.pressOn('button', 'Page skeletons…');
  await hands.pressOn('button', /^Full height/);
  const { document: high } = await result(page, application, full.id);
  expect(high.arrangement).toMatchObject({
    areas: ['header', 'content', 'footer'],
    height: { kind: 'screen', share: 1 },
  });
  await expectRight(page, info, (boxes) => {
    const [header, content, footer] = high.order.map((tile) => boxes[tile]);
    return header && content && footer && header[1] < content[1] && content[1] < footer[1]
      ? []
      : ['areas out of order'];
  });

  const changing = await begin(page, application, hands);
  await hands.pressOn('button', 'Page skeletons…');
  await hands.pressOn('button', /^Changing sides/);
  const { document } = await result(page, application, changing.id);
  expect(document.bands.map(({ below }) => below)).toEqual([1080, 720]);
  const [, side = '', content = ''] = document.order;
  await expectRight(page, info, (boxes, width) => {
    const [a = 0] = boxes[side] ?? [];
    const [b = 0] = boxes[content] ?? [];
    const isRight = width >= 1080 ? a < b : width >= 720 ? a > b : a === b;
    return isRight ? [] : [`the sidebar at ${a}, the content at ${b}`];
  });
  await expectDocumented('Four equal', hands.actions, 12);
});

test('the least minimum for four columns at 1240, and at most five whatever the gap', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('4 at 1240, gap 28, at most 5, 12 cards');
  await hands.press('Enter');
  const { document } = await result(page, application, id);
  // (1240 − 48 − 4 · 28) ÷ 5 = 216, and just above it.
  expect(document.arrangement.fluid).toMatchObject({ min: 216.01, max: 5 });
  await expectRight(page, info, (boxes, width) => {
    const columns = besideEachOther(boxes)[0];
    const fit = Math.min(5, Math.floor((width - 48 + 28) / (216.01 + 28)));
    return columns === fit ? [] : [`${columns} columns`];
  });
  await expectDocumented('The least minimum', hands.actions, 4);
});

test('5 × 2 with spans, a fill each, contents spread; one width changed and given back', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('5 × 2: 2×2, 3×1, 1×1, 2×1');
  await hands.press('Enter');
  await hands.press('Control+a');
  await hands.pressOn('button', 'A colour each');
  await hands.scrollSettings(300);
  await hands.pressOn('radio', 'Between');
  await hands.press('Escape');
  const column = page.getByRole('group', { name: 'Columns' }).getByRole('button').first();
  const before = (await column.boundingBox())?.width ?? 0;
  await hands.dragEdge(1, 40);
  await expect.poll(async () => (await column.boundingBox())?.width).toBeGreaterThan(before + 20);
  await hands.press('Control+z');
  const { document, holes } = await result(page, application, id);
  expect(document.arrangement.columns).toEqual(Array(5).fill('1fr'));
  const looks = document.order.map((tile) => document.tiles[tile]?.look);
  expect(new Set(looks.map((look) => look?.fill)).size).toBe(4);
  expect(looks.map((look) => look?.spread)).toEqual(Array(4).fill('between'));
  expect(spans(document)).toEqual(['2×2', '3×1', '1×1', '2×1']);
  expect(holes).toEqual([]);
  await expectRight(page, info, () => []);
  await expectDocumented('5 × 2 with', hands.actions, 12);
});

test('a gallery of at least 210, tall, wide and big above 640 only', async ({ page, application }, info) => {
  const { hands, id } = await begin(page, application);
  await dropPictures(page, hands, 18);
  await hands.press('Escape');
  await hands.click('In words');
  await hands.type('210px, gap 12, radius 14, spans by shape from 640');
  await hands.press('Enter');
  const { document } = await result(page, application, id);
  expect([...new Set(spans(document))].sort()).toEqual(['1×1', '1×2', '2×1', '2×2']);
  expect(document.look.radius).toBe(14);
  await expectRight(page, info, (boxes, width) => {
    const [first] = sizes(boxes);
    if (width < 640) return sizes(boxes).size === 1 ? [] : [`cards of ${first} and others`];
    return holesBefore(boxes, 12);
  });
  await expectDocumented('Gallery of at least 210', hands.actions, 7);
});

test('5 × 3 of seven cards, a colour each, words centred, as high as 92 % of the screen', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('5 × 3: 2×2, 2×1, 1×2, 2×1, 1×1, 2×1, 2×1, gap 6, height 92%');
  await hands.press('Enter');
  await hands.press('Control+a');
  await hands.pressOn('button', 'A colour each');
  await hands.scrollSettings(300);
  for (const row of ['Spread', 'Align']) {
    hands.actions++;
    await page.getByRole('radiogroup', { name: row }).getByRole('radio', { name: 'Centre' }).click();
  }
  const { document, holes } = await result(page, application, id);
  const looks = document.order.map((tile) => document.tiles[tile]?.look);
  expect(new Set(looks.map((look) => look?.fill)).size).toBe(7);
  expect(looks.map((look) => [look?.spread, look?.align])).toEqual(Array(7).fill(['center', 'center']));
  expect(document.arrangement).toMatchObject({
    columnGap: 6,
    rowGap: 6,
    height: { kind: 'screen', share: 0.92, rows: 'share' },
  });
  expect(holes).toEqual([]);
  await expectRight(page, info, () => []);
  await expectDocumented('5 × 3 of seven', hands.actions, 12);
});

test('a phone page of a wide picture and four across below, of thirteen numbered pictures', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  // As a folder gives them: 10 before 2.
  const names = Array.from({ length: 13 }, (_, k) => `shot ${k + 1}.jpg`);
  const files = names.toSorted().map((name, k) => file(name, 300 + 10 * k, 240, '#446688'));
  await dropFiles(page, hands, await Promise.all(files));
  await hands.press('Escape');
  await hands.click('In words');
  await hands.type('1, 4, 4, 4, gap 0, padding 0, no breakpoints');
  await hands.press('Enter');
  const { document, holes } = await result(page, application, id);
  const shown = document.order.map((tile) => pictureOf(document.tiles[tile] as Tile)?.picture ?? '');
  expect(shown.map((picture) => document.pictures[picture]?.name)).toEqual(
    names.map((name) => name.replace('.jpg', '')),
  );
  expect(holes).toEqual([]);
  await expectRight(page, info, (boxes, width) => {
    const beside = besideEachOther(boxes).join();
    const [first] = Object.values(boxes);
    const wrong = beside === '1,4,4,4' ? [] : [`${beside} beside each other`];
    return [
      ...wrong,
      ...(Math.abs((first?.[2] ?? 0) - width) < 1 ? [] : ['not as wide as the page']),
      ...holesBefore(boxes, 0),
    ];
  });
  await expectDocumented('Phone page', hands.actions, 5);
});

test('four alike cards of one size across 1800, a picture and words each', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('4 of 400 × 500 across 1800');
  await hands.press('Enter');
  const names = ['Ridge path', 'Hut four', 'Snow line', 'Last light'];
  const files = await Promise.all(names.map((name, k) => file(`${name}.jpg`, 400 + k, 500, '#446688')));
  await expect(page.locator('[data-tile-hand]')).toHaveCount(4);
  hands.actions++;
  await drop(page.locator('[data-tile-hand]').first(), files);
  await expect(page.getByText(/4 pictures are in/)).toBeAttached();
  await hands.press('Control+a');
  await hands.paste(`${names.map((name) => `${name}, by day`).join('\n')}\n`);
  const { document, holes } = await result(page, application, id);
  const shown = document.order.map((tile) => {
    const held = document.tiles[tile] as Tile;
    const { fill } = held.look;
    const picture = typeof fill === 'object' && fill.kind === 'picture' ? fill.picture : '';
    return [document.pictures[picture]?.name, tileName(held, document)];
  });
  expect(shown).toEqual(names.map((name) => [name, `${name}, by day`]));
  expect(holes).toEqual([]);
  await expectRight(page, info, (boxes, width) => {
    const [first] = sizes(boxes);
    const beside = besideEachOther(boxes);
    const even = beside.every((count) => count === beside[0]);
    return [
      ...(sizes(boxes).size === 1 ? [] : [`a card of ${first} and others`]),
      ...(even ? [] : [`rows of ${beside.join()}`]),
      ...(width !== 1920 || first === '400 × 500' ? [] : [`cards of ${first}`]),
    ];
  });
  await expectDocumented('Four alike cards', hands.actions, 8);
});

test('rows of 3 : 2 and 1 : 3 with tinted pictures and a film, kept on phones, then stacked', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('3:2, 1:3, stacked below 400');
  await hands.press('Enter');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(4);
  const names = ['Ridge path', 'Hut four', 'Snow line'];
  const files = await Promise.all(names.map((name, k) => file(`${name}.jpg`, 800 + k, 600, '#446688')));
  hands.actions++;
  await drop(page.locator('[data-tile-hand]').first(), [...files, await film(page, 'Sledge.webm')]);
  await expect(page.getByText(/4 pictures and films are in/)).toBeAttached();
  await hands.press('Control+a');
  await hands.scrollSettings(400);
  await hands.pressOn('button', /^Tint, colour/);
  await expect(page.getByLabel('Tint, colour in hexadecimal')).toBeFocused();
  await hands.type('#402040');
  await hands.press('Enter');
  const { document, holes } = await result(page, application, id);
  const behind = document.order.map((tile) => {
    const { fill } = (document.tiles[tile] as Tile).look;
    if (typeof fill !== 'object' || !('tint' in fill)) return [];
    return [
      fill.kind === 'film' ? document.films?.[fill.film]?.name : document.pictures[fill.picture]?.name,
      fill.tint,
    ];
  });
  const tint = { colour: '#402040', opacity: 0.5 };
  expect(behind).toEqual([...names, 'Sledge'].map((name) => [name, tint]));
  expect(holes).toEqual([]);
  await expectRight(page, info, (boxes, width) => {
    const [first, second, third, fourth] = Object.values(boxes).map(([, , each]) => each);
    if (width < 400) return sizes(boxes).size === 1 ? [] : ['cards of different sizes below each other'];
    const gap = 16;
    const share = (one = 0, other = 0) => one / (one + other);
    const shares = [share(first, second), share(third, fourth)];
    return shares.every((each, k) => Math.abs(each - ([0.6, 0.25][k] ?? 0)) < gap / width)
      ? []
      : [`shares of ${shares.join()}`];
  });
  await expectDocumented('Rows of 3 : 2 and 1 : 3', hands.actions, 13);
});

test('a masonry of eleven pictures in four columns, the same from a table, enlarged as one set', async ({
  page,
  application,
}, info) => {
  const words = 'masonry of 240px, at most 4, gap 12, enlarge all';
  const shapes = [1.5, 0.7, 1, 1.8, 0.8, 1.2, 0.6, 1.4, 1, 2, 0.75];
  const names = shapes.map((_, k) => `Wall of wood ${k + 1}`);
  const files = shapes.map((shape, k) => file(`${names[k]}.jpg`, Math.round(600 * shape), 600, '#446688'));
  const isRight = (boxes: Boxes, width: number) => {
    const columns = besideEachOther(boxes)[0];
    const fit = Math.min(4, Math.floor((width - 48 + 12) / (240 + 12)));
    const shown = Object.values(boxes).map(([, , across, down]) => across / down);
    return [
      ...(columns === fit ? [] : [`${columns} columns`]),
      ...(shown.every((shape, k) => Math.abs(shape - (shapes[k] ?? 0)) < 0.02)
        ? []
        : ['pictures of other shapes']),
    ];
  };
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type(words);
  await hands.press('Enter');
  await dropFiles(page, hands, await Promise.all(files));
  const { document } = await result(page, application, id);
  expect([document.arrangement.kind, document.enlarges, document.order.length]).toEqual([
    'masonry',
    'all',
    11,
  ]);
  await expectRight(page, info, isRight);

  const table = await begin(page, application, hands);
  await hands.click('In words');
  await hands.type(words);
  await hands.press('Enter');
  const rows = names.map((name, k) => `${k + 1},${name}`).join('\n');
  hands.actions++;
  await drop(page.getByRole('main', { name: 'Stage' }), [
    { name: 'walls.csv', mimeType: 'text/csv', buffer: Buffer.from(`no,picture\n${rows}\n`) },
  ]);
  await hands.pressOn('button', 'Make 11 tiles');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(11);
  const { document: made } = await result(page, application, table.id);
  const shown = made.order.map((tile) => pictureOf(made.tiles[tile] as Tile)?.picture ?? '');
  expect(shown.map((picture) => made.pictures[picture]?.name)).toEqual(names);
  expect([made.arrangement.kind, made.enlarges]).toEqual(['masonry', 'all']);
  await page.keyboard.press('Escape');
  await expectRight(page, info, isRight);
  await expectDocumented('Masonry of eleven', hands.actions, 12);
});

test('a mosaic on 14 × 15 square modules: slots, a panorama, eight pictures, one replaced, two moved, the last gap closed', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('14 × 15: 9×4, 5×4, 4×5, 6×5, 4×5, 5×6, 4×6, 5×3, 4×3, square cells, pictures, gap 8');
  await hands.press('Enter');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(9);
  const { document: cut, holes } = await result(page, application, id);
  expect(holes).toHaveLength(1);
  const [wide = '', second = '', , , , sixth = '', seventh = '', eighth = ''] = cut.order;
  const colours = ['#446688', '#99aa44', '#aa5544', '#447755'];
  const pictures = (names: readonly string[], width: number, height: number) =>
    Promise.all(names.map((name, k) => file(`${name}.jpg`, width + k, height, colours[k % 4] ?? '')));
  const shown = async () => {
    const { document } = await result(page, application, id);
    const of = document.order.map((tile) => pictureOf(document.tiles[tile] as Tile)?.picture ?? '');
    return of.map((picture) => document.pictures[picture]?.name);
  };
  hands.actions++;
  await drop(hand(page, wide), await pictures(['Whole ridge'], 2000, 600));
  await expect.poll(async () => (await shown())[0]).toBe('Whole ridge');
  const names = Array.from({ length: 8 }, (_, k) => `Corner of wood ${k + 1}`);
  hands.actions++;
  await drop(hand(page, second), await pictures(names, 900, 700));
  await expect.poll(shown).toEqual(['Whole ridge', ...names]);
  await page.mouse.move(800, 500);
  await hands.scroll(600);
  hands.actions++;
  await drop(hand(page, sixth), await pictures(['Another corner'], 700, 900));
  await expect.poll(async () => (await shown())[5]).toBe('Another corner');
  for (const tile of [seventh, eighth]) {
    const box = await hand(page, tile).boundingBox();
    const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2];
    hands.actions += 2;
    await page.mouse.dblclick(x, y);
    await expect(page.getByLabel(/^Picture of .* in its slot/)).toBeVisible();
    await hands.drag([x, y], [x + 30, y + 20]);
    await hands.press('Escape');
  }
  await hands.press('h');
  await expect(page.getByRole('button', { name: 'Apply' })).toBeFocused();
  await hands.press('Enter');
  const { document: made, holes: left } = await result(page, application, id);
  expect(left).toEqual([]);
  const moved = made.order.map((tile) => pictureOf(made.tiles[tile] as Tile)?.position !== undefined);
  expect(moved).toEqual([...Array<boolean>(6).fill(false), true, true, false]);
  await expectRight(page, info, (boxes) => holesBefore(boxes, 8));
  await expectDocumented('Mosaic on 14 × 15', hands.actions, 20);
});

test('5 × 3 with a diagonal of areas, tiles put in and let out, a shared style, two flush pictures', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type('areas lead lead . . . / . middle middle middle . / . . . close close, gap 0');
  await hands.press('Enter');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(3);
  const { document: cut } = await result(page, application, id);
  // The tiles as they were cut: pictures that come later may be read between them.
  const placeOf = ({ tiles }: typeof cut, k: number) => tiles[cut.order[k] ?? '']?.place;
  expect([0, 1, 2].map((k) => placeOf(cut, k)?.area)).toEqual(['lead', 'middle', 'close']);
  const { x = 0, y = 0, width = 0, height = 0 } = (await hand(page, cut.order[1] ?? '').boundingBox()) ?? {};
  const grip = [x + width / 6, y + height / 2] as const;
  await hands.drag(grip, [grip[0] - width / 3, grip[1] + height]);
  await expect.poll(async () => placeOf((await result(page, application, id)).document, 1)?.area).toBeNull();

  await hands.press('Control+a');
  await hands.scrollSettings(400);
  await hands.pressOn('button', 'New style');
  await hands.type('Board');
  await hands.press('Enter');
  await expect(page.getByText('Board').first()).toBeVisible();
  await hands.press('Escape');
  const names = ['Flush one', 'Flush two'];
  const files = names.map((name, k) => file(`${name}.jpg`, 800 + k, 500, ['#446688', '#99aa44'][k] ?? ''));
  const stage = await page.getByRole('main', { name: 'Stage' }).boundingBox();
  const at = [
    (x + width / 2 - (stage?.x ?? 0)) / (stage?.width ?? 1),
    (y - height / 2 - (stage?.y ?? 0)) / (stage?.height ?? 1),
  ] as const;
  hands.actions++;
  await drop(page.getByRole('main', { name: 'Stage' }), await Promise.all(files), { at });
  await expect(page.locator('[data-tile-hand]')).toHaveCount(5);
  const { document } = await result(page, application, id);
  expect(document.arrangement.areas).toEqual([
    'lead lead . . .',
    '. middle middle middle .',
    '. . . close close',
  ]);
  expect(placeOf(document, 1)).toMatchObject({ area: null, columnSpan: 3 });
  const styles = cut.order.map((tile) => document.tiles[tile]?.style);
  expect(new Set(styles).size).toBe(1);
  expect(Object.values(document.styles ?? {}).map(({ id: style, name }) => [style, name])).toEqual([
    [styles[0], 'Board'],
  ]);
  const pictures = document.order.filter((tile) => pictureOf(document.tiles[tile] as Tile));
  await expectRight(page, info, (boxes, shown) => {
    const [one, two] = pictures.map((tile) => boxes[tile]);
    if (!one || !two) return ['no pictures'];
    const touch = (along: 0 | 1, across: 0 | 1) =>
      Math.abs(one[along] + (one[along + 2] ?? 0) - two[along]) < 0.6 &&
      Math.abs(one[across] - two[across]) < 0.6;
    return touch(0, 1) || (shown < 1280 && touch(1, 0))
      ? []
      : [`pictures at ${one.join()} and ${two.join()}`];
  });
  await expectDocumented('5 × 3 with a diagonal', hands.actions, 18);
});

test('7 × 3 with a title row, pictures, a month of seven columns in a group, an icon and a badge', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  const month = '4 × 1: 1×1, 3×1 group (31 × 1 of 7, gap 4)';
  await hands.type(
    `7 × 3: 7×1, 1×1 picture, 1×1 picture, 1×1 picture, 2×1, 2×1, 1×1 icons, 6×1 group (${month}), first rows 180 200 360, gap 28, padding 28`,
  );
  await hands.press('Enter');
  const { document: cut } = await result(page, application, id);
  const [title = '', first = '', , , , low = '', icon = '', outer = ''] = cut.order;
  const names = ['Yard one', 'Yard two', 'Yard three'];
  const pictures = names.map((name, k) =>
    file(`${name}.jpg`, 800 + k, 700, ['#446688', '#99aa44', '#aa5544'][k] ?? ''),
  );
  hands.actions++;
  await drop(hand(page, first), await Promise.all(pictures));
  await expect(page.getByRole('heading', { name: '3 tiles' })).toBeVisible();
  await hands.pressTile(low);
  await hands.pressOn('button', /Add badge/);
  await hands.type('Free');
  await hands.press('Enter');
  await hands.scrollSettings(600);
  hands.actions++;
  await page
    .getByRole('radiogroup', { name: 'Down', exact: true })
    .getByRole('radio', { name: 'End' })
    .click();
  await hands.pressTile(icon);
  await hands.pressOn('button', /Add icons/);
  await hands.type('star');
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Star', exact: true })).toBeVisible();
  await hands.press('Enter');
  await expect(page.getByRole('dialog')).toBeHidden();
  await hands.pressTile(outer);
  await hands.press('Enter');
  const inner = groupOf((await result(page, application, id)).document, outer).order[1] ?? '';
  await hands.pressTile(inner);
  await hands.press('Enter');
  await hands.press('Control+a');
  await hands.paste(Array.from({ length: 31 }, (_, day) => day + 1).join('\n'));
  for (let level = 0; level < 3; level++) await page.keyboard.press('Escape');
  const { document, holes } = await result(page, application, id);
  expect(holes).toEqual([]);
  const days = groupOf(document, inner).order;
  expect(days.map((day) => tileName(document.tiles[day] as Tile, document))).toEqual(
    days.map((_, k) => `${k + 1}`),
  );
  expect(document.tiles[low]).toMatchObject({
    place: { fit: { block: 'end' } },
    badges: [{ words: 'Free' }],
  });
  expect(document.tiles[icon]).toMatchObject({ parts: [{ icons: [{ icon: 'star' }] }] });
  await expectRight(page, info, (boxes, width) => {
    const [around, group, top] = [boxes[inner], boxes[outer], boxes[title]];
    if (!around || !group || !top) return ['no month'];
    const inDays = Object.fromEntries(days.map((day) => [day, boxes[day] ?? ([0, 0, 0, 0] as const)]));
    const least = width >= 834 ? 7 : width >= 620 ? 4 : 3;
    return [
      ...[...Object.entries(inDays), [inner, around] as const].flatMap(([day, box]) =>
        isWithin(box, group) ? [] : [`${day} at ${box.join()} leaves ${group.join()}`],
      ),
      ...((besideEachOther(inDays)[0] ?? 0) >= least ? [] : [`${besideEachOther(inDays)[0]} days a week`]),
      ...(width < 1280 || Math.abs(top[3] - 180) < 0.5 ? [] : [`a title of ${top[3]}`]),
    ];
  });
  await expectDocumented('7 × 3 with a title row', hands.actions, 20);
});

test('10 × 5 at most 1500 px wide, dark: a recipe with three structural variants, and a picture card', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type(
    '10 × 5: 4×3, 3×3 quote, 3×3 stat, 5×2 action, 5×2 picture, gap 18, padding 44, radius 26, width 1500, fill #232b33, background #14181d',
  );
  await hands.press('Enter');
  await hands.press('Control+a');
  await choose(hands, /^Fill/, 'Radial');
  await hands.scrollSettings(400);
  hands.actions++;
  await page.getByText('Border and radius').click();
  await choose(hands, /^Border/, 'Linear');
  await hands.pressOn('button', 'Recipe');
  await hands.pressOn('button', 'Make one of the 5 tiles');
  await hands.type('Board');
  await hands.press('Enter');
  await hands.paste('Dry wood\nSoup at six\n184\nSee the huts');
  const { document: made } = await result(page, application, id);
  const [first = '', ...others] = made.order;
  const box = await hand(page, first).boundingBox();
  hands.actions += 2;
  await page.mouse.dblclick((box?.x ?? 0) + 40, (box?.y ?? 0) + (box?.height ?? 0) - 24);
  await hands.press('Tab');
  await hands.type('Under the eaves, for a week.');
  await hands.press('Control+Enter');
  hands.actions++;
  await drop(hand(page, others.at(-1) ?? ''), [await file('Stove.jpg', 1600, 900, '#556677')]);
  await expect.poll(async () => shownIn((await result(page, application, id)).document)).toEqual(['Stove']);
  const { document, holes } = await result(page, application, id);
  expect(holes).toEqual([]);
  const [recipe] = Object.values(document.recipes ?? {});
  expect(recipe?.variants.map(({ name }) => name)).toEqual(['Quote', 'Stat', 'Action', 'Picture']);
  expect([first, ...others].map((tile) => document.tiles[tile]?.recipe?.variant ?? null)).toEqual([
    null,
    ...(recipe?.variants ?? []).map((variant) => variant.id),
  ]);
  const said = document.order.map((tile) => mainWords(document.tiles[tile] as Tile));
  expect(said).toEqual(['Dry wood', 'Soup at six', '184', 'See the huts', '']);
  expect(JSON.stringify(document.tiles[first])).toContain('Under the eaves');
  expect(document.tiles[first]?.look).toMatchObject({
    fill: { kind: 'radial' },
    border: { paint: { kind: 'linear' } },
  });
  // What recipes look like are pages of their own.
  await page.getByRole('button', { name: 'Close recipes' }).click();
  await expectRight(page, info, (boxes, width) => {
    const all = Object.values(boxes);
    const [left, right] = [
      Math.min(...all.map(([x]) => x)),
      Math.max(...all.map(([x, , across]) => x + across)),
    ];
    const across = Math.min(width, 1500) - 2 * 44;
    return [
      ...holesBefore(boxes, 18),
      ...(Math.abs(right - left - across) < 0.6 ? [] : [`${right - left} px wide, not ${across}`]),
    ];
  });
  await expectDocumented('10 × 5 at most 1500', hands.actions, 22);
});

/** The names of the pictures that tiles show, in reading order. */
const shownIn = ({ order, tiles, pictures }: CollectionDocument) =>
  order.flatMap((tile) => {
    const picture = pictureOf(tiles[tile] as Tile)?.picture;
    return picture ? [pictures[picture]?.name] : [];
  });

/** Chooses from a list of the settings: two presses. */
async function choose(hands: Hands, list: RegExp, choice: string): Promise<void> {
  hands.actions += 2;
  await hands.page.getByRole('combobox', { name: list }).click();
  await hands.page.getByRole('option', { name: choice, exact: true }).click();
}

test('3 × 3 of five kinds of card with a bar of 64 px on top, one hue over all', async ({
  page,
  application,
}, info) => {
  const { hands, id } = await begin(page, application);
  await hands.click('In words');
  await hands.type(
    '3 × 4: 3×1, 1×1 picture, 2×1 icons, 1×2 stat, 2×1 quote, 2×1 stat, first row 64, gap 16, padding 24',
  );
  await hands.press('Enter');
  const { document: cut } = await result(page, application, id);
  const [bar = '', logo = '', icons = '', , , spread = ''] = cut.order;
  await hands.pressTile(icons);
  await hands.pressOn('button', /Add icons/);
  await hands.type('snow');
  const snow = ['Snowflake', 'Sun snow', 'Cloud snow', 'Mountain snow', 'Thermometer snowflake'];
  for (const name of snow) await hands.pressOn('button', name);
  await hands.pressOn('button', 'Add 5 icons');
  await hands.pressOn('radio', 'Scrolling');
  const mark = '<path d="M5 35 30 5 55 35Z" fill="#17302d"/>';
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40">${mark}</svg>`;
  hands.actions++;
  await drop(hand(page, logo), [{ name: 'Mark.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) }]);
  await expect.poll(async () => shownIn((await result(page, application, id)).document)).toEqual(['Mark']);
  await hands.press('Control+a');
  await hands.paste('Seven huts\n184\nSoup at six, bread at seven.\n1240');
  await hands.pressTile(spread);
  await hands.scrollSettings(500);
  hands.actions++;
  await page.getByRole('radiogroup', { name: 'Spread' }).getByRole('radio', { name: 'Between' }).click();
  await hands.press('Escape');
  await hands.scrollSettings(900);
  await hands.pressOn('button', 'Named looks');
  hands.actions++;
  await page.getByRole('complementary', { name: 'Looks' }).hover();
  await page.mouse.wheel(0, 500);
  await hands.pressOn('radio', 'One hue');
  await hands.pressOn('button', 'Apply palette');
  const { document, holes } = await result(page, application, id);
  expect(holes).toEqual([]);
  const tiles = document.order.map((tile) => document.tiles[tile] as Tile);
  expect(tiles.map(mainWords)).toEqual(['Seven huts', '', '', '184', 'Soup at six, bread at seven.', '1240']);
  expect(pictureOf(document.tiles[logo] as Tile)).toMatchObject({ fit: 'contain' });
  expect(document.tiles[icons]).toMatchObject({ parts: [{ line: 'scrolling' }] });
  expect(document.tiles[spread]?.look.spread).toBe('between');
  const { namedLooks } = document;
  const grounds = [document.look.background, ...tiles.map(({ look }) => look.fill as string)];
  const hues = grounds.map((ground) => toOklch(colourOf(namedLooks, ground)).hue);
  expect(Math.max(...hues) - Math.min(...hues)).toBeLessThan(12);
  await expectRight(page, info, (boxes, width) => [
    ...(width < 1280 || Math.abs((boxes[bar]?.[3] ?? 0) - 64) < 0.5 ? [] : [`a bar of ${boxes[bar]?.[3]}`]),
    ...holesBefore(boxes, 16),
  ]);
  await expectDocumented('3 × 3 of five kinds', hands.actions, 26);
});

const isWithin = (box: Boxes[string], [x, y, width, height]: Boxes[string]) =>
  box[0] >= x - 0.5 &&
  box[1] >= y - 0.5 &&
  box[0] + box[2] <= x + width + 0.5 &&
  box[1] + box[3] <= y + height + 0.5;

test('an existing page opened, two cards changed, taken back as a fragment', async ({
  page,
  application,
}, info) => {
  const hands = new Hands(page);
  await page.goto(application.url);
  await expect(page.getByRole('heading', { name: 'Collections' })).toBeVisible();
  await hands.paste(`<style>
.huts { display: grid; grid-template-columns: repeat(3, 1fr); grid-auto-rows: 180px; gap: 16px; padding: 24px }
.huts > * { background: #fff; border-radius: 12px; padding: 20px; font: 16px/1.5 Figtree, sans-serif }
.huts h2 { margin: 0; font-size: 22px; line-height: 1.2 }
@media (width < 700px) { .huts { grid-template-columns: 1fr } }
</style>
<section class="huts"><article><h2>Hut one</h2></article><article><h2>Hut two</h2></article><article><h2>Hut three</h2></article><article><h2>Hut four</h2></article></section>`);
  await hands.pressOn('button', 'Open as a collection');
  await expect(page.locator('[data-tile-hand]')).toHaveCount(4);
  await fontsThere(page);
  const id = /collections\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await hands.press('Control+a');
  await hands.paste('Ridge hut\nLake hut');
  const { document } = await result(page, application, id);
  const names = (of: CollectionDocument) => of.order.map((tile) => tileName(of.tiles[tile] as Tile, of));
  expect(names(document)).toEqual(['Ridge hut', 'Lake hut', 'Hut three', 'Hut four']);
  await expectRight(
    page,
    info,
    (boxes, width) => {
      const beside = besideEachOther(boxes).join();
      return beside === (width < 700 ? '1,1,1,1' : '3,1') ? [] : [`rows of ${beside}`];
    },
    async () => {
      hands.actions++;
      await page.getByRole('link', { name: 'Export' }).click();
      hands.actions++;
      return downloadedFragment(page, info);
    },
  );
  await expectDocumented('An existing page opened', hands.actions, 6);
});
