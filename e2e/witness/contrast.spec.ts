import { readdirSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import {
  addTile,
  bandAt,
  change,
  compositions,
  DETAIL_INLINE_SIZE,
  detailOf,
  picturesBehindWords,
  type Detail,
  type Details,
  type PictureFill,
  type Veil,
  contrast,
  contrastsAt,
  lookedAt,
  emptyDocument,
  groupTiles,
  layoutCollection,
  partsOf,
  setArrangement,
  setCollectionLook,
  setLayer,
  setLook,
  setNamedLook,
  setNarrowerBands,
  setPart,
  setPin,
  setSpan,
  type Blend,
  type CollectionDocument,
  type Command,
  type TextMeasurer,
  type Tile,
} from '@noria/core';
import type { Page } from '@playwright/test';
import { fontMeasurer } from '../../packages/cli/dist/fonts.js';
import { demo, expect, exported, fontsThere, root, test } from '../noria';
import { seeded, type Random } from './random';
import { NAMED, randomLook, type Ground } from './randomLook';

/** So many collections of so many tiles each: 300 looks, and 150 of pictures. */
const COLLECTIONS = { colours: 16, pictures: 8 } as const;
const TILES = 25;
const WIDTH = 1280;
/** How far the ratio may be off. */
const NEAR = 0.3;
/** Of pictures, so many may be off: browsers shrink what is as small as a px in ways of their own. */
const SPECKS = 0.03;
/** These divide, and so enlarge what an earlier layer was rounded by. */
const DIVIDES: readonly (Blend | undefined)[] = ['color-burn', 'color-dodge'];

const DEMOS = readdirSync(join(root, 'demo')).flatMap((file) => /^(.*)\.noria\.json$/.exec(file)?.[1] ?? []);

const WORDS = 'Seven huts, one path and dry wood under the eaves, soup at six'.split(' ');

let measurer: TextMeasurer;
test.beforeAll(async () => {
  measurer = await fontMeasurer();
});

type Pictures = CollectionDocument['pictures'];

/** The pictures of all demos. */
async function demoPictures(): Promise<Pictures> {
  const documents = await Promise.all(DEMOS.map(demo));
  return Object.fromEntries(documents.flatMap(({ pictures }) => Object.entries(pictures)));
}

/** A picture behind words, anywhere in its tile, under any tint. */
function pictureLook({ int, pick, chance }: Random, pictures: Pictures): Ground {
  const share = () => int(0, 100) / 100;
  const dark = () => pick(['#101820', '#1d130c', '#ffffff', '#000000']);
  const tint = (): Veil =>
    chance(0.5)
      ? { colour: dark(), opacity: share() }
      : {
          kind: 'linear',
          angle: int(0, 359),
          stops: [
            { colour: dark(), at: 0, opacity: share() },
            { colour: dark(), at: 1, opacity: share() },
          ],
        };
  const fill: PictureFill = {
    kind: 'picture',
    picture: pick(Object.keys(pictures)),
    focalPoint: { x: share(), y: share() },
    tint: tint(),
    ...(chance(0.3) && { zoom: 1 + share() }),
    ...(chance(0.1) && { fit: 'contain' }),
  };
  return { fill };
}

/** A collection of tiles in random looks, some over each other, some in groups. */
function collection(random: Random, pictures: Pictures = {}): CollectionDocument {
  const { int, pick, chance } = random;
  const colour = () => `#${int(0, 0xffffff).toString(16).padStart(6, '0')}`;
  const ids = Array.from({ length: TILES }, (_, k) => `t${k}`);
  const kinds = compositions().filter(({ flows }) => flows);
  const look = () => {
    if (Object.keys(pictures).length > 0) return pictureLook(random, pictures);
    for (;;) {
      const found = randomLook(random);
      if (!found.over?.some(({ blend }) => DIVIDES.includes(blend))) return found;
    }
  };
  const words = (most: number) => Array.from({ length: int(1, most) }, () => pick(WORDS)).join(' ');
  const commands: Command[] = [
    (draft) => void Object.assign(draft.pictures, pictures),
    setNarrowerBands(null),
    setNamedLook(NAMED.moss),
    setCollectionLook({ background: colour() }),
    setArrangement(
      { columns: Array<string>(5).fill('1fr'), autoRows: '190px', columnGap: 12, rowGap: 12 },
      0,
      'all',
    ),
  ];
  for (const id of ids) {
    commands.push(addTile(pick(kinds).name, id));
    commands.push((draft) => {
      for (const part of partsOf(draft.tiles[id] as Tile))
        if ('words' in part) setPart([id], part.id, { words: words(part.kind === 'text' ? 14 : 4) })(draft);
    });
    commands.push(
      setLook([id], {
        ...(chance(0.15) ? { fill: 'none' } : look()),
        textColour: chance(0.6) ? 'auto' : colour(),
        spread: pick(['start', 'center', 'end', 'between']),
        ...(chance(0.5) && { align: pick(['start', 'center', 'end']) }),
      }),
    );
  }
  // Two that lie over another, and two groups.
  for (const [over, under] of [
    [1, 0],
    [3, 2],
  ] as const) {
    const column = under + 1;
    commands.push(
      setPin([`t${under}`], 0, { column, row: 1 }),
      setPin([`t${over}`], 0, { column, row: 1 }),
      setLayer([`t${over}`], 1, 0, 'all'),
      setLook([`t${over}`], { fill: 'none', over: undefined }),
    );
  }
  commands.push(groupTiles(['t5', 't6', 't7'], 'first', 0), groupTiles(['t9', 't10'], 'second', 0));
  for (const group of ['first', 'second'])
    commands.push(
      setLook([group], look()),
      setSpan({ tiles: [group], band: 0, setFor: 'all', columnSpan: 2, rowSpan: 1 }),
    );
  return commands.reduce((document, command) => change(document, command).document, emptyDocument('Looks'));
}

interface SeenWords {
  readonly id: string;
  readonly colour: string;
  readonly lines: readonly (readonly [x: number, y: number, width: number, height: number])[];
}

/** Where the words of each tile are in the page, and in what colour. */
const wordsIn = (page: Page) =>
  page.evaluate((): SeenWords[] =>
    [...document.querySelectorAll<HTMLElement>('[data-tile]')].flatMap((tile) => {
      const walker = document.createTreeWalker(tile, NodeFilter.SHOW_TEXT);
      const lines: (readonly [number, number, number, number])[] = [];
      let colour = '';
      while (walker.nextNode()) {
        const around = walker.currentNode.parentElement;
        if (around?.closest('[data-tile]') !== tile) continue;
        if (around.closest('.badge') || walker.currentNode.textContent?.trim() === '') continue;
        const range = document.createRange();
        range.selectNodeContents(walker.currentNode);
        colour = getComputedStyle(around).color;
        // What sticks out of a tile, or of what cuts off in it, is not to be seen there.
        const clips = [tile.getBoundingClientRect()];
        for (let each: Element | null = around; each && each !== tile; each = each.parentElement)
          if (getComputedStyle(each).overflow !== 'visible') clips.push(each.getBoundingClientRect());
        for (const rect of range.getClientRects()) {
          const [x, y, right, bottom] = [
            Math.max(rect.left, ...clips.map(({ left }) => left)),
            Math.max(rect.top, ...clips.map(({ top }) => top)),
            Math.min(rect.right, ...clips.map((clip) => clip.right)),
            Math.min(rect.bottom, ...clips.map((clip) => clip.bottom)),
          ];
          if (right - x > 1 && bottom - y > 1) lines.push([x + scrollX, y + scrollY, right - x, bottom - y]);
        }
      }
      return lines.length > 0 ? [{ id: tile.dataset.tile ?? '', colour, lines }] : [];
    }),
  );

const hex = (channels: readonly number[]) =>
  `#${channels.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;

/** The ratio that the browser’s own px at the words come to, by tile. */
async function seenIn(page: Page): Promise<Map<string, number>> {
  const words = await wordsIn(page);
  await page.addStyleTag({
    content: '* { color: transparent !important; animation: none !important; transition: none !important; }',
  });
  const { data, info } = await sharp(await page.screenshot({ fullPage: true, animations: 'disabled' }))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const found = new Map<string, number>();
  for (const { id, colour, lines } of words) {
    const text = hex((/[\d.]+, [\d.]+, [\d.]+/.exec(colour)?.[0] ?? '').split(', ').map(Number));
    const colours = new Set<string>();
    for (const [x, y, width, height] of lines)
      for (let row = Math.ceil(y); row < Math.floor(y + height) && row < info.height; row++)
        for (let column = Math.ceil(x); column < Math.floor(x + width) && column < info.width; column++) {
          const at = (row * info.width + column) * 3;
          colours.add(hex([...data.subarray(at, at + 3)]));
        }
    const ratios = [...colours].map((each) => contrast(text, each));
    if (ratios.length > 0) found.set(id, Math.min(...ratios));
  }
  return found;
}

const read = new Map<string, Detail | null>();

/** Every px of the pictures behind words, read as the application does. */
async function detailsFor(document: CollectionDocument): Promise<Details> {
  const wanted = picturesBehindWords(document);
  for (const { hash, file } of wanted) {
    if (read.has(hash)) continue;
    const variant = await sharp(join(root, 'demo', 'pictures', file))
      .resize({ width: DETAIL_INLINE_SIZE })
      .webp({ quality: 84 })
      .toBuffer();
    const { data, info } = await sharp(variant).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    read.set(hash, detailOf({ columns: info.width, rows: info.height, bytes: data }));
  }
  return new Map(
    wanted.flatMap(({ hash }) => {
      const detail = read.get(hash);
      return detail ? [[hash, detail]] : [];
    }),
  );
}

async function astray(page: Page, document: CollectionDocument): Promise<{ said: number; off: string[] }> {
  await page.setViewportSize({ width: WIDTH, height: 800 });
  const band = bandAt(document, WIDTH);
  const looks = lookedAt(document, band.index);
  const layout = layoutCollection(document, WIDTH, { measurer });
  const said = contrastsAt(looks, layout, WIDTH, band, { measurer, details: await detailsFor(document) });
  const seen = await seenIn(page);
  const off = [...said].flatMap(([id, ratio]) => {
    const there = seen.get(id);
    return there === undefined || Math.abs(there - ratio) <= NEAR
      ? []
      : [
          `${id}: ${ratio.toFixed(2)} is said, ${there.toFixed(2)} is seen; ${JSON.stringify(document.tiles[id]?.look)}`,
        ];
  });
  return { said: said.size, off };
}

for (const [what, least] of [
  ['colours', 300],
  ['pictures', 150],
] as const)
  test(`the contrast of words is that of the browser’s own px at them, in ${least} looks of ${what}`, async ({
    page,
  }, info) => {
    const random = seeded(20261130);
    const pictures = what === 'pictures' ? await demoPictures() : {};
    const off: string[] = [];
    let count = 0;
    for (let k = 0; k < COLLECTIONS[what]; k++) {
      const document = collection(random, pictures);
      const folder = info.outputPath(`${k}`);
      await mkdir(folder);
      const inFolder = { ...info, outputPath: (...path: string[]) => join(folder, ...path) };
      await page.goto(await exported(document, inFolder));
      await fontsThere(page);
      const found = await astray(page, document);
      count += found.said;
      off.push(...found.off.map((each) => `${k} ${each}`));
    }
    expect(count).toBeGreaterThanOrEqual(least);
    const most = what === 'pictures' ? SPECKS * count : 0;
    expect(off.length, off.slice(0, 5).join('\n')).toBeLessThanOrEqual(most);
  });

for (const name of DEMOS)
  test(`the contrast of words is that of the browser’s own px at them, in “${name}”`, async ({
    page,
  }, info) => {
    await page.goto(await exported(name, info));
    await fontsThere(page);
    const { off } = await astray(page, await demo(name));
    expect(off).toEqual([]);
  });
