import { LIMITS } from '@noria/core';

/** The ground line of the axis, in px from the top of the ruler. */
export const BASE = 60;

const SPAN = Math.log(LIMITS.widest / LIMITS.narrowest);

/** Where a width lies on an axis of `length` px: logarithmic, so that narrow widths get room. */
export function toAxis(width: number, length: number): number {
  return (
    (Math.log(Math.min(LIMITS.widest, Math.max(LIMITS.narrowest, width)) / LIMITS.narrowest) / SPAN) * length
  );
}

/** The width at a position on the axis, in whole px within the range of widths. */
export function fromAxis(position: number, length: number): number {
  const width = LIMITS.narrowest * Math.exp((position / length) * SPAN);
  return Math.round(Math.min(LIMITS.widest, Math.max(LIMITS.narrowest, width)));
}

/** Widths at which common devices show a page. */
export const DEVICE_WIDTHS = [320, 360, 390, 430, 768, 834, 1024, 1280, 1440, 1920];

/** Widths that stand for kinds of devices. */
export const DEVICES = [
  { name: 'Phone', width: 390 },
  { name: 'Tablet', width: 834 },
  { name: 'Laptop', width: 1280 },
] as const;

/** So near to a device's width, px of the screen, a drag takes it. */
const PULL = 5;
/** Else a drag takes multiples of so many px. */
const ROUND = 10;

/** The width that a drag to one means: a device's where one is near, else a round one. */
export function snapped(width: number, length: number): number {
  const x = toAxis(width, length);
  const near = DEVICE_WIDTHS.map((device) => ({ device, away: Math.abs(toAxis(device, length) - x) }))
    .filter(({ away }) => away <= PULL)
    .sort((a, b) => a.away - b.away)[0];
  return near ? near.device : Math.round(width / ROUND) * ROUND;
}

/** Figures along the axis that leave room for each other and for the breakpoints. */
export function axisFigures(length: number, breakpoints: readonly number[]): number[] {
  const kept: number[] = [];
  for (const width of [LIMITS.narrowest, LIMITS.widest, 360, 768, 1280, 1920, 480, 1024]) {
    const x = toAxis(width, length);
    const clear = [...breakpoints, ...kept].every((other) => Math.abs(toAxis(other, length) - x) > 44);
    if (clear) kept.push(width);
  }
  return kept;
}
