import type { BoxStyle, Sides } from './style.js';
import type { Coverage } from '../../geometry/coverage.js';
import type { GridArea } from '../../geometry/area.js';
import type { Track } from '../../geometry/track.js';

/** Words that flow in lines, measured beforehand; what a box holds instead of boxes. */
export interface InlineContent {
  /** Width of the longest piece that can't be broken, px. */
  readonly minContent: number;
  /** Width without any break but forced ones, px. */
  readonly maxContent: number;
  /** Height of the lines at an available width, px. */
  readonly blockSizeAt: (inlineSize: number) => number;
  /** The lines at an available width; left out where nobody knows how they run. */
  readonly linesIn?: (inlineSize: number) => readonly Line[];
}

/** A line of words, px: how far in from the left it begins. */
export interface Line {
  readonly x: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  /** How far down its letters begin, and how high they are; less than nothing where they reach out above. */
  readonly above: number;
  readonly letters: number;
}

/** A box to be laid out: a tile, a group, or a part of one. Plain data; nothing in it changes. */
export interface Box {
  /** What it is called in the result; null for boxes that only hold others. */
  readonly id: string | null;
  /** Positions are given relative to the nearest box around that is a grid root. */
  readonly isGridRoot: boolean;
  readonly style: BoxStyle;
  readonly children: readonly Box[];
  readonly text: InlineContent | null;
  /** Natural size of a picture or film, px; its aspect is in the style. */
  readonly natural: { readonly inlineSize: number; readonly blockSize: number } | null;
  /** Lays its inside out, where `display` is `custom`: an arrangement that CSS writes in other words. */
  readonly custom?: (inside: Inside) => CustomInside;
  /** What a subgrid takes over from the grid around it; set by that grid while it is laid out. */
  readonly inherited?: {
    /** The box as it was given. */
    readonly of: Box;
    readonly column: InheritedAxis | null;
    readonly row: InheritedAxis | null;
    /** Its inner width where the columns it spans are all fixed, px; else NaN. Repeated columns are counted in it. */
    readonly widthBefore: number;
  };
}

/** The inside of a box that is to be filled. */
export interface Inside {
  /** Content size, px. */
  readonly inlineSize: number;
  /** Content size when it is known beforehand, px; else NaN. */
  readonly blockSize: number;
  /** Least and greatest content size, px, where `blockSize` is not known. */
  readonly minBlockSize: number;
  readonly maxBlockSize: number;
  /** Padding and border, px: content begins after them. */
  readonly frame: Sides<number>;
  /** Whether the margins of the first and last box inside lie outside. */
  readonly collapses: readonly [start: boolean, end: boolean];
}

/** What fills a box: its content height, px, and its boxes from its border box. */
export interface CustomInside {
  readonly blockSize: number;
  readonly children: Fragment[];
  readonly tracks?: NonNullable<Fragment['tracks']>;
  readonly cells?: CustomCells;
}

/** The cells that the boxes in a box take, in their order; what it is cut into, px from its border box. */
export interface CustomCells {
  readonly areas: readonly GridArea[];
  readonly columns: readonly Track[];
  readonly rows: readonly Track[];
  readonly coverage: Coverage;
}

/** The tracks of one axis that a subgrid takes over: px from its content edge. */
export interface InheritedAxis {
  readonly tracks: number;
  /** Names of its lines, from the first; one more than tracks. */
  readonly lineNames: readonly (readonly string[])[];
  readonly gap: number;
  /** Null while the outer tracks are still being sized. */
  readonly geometry: { readonly starts: Float64Array; readonly sizes: Float64Array } | null;
}

/** A box as laid out: px from the border box of the box around it. */
export interface Fragment {
  readonly box: Box;
  x: number;
  y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly children: readonly Fragment[];
  /** The tracks of a grid: where they start, px from its border box, and their sizes. */
  readonly tracks?: {
    readonly columnStarts: Float64Array;
    readonly columnSizes: Float64Array;
    readonly rowStarts: Float64Array;
    readonly rowSizes: Float64Array;
  };
  /** Where a box laid its inside out itself. */
  readonly cells?: CustomCells;
}

/** What the box around gives: percentages refer to `inline` and `block`, NaN where not known. */
export interface Space {
  readonly inline: number;
  readonly block: number;
  /** The border box as decided by the box around; NaN: to be worked out. */
  readonly inlineSize: number;
  readonly blockSize: number;
  /** Whether the block size only fills an area without having been asked to, so that it gives way to an aspect ratio. */
  readonly yields?: boolean;
  /** Whether the margins of the first and last box inside lie outside of this one, joined with its own. */
  readonly collapses?: readonly [start: boolean, end: boolean];
}
