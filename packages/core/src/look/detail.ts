import { byRaster, type ColoursOfPicture, type Extreme } from './painted.js';
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
  readonly bytes: Uint8Array;
}

/** Details of pictures by their hashes. */
export type Details = ReadonlyMap<string, Detail>;

/** About as many px as pictures behind words are drawn across: in so many they are read. */
export const DETAIL_INLINE_SIZE = 640;

const DARKEST: Extreme = 1;
/** Between a size and half of it. */
const STEPS = 4;

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
  const whole = { columns, rows, bytes: bytes.filter((_, at) => at % 4 < 3) as Uint8Array };
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

/** A picture in fewer px, each the mean of those that it covers. */
function shrunk({ columns, rows, bytes }: Image, scale: number): Image {
  const [across, down] = [Math.max(1, Math.round(columns * scale)), Math.max(1, Math.round(rows * scale))];
  const [inRow, inColumn] = [coversOf(columns, across), coversOf(rows, down)];
  const found = new Uint8Array(across * down * 3);
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++)
      for (let k = 0; k < 3; k++) {
        let sum = 0;
        for (const [y, high] of inColumn[row] ?? [])
          for (const [x, wide] of inRow[column] ?? [])
            sum += (bytes[(y * columns + x) * 3 + k] ?? 0) * high * wide;
        found[(row * across + column) * 3 + k] = Math.round(sum);
      }
  return { columns: across, rows: down, bytes: found };
}

/** Which of `from` px each of fewer px covers, and for what share of it. */
const coversOf = (from: number, to: number): readonly (readonly [at: number, share: number])[][] =>
  Array.from({ length: to }, (_, k) => {
    const [start, end] = [(k * from) / to, ((k + 1) * from) / to];
    const first = Math.floor(start);
    return Array.from({ length: Math.ceil(end) - first }, (_, more) => {
      const at = first + more;
      return [at, (Math.min(end, at + 1) - Math.max(start, at)) / (end - start)] as const;
    });
  });

/** Relative luminance of each value of a channel (WCAG 2.2). */
const LINEAR = Float64Array.from({ length: 256 }, (_, value) =>
  value / 255 <= 0.04045 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4,
);

const luminanceAt = (bytes: Uint8Array, at: number) =>
  0.2126 * (LINEAR[bytes[at] ?? 0] ?? 0) +
  0.7152 * (LINEAR[bytes[at + 1] ?? 0] ?? 0) +
  0.0722 * (LINEAR[bytes[at + 2] ?? 0] ?? 0);

/**
 * The darkest or the lightest px in a part of a picture, channels 0 to 1.
 * @param x, y its middle, as shares of the picture
 * @param reachX, reachY how far it reaches from there on either side, as shares
 */
export function extremeIn(
  { columns, rows, bytes }: Image,
  which: Extreme,
  x: number,
  y: number,
  reachX: number,
  reachY: number,
): Rgb {
  const [left, right] = reached(x, reachX, columns);
  const [top, bottom] = reached(y, reachY, rows);
  const sign = which === DARKEST ? -1 : 1;
  let most = -Infinity;
  let best = 0;
  for (let row = top; row <= bottom; row++)
    for (let column = left; column <= right; column++) {
      const at = (row * columns + column) * 3;
      const luminance = sign * luminanceAt(bytes, at);
      if (luminance > most) [most, best] = [luminance, at];
    }
  const channel = (k: number) => (bytes[best + k] ?? 0) / 255;
  return [channel(0), channel(1), channel(2)];
}

/** The first and the last px of which at least half lies in a part; where there is none, the one in its middle. */
function reached(middle: number, reach: number, count: number): readonly [number, number] {
  const held = (at: number) => Math.min(count - 1, Math.max(0, at));
  const [first, last] = [Math.round((middle - reach) * count), Math.round((middle + reach) * count) - 1];
  const within = held(Math.floor(middle * count));
  return last < first ? [within, within] : [held(first), held(last)];
}

/** The colours of pictures at their darkest or lightest px around a point; of one without details, by its raster. */
export const byDetails =
  (details: Details, which: Extreme): ColoursOfPicture =>
  (picture, columns) => {
    const image = details.get(picture?.hash ?? '')?.drawnIn(columns);
    return image
      ? (x, y, reachX, reachY) => extremeIn(image, which, x, y, reachX, reachY)
      : byRaster(which)(picture, columns);
  };
