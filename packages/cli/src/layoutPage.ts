import {
  layoutPage,
  pictureAddresses,
  readPage,
  SCREEN_BLOCK_SIZE,
  type SourcePage,
  type PageLayoutOptions,
} from '@noria/core';
import { readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import sharp from 'sharp';
import { CliError } from './CliError.js';
import { readText, STANDARD } from './files.js';
import { fontMeasurer } from './fonts.js';
import type { LayoutReport } from './layout.js';

/**
 * Lays an HTML page out without a browser.
 * @param height of the window that `vh` refers to, px
 * @throws CliError when the file can't be read
 */
export async function pageReport(
  file: string,
  widths: readonly number[],
  height: number = SCREEN_BLOCK_SIZE,
): Promise<LayoutReport> {
  return textReport(await readText(file), file, widths, height);
}

/**
 * Lays a page out of which the text is there.
 * @param file where it comes from; its pictures and styles lie beside it
 * @throws CliError when its layout is too large to hold, or it is nested too deep
 */
export async function textReport(
  html: string,
  file: string,
  widths: readonly number[],
  height: number = SCREEN_BLOCK_SIZE,
): Promise<LayoutReport> {
  const folder = file === STANDARD ? process.cwd() : dirname(resolve(file));
  const page = inWords(() => readPage(html, (href) => readLocal(folder, href)));
  const options: PageLayoutOptions = {
    height,
    measurer: await fontMeasurer(),
    pictureSize: await pictureSizes(page, folder),
  };
  for (const { line, sheet, message } of page.reports) console.error(`${sheet ?? file}:${line}: ${message}`);
  return {
    widths: widths.map((width) => {
      const { inlineSize, blockSize, tiles } = inWords(() => layoutPage(page, width, options));
      return {
        width,
        inlineSize,
        blockSize,
        tiles: tiles.map((tile) => ({
          id: tile.id,
          x: tile.x,
          y: tile.y,
          w: tile.inlineSize,
          h: tile.blockSize,
        })),
      };
    }),
  };
}

/** A grid too large to hold, or elements nested too deep, are the page's doing, and said as that. */
function inWords<Value>(work: () => Value): Value {
  try {
    return work();
  } catch (error) {
    throw error instanceof RangeError ? new CliError(error.message) : error;
  }
}

/** Only files beside the page: an address of the web is never asked for. */
export function readLocal(folder: string, href: string): string | null {
  if (/^[a-z][a-z\d+.-]*:|^\/\//i.test(href)) return null;
  try {
    return readFileSync(join(folder, decodeURIComponent(href.replace(/[?#].*$/, ''))), 'utf8');
  } catch {
    return null;
  }
}

async function pictureSizes(page: SourcePage, folder: string): Promise<PageLayoutOptions['pictureSize']> {
  const sizes = new Map<string, { inlineSize: number; blockSize: number }>();
  for (const address of pictureAddresses(page)) {
    const data = /^data:[^,]*?(;base64)?,(.*)$/s.exec(address);
    if (!data && /^[a-z][a-z\d+.-]*:|^\/\//i.test(address)) continue;
    const source = data
      ? Buffer.from(
          data[1] ? (data[2] ?? '') : decodeURIComponent(data[2] ?? ''),
          data[1] ? 'base64' : 'utf8',
        )
      : join(folder, decodeURIComponent(address.replace(/[?#].*$/, '')));
    try {
      const { width, height } = await sharp(source).metadata();
      sizes.set(address, { inlineSize: width, blockSize: height });
    } catch {
      // A picture that can't be read has no size of its own, as in a browser.
    }
  }
  return (address) => sizes.get(address) ?? null;
}
