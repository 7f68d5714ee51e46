import { resolveLength, toUnits, type Length } from './length.js';

/** A gap in px; `normal` is `otherwise`: nothing, or in a subgrid the gap of the grid around it. */
export const gapOf = (gap: Length | 'normal', basis: number, otherwise = 0) =>
  gap === 'normal' ? otherwise : toUnits(Math.max(0, resolveLength(gap, basis)));
