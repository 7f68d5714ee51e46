import type { MosaicSlot } from './types.js';

/** How many rows of modules slots reach down. */
export const rowsOf = (slots: readonly MosaicSlot[]) =>
  slots.reduce((most, { row, rowSpan }) => Math.max(most, row + rowSpan), 0);
