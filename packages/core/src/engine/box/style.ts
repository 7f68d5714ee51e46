import type { Length } from '../css/length.js';

/** Block start, inline end, block end, inline start: the order in which CSS writes four sides. */
export type Sides<T> = readonly [blockStart: T, inlineEnd: T, blockEnd: T, inlineStart: T];

export type SizeKeyword = 'auto' | 'min-content' | 'max-content' | 'fit-content' | 'stretch';
export type Size = Length | SizeKeyword;

/** A track breadth (CSS Grid 2, section 7.2). `fr` is only a maximum. */
export type Breadth =
  | { readonly kind: 'length'; readonly value: Length }
  | { readonly kind: 'fr'; readonly value: number }
  | { readonly kind: 'auto' | 'min-content' | 'max-content' };

/** One track's sizing function; `limit` is the argument of `fit-content()`. */
export interface TrackSizingFunction {
  readonly min: Breadth;
  readonly max: Breadth;
  readonly fitLimit: Length | null;
}

/** A piece of a track list: line names, a track, or a repetition of such pieces. */
export type TrackListPart =
  | { readonly kind: 'names'; readonly names: readonly string[] }
  | { readonly kind: 'track'; readonly sizing: TrackSizingFunction }
  | {
      readonly kind: 'repeat';
      readonly count: number | 'auto-fill' | 'auto-fit';
      readonly parts: readonly TrackListPart[];
    };

/** A track list, or a subgrid with names for the lines it takes over. */
export type Template =
  | { readonly kind: 'tracks'; readonly parts: readonly TrackListPart[] }
  | { readonly kind: 'subgrid'; readonly parts: readonly TrackListPart[] };

/** `grid-template-areas`: every area by name, with 1-based lines, end line not included. */
export interface AreaMap {
  readonly columns: number;
  readonly rows: number;
  readonly areas: ReadonlyMap<
    string,
    {
      readonly rowStart: number;
      readonly rowEnd: number;
      readonly columnStart: number;
      readonly columnEnd: number;
    }
  >;
}

/** One of `grid-column-start` and its like (CSS Grid 2, section 8.3). */
export type GridLine =
  | { readonly kind: 'auto' }
  | { readonly kind: 'line'; readonly number: number; readonly name: string | null }
  | { readonly kind: 'span'; readonly count: number; readonly name: string | null }
  | { readonly kind: 'name'; readonly name: string };

export type ContentAlignment =
  'normal' | 'stretch' | 'start' | 'end' | 'center' | 'space-between' | 'space-around' | 'space-evenly';

export type SelfAlignment = 'normal' | 'stretch' | 'start' | 'end' | 'center';

/** An alignment; `safe` falls back to the start where it would overflow. */
export interface Aligned<T> {
  readonly at: T;
  readonly safe: boolean;
}

/** Everything of a box that its layout depends on; lengths in px or shares of a basis. */
export interface BoxStyle {
  readonly display: 'block' | 'grid' | 'lanes' | 'flex' | 'custom' | 'none';
  readonly position: 'static' | 'relative' | 'absolute';
  readonly direction: 'ltr' | 'rtl';
  readonly boxSizing: 'content-box' | 'border-box';
  readonly inlineSize: Size;
  readonly blockSize: Size;
  readonly minInlineSize: Size;
  readonly minBlockSize: Size;
  readonly maxInlineSize: Size | 'none';
  readonly maxBlockSize: Size | 'none';
  /** Inline ÷ block; null: none. */
  readonly aspectRatio: number | null;
  readonly margin: Sides<Length | 'auto'>;
  readonly padding: Sides<Length>;
  readonly border: Sides<number>;
  readonly inset: Sides<Length | 'auto'>;
  /** Whether the box scrolls or hides what overflows, so that its automatic minimum size is 0. */
  readonly scrolls: boolean;
  /** `container-type: inline-size`: its inline size does not depend on what is in it. */
  readonly containsInlineSize: boolean;
  readonly order: number;

  readonly columns: Template;
  readonly rows: Template;
  readonly areas: AreaMap | null;
  readonly autoColumns: readonly TrackSizingFunction[];
  readonly autoRows: readonly TrackSizingFunction[];
  readonly flowAxis: 'row' | 'column';
  readonly dense: boolean;
  /** `normal`: nothing in a grid, the outer grid's gap in a subgrid. */
  readonly columnGap: Length | 'normal';
  readonly rowGap: Length | 'normal';
  readonly justifyContent: Aligned<ContentAlignment>;
  readonly alignContent: Aligned<ContentAlignment>;
  readonly justifyItems: Aligned<SelfAlignment>;
  readonly alignItems: Aligned<SelfAlignment>;
  /** How far a lane may be ahead of the shortest and still be taken in order; px or Infinity. */
  readonly flowTolerance: Length;
  /** After which items the next free one is looked for in lanes: browsers differ as long as the specification is a draft. */
  readonly lanesGoOnAfter: 'free' | 'any';

  /** Null: as the grid says with `justify-items`. */
  readonly justifySelf: Aligned<SelfAlignment> | null;
  readonly alignSelf: Aligned<SelfAlignment> | null;
  readonly columnStart: GridLine;
  readonly columnEnd: GridLine;
  readonly rowStart: GridLine;
  readonly rowEnd: GridLine;

  readonly flexDirection: 'row' | 'column';
  readonly flexWrap: boolean;
  readonly flexGrow: number;
  readonly flexShrink: number;
  readonly flexBasis: Size | 'content';
}

const none: Sides<0> = [0, 0, 0, 0];
const noTracks: Template = { kind: 'tracks', parts: [] };
const autoLine: GridLine = { kind: 'auto' };
const normal: Aligned<'normal'> = { at: 'normal', safe: false };

export const AUTO_TRACK: TrackSizingFunction = {
  min: { kind: 'auto' },
  max: { kind: 'auto' },
  fitLimit: null,
};

/** The initial values (of the CSS specifications, but for `display`, which is `block`). */
export const INITIAL_STYLE: BoxStyle = {
  display: 'block',
  position: 'static',
  direction: 'ltr',
  boxSizing: 'content-box',
  inlineSize: 'auto',
  blockSize: 'auto',
  minInlineSize: 'auto',
  minBlockSize: 'auto',
  maxInlineSize: 'none',
  maxBlockSize: 'none',
  aspectRatio: null,
  margin: none,
  padding: none,
  border: none,
  inset: ['auto', 'auto', 'auto', 'auto'],
  scrolls: false,
  containsInlineSize: false,
  order: 0,
  columns: noTracks,
  rows: noTracks,
  areas: null,
  autoColumns: [AUTO_TRACK],
  autoRows: [AUTO_TRACK],
  flowAxis: 'row',
  dense: false,
  columnGap: 'normal',
  rowGap: 'normal',
  justifyContent: normal,
  alignContent: normal,
  justifyItems: normal,
  alignItems: normal,
  flowTolerance: 16,
  lanesGoOnAfter: 'free',
  justifySelf: null,
  alignSelf: null,
  columnStart: autoLine,
  columnEnd: autoLine,
  rowStart: autoLine,
  rowEnd: autoLine,
  flexDirection: 'row',
  flexWrap: false,
  flexGrow: 0,
  flexShrink: 1,
  flexBasis: 'auto',
};
