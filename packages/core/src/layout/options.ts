import type { TextMeasurer } from '../engine/text/types.js';

/** What a layout needs of its surroundings. */
export interface LayoutOptions {
  readonly measurer: TextMeasurer;
  /** Height of the screen that a grid's height may be a share of, px. */
  readonly screenBlockSize: number;
  /** Width of the page, px, which type sizes may grow with. */
  readonly pageInlineSize: number;
}
