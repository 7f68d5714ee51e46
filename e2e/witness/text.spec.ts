import { expect, test } from '@playwright/test';
import {
  contentCss,
  FAMILIES,
  namedRule,
  paragraph,
  pictureOf,
  tileCss,
  tileHtml,
  tileSize,
  type FamilyName,
  type ParagraphStyle,
  type Sources,
  type TextRun,
  type Tile,
} from '@noria/core';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fontMeasurer } from '../../packages/cli/dist/fonts.js';
import { demo, DEMOS, root } from '../noria';
import { seeded, type Random } from './random';

const PARAGRAPHS = 240;
const WIDTHS = Array.from({ length: 40 }, (_, k) => 120 + k * 20);

test.use({
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--disable-background-networking',
      '--font-render-hinting=none',
    ],
  },
});

const WORDS =
  'snow stove lit key with the warden a night and stayed storm ridge hut four bread very long ladder days map contour Sunday’s half-board 2 710 metres up, “open” winter; Übergänge Straße naïve façade co-operative well-being at dusk – or dawn — then? Yes! (mostly) 07:30 km/h e.g. Hüttenwartsversammlung self-made über-all AV Ta To We fi ffl 1.5 12,000 path/way rock & ice'.split(
    ' ',
  );

interface Sample {
  readonly text: string;
  readonly css: string;
  readonly run: TextRun;
  readonly style: ParagraphStyle;
}

function sample(random: Random): Sample {
  const { pick, int, chance } = random;
  const family = pick<FamilyName>(Object.keys(FAMILIES));
  const shipped = FAMILIES[family];
  const italic = shipped?.files.some(({ style }) => style === 'italic') === true && chance(0.3);
  const feature = shipped?.features.includes('tnum') && chance(0.4) ? '"tnum"' : 'normal';
  const size = pick([11, 13, 14.5, 16, 18, 22, 28, 36]);
  const weight = pick([400, 450, 600, 700]);
  const lineHeight = pick([1.1, 1.3, 1.45, 1.6]);
  const letterSpacing = chance(0.3) ? pick([-0.3, 0.4, 1]) : 0;
  const overflowWrap = pick(['normal', 'normal', 'break-word', 'anywhere'] as const);
  const balance = chance(0.2);
  let text = Array.from({ length: int(3, 40) }, () => pick(WORDS)).join(' ');
  if (chance(0.15)) text = text.replace('versammlung', '\u00adver\u00adsamm\u00adlung');
  return {
    text,
    css: `font: ${italic ? 'italic ' : ''}${weight} ${size}px/${lineHeight} "${family}"; font-feature-settings: ${feature}; letter-spacing: ${letterSpacing}px; overflow-wrap: ${overflowWrap}; text-wrap: ${balance ? 'balance' : 'wrap'}`,
    run: {
      text,
      font: { families: [family], size, weight, italic, features: feature, axes: 'normal' },
      lineHeight: size * lineHeight,
      letterSpacing,
    },
    style: { wraps: true, collapses: 'all', overflowWrap, wordBreak: 'normal' },
  };
}

/** The fonts that ship, as rules with the files in them. */
function fontFaces(): Promise<string[]> {
  return Promise.all(
    Object.entries(FAMILIES).flatMap(([name, family]) =>
      family.files.map(async ({ file, style, unicodeRange }) => {
        const bytes = await readFile(join(root, 'node_modules', family.package, 'files', file));
        return `@font-face { font-family: "${name}"; font-style: ${style}; font-weight: ${family.weights}; src: url(data:font/woff2;base64,${bytes.toString('base64')}) format("woff2-variations"); unicode-range: ${unicodeRange} }`;
      }),
    ),
  );
}

test('paragraphs in the fonts that ship break into as many lines as in the browser', async ({ page }) => {
  const faces = await fontFaces();
  const random = seeded(7);
  const samples = Array.from({ length: PARAGRAPHS }, () => sample(random));
  const escape = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  await page.setContent(
    `<!doctype html><meta charset="utf-8"><style>${faces.join('')} body { margin: 0 } p { margin: 0 }</style><div id="around">${samples
      .map(({ text, css }) => `<p style='${css}'>${escape(text)}</p>`)
      .join('')}</div>`,
  );
  await page.evaluate(() => document.fonts.ready);
  const heights = await page.evaluate(
    (widths) =>
      widths.map((width) => {
        (document.getElementById('around') as HTMLElement).style.width = `${width}px`;
        return [...document.querySelectorAll('p')].map((p) => p.getBoundingClientRect().height);
      }),
    WIDTHS,
  );
  const measurer = await fontMeasurer();
  const paragraphs = samples.map(({ run, style }) => paragraph([run], style, measurer));
  const different: string[] = [];
  WIDTHS.forEach((width, w) => {
    paragraphs.forEach((each, k) => {
      const theirs = heights[w]?.[k] ?? NaN;
      const ours = each.blockSizeAt(width);
      if (Math.abs(theirs - ours) > 0.5)
        different.push(
          `${k} at ${width}: browser ${theirs}, core ${ours}: ${samples[k]?.css ?? ''}: ${samples[k]?.text ?? ''}`,
        );
    });
  });
  const all = PARAGRAPHS * WIDTHS.length;
  expect(different.length / all, different.slice(0, 40).join('\n')).toBeLessThanOrEqual(0.005);
});

const drawing = (inlineSize: number, blockSize: number) =>
  `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${inlineSize}" height="${blockSize}"/>`)}`;
/** What pictures show does not matter to heights; how large they are does. */
const EMPTY: Sources = {
  picture: ({ inlineSize, blockSize }) => ({ src: drawing(inlineSize, blockSize) }),
  small: () => drawing(32, 32),
  film: () => '',
};

test('tiles of the demo are as high by their content as in the browser', async ({ page }) => {
  const measurer = await fontMeasurer();
  const widths = [140, 190, 260, 380, 620];
  const different: string[] = [];
  for (const name of DEMOS) {
    const collection = await demo(name);
    const tiles = collection.order
      .map((id) => collection.tiles[id] as Tile)
      .filter((tile) => tile.kind === 'card' && pictureOf(tile) === null);
    const html = tiles.map((tile) => tileHtml(collection, tile, EMPTY)).join('');
    await page.setContent(
      `<!doctype html><style>${namedRule(':root', collection)} ${(await fontFaces()).join('')} body { margin: 0; container-type: inline-size } ${contentCss(collection, { apart: true, line: true })} ${tiles.map((tile) => tileCss(collection, tile, () => 'none')).join('\n')}
      #around { display: grid; justify-items: stretch } </style><div id="around">${html}</div>`,
    );
    await page.evaluate(() => document.fonts.ready);
    const heights = await page.evaluate(
      (widths) =>
        widths.map((width) => {
          (document.getElementById('around') as HTMLElement).style.width = `${width}px`;
          return [...document.querySelectorAll('[data-tile]')].map(
            (tile) => tile.getBoundingClientRect().height,
          );
        }),
      widths,
    );
    tiles.forEach((tile, k) => {
      const { blockSizeAt } = tileSize(collection, tile, measurer);
      widths.forEach((width, w) => {
        const [theirs, ours] = [heights[w]?.[k] ?? NaN, blockSizeAt(width)];
        if (Math.abs(theirs - ours) > 0.5)
          different.push(`${name} ${tile.id} at ${width}: browser ${theirs}, core ${ours}`);
      });
    });
  }
  expect(different).toEqual([]);
});
