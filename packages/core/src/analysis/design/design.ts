import type { Arrangement, ArrangementName, TrackSize, WrittenLength } from '../../document/types.js';
import type { TileStart } from '../../parts/newTile.js';
import type { Span } from '../packing/fillCells.js';

/** What is said of one card beside its span. */
export interface DesignCard {
  /** What it is where it is missing; null: as the others. */
  readonly kind: TileStart | null;
  /** The grid inside of it, where it is a group; null: nothing is said of it. */
  readonly inside: Design | null;
}

/** Rows of cards read as one regular grid. */
export interface DesignGrid {
  readonly columns: number;
  readonly rows: number;
  /** For each row that is listed, whether it takes two of the grid’s, because a card of it is cut; empty: none is. */
  readonly cut: readonly boolean[];
  /** A span a card, in reading order. */
  readonly spans: readonly Span[];
  /** What each of them is, in the same order; left out: as the others. */
  readonly cards?: readonly DesignCard[];
}

/** As many columns as fit: of a least width, or of the least that gives so many at a width of the page. */
export type DesignFit = { readonly min: WrittenLength } | { readonly columns: number; readonly at: number };

/** A kind by its name, with so many columns or as many of a least width as fit; null: as they are. */
export interface DesignKind {
  readonly name: ArrangementName;
  readonly columns: { readonly count: number } | { readonly min: WrittenLength } | null;
}

/** What a band below a width says: how many columns each of the cards takes. */
export interface DesignBelow {
  readonly below: number;
  readonly columnSpan: number;
}

/** Values that are said beside the cards; widths in px. */
export interface DesignValues {
  readonly gap?: WrittenLength;
  readonly padding?: WrittenLength;
  readonly radius?: WrittenLength;
  /** Of all tiles. */
  readonly fill?: string;
  /** Of the collection. */
  readonly background?: string;
  readonly width?: WrittenLength;
  readonly height?: Arrangement['height'];
  /** Rows are as high as columns are wide. */
  readonly cells?: 'square';
  /** The sizes of the first rows. */
  readonly rows?: readonly TrackSize[];
  /** How high every row is, px. */
  readonly rowSize?: number;
  /** Of columns, as many as fit. */
  readonly atMost?: number;
  /** Of columns, as many as fit: spans apply from this width. */
  readonly spansFrom?: number;
  /** Tiles take as many cells as their pictures are wide and tall. */
  readonly spansByShape?: true;
  /** Every picture opens large when it is pressed. */
  readonly enlarges?: 'all';
  /** From wide to narrow, or none; no others are derived. */
  readonly breakpoints?: readonly number[];
}

/** A grid as it was said in words. */
export interface Design {
  /** Null: nothing was said of listed columns. */
  readonly grid: DesignGrid | null;
  /** Null: nothing was said of columns that fit. */
  readonly fit: DesignFit | null;
  /** A map of named areas, row by row, cell by cell; null: none was said. */
  readonly areas: readonly (readonly string[])[] | null;
  /** Null: no kind was named. */
  readonly kind: DesignKind | null;
  /** How many cards there should be at least. */
  readonly cards: number;
  /** What tiles that are missing are; null: what was added last. */
  readonly what: TileStart | null;
  /** From wide to narrow. */
  readonly narrower: readonly DesignBelow[];
  readonly values: DesignValues;
}
