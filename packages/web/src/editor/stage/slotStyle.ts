import type { CSSProperties } from 'react';

/** Where something of a page is drawn, px. */
interface Slot {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly layer: number;
  /** What is seen of it, as a clip path; null: all. */
  readonly clip: string | null;
}

/** The slot of a tile of a drawn page. */
export const slotStyle = ({ x, y, inlineSize, blockSize, layer, clip }: Slot): CSSProperties => ({
  translate: `${x}px ${y}px`,
  width: inlineSize,
  height: blockSize,
  ...(layer !== 0 && { zIndex: layer }),
  ...(clip !== null && { clipPath: clip }),
});
