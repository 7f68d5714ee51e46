import { byRaster, type ColoursOfPicture, type Extreme, type Extent } from './painted.js';
import type { Rgb } from './blend.js';

/** Every px of a picture, as it is decoded. */
export interface Pixels {
  readonly columns: number;
  readonly rows: number;
  /** Red, green, blue and opacity of each px, 0 to 255, row by row. */
  readonly bytes: Uint8Array | Uint8ClampedArray;
}

/** A picture in px about as large as those in which it is drawn. */
export interface Detail {
  /**
   * @param columns in how many px it is drawn from side to side; fewer than 1 are 1
   * @returns the picture in between √½ and √2 times as many, and in no more than it has
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

/** About as many px as pictures behind words are drawn across: in so many they are read. */
export const DETAIL_INLINE_SIZE = 640;

const DARKEST: Extreme = 1;
/** Between a size and half of it. */
const STEPS = 2;

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
      // In steps, so that few are kept.
      const step = Math.max(0, Math.round(STEPS * Math.log2(columns / Math.max(1, wanted))));
      let image = known.get(step);
      if (!image) known.set(step, (image = shrunk(whole, 2 ** (-step / STEPS))));
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

const luminanceAt = (bytes: Uint8ClampedArray, at: number) =>
  0.2126 * (LINEAR[bytes[at] ?? 0] ?? 0) +
  0.7152 * (LINEAR[bytes[at + 1] ?? 0] ?? 0) +
  0.0722 * (LINEAR[bytes[at + 2] ?? 0] ?? 0);

/**
 * The darkest or the lightest px in a part of a picture, channels 0 to 1.
 * @param part in shares of the picture
 */
export function extremeIn(
  { columns, rows, bytes }: Image,
  which: Extreme,
  { left, top, right, bottom }: Extent,
): Rgb {
  const [fromColumn, toColumn] = reached(left, right, columns);
  const [fromRow, toRow] = reached(top, bottom, rows);
  const sign = which === DARKEST ? -1 : 1;
  let most = -Infinity;
  let best = 0;
  for (let row = fromRow; row <= toRow; row++)
    for (let column = fromColumn; column <= toColumn; column++) {
      const at = (row * columns + column) * 3;
      const luminance = sign * luminanceAt(bytes, at);
      if (luminance > most) [most, best] = [luminance, at];
    }
  const channel = (k: number) => (bytes[best + k] ?? 0) / 255;
  return [channel(0), channel(1), channel(2)];
}

/** The first and the last px of which at least half lies in a part; where there is none, the one in its middle. */
function reached(from: number, to: number, count: number): readonly [number, number] {
  const held = (at: number) => Math.min(count - 1, Math.max(0, at));
  const [first, last] = [Math.round(from * count), Math.round(to * count) - 1];
  const within = held(Math.floor(((from + to) / 2) * count));
  return last < first ? [within, within] : [held(first), held(last)];
}

/** The colours of pictures at their darkest or lightest px in a part; of one without details, by its raster. */
export const byDetails =
  (details: Details, which: Extreme): ColoursOfPicture =>
  (picture, columns) => {
    const image = details.get(picture?.hash ?? '')?.drawnIn(columns);
    if (!image) return byRaster(which)(picture, columns);
    // Several spots ask for one part.
    let last: { readonly part: Extent; readonly found: Rgb } | null = null;
    return (_x, _y, part) => {
      if (last === null || !isSame(last.part, part)) last = { part, found: extremeIn(image, which, part) };
      return last.found;
    };
  };

const isSame = (a: Extent, b: Extent) =>
  a.left === b.left && a.top === b.top && a.right === b.right && a.bottom === b.bottom;
