import { toOklch } from './colour.js';

/** Less apart than this in OKLab two colours look like one; about twenty steps of what can just be told apart. */
const LEAST_APART = 0.07;

const inOklab = (colour: string) => {
  const { lightness, chroma, hue } = toOklch(colour);
  const turn = (hue * Math.PI) / 180;
  return [lightness, chroma * Math.cos(turn), chroma * Math.sin(turn)] as const;
};

/**
 * Colours that look different from each other, in the order in which they come: one that is near an earlier one is
 * left out (Euclidean distance in OKLab, CSS Color 4, section 9.2).
 * @param colours `#rrggbb`
 * @param most how many at most
 */
export function distinctColours(colours: readonly string[], most: number): string[] {
  const kept: { readonly colour: string; readonly at: readonly [number, number, number] }[] = [];
  for (const colour of colours) {
    if (kept.length >= most) break;
    const at = inOklab(colour);
    const isNear = kept.some(
      (each) => Math.hypot(...each.at.map((value, k) => value - (at[k] ?? 0))) < LEAST_APART,
    );
    if (!isNear) kept.push({ colour, at });
  }
  return kept.map(({ colour }) => colour);
}
