import type { Box, Inside, CustomInside, Fragment } from './box.js';
import type { Aligned, SelfAlignment } from './style.js';

export type Constraint = 'min-content' | 'max-content';

/** A rectangle in px from the border box of the box that it lies in. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
}

/** The edges of a grid area, px from the grid's border box; NaN stands for the padding edge. */
export interface Edges {
  readonly inlineStart: number;
  readonly inlineEnd: number;
  readonly blockStart: number;
  readonly blockEnd: number;
}

/** An absolutely placed box that waits for the box it is placed in. */
export interface Pending {
  readonly box: Box;
  /** The area it would be in if it were the only one in its parent, and how it would lie there. */
  readonly at: Area;
  readonly justify: Aligned<SelfAlignment>;
  readonly align: Aligned<SelfAlignment>;
  /** Whether its parent's lines run from right to left. */
  readonly rtl: boolean;
}

export interface Filled extends CustomInside {
  readonly pending: readonly Pending[];
  /** Where a grid puts a box that is absolutely placed in it. */
  readonly areaOf?: (box: Box) => Edges;
}

/** One way to lay out what is in a box. A new one is a file that exports one of these. */
export interface Display {
  /**
   * Inline size of the content under a constraint (CSS Sizing 3), px.
   * @param blockSize content height if the boxes around give it, px; else NaN
   */
  readonly inlineSize: (box: Box, constraint: Constraint, blockSize: number) => number;
  readonly fill: (box: Box, inside: Inside) => Filled;
}

export type DisplayName = 'block' | 'grid' | 'lanes' | 'flex' | 'custom';

/**
 * Every display by name. A box and its displays need one another, so `engine.ts` fills this in and
 * nothing else does.
 */
export const displays = {} as Record<DisplayName, Display>;

/** A box that is laid out. */
export interface LaidOut {
  readonly fragment: Fragment;
  /** Absolutely placed boxes inside that are placed in a box further out. */
  readonly pending: readonly Pending[];
}
