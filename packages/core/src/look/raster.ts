import type { Rgb } from './blend.js';

/** A picture in so few px that its colours can be kept beside it. */
export interface Raster {
  readonly columns: number;
  readonly rows: number;
  /** Red, green and blue of each px, 0 to 255, row by row. */
  readonly bytes: readonly number[];
}

const SIGNS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';
const VALUES: ReadonlyMap<string, number> = new Map(Array.from(SIGNS, (sign, k) => [sign, k]));

/** How a raster is written: `24x16:` and its bytes in base64. */
export const RASTER = /^([1-9]\d?)x([1-9]\d?):([A-Za-z0-9+/]{4,40000})={0,2}$/;

const read = new Map<string, Raster | null>();
/** So many are kept: as many pictures as a large collection shows. */
const KEPT = 500;

/** A raster as it is written in a document; null where it is none. */
export function rasterOf(written: string): Raster | null {
  const known = read.get(written);
  if (known !== undefined) return known;
  if (read.size >= KEPT) read.clear();
  const raster = parse(written);
  read.set(written, raster);
  return raster;
}

function parse(written: string): Raster | null {
  const [, columns, rows, base64 = ''] = RASTER.exec(written) ?? [];
  if (columns === undefined || rows === undefined) return null;
  const raster = { columns: Number(columns), rows: Number(rows), bytes: bytesOf(base64) };
  return raster.bytes.length === raster.columns * raster.rows * 3 ? raster : null;
}

/** Base64 without its padding (RFC 4648, section 4). */
function bytesOf(base64: string): number[] {
  const bytes: number[] = [];
  let bits = 0;
  let held = 0;
  for (const sign of base64) {
    held = (held << 6) | (VALUES.get(sign) ?? 0);
    bits += 6;
    if (bits < 8) continue;
    bits -= 8;
    bytes.push((held >> bits) & 255);
    held &= (1 << bits) - 1;
  }
  return bytes;
}

/** The colour at a point of a raster, as shares of it: between the middles of its px. */
export function colourIn({ columns, rows, bytes }: Raster, x: number, y: number): Rgb {
  const [u, v] = [held(x * columns - 0.5, columns), held(y * rows - 0.5, rows)];
  const [left, top] = [Math.floor(u), Math.floor(v)];
  const [right, below] = [Math.min(columns - 1, left + 1), Math.min(rows - 1, top + 1)];
  const at = (column: number, row: number, channel: number) =>
    bytes[(row * columns + column) * 3 + channel] ?? 0;
  const channel = (k: number) => {
    const above = at(left, top, k) * (1 - (u - left)) + at(right, top, k) * (u - left);
    const under = at(left, below, k) * (1 - (u - left)) + at(right, below, k) * (u - left);
    return (above * (1 - (v - top)) + under * (v - top)) / 255;
  };
  return [channel(0), channel(1), channel(2)];
}

const held = (at: number, count: number) => Math.min(count - 1, Math.max(0, at));
