import type { Check } from '../document/checks.js';
import type { Band } from '../document/bands.js';
import type { Level } from '../document/levels.js';
import type {
  Arrangement,
  ArrangementName,
  CollectionDocument,
  ColumnCount,
  KindValues,
  Tile,
  TileId,
  TrackSize,
  WrittenLength,
} from '../document/types.js';
import type { Box, Fragment, CustomCells } from '../engine/box/box.js';
import type { Declarations, Rule } from '../engine/css/rule.js';
import type { PageElement } from '../engine/html/node.js';
import type { PlacementItem } from '../engine/grid/placeInColumns.js';
import type { GridArea } from '../geometry/area.js';
import type { Coverage } from '../geometry/coverage.js';
import type { Track } from '../geometry/track.js';

/** A tile as laid out: px from the grid's border box, and the cells it takes. */
export interface LaidOutTile extends GridArea {
  readonly id: TileId;
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
}

export interface Layout {
  /** Width of the grid's border box, in px: the width asked for, or the arrangement's maximum. */
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly columns: readonly Track[];
  readonly rows: readonly Track[];
  /** In reading order. */
  readonly tiles: readonly LaidOutTile[];
  readonly coverage: Coverage;
  /** The layouts inside of groups, each from the border box of its group. */
  readonly groups: Readonly<Record<TileId, Layout>>;
}

/** The cells that tiles of a level take once it is laid out, in reading order. */
export interface LevelCells extends CustomCells {
  /** The levels inside of groups. */
  readonly groups: Readonly<Record<TileId, LevelBox>>;
}

/** A level of a collection as a box, with a box for each tile that shows, in reading order. */
export interface LevelBox {
  readonly box: Box;
  /** Whether anything in it follows its content, and so the measured words. */
  readonly measures: boolean;
  readonly cells: (laid: Fragment) => LevelCells;
}

/** What a kind of arrangement makes its boxes of. */
export interface LevelInput {
  /** The collection, or a group seen as one. */
  readonly document: CollectionDocument;
  readonly band: Band;
  /** Height of the screen that a grid's height may be a share of, px. */
  readonly screenBlockSize: number;
  /** The level inside of a group of this one; its box carries the group's id. */
  readonly group: (id: TileId) => LevelBox;
  /** A tile that is no group, as high and wide as its content. */
  readonly content: (tile: Tile) => Box;
  /** Whether a tile is a group that would not stay square if it were stretched. */
  readonly isSquareGroup: (tile: Tile) => boolean;
}

/** A rule that holds in one band alone, for pages whose browser can do what it asks. */
export interface BandRule extends Rule {
  /** The condition of an `@supports`; left out: none. */
  readonly supports?: string;
  /** The condition of an `@media` beside the band's own; left out: none. */
  readonly media?: string;
}

/** What the arrangement of one level says in CSS, in one band. */
export interface LevelCss {
  readonly grid: Declarations;
  /** A box before all tiles that takes part in the layout; left out: none. */
  readonly before?: Declarations;
  readonly tiles: Readonly<Record<TileId, Declarations>>;
  readonly inBand?: readonly BandRule[];
}

/** What a kind of arrangement writes its CSS of. */
export interface CssInput {
  readonly document: CollectionDocument;
  readonly band: Band;
  /** The columns that the level has at the band's width. */
  readonly columns: readonly TrackSize[];
  /** The level as it is laid out at the band's width. */
  readonly layout: () => Layout;
  readonly level: Level;
  /** What the level's element is called in a style sheet. */
  readonly selector: string;
  readonly isSquareGroup: (tile: Tile) => boolean;
}

/** The values that a kind has of its own, and where they stand in an arrangement. */
export interface ValuesOfKind<Field extends keyof KindValues = keyof KindValues> {
  readonly field: Field;
  /** With what is meant where the file says nothing. */
  readonly read: (arrangement: Pick<Arrangement, Field>) => KindValues[Field];
  readonly check: Check;
}

/** A tile by its id, and what it is called. */
export interface NamedTile {
  readonly id: TileId;
  readonly name: string;
}

/** Elements that a kind needs in the page beside the tiles of a level. */
export interface Markup {
  /** What comes right before a tile; undefined where there is nothing. */
  readonly before: (view: CollectionDocument, level: Level, tile: NamedTile) => PageElement | undefined;
  /** The selector of what comes before a tile; null where nothing does. */
  readonly selector: (view: CollectionDocument, tile: TileId) => string | null;
}

/** A level at both ends of a stretch of widths, over which every edge of its tiles is a straight line. */
export interface LevelStretch {
  readonly view: CollectionDocument;
  /** Index of the band. */
  readonly band: number;
  readonly arrangement: Arrangement;
  /** Widths of the page, px. */
  readonly from: number;
  readonly to: number;
  readonly first: Layout;
  readonly last: Layout;
}

/** Something that only a kind can find in a level. */
export interface KindFinding {
  readonly kind: 'hole' | 'lock lost';
  readonly tiles: readonly TileId[];
  /** The widths at which it holds; left out: all of the stretch. */
  readonly ranges?: readonly { readonly from: number; readonly to: number }[];
  /** The width at which it is worst; left out: the narrowest. */
  readonly worst?: number;
  readonly badness: number;
  readonly said: Readonly<Record<string, number | string>>;
}

/** A finding for which a kind may know a remedy. */
export interface Ailment {
  readonly kind: string;
  readonly tiles: readonly TileId[];
  readonly figures: Readonly<Record<string, number | string>>;
}

/** What might put a finding right, as a kind says it. */
export interface Remedy {
  readonly does: string;
  /** Whether it is a matter of taste, and so never done by itself. */
  readonly isTaste?: true;
  /** Values of the kind; the columns a tile spans; how many places later it is read; a tile let go of its slot. */
  readonly change:
    | { readonly values: Readonly<Record<string, unknown>> }
    | { readonly tile: TileId; readonly columnSpan: number }
    | { readonly tile: TileId; readonly laterBy: number }
    | { readonly unlock: TileId };
}

/** Everything that a kind of arrangement has to say. A new kind is a folder that exports one of these, and a line in the index. */
export interface ArrangementKind {
  readonly name: ArrangementName;
  /** Left out: it has no values of its own. */
  readonly values?: ValuesOfKind;
  /**
   * `held`: tiles hold cells between the columns that are listed. `flowing`: tiles flow through cells.
   * Null: tiles follow one another, and nobody can put them in a cell.
   */
  readonly cells: 'held' | 'flowing' | null;
  /**
   * The columns of a level in an inner width.
   * @param inner px inside the padding
   */
  readonly columns: (document: CollectionDocument, band: Band, inner: number) => readonly TrackSize[];
  /** How many columns there are where their number is given, or follows the width; null: neither. */
  readonly columnCount: <L extends WrittenLength>(
    arrangement: Arrangement<L>,
  ) => ColumnCount<L | number> | null;
  /** Whether it is made in words by its name and a number of columns, which are values of its own. Left out: no. */
  readonly isSaid?: true;
  /** What tiles ask for where they take cells, in reading order; null for one that is hidden. Left out: nothing. */
  readonly wishes?: (
    document: CollectionDocument,
    band: Band,
    columns: readonly TrackSize[],
  ) => (PlacementItem | null)[];
  readonly box: (input: LevelInput) => LevelBox;
  readonly css: (input: CssInput) => LevelCss;
  /** Whether what a page says of it, at any width of a band, is known by laying it out alone. */
  readonly changesWithWidth: (arrangement: Arrangement, level: Level) => boolean;
  /** The page widths inside of a band from which its rules are others, where they are known, px. Left out: none. */
  readonly cuts?: (document: CollectionDocument, band: Band) => readonly number[];
  /** The page widths from which tiles ask for something else, px. Left out: none. */
  readonly thresholds?: (arrangement: Arrangement) => readonly number[];
  /** What CSS has for properties of its own before anybody says anything, so that they can be taken back. */
  readonly initial?: Declarations;
  /** Whether rows are as high as columns are wide. */
  readonly isSquare: (arrangement: Arrangement) => boolean;
  /** Whether it may be wider than its page, and is scrolled sideways. Left out: never. */
  readonly scrolls?: (arrangement: Arrangement) => boolean;
  /** Whether tiles without a shape of their own are as high as their words. Left out: never. */
  readonly followsWords?: (arrangement: Arrangement) => boolean;
  /** Whether the width of a tile jumps so often with the page's that pictures say theirs roughly. Left out: no. */
  readonly jumps?: true;
  /** Whether a tile reaches out of the level on purpose. Left out: none does. */
  readonly reachesOut?: (arrangement: Arrangement, shown: readonly TileId[], tile: TileId) => boolean;
  /** Left out: nothing that others would not find. */
  readonly findings?: (level: LevelStretch) => Iterable<KindFinding>;
  /** What of its values might put a finding right, the least first. Left out: nothing. */
  readonly remedies?: (arrangement: Arrangement, ailment: Ailment) => Iterable<Remedy>;
  /** Left out: none. */
  readonly markup?: Markup;
}
