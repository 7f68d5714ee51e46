import { hasPercent, resolveLength, type Length } from '../css/length.js';
import type { Box } from './box.js';
import type { BoxStyle, Sides, Size } from './style.js';

const ZERO: Sides<number> = [0, 0, 0, 0];

const isNumbers = (sides: readonly (Length | 'auto')[]): sides is Sides<number> =>
  typeof sides[0] === 'number' &&
  typeof sides[1] === 'number' &&
  typeof sides[2] === 'number' &&
  typeof sides[3] === 'number';

/** Four sides in px; `auto` is 0 here. Percentages of every side refer to the inline size. */
export function resolveSides(sides: Sides<Length | 'auto'>, basis: number): Sides<number> {
  if (isNumbers(sides)) return sides;
  return sides.map((side) => (side === 'auto' ? 0 : resolveLength(side, basis))) as unknown as Sides<number>;
}

/** Padding and border together, px. */
export function frameOf({ padding, border }: BoxStyle, basis: number): Sides<number> {
  const inner = resolveSides(padding, basis);
  if (inner === ZERO && border === ZERO) return ZERO;
  return [
    Math.max(0, inner[0]) + border[0],
    Math.max(0, inner[1]) + border[1],
    Math.max(0, inner[2]) + border[2],
    Math.max(0, inner[3]) + border[3],
  ];
}

export const inlineSum = (sides: Sides<number>) => sides[1] + sides[3];
export const blockSum = (sides: Sides<number>) => sides[0] + sides[2];

/** Whether a size is a length that can be known now. */
export const isDefinite = (size: Size | 'none' | 'content', basis: number): size is Length =>
  typeof size === 'number' || (typeof size === 'object' && !(Number.isNaN(basis) && hasPercent(size)));

/** A length of a size property as a border-box size, px. */
export function borderBoxSize(style: BoxStyle, size: Length, basis: number, frame: number): number {
  const value = Math.max(0, resolveLength(size, basis));
  return style.boxSizing === 'border-box' ? Math.max(frame, value) : value + frame;
}

/** The other side of a box with an aspect ratio; sizes are border boxes. */
export function fromAspect(
  style: BoxStyle,
  known: { readonly inline: number } | { readonly block: number },
  inlineFrame: number,
  blockFrame: number,
): number {
  const ratio = style.aspectRatio as number;
  const bordered = style.boxSizing === 'border-box';
  if ('inline' in known) {
    const inline = bordered ? known.inline : known.inline - inlineFrame;
    const block = Math.max(0, inline) / ratio;
    return bordered ? Math.max(blockFrame, block) : block + blockFrame;
  }
  const block = bordered ? known.block : known.block - blockFrame;
  const inline = Math.max(0, block) * ratio;
  return bordered ? Math.max(inlineFrame, inline) : inline + inlineFrame;
}

export const isReplaced = (box: Box) => box.natural !== null;

export const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(value, most));
