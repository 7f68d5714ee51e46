/** How tiles are laid out. */

import type { FourSides } from './look.js';

/**
 * A CSS track size as written in the file: `72px`, `1fr`, `auto`, `minmax(200px, 1fr)`. Read with
 * `parseTrackSize`. A lone `fr` may shrink to nothing, as `minmax(0, 1fr)` does.
 */
export type TrackSize = string;

export type Padding = FourSides;

/** How high a grid is: by its content, so many px, or at least a share of the screen (0 to 4). */
export type GridHeight =
  | { readonly kind: 'content' }
  | { readonly kind: 'fixed'; readonly px: number }
  | { readonly kind: 'screen'; readonly share: number };

/**
 * `bento`: an explicit grid whose tiles span columns and rows. `fluid`: as many even columns as fit,
 * through which tiles flow.
 */
export type ArrangementName = 'bento' | 'fluid';

/** How many columns a fluid arrangement has at a width. */
export interface FluidColumns {
  /** With few tiles, `auto-fit` lets them share the whole width, `auto-fill` keeps room for more. */
  readonly repeat: 'auto-fit' | 'auto-fill';
  /** No column is narrower, px; but one that is alone is never wider than the page. */
  readonly minimum: number;
  /** Never more columns than these; null: as many as fit. */
  readonly most: number | null;
  /** Below this width of the page, px, every tile takes one column; null: spans apply where they fit. */
  readonly spansFrom: number | null;
}

/**
 * The values of every kind of arrangement, so that a band, or a change of mind, comes back to what
 * was set. A fluid arrangement has columns of its own and no areas.
 */
export interface Arrangement {
  readonly kind: ArrangementName;
  /** At least one track. */
  readonly columns: readonly TrackSize[];
  /** Explicit rows, from the first; may be empty. */
  readonly rows: readonly TrackSize[];
  /** Size of every row after the explicit ones, as `grid-auto-rows`. */
  readonly autoRows: TrackSize;
  readonly columnGap: number;
  readonly rowGap: number;
  readonly padding: Padding;
  /** `dense` lets later small tiles flow back into holes. */
  readonly flow: 'sparse' | 'dense';
  /** The widest the border box becomes before it is centred; null: as wide as the page. */
  readonly maxInlineSize: number | null;
  /** Left out: by its content. */
  readonly height?: GridHeight;
  /** Named areas, a line for each row of cells as in `grid-template-areas`; `.` is no area. Left out: none. */
  readonly areas?: readonly string[];
  /** Left out: columns of at least 240 px, as many as fit. */
  readonly fluid?: FluidColumns;
}

/** The values of an arrangement that a band may set for itself. */
export type ArrangementValues = Arrangement;

/** The cell at which a pinned tile is held; 1-based line numbers. */
