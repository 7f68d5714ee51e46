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

/** A bento: an explicit grid whose tiles span columns and rows. */
export interface BentoArrangement {
  readonly kind: 'bento';
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
}

export type Arrangement = BentoArrangement;

/** The values of an arrangement that a band may set for itself. */
export type ArrangementValues = Omit<Arrangement, 'kind'>;

/** The cell at which a pinned tile is held; 1-based line numbers. */
