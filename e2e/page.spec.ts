import AxeBuilder from '@axe-core/playwright';
import {
  addFromRecipe,
  addTile,
  assignArea,
  change,
  checkDocument,
  compositionOf,
  groupTiles,
  onLevel,
  paintArea,
  placeOver,
  removeArea,
  setArrangement,
  setBadges,
  setFit,
  setLook,
  setNamedLook,
  setPart,
  setTile,
  setTrack,
  starterAssets,
  STARTERS,
  type CollectionDocument,
  type Command,
  type TextMeasurer,
  type Tile,
} from '@noria/core';
import type { Page } from '@playwright/test';
import { fontMeasurer } from '../packages/cli/dist/fonts.js';
import {
  createCollection,
  DEMOS,
  demo,
  expect,
  expectAsCoreAt,
  exported,
  showWidth,
  test,
  fontsThere,
} from './noria';

/** Tiles whose words need more room than they have. */
const clippedTiles = (page: Page) =>
  page.evaluate(async () => {
    await document.fonts.ready;
    return [...document.querySelectorAll<HTMLElement>('[data-tile]')]
      .filter((tile) => {
        // A ring of a gradient lies over the border, which is outside of what scrolls.
        const ring = getComputedStyle(tile, '::before').content !== 'none';
        const { borderBottomWidth: below, borderRightWidth: right } = getComputedStyle(tile);
        const [high, wide] = ring ? [parseFloat(below), parseFloat(right)] : [0, 0];
        return (
          tile.scrollHeight > tile.clientHeight + 1 + high || tile.scrollWidth > tile.clientWidth + 1 + wide
        );
      })
      .map((tile) => tile.dataset.tile);
  });

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

for (const name of DEMOS) {
  test(`the page of “${name}” from the command line lies as core says at every width, no text clipped`, async ({
    page,
  }, info) => {
    const address = await exported(name, info);
    const document = await demo(name);
    const trouble: string[] = [];
    page.on('console', (message) => message.type() === 'error' && trouble.push(message.text()));
    // A picture that another size takes the place of while it comes is given up by the browser.
    page.on('requestfailed', (request) => {
      if (request.failure()?.errorText !== 'net::ERR_ABORTED') trouble.push(request.url());
    });
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto(address);
    for (const width of [
      240, 280, 360, 500, 559, 560, 639, 640, 759, 760, 768, 899, 900, 1079, 1080, 1280, 1679, 1920, 2560,
    ]) {
      await expectAsCoreAt(page, document, measurer, width);
      if (width >= 280) expect({ width, clipped: await clippedTiles(page) }).toEqual({ width, clipped: [] });
    }
    expect(trouble).toEqual([]);
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html)])).toEqual([]);
  });
}

test('pictures are fetched no smaller than they are drawn, and hardly larger', async ({ page }, info) => {
  const address = await exported('winter-at-the-huts', info);
  for (const width of [360, 800, 1280]) {
    await page.setViewportSize({ width, height: 2400 });
    await page.goto(address);
    await page.waitForFunction(() =>
      [...document.images].every((image) => image.complete && image.currentSrc),
    );
    const drawn = await page.evaluate(() =>
      [...document.images].map((image) => {
        const [natural, shown] = [image.width / image.height, image.getBoundingClientRect()];
        const aspect = Number(image.getAttribute('width')) / Number(image.getAttribute('height'));
        const needed = Math.max(shown.width, shown.height * aspect);
        return {
          src: image.currentSrc.split('/').pop(),
          needed,
          got: Number(/-(\d+)\.webp/.exec(image.currentSrc)?.[1]),
          natural,
        };
      }),
    );
    for (const { src, needed, got } of drawn) {
      expect(got, `${src ?? ''} at ${width}`).toBeGreaterThanOrEqual(Math.floor(needed));
      expect(got, `${src ?? ''} at ${width}`).toBeLessThanOrEqual(Math.max(320, needed * 2));
    }
  }
});

test('a picture between the parts of a card is cropped around its focal point, and covers no words', async ({
  page,
}, info) => {
  const address = await exported('a-year-of-work-days', info);
  for (const width of [280, 700, 1280]) {
    await page.setViewportSize({ width, height: 2400 });
    await page.goto(address);
    const cards = await page.evaluate(() =>
      [...document.querySelectorAll('.card > figure')].map((figure) => {
        const [place, image] = [figure, figure.querySelector('img')].map((each) =>
          each?.getBoundingClientRect(),
        );
        const words = figure.nextElementSibling?.getBoundingClientRect();
        return [
          (image?.height ?? 0) - (place?.height ?? 0),
          (words?.top ?? 0) >= (place?.bottom ?? Infinity),
          (place?.height ?? 0) > 60,
        ];
      }),
    );
    expect(cards, `at ${width}`).toHaveLength(2);
    for (const [over, isClear, isSeen] of cards) {
      expect(Math.abs(Number(over))).toBeLessThan(0.5);
      expect([isClear, isSeen]).toEqual([true, true]);
    }
  }
});

test('badges that say much wrap inside their tiles', async ({ page }, info) => {
  const badge = { block: 'start', fill: '#ffffff', textColour: '#000000' } as const;
  const long = 'Open again from the first of December, on every day but Mondays';
  const badges = [
    { ...badge, words: long, inline: 'end' },
    { ...badge, words: 'Wintersonnenwendfeierlichkeiten', inline: 'start', block: 'end' },
  ] as const;
  const document = ['beds', 'voice'].reduce<CollectionDocument>(
    (made, tile) => change(made, setBadges(tile, badges)).document,
    await demo('winter-at-the-huts'),
  );
  await page.goto(await exported(document, info));
  for (const width of [280, 500, 700, 1080, 1280, 1920]) {
    await page.setViewportSize({ width, height: 800 });
    const lying = await page.locator('.badge').evaluateAll((all) =>
      all.map((each) => {
        const [own, tile] = [each, each.closest('[data-tile]') as Element].map((element) =>
          element.getBoundingClientRect(),
        ) as [DOMRect, DOMRect];
        const sides = [own.left - tile.left, tile.right - own.right, own.top - tile.top];
        return { least: Math.min(...sides), wide: each.scrollWidth - each.clientWidth, height: own.height };
      }),
    );
    expect(lying).toHaveLength(4);
    for (const { least, wide } of lying) expect([least >= 0, wide <= 0]).toEqual([true, true]);
    if (width === 1280) expect(Math.max(...lying.map(({ height }) => height))).toBeGreaterThan(40);
  }
});

test('tracks of every kind, heights, areas, groups, layers and badges lie in the page as core says', async ({
  page,
}, info) => {
  const document = everything(await demo('winter-at-the-huts'));
  expect(checkDocument(document).problems).toEqual([]);
  await page.goto(await exported(document, info));
  await fontsThere(page);
  for (const width of [240, 333, 480, 639, 640, 800, 1000, 1079, 1080, 1280, 1600, 2000, 2560]) {
    await expectAsCoreAt(page, document, measurer, width);
  }
  await expect(page.locator('.badge')).toHaveText(['New']);
});

/** The winter collection with all that a bento can have. */
function everything(start: CollectionDocument): CollectionDocument {
  const track = (axis: 'row' | 'column', index: number, size: string, band: number) =>
    setTrack({ axis, index, size, band, setFor: 'band' });
  const commands: Command[] = [
    track('column', 0, 'minmax(180px, 1fr)', 0),
    track('column', 2, 'fit-content(260px)', 0),
    track('column', 3, 'auto', 0),
    track('row', 1, 'auto', 0),
    track('row', 2, 'minmax(80px, auto)', 0),
    track('column', 1, 'max(120px, 20%)', 1),
    track('row', 0, '1fr', 2),
    setArrangement({ height: { kind: 'fixed', px: 1500 } }, 2, 'band'),
    setArrangement({ height: { kind: 'screen', share: 1.5 }, autoRows: '1fr' }, 1, 'band'),
    setFit(['beds'], { inline: 'end', block: 'center' }, 0, 'band'),
    setFit(['opening'], { inline: 'center', inlineSize: 240, block: 'end' }, 0, 'band'),
    setFit(['night'], { inline: 'start', inlineSize: 90, block: 'start', blockSize: 60 }, 0, 'band'),
    setFit(['night'], { inline: 'stretch', block: 'stretch' }, 2, 'band'),
    setBadges('hut-at-dusk', [
      { words: 'New', inline: 'end', block: 'start', fill: '#ffffff', textColour: '#000000' },
    ]),
    groupTiles(['highest', 'wardens-week'], 'g', 0),
    onLevel('g', track('column', 0, '2fr', 0)),
    onLevel(
      'g',
      setArrangement(
        { autoRows: 'auto', padding: { blockStart: 8, inlineEnd: 8, blockEnd: 8, inlineStart: 8 } },
        1,
        'band',
      ),
    ),
    onLevel('g', groupTiles(['highest'], 'inner', 0)),
    paintArea('side', { column: 1, row: 3, columnSpan: 1, rowSpan: 2 }, 0, 'band'),
    assignArea(['voice'], 'side', 0, 'band'),
    removeArea('side', 2, 'band'),
    (draft) => placeOver(draft, 'booking', 0, { column: 3, row: 1 })(draft),
  ];
  return commands.reduce((document, command) => change(document, command).document, start);
}

/** The lines that the words of every tile break into, by tile: the same words in the same lines. */
function linesOf(page: Page, stage: boolean): Promise<Record<string, string[]>> {
  return page.evaluate((onStage) => {
    const around = onStage ? document.querySelector('[data-stage-page]')?.shadowRoot : document.body;
    const lines: Record<string, string[]> = {};
    for (const tile of around?.querySelectorAll<HTMLElement>('[data-tile]') ?? []) {
      // What is in a group has slots of its own on the stage.
      if (tile.matches('.group')) continue;
      const walker = document.createTreeWalker(tile, NodeFilter.SHOW_TEXT);
      const own: string[] = [];
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        if (node.parentElement?.closest('style, .unseen')) continue;
        let top = NaN;
        for (const { 0: word, index } of (node.textContent ?? '').matchAll(/\S+/g)) {
          const range = document.createRange();
          range.setStart(node, index);
          range.setEnd(node, index + word.length);
          const at = range.getClientRects()[0]?.top ?? 0;
          if (Math.abs(at - top) < 2) own[own.length - 1] = `${own.at(-1) ?? ''} ${word}`;
          else own.push(word);
          top = at;
        }
      }
      lines[tile.dataset.tile ?? ''] = own;
    }
    return lines;
  }, stage);
}

for (const name of DEMOS) {
  test(`the words of “${name}” break alike on the stage and in the page`, async ({
    page,
    browser,
    application,
  }, info) => {
    const address = await exported(name, info);
    const { id } = await createCollection(application, { document: await demo(name) });
    await page.goto(`${application.url}/collections/${id}/compose`);
    await expect(page.locator('[data-tile-hand]').first()).toBeVisible();
    const other = await browser.newPage();
    for (const width of [360, 700, 1000, 1280]) {
      await showWidth(page, width);
      await other.setViewportSize({ width, height: 900 });
      await other.goto(address);
      await Promise.all([page, other].map(fontsThere));
      expect(await linesOf(page, true)).toEqual(await linesOf(other, false));
    }
    await other.close();
  });
}

test('tiles of every kind and look are as high as core says', async ({ page }, info) => {
  const document = everyLook(await demo('winter-at-the-huts'));
  expect(checkDocument(document).problems).toEqual([]);
  await page.goto(await exported(document, info));
  await fontsThere(page);
  for (const width of [360, 639, 800, 1079, 1280, 1920]) {
    await expectAsCoreAt(page, document, measurer, width);
  }
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .disableRules('color-contrast')
    .analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html)])).toEqual([]);
});

test('icons in one line run past both edges of their card, and rest for those who asked for less motion', async ({
  page,
}, info) => {
  const icons = (id: string, line: 'centred' | 'scrolling') => [
    addTile('icons', id),
    setPart([id], 'icons', {
      line,
      icons: Array.from({ length: 24 }, (_, k) => ({
        icon: null,
        picture: 'hut-at-dusk',
        label: `Hut ${k}`,
        address: k % 2 === 0 ? '#hut' : '',
      })),
    }),
    setLook([id], { fill: '#22303c', padding: 0 }),
  ];
  const document = [
    setArrangement({ autoRows: 'auto' }, 0, 'all'),
    ...icons('centred', 'centred'),
    ...icons('scrolling', 'scrolling'),
  ].reduce<CollectionDocument>(
    (each, command) => change(each, command).document,
    await demo('winter-at-the-huts'),
  );
  await page.goto(await exported(document, info));
  for (const width of [360, 800, 1280]) await expectAsCoreAt(page, document, measurer, width);
  const lines = () =>
    page.locator('.line').evaluateAll((all) =>
      all.map((line) => {
        const card = line.closest('[data-tile]')?.getBoundingClientRect();
        const [row, again] = [...line.children] as HTMLElement[];
        const at = row?.getBoundingClientRect();
        return {
          overLeft: (at?.left ?? 0) < (card?.left ?? 0),
          overRight: (at?.right ?? 0) > (card?.right ?? 0),
          moves: row ? getComputedStyle(row).animationName : '',
          again: again ? again.inert && getComputedStyle(again).display : null,
        };
      }),
    );
  expect(await lines()).toEqual([
    { overLeft: true, overRight: true, moves: 'none', again: null },
    { overLeft: expect.any(Boolean), overRight: true, moves: 'scroll-by', again: 'flex' },
  ]);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect((await lines())[1]).toMatchObject({ moves: 'none', again: 'none' });
});

test('a link over a tile of any kind is reached wherever the tile is pressed', async ({ page }, info) => {
  const start = everyLook(await demo('winter-at-the-huts'));
  const { tiles } = change(start, (draft) => {
    for (const tile of Object.values(draft.tiles)) tile.link = `/${tile.id}`;
  }).document;
  await page.goto(await exported({ ...start, tiles }, info));
  const found = await page.locator('.collection > [data-tile]').evaluateAll((all) =>
    all.flatMap((tile) => {
      // A film that is not chosen yet has no height in a row by its content.
      if (tile.getBoundingClientRect().height === 0) return [];
      tile.scrollIntoView({ block: 'center', behavior: 'instant' });
      const { x, y, width, height } = tile.getBoundingClientRect();
      const at = (right: number, down: number) =>
        document
          .elementFromPoint(x + right * width, y + down * height)
          ?.closest('a')
          ?.getAttribute('href');
      return [[tile.getAttribute('data-tile'), at(0.5, 0.5), at(0.08, 0.9)]];
    }),
  );
  expect(found.length).toBeGreaterThan(12);
  const compositions = new Set(found.map(([id]) => classOf(tiles[id ?? ''])));
  expect([...compositions].toSorted()).toEqual(
    expect.arrayContaining(['icons', 'picture', 'quote', 'stat', 'text']),
  );
  for (const [id, ...reached] of found) {
    const tile = tiles[id ?? ''];
    // In a group each tile has its own link, and an action leads where it says.
    if (tile?.kind === 'group' || classOf(tile) === 'action') continue;
    // So does one in a card; the rest of the card leads where the card does.
    const ofActions =
      tile?.kind === 'card'
        ? tile.parts.flatMap((part) => (part.kind === 'action' ? [part.address] : []))
        : [];
    const elsewhere = reached.filter((link) => !ofActions.includes(link ?? ''));
    expect([id, elsewhere]).toEqual([id, elsewhere.map(() => `/${id}`)]);
    expect([id, elsewhere.length]).not.toEqual([id, 0]);
  }
});

const classOf = (tile: Tile | undefined) =>
  tile?.kind === 'card' ? compositionOf(tile).className : tile?.kind;

/** Rows by their content, with starters of every kind and looks that change how high a tile is. */
function everyLook(start: CollectionDocument): CollectionDocument {
  let made = 0;
  const commands: Command[] = [
    setArrangement({ autoRows: 'auto' }, 0, 'all'),
    setLook(['opening'], {
      padding: { blockStart: 30, inlineEnd: 8, blockEnd: 12, inlineStart: 22 },
      border: { width: 3, paint: '#000000' },
      gap: 20,
      headingSize: { from: 18, to: 60, fromWidth: 400, toWidth: 1600 },
      headingFamily: 'Martian Mono',
      headingLineHeight: 1.3,
      headingLetterSpacing: 0.02,
      bodySize: 17,
      bodyWeight: 700,
    }),
    setTile(['opening'], { link: '#open' }),
    setPart(['opening'], 'text', {
      words: [
        {
          kind: 'paragraph',
          spans: [
            { text: 'Seven huts, ' },
            { text: 'stove lit', strong: true },
            { text: ', and a ' },
            { text: 'key', link: '#key' },
          ],
        },
        {
          kind: 'numbered',
          items: [[{ text: 'Bring a spoon that you do not mind to lose' }], [{ text: 'Ring' }]],
        },
      ],
    }),
    setLook(['beds'], { direction: 'row', align: 'center', gap: '{gap}' }),
    setNamedLook({ id: 'gap', name: 'Gap', kind: 'space', value: 30 }),
    setLook(['voice'], {
      align: 'end',
      outerShadow: { x: 0, y: 4, blur: 9, spread: 0, colour: '#000000', opacity: 0.4 },
    }),
    setPart(['panorama'], 'picture', { zoom: 1.5, tint: { colour: '#000000', opacity: 0.2 } }),
    setPart(['night'], 'picture', {
      tint: {
        kind: 'linear',
        angle: 180,
        stops: [
          { colour: '#000000', at: 0, opacity: 0 },
          { colour: '#000000', at: 1, opacity: 0.7 },
        ],
      },
    }),
    // A picture that is larger than its tile is an element, and takes no room.
    setLook(['highest', 'booking'], {
      fill: {
        kind: 'picture',
        picture: 'hut-at-dusk',
        focalPoint: { x: 0.5, y: 0.5 },
        zoom: 1.6,
        tint: { colour: '#000000', opacity: 0.4 },
      },
      over: [{ fill: '#204060', blend: 'screen' }],
      radius: { startStart: 40, startEnd: 0, endEnd: 12, endStart: 0 },
    }),
    setLook(['work-days'], {
      fill: { kind: 'plain', colour: '#ffffff', opacity: 0.4 },
      backdropBlur: 8,
      border: {
        width: { blockStart: 6, inlineEnd: 0, blockEnd: 1, inlineStart: 12 },
        paint: {
          kind: 'conic',
          x: 0.5,
          y: 0.5,
          angle: 0,
          stops: [
            { colour: '#000000', at: 0 },
            { colour: '#ffffff', at: 1 },
          ],
        },
      },
    }),
    ...STARTERS.map((recipe) =>
      addFromRecipe({
        recipe,
        variant: null,
        assets: starterAssets,
        position: 14,
        freshId: () => `made-${made++}`,
      }),
    ),
  ];
  return commands.reduce((document, command) => change(document, command).document, start);
}
