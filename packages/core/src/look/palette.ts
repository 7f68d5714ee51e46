import { fromOklch, toOklch } from './colour.js';

export interface Palette {
  /** The collection's background: nearly white, or nearly black, with a breath of the hue. */
  readonly background: string;
  /** Light fills for cards, from the pale to the stronger, and of neighbouring hues. */
  readonly washes: readonly string[];
  /** Deep fills that set single cards off. */
  readonly deep: readonly string[];
  /** One fill of the opposite hue. */
  readonly accent: string;
}

/**
 * Palette from one colour: everything keeps its hue or a near one, lightness is what sets parts
 * apart. In OKLCH, so that equal steps look equal.
 * @param from `#rrggbb`
 * @param dark whether the background is dark
 * @throws RangeError when it is no colour
 */
export function paletteFrom(from: string, dark = false): Palette {
  const { chroma, hue } = toOklch(from);
  const grey = chroma < 0.02;
  const breath = grey ? 0.004 : 0.012;
  const wash = (lightness: number, amount: number, turn: number) =>
    fromOklch({ lightness, chroma: grey ? 0.006 : Math.min(chroma, amount), hue: hue + turn });
  return dark
    ? {
        background: fromOklch({ lightness: 0.18, chroma: breath, hue }),
        washes: [wash(0.26, 0.03, 0), wash(0.3, 0.045, 12), wash(0.28, 0.035, -28), wash(0.33, 0.05, 40)],
        deep: [wash(0.78, 0.1, 0), wash(0.84, 0.08, 28)],
        accent: wash(0.72, 0.13, 150),
      }
    : {
        background: fromOklch({ lightness: 0.962, chroma: breath, hue }),
        washes: [wash(0.93, 0.025, 0), wash(0.9, 0.042, 12), wash(0.945, 0.022, -28), wash(0.88, 0.05, 40)],
        deep: [wash(0.33, 0.06, 0), wash(0.42, 0.085, 28)],
        accent: wash(0.52, 0.13, 150),
      };
}

/** Hue in degrees where the colour that one begins from has none. */
const ANY_HUE = 60;

/**
 * So many fills that are told apart and weigh the same: of one lightness and chroma in OKLCH, their hues
 * in even steps from that of a colour.
 * @param from `#rrggbb`
 * @param dark whether they lie on a dark background
 * @throws RangeError when it is no colour
 */
export function coloursApart(from: string, count: number, dark = false): string[] {
  const { chroma, hue } = toOklch(from);
  const first = chroma < 0.02 ? ANY_HUE : hue;
  return Array.from({ length: count }, (_, k) =>
    fromOklch({
      lightness: dark ? 0.36 : 0.88,
      chroma: 0.065,
      hue: (first + (360 * k) / count) % 360,
    }),
  );
}
