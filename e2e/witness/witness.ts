import { layoutPage, readPage, type PageLayoutOptions } from '@noria/core';
import type { Page } from '@playwright/test';
import { smaller, writeHtml, type Node } from './pageModel';

/** Rectangles by tile: x, y, inline size, block size, relative to the border box of the nearest grid around. */
export type Boxes = Readonly<Record<string, readonly [number, number, number, number]>>;

export const TOLERANCE = 0.5;
export const WINDOW_HEIGHT = 800;

/** Puts a frame into a page, in which one page after the other is laid out at one width after the other. */
export async function prepareFrame(page: Page): Promise<void> {
  await page.setContent(
    `<!doctype html><style>body { margin: 0 } iframe { border: 0; display: block }</style><iframe height="${WINDOW_HEIGHT}" scrolling="no"></iframe>`,
  );
}

/** What the browser makes of some pages at some widths: one list of boxes a page, one entry a width. */
export function browserBoxes(
  page: Page,
  pages: readonly string[],
  widths: readonly number[],
): Promise<Boxes[][]> {
  return page.evaluate(
    async ({ pages, widths }) => {
      const frame = document.querySelector('iframe') as HTMLIFrameElement;
      const results: Boxes[][] = [];
      for (const html of pages) {
        const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
        frame.srcdoc = html;
        await loaded;
        const inner = frame.contentDocument as Document;
        await inner.fonts.ready;
        results.push(
          widths.map((width) => {
            // Laid out from nothing: sizes kept from another width would come out otherwise now and then.
            inner.documentElement.style.display = 'none';
            frame.width = String(width);
            inner.documentElement.getBoundingClientRect();
            inner.documentElement.style.display = '';
            const boxes: Record<string, [number, number, number, number]> = {};
            for (const tile of inner.querySelectorAll<HTMLElement>('[data-tile]')) {
              if (tile.getClientRects().length === 0) continue;
              const { left, top, width: w, height: h } = tile.getBoundingClientRect();
              const around = tile.parentElement?.closest('[data-grid]')?.getBoundingClientRect();
              boxes[tile.dataset.tile ?? ''] = [left - (around?.left ?? 0), top - (around?.top ?? 0), w, h];
            }
            return boxes;
          }),
        );
      }
      return results;
    },
    { pages, widths },
  );
}

export function coreBoxes(html: string, widths: readonly number[], options: PageLayoutOptions): Boxes[] {
  const page = readPage(html);
  return widths.map((width) =>
    Object.fromEntries(
      layoutPage(page, width, options).tiles.map((tile) => [
        tile.id,
        [tile.x, tile.y, tile.inlineSize, tile.blockSize],
      ]),
    ),
  );
}

export interface Difference {
  readonly width: number;
  readonly tile: string;
  readonly browser: readonly number[] | undefined;
  readonly core: readonly number[] | undefined;
}

export function differences(
  browser: readonly Boxes[],
  core: readonly Boxes[],
  widths: readonly number[],
): Difference[] {
  const found: Difference[] = [];
  widths.forEach((width, k) => {
    const [inBrowser, inCore] = [browser[k] ?? {}, core[k] ?? {}];
    for (const tile of new Set([...Object.keys(inBrowser), ...Object.keys(inCore)])) {
      const [a, b] = [inBrowser[tile], inCore[tile]];
      const same = a && b && a.every((value, side) => Math.abs(value - (b[side] ?? NaN)) <= TOLERANCE);
      if (!same) found.push({ width, tile, browser: a, core: b });
    }
  });
  return found;
}

export async function compare(
  page: Page,
  html: string,
  widths: readonly number[],
  options: PageLayoutOptions,
): Promise<Difference[]> {
  const [browser = []] = await browserBoxes(page, [html], widths);
  return differences(browser, coreBoxes(html, widths, options), widths);
}

/** Takes a failing page apart until nothing can be left out without it passing. */
export async function shrink(
  page: Page,
  root: Node,
  widths: readonly number[],
  options: PageLayoutOptions,
): Promise<Node> {
  let smallest = root;
  for (let improved = true; improved;) {
    improved = false;
    for (const candidate of smaller(smallest)) {
      const found = await compare(page, writeHtml(candidate), widths, options).catch(() => []);
      if (found.length === 0) continue;
      smallest = candidate;
      improved = true;
      break;
    }
  }
  return smallest;
}

/** Words are measured elsewhere; in these pages there are none. */
export const NO_WORDS: PageLayoutOptions = {
  height: WINDOW_HEIGHT,
  measurer: {
    width: () => 0,
    metrics: ({ size }) => ({ ascent: size * 0.8, descent: size * 0.2, lineGap: 0 }),
  },
  pictureSize: () => null,
};
