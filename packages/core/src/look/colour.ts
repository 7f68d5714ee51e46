import {
  clampChroma,
  convertLrgbToRgb,
  convertRgbToLrgb,
  formatHex,
  interpolatorLinear,
  type modeLrgb,
  modeOklab,
  modeOklch,
  useMode,
  type modeRgb,
  type Oklch,
} from 'culori/fn';
import { rgbOf } from './blend.js';

/** sRGB as the package has it, but for the reading of written colours, which brings a table of names along. */
const srgb = {
  channels: ['r', 'g', 'b', 'alpha'],
  interpolate: {
    r: interpolatorLinear,
    g: interpolatorLinear,
    b: interpolatorLinear,
    alpha: interpolatorLinear,
  },
  gamut: true,
  white: { r: 1, g: 1, b: 1 },
  black: { r: 0, g: 0, b: 0 },
};
/** The same without its curve. */
const linear = {
  ...srgb,
  mode: 'lrgb',
  toMode: { rgb: convertLrgbToRgb },
  fromMode: { rgb: convertRgbToLrgb },
};
// Only the spaces on the way between sRGB and OKLCH, each of which knows the next.
useMode(linear as unknown as typeof modeLrgb);
useMode(modeOklab);
const rgb = useMode({ ...srgb, mode: 'rgb' } as unknown as typeof modeRgb);
const oklch = useMode(modeOklch);
const HEX = /^#[0-9a-f]{6}$/i;
/** What rounding may lead out of sRGB. */
const SLACK = 0.002;

/** A colour by its lightness (0 to 1), chroma (0 to about 0.37) and hue (degrees), as in CSS Color 4. */
export interface LightnessChromaHue {
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
}

/**
 * An sRGB colour in OKLCH (CSS Color 4, section 9). Greys have hue 0.
 * @param hex `#rrggbb`
 * @throws RangeError when it is no colour
 */
export function toOklch(hex: string): LightnessChromaHue {
  if (!HEX.test(hex)) throw new RangeError(`“${hex}” is no colour. Write it like #1e6b5c.`);
  const [r, g, b] = rgbOf(hex);
  const { l, c, h = 0 } = oklch({ mode: 'rgb', r, g, b });
  return { lightness: l, chroma: c, hue: h };
}

/**
 * A colour from OKLCH as `#rrggbb`; what sRGB can't show is brought in by its chroma alone (CSS Color
 * 4, section 13.2), so that it stays as light as it was.
 */
export function fromOklch({ lightness, chroma, hue }: LightnessChromaHue): string {
  const colour: Oklch = {
    mode: 'oklch',
    l: Math.min(1, Math.max(0, lightness)),
    c: Math.max(0, chroma),
    h: hue,
  };
  const { r, g, b } = rgb(colour);
  const shows = [r, g, b].every((channel) => channel > -SLACK && channel < 1 + SLACK);
  return formatHex(shows ? colour : clampChroma(colour, 'oklch'));
}
