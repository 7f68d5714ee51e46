import { byRaster, type ColoursOfPicture, type Extreme, type Extent } from './painted.js';
import type { Rgb } from './blend.js';

/** Every px of a picture, as it is decoded. */
export interface Pixels {
  readonly columns: number;
  readonly rows: number;
  /** Red, green, blue and opacity of each px, 0 to 255, row by row. */
  readonly bytes: Uint8Array | Uint8ClampedArray;
}

/** A picture in px at least as small as those in which it is drawn. */
export interface Detail {
  /**
   * @param columns in how many px it is drawn from side to side; fewer than 1 are 1
   * @returns the picture halved as often as leaves it so many, and in no more than it has
   */
  drawnIn(columns: number): Image;
}

export interface Image {
  readonly columns: number;
  readonly rows: number;
  /** Red, green and blue of each px, 0 to 255, row by row. */
  readonly bytes: Uint8ClampedArray;
}

/** Details of pictures by their hashes. */
export type Details = ReadonlyMap<string, Detail>;

/** As many px as pictures behind words are drawn across, on most pages: in so many they are read. */
export const DETAIL_INLINE_SIZE = 960;

const DARKEST: Extreme = 1;

/**
 * A picture in the sizes in which it is drawn: what is finer than a px of the screen is not to be seen there.
 * @returns null for a picture that lets something through
 * @throws RangeError when there are not as many bytes as px need
 */
export function detailOf({ columns, rows, bytes }: Pixels): Detail | null {
  if (columns < 1 || rows < 1 || bytes.length !== columns * rows * 4)
    throw new RangeError(
      `${columns} × ${rows} px are ${columns * rows * 4} bytes; here are ${bytes.length}.`,
    );
  for (let at = 3; at < bytes.length; at += 4) if (bytes[at] !== 255) return null;
  const whole = { columns, rows, bytes: withoutOpacity(bytes) };
  const known = new Map<number, Image>([[0, whole]]);
  return {
    drawnIn(wanted) {
      const halvings = Math.max(0, Math.floor(Math.log2(columns / Math.max(1, wanted))));
      let image = known.get(halvings);
      if (!image) known.set(halvings, (image = shrunk(whole, 2 ** -halvings)));
      return image;
    },
  };
}

function withoutOpacity(bytes: Pixels['bytes']): Uint8ClampedArray {
  const found = new Uint8ClampedArray((bytes.length / 4) * 3);
  for (let from = 0, to = 0; from < bytes.length; from += 4)
    for (let k = 0; k < 3; k++) found[to++] = bytes[from + k] ?? 0;
  return found;
}

/** A picture in fewer px, each the mean of those that it covers: first of those in its row, then in its column. */
function shrunk({ columns, rows, bytes }: Image, scale: number): Image {
  const [across, down] = [Math.max(1, Math.round(columns * scale)), Math.max(1, Math.round(rows * scale))];
  const narrow = new Float32Array(across * rows * 3);
  each(columns, across, (from, to, share) => {
    for (let row = 0; row < rows; row++)
      for (let k = 0; k < 3; k++)
        add(narrow, (row * across + to) * 3 + k, bytes, (row * columns + from) * 3 + k, share);
  });
  const means = new Float32Array(across * down * 3);
  each(rows, down, (from, to, share) => {
    for (let k = 0; k < across * 3; k++)
      add(means, to * across * 3 + k, narrow, from * across * 3 + k, share);
  });
  return { columns: across, rows: down, bytes: new Uint8ClampedArray(means) };
}

function add(
  sums: Float32Array,
  at: number,
  values: Uint8ClampedArray | Float32Array,
  from: number,
  share: number,
): void {
  sums[at] = (sums[at] ?? 0) + (values[from] ?? 0) * share;
}

/** Tells for fewer px than there are which of them each covers, and how much of it that one is. */
function each(count: number, fewer: number, tell: (from: number, to: number, share: number) => void): void {
  const covered = count / fewer;
  for (let to = 0; to < fewer; to++) {
    const [start, end] = [to * covered, (to + 1) * covered];
    for (let from = Math.floor(start); from < Math.min(count, end); from++)
      tell(from, to, (Math.min(end, from + 1) - Math.max(start, from)) / covered);
  }
}

/** Relative luminance of each value of a channel (WCAG 2.2). */
const LINEAR = Float64Array.from({ length: 256 }, (_, value) =>
  value / 255 <= 0.04045 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4,
);

/** Of channels that are whole. */
const luminanceOf = (red: number, green: number, blue: number) =>
  0.2126 * (LINEAR[red] ?? 0) + 0.7152 * (LINEAR[green] ?? 0) + 0.0722 * (LINEAR[blue] ?? 0);

const luminanceAt = (bytes: Image['bytes'], at: number) =>
  luminanceOf(bytes[at] ?? 0, bytes[at + 1] ?? 0, bytes[at + 2] ?? 0);

/**
 * The darkest or the lightest px of the page in a part of a picture, channels 0 to 1. Each is the mean of what it
 * covers, as browsers draw pictures smaller.
 * @param part in shares of the picture; parts that begin and end with a px of the page have just those
 * @param drawn in how many px of the page all of the picture is drawn
 */
export function extremeIn(
  image: Image,
  which: Extreme,
  { left, top, right, bottom }: Extent,
  drawn: Readonly<Record<'columns' | 'rows', number>>,
): Rgb {
  const { columns, rows, bytes } = image;
  const across = pxOf(left, right, drawn.columns, columns);
  const down = pxOf(top, bottom, drawn.rows, rows);
  const sign = which === DARKEST ? -1 : 1;
  let most = -Infinity;
  let best: Rgb = [0, 0, 0];
  for (const [upper, lower] of down)
    for (const [start, end] of across) {
      let [red, green, blue, whole] = [0, 0, 0, 0];
      const [firstColumn, firstRow] = [Math.min(columns - 1, start | 0), Math.min(rows - 1, upper | 0)];
      for (let row = firstRow; row === firstRow || row < lower; row++) {
        const high = Math.min(lower, row + 1) - Math.max(upper, row) || 1;
        for (let column = firstColumn; column === firstColumn || column < end; column++) {
          const share = high * (Math.min(end, column + 1) - Math.max(start, column) || 1);
          const at = (row * columns + column) * 3;
          red += share * (bytes[at] ?? 0);
          green += share * (bytes[at + 1] ?? 0);
          blue += share * (bytes[at + 2] ?? 0);
          whole += share;
        }
      }
      [red, green, blue] = [Math.round(red / whole), Math.round(green / whole), Math.round(blue / whole)];
      const luminance = sign * luminanceOf(red, green, blue);
      if (luminance > most) [most, best] = [luminance, [red, green, blue]];
    }
  return [best[0] / 255, best[1] / 255, best[2] / 255];
}

/** From where to where, in px of a picture. */
type Stretch = readonly [from: number, to: number];

/** What the px of the page in a part cover of a picture, at least one. */
function pxOf(from: number, to: number, drawn: number, count: number): readonly Stretch[] {
  const held = (at: number) => Math.min(count, Math.max(0, at));
  const px = Math.max(1, Math.round((to - from) * drawn));
  const step = (to - from) / px;
  return Array.from({ length: px }, (_, k) => [
    held((from + k * step) * count),
    held((from + (k + 1) * step) * count),
  ]);
}

/** So many px of a picture from side to side, and as many down, are one of its blocks. */
const BLOCK = 8;

const blocks: Readonly<Record<Extreme, WeakMap<Image, Image>>> = { 1: new WeakMap(), 2: new WeakMap() };

/** A picture in blocks, each the darkest or the lightest px in it. */
function inBlocks(image: Image, which: Extreme): Image {
  const known = blocks[which].get(image);
  if (known) return known;
  const [columns, rows] = [Math.ceil(image.columns / BLOCK), Math.ceil(image.rows / BLOCK)];
  const sign = which === DARKEST ? -1 : 1;
  const most = new Float64Array(columns * rows).fill(-Infinity);
  const best = new Uint32Array(columns * rows);
  for (let row = 0, from = 0; row < image.rows; row++)
    for (let column = 0; column < image.columns; column++, from += 3) {
      const to = Math.floor(row / BLOCK) * columns + Math.floor(column / BLOCK);
      const luminance = sign * luminanceAt(image.bytes, from);
      if (luminance <= (most[to] ?? 0)) continue;
      most[to] = luminance;
      best[to] = from;
    }
  const bytes = new Uint8ClampedArray(columns * rows * 3);
  best.forEach((from, to) => {
    for (let k = 0; k < 3; k++) bytes[to * 3 + k] = image.bytes[from + k] ?? 0;
  });
  const found = { columns, rows, bytes };
  blocks[which].set(image, found);
  return found;
}

/** The darkest or the lightest px of a picture in a part or close by: no px of the page there is any more so. */
export function boundIn(image: Image, which: Extreme, { left, top, right, bottom }: Extent): Rgb {
  const { columns, rows, bytes } = inBlocks(image, which);
  const [acrossAll, downAll] = [image.columns / BLOCK, image.rows / BLOCK];
  const held = (at: number, count: number) => Math.min(count - 1, Math.max(0, Math.floor(at)));
  const [firstColumn, lastColumn] = [held(left * acrossAll, columns), held(right * acrossAll, columns)];
  const [firstRow, lastRow] = [held(top * downAll, rows), held(bottom * downAll, rows)];
  const sign = which === DARKEST ? -1 : 1;
  let most = -Infinity;
  let best = 0;
  for (let row = firstRow; row <= lastRow; row++)
    for (let column = firstColumn; column <= lastColumn; column++) {
      const at = (row * columns + column) * 3;
      const luminance = sign * luminanceAt(bytes, at);
      if (luminance > most) [most, best] = [luminance, at];
    }
  const channel = (k: number) => (bytes[best + k] ?? 0) / 255;
  return [channel(0), channel(1), channel(2)];
}

/** How the px of a picture in a part are told. */
type Reading = (
  image: Image,
  which: Extreme,
  part: Extent,
  drawn: Readonly<Record<'columns' | 'rows', number>>,
) => Rgb;

const reading =
  (read: Reading) =>
  (details: Details, which: Extreme): ColoursOfPicture =>
  (picture, columns) => {
    const image = details.get(picture?.hash ?? '')?.drawnIn(columns);
    if (!image || !picture) return byRaster(which)(picture, columns);
    const drawn = { columns, rows: (columns * picture.blockSize) / picture.inlineSize };
    // Several spots ask for one part.
    let last: { readonly part: Extent; readonly found: Rgb } | null = null;
    return (_x, _y, part) => {
      if (last === null || !isSame(last.part, part)) last = { part, found: read(image, which, part, drawn) };
      return last.found;
    };
  };

/** The colours of pictures at their darkest or lightest px in a part; of one without details, by its raster. */
export const byDetails = reading(extremeIn);

/** The same, told fast from what is close by: nothing in the part is any darker or lighter. */
export const byBounds = reading(boundIn);

const isSame = (a: Extent, b: Extent) =>
  a.left === b.left && a.top === b.top && a.right === b.right && a.bottom === b.bottom;
