import {
  layoutPage,
  pictureAddresses,
  readPage,
  SCREEN_BLOCK_SIZE,
  type SourcePage,
  type PageLayoutOptions,
} from '@noria/core';
import { readFile } from 'node:fs/promises';
import { readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import sharp from 'sharp';
import { CliError } from './CliError.js';
import { fontMeasurer } from './fonts.js';
import type { LayoutReport } from './layout.js';

/**
 * Lays an HTML page out without a browser.
 * @param screen height of the window that `vh` refers to, px
 * @throws CliError when the file can't be read
 */
export async function pageReport(
  file: string,
  widths: readonly number[],
  screen: number = SCREEN_BLOCK_SIZE,
): Promise<LayoutReport> {
  let html: string;
  try {
    html = await readFile(file, 'utf8');
  } catch (error) {
    throw new CliError(`${file} can’t be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  const folder = dirname(resolve(file));
  const page = readPage(html, (href) => readLocal(folder, href));
  const options: PageLayoutOptions = {
    height: screen,
    measurer: await fontMeasurer(),
    pictureSize: await pictureSizes(page, folder),
  };
  for (const { line, sheet, message } of page.reports) console.error(`${sheet ?? file}:${line}: ${message}`);
  return {
    widths: widths.map((width) => {
      const { inlineSize, blockSize, tiles } = layOut(page, width, options);
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

/** A grid too large to hold is the page's doing, and said as that. */
function layOut(page: SourcePage, width: number, options: PageLayoutOptions) {
  try {
    return layoutPage(page, width, options);
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
