import type { Display } from './displays.js';

/** A box that lays its inside out itself; its width never depends on what is in it. */
export const custom: Display = {
  inlineSize: () => 0,
  fill: (box, inside) => ({ blockSize: 0, children: [], ...box.custom?.(inside), pending: [] }),
};
