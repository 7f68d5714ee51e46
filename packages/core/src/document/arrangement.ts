/** How tiles are laid out. */

import type { WrittenLength } from '../engine/css/writtenLength.js';
import type { FourSides } from './look.js';

export type { WrittenLength };

/**
 * A CSS track size as written in the file: `72px`, `1fr`, `auto`, `minmax(200px, 1fr)`. Read with
 * `parseTrackSize`. A lone `fr` may shrink to nothing, as `minmax(0, 1fr)` does.
 */
export type TrackSize = string;

export type Padding<L = WrittenLength> = FourSides<L>;

/** How high a grid is: by its content, so high, or at least a share of the screen (0 to 4). */
export type GridHeight<L = WrittenLength> =
  | { readonly kind: 'content' }
  | ({ readonly kind: 'fixed'; readonly px: L } & SharedRows)
  | ({ readonly kind: 'screen'; readonly share: number } & SharedRows);

interface SharedRows {
  /** Rows share the height, each in proportion to its px. Left out: they keep their sizes. */
  readonly rows?: 'share';
}

/**
 * `bento`: an explicit grid whose tiles span columns and rows. `fluid`: as many even columns as fit,
 * through which tiles flow. `masonry`: lanes of one width in which tiles keep their own height.
 * `rows`: rows of pictures of one height, each as wide as the whole. `mosaic`: pictures on square
 * modules, without a hole. `fan`: cards lying over each other, each showing a strip.
 */
export type ArrangementName = 'bento' | 'fluid' | 'masonry' | 'rows' | 'mosaic' | 'fan';

/** How many columns a fluid arrangement has at a width. */
export interface FluidColumns<L = WrittenLength> {
  /** With few tiles, `auto-fit` lets them share the whole width, `auto-fill` keeps room for more. */
  readonly repeat: 'auto-fit' | 'auto-fill';
  /** No column is narrower; but one that is alone is never wider than the page. */
  readonly min: L;
  /** Never more columns than these; null: as many as fit. */
  readonly max: number | null;
  /** Below this width of the page, px, every tile takes one column and one row; null: spans apply where they fit. */
  readonly spansFrom: number | null;
}

/** How many columns of one width there are. */
export interface ColumnCount<L = WrittenLength> {
  /** So many at every width; null: as many of the least width as fit. */
  readonly count: number | null;
  /** No column is narrower where they are as many as fit. */
  readonly min: L;
  /** Never more than these where they are as many as fit; null: any number. */
  readonly max: number | null;
}

export interface MasonryLanes<L = WrittenLength> extends ColumnCount<L> {
  /** `block`: lanes are columns, and tiles run down them. `inline`: lanes are rows, and tiles run along them. */
  readonly direction: 'block' | 'inline';
  /** How high a lane is in which tiles run along. */
  readonly laneSize: L;
  /** `kept`: tiles take the lanes in turn. `balanced`: each takes a lane that ends first. */
  readonly order: 'in-turn' | 'balanced';
  /** How far behind the shortest a lane may be and still be taken in its turn, px, where balanced. */
  readonly tolerance: number;
}

/** Heights of rows in a row gallery. */
export interface RowHeights<L = WrittenLength> {
  readonly target: L;
  readonly min: L;
  readonly max: L;
  /** A last row that is not full is filled up all the same, or no higher than the target. */
  readonly lastRow: 'fill-width' | 'keep-height';
}

export interface MosaicModules<L = WrittenLength> extends ColumnCount<L> {
  /** The share of pictures that should be large, 0 to 1. */
  readonly shareOfLarge: number;
  /** The most of a picture that may be cropped away, 0 to 1. */
  readonly maxCrop: number;
  /** The same seed, the same mosaic. A whole number, 0 or more. */
  readonly seed: number;
}

export interface FanCards<L = WrittenLength> {
  /** Side by side (`inline`) or below one another (`block`). */
  readonly axis: 'inline' | 'block';
  /** Size of a card; below one another they are as wide as the fan. */
  readonly inlineSize: L;
  readonly blockSize: L;
  /** The most that a covered card shows of its edge. */
  readonly strip: L;
  /** Which card lies open until another is opened. */
  readonly open: 'first' | 'last';
}

/** The values that kinds have of their own, each with everything said. */
export interface KindValues<L = WrittenLength> {
  readonly fluid: FluidColumns<L>;
  readonly masonry: MasonryLanes<L>;
  readonly rowHeights: RowHeights<L>;
  readonly mosaic: MosaicModules<L>;
  readonly fan: FanCards<L>;
}

/** Which of the values of kinds are lengths. */
export const LENGTHS_OF_KINDS: { readonly [F in keyof KindValues]: readonly (keyof KindValues[F])[] } = {
  fluid: ['min'],
  masonry: ['min', 'laneSize'],
  rowHeights: ['target', 'min', 'max'],
  mosaic: ['min'],
  fan: ['inlineSize', 'blockSize', 'strip'],
};
/** As the file has them; what is left out is what the kind says where nobody says anything. */
interface WrittenValues<L> extends Omit<KindValues<L>, 'masonry'> {
  readonly masonry: Omit<MasonryLanes<L>, 'direction' | 'laneSize'> & Partial<MasonryLanes<L>>;
}

/**
 * The values of every kind of arrangement, so that a band, or a change of mind, comes back to what
 * was set. Only a bento has the areas and the columns that are listed; other kinds have columns of
 * their own.
 */
export interface Arrangement<L = WrittenLength> extends Partial<WrittenValues<L>> {
  readonly kind: ArrangementName;
  /** At least one track. */
  readonly columns: readonly TrackSize[];
  /** Explicit rows, from the first; may be empty. */
  readonly rows: readonly TrackSize[];
  /** Tell columns and rows apart, one id a track; filled in where they are left out. */
  readonly columnIds?: readonly string[];
  readonly rowIds?: readonly string[];
  /** Size of every row after the explicit ones, as `grid-auto-rows`. */
  readonly autoRows: TrackSize;
  readonly columnGap: L;
  readonly rowGap: L;
  readonly padding: Padding<L>;
  /** `dense` lets later small tiles flow back into holes. */
  readonly flow: 'sparse' | 'dense';
  /** The widest the border box becomes before it is centred; null: as wide as the page. */
  readonly maxInlineSize: L | null;
  /** Left out: by its content. */
  readonly height?: GridHeight<L>;
  /** Named areas, a line for each row of cells as in `grid-template-areas`; `.` is no area. Left out: none. */
  readonly areas?: readonly string[];
  /** `square`: rows are as high as the first column is wide, in a bento or fluid. Left out: as `rows` say. */
  readonly cells?: 'square' | 'tracks';
}

/** An arrangement at one width, with all its lengths in px. */
export type MeasuredArrangement = Arrangement<number>;

/** The values of an arrangement that a band may set for itself. */
export type ArrangementValues = Arrangement;

/** The cell at which a pinned tile is held; 1-based line numbers. */
