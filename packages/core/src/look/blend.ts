import type { Blend } from '../document/look.js';

/** Red, green and blue, each 0 to 1. */
export type Rgb = readonly [number, number, number];

/** A colour that lets through what is behind it. */
export interface Sheer {
  readonly colour: Rgb;
  /** 0 to 1. */
  readonly alpha: number;
}

export const CLEAR: Sheer = { colour: [0, 0, 0], alpha: 0 };

/** `#rrggbb` as its channels. */
export const rgbOf = (hex: string): Rgb => [channel(hex, 1), channel(hex, 3), channel(hex, 5)];

const channel = (hex: string, at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;

/** Channels as `#rrggbb`. */
export const hexOf = (rgb: Rgb): string =>
  `#${rgb
    .map((value) =>
      Math.round(value * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** How each channel is mixed (CSS Compositing 1, section 10.1): `b` is what is behind, `s` what is laid on it. */
const SEPARABLE: Readonly<Partial<Record<Blend, (b: number, s: number) => number>>> = {
  multiply: (b, s) => b * s,
  screen: (b, s) => b + s - b * s,
  overlay: (b, s) => hardLight(s, b),
  darken: Math.min,
  lighten: Math.max,
  'color-dodge': (b, s) => (b === 0 ? 0 : s >= 1 ? 1 : Math.min(1, b / (1 - s))),
  'color-burn': (b, s) => (b >= 1 ? 1 : s <= 0 ? 0 : 1 - Math.min(1, (1 - b) / s)),
  'hard-light': (b, s) => hardLight(b, s),
  'soft-light': (b, s) => {
    if (s <= 0.5) return b - (1 - 2 * s) * b * (1 - b);
    const d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.sqrt(b);
    return b + (2 * s - 1) * (d - b);
  },
  difference: (b, s) => Math.abs(b - s),
  exclusion: (b, s) => b + s - 2 * b * s,
};

function hardLight(b: number, s: number): number {
  return s <= 0.5 ? b * 2 * s : b + (2 * s - 1) - b * (2 * s - 1);
}

/** How colours are mixed as a whole (section 10.2). */
const WHOLE: Readonly<Partial<Record<Blend, (b: Rgb, s: Rgb) => Rgb>>> = {
  hue: (b, s) => ofLuminosity(ofSaturation(s, saturation(b)), luminosity(b)),
  saturation: (b, s) => ofLuminosity(ofSaturation(b, saturation(s)), luminosity(b)),
  color: (b, s) => ofLuminosity(s, luminosity(b)),
  luminosity: (b, s) => ofLuminosity(b, luminosity(s)),
};

const luminosity = ([r, g, b]: Rgb) => 0.3 * r + 0.59 * g + 0.11 * b;
const saturation = (rgb: Rgb) => Math.max(...rgb) - Math.min(...rgb);

function ofLuminosity(rgb: Rgb, wanted: number): Rgb {
  const by = wanted - luminosity(rgb);
  const moved = rgb.map((value) => value + by) as unknown as Rgb;
  const light = luminosity(moved);
  const [least, most] = [Math.min(...moved), Math.max(...moved)];
  const held = (value: number) => {
    let next = value;
    if (least < 0) next = light + ((next - light) * light) / (light - least);
    if (most > 1) next = light + ((next - light) * (1 - light)) / (most - light);
    return next;
  };
  return moved.map(held) as unknown as Rgb;
}

function ofSaturation(rgb: Rgb, wanted: number): Rgb {
  const [least, most] = [Math.min(...rgb), Math.max(...rgb)];
  const spread = most - least;
  return rgb.map((value) => (spread === 0 ? 0 : ((value - least) * wanted) / spread)) as unknown as Rgb;
}

function mixed(behind: Rgb, over: Rgb, blend: Blend): Rgb {
  const whole = WHOLE[blend];
  if (whole) return whole(behind, over);
  const each = SEPARABLE[blend];
  return each ? (over.map((s, k) => each(behind[k] ?? 0, s)) as unknown as Rgb) : over;
}

/** A colour laid over another (CSS Compositing 1, sections 5.1 and 8): `source-over` with a blend mode. */
export function composed(behind: Sheer, over: Sheer, blend: Blend = 'normal'): Sheer {
  const alpha = over.alpha + behind.alpha * (1 - over.alpha);
  if (alpha === 0) return CLEAR;
  const blended = blend === 'normal' ? over.colour : mixed(behind.colour, over.colour, blend);
  const colour = over.colour.map((own, k) => {
    const under = behind.colour[k] ?? 0;
    const drawn = (1 - behind.alpha) * own + behind.alpha * (blended[k] ?? 0);
    return (over.alpha * drawn + (1 - over.alpha) * behind.alpha * under) / alpha;
  });
  return { colour: colour as unknown as Rgb, alpha };
}
