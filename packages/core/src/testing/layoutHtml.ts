import { layoutPage, type PageLayoutOptions } from '../engine/html/layoutPage.js';
import { readPage } from '../engine/html/readPage.js';
import type { TextMeasurer } from '../engine/text/types.js';

/** Every letter is 8 px wide, so that the words of a test can be counted. */
export const LETTERS: TextMeasurer = {
  width: (text) => text.length * 8,
  metrics: ({ size }) => ({ ascent: size * 0.8, descent: size * 0.2, lineGap: 0 }),
};

export const EIGHT_PX_A_LETTER: PageLayoutOptions = {
  height: 800,
  measurer: LETTERS,
  pictureSize: () => null,
};

/** Rectangles by tile, [x, y, inline size, block size], px from the nearest grid around. */
export type Rectangles = Record<string, readonly [number, number, number, number]>;

export function layoutHtml(html: string, width: number): Rectangles {
  const { tiles } = layoutPage(readPage(html), width, EIGHT_PX_A_LETTER);
  return Object.fromEntries(
    tiles.map(({ id, x, y, inlineSize, blockSize }) => [id, [x, y, inlineSize, blockSize]]),
  );
}

/** A page of one grid with the class `g`; `tiles` are written into it. */
export const gridPage = (css: string, tiles: string) =>
  `<!doctype html><style>body { margin: 0 } .g { display: grid } ${css}</style><div class="g" data-grid>${tiles}</div>`;

/** Empty tiles a, b, c and so on, as many as said. */
export const letters = (count: number) =>
  Array.from({ length: count }, (_, k) => `<div data-tile="${String.fromCharCode(97 + k)}"></div>`).join('');
