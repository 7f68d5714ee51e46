/** What a mosaic is laid out of, and what comes of it. */

export interface MosaicItem {
  /** Inline ÷ block, above 0. */
  readonly aspect: number;
  /** Where it stays while the others are laid out around it; left out: nowhere. */
  readonly locked?: MosaicSlot;
}

export interface MosaicOptions {
  /** Square modules across, 2 or more. */
  readonly columns: number;
  /** px between modules, and the size of one module, px; they only say what a span's aspect is. */
  readonly gap: number;
  readonly moduleSize: number;
  /** The share of pictures that should be large, 0 to 1. */
  readonly shareOfLarge: number;
  /** The same seed, the same mosaic; another one for another. A whole number. */
  readonly seed: number;
  /** The most of a picture that may be cropped away, 0 to 1. */
  readonly mostCrop: number;
}

/** A slot in modules, from 0. */
export interface MosaicSlot {
  readonly column: number;
  readonly row: number;
  readonly columnSpan: number;
  readonly rowSpan: number;
}

export interface MosaicLayout {
  /** In the order of the items; together they cover every module once. */
  readonly slots: readonly MosaicSlot[];
  readonly rows: number;
  /** The part of each picture that shows, 0 to 1. */
  readonly visible: readonly number[];
}

/** A mosaic that is not finished. */
export interface State {
  /** Rows filled in each column. */
  readonly heights: Uint32Array;
  /** The picture whose lower edge a column ends with. */
  readonly bottom: Int32Array;
  readonly cost: number;
  readonly large: number;
  readonly placed: { readonly k: number; readonly slot: MosaicSlot; readonly before: State['placed'] } | null;
}
