import { fromOklch, toOklch } from './colour.js';
import { washOf } from './named.js';
import { leastContrast, legibleTextColour } from './textColour.js';
import type { Wash } from '../document/look.js';

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

type Made = Omit<Wash, 'of'>;

const made = (lightness: number, chroma: number, turn: number): Made => ({ lightness, chroma, turn });

/** How each part of a palette is made of the colour that it begins with. */
export interface PaletteWashes {
  readonly background: Made;
  readonly washes: readonly Made[];
  readonly deep: readonly Made[];
  readonly accent: Made;
}

/**
 * Lightness is what sets the parts of a palette apart; everything keeps its hue or a near one, but for the accent.
 * @param hues `one`: all of it has the hue of the colour that it begins with
 */
export function paletteWashes(dark = false, hues: 'one' | 'near' = 'near'): PaletteWashes {
  const all = nearWashes(dark);
  const still = (wash: Made) => made(wash.lightness, wash.chroma, 0);
  return hues === 'near'
    ? all
    : {
        background: still(all.background),
        washes: all.washes.map(still),
        deep: all.deep.map(still),
        accent: still(all.accent),
      };
}

const nearWashes = (dark: boolean): PaletteWashes =>
  dark
    ? {
        background: made(0.18, 0.012, 0),
        washes: [made(0.26, 0.03, 0), made(0.3, 0.045, 12), made(0.28, 0.035, -28), made(0.33, 0.05, 40)],
        deep: [made(0.78, 0.1, 0), made(0.84, 0.08, 28)],
        accent: made(0.72, 0.13, 150),
      }
    : {
        background: made(0.962, 0.012, 0),
        washes: [made(0.93, 0.025, 0), made(0.9, 0.042, 12), made(0.945, 0.022, -28), made(0.88, 0.05, 40)],
        deep: [made(0.33, 0.06, 0), made(0.42, 0.085, 28)],
        accent: made(0.52, 0.13, 150),
      };

/**
 * Palette from one colour, in OKLCH, so that equal steps look equal.
 * @param from `#rrggbb`
 * @param dark whether the background is dark
 * @throws RangeError when it is no colour
 */
export function paletteFrom(from: string, dark = false): Palette {
  const { background, washes, deep, accent } = paletteWashes(dark);
  const of = (wash: Made) => washOf(from, wash);
  return { background: of(background), washes: washes.map(of), deep: deep.map(of), accent: of(accent) };
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

/** How far a gradient goes on, in lightness. */
const STEP = 0.12;
/** The contrast that words of any size need (WCAG 2.2, 1.4.3). */
const LEGIBLE = 4.5;

/**
 * A colour that a gradient can go on in without words becoming faint: of the same hue and a step nearer to
 * the middle of lightness, in OKLCH; away from it where words on both would become faint.
 * @param from `#rrggbb`
 * @throws RangeError when it is no colour
 */
export function shadeOf(from: string): string {
  const { lightness, chroma, hue } = toOklch(from);
  const towards = lightness > 0.5 ? -STEP : STEP;
  const [near, far] = [towards, -towards].map((step) =>
    fromOklch({ lightness: Math.min(1, Math.max(0, lightness + step)), chroma, hue }),
  ) as [string, string];
  const both = [from, near];
  return leastContrast(legibleTextColour(both), both) >= LEGIBLE ? near : far;
}
