import type { Level } from './document/levels.js';
import type { GridArea } from './grid/place.js';
import type { Coverage } from './grid/coverage.js';
import type { Track } from './grid/track.js';
import type { Arrangement, CollectionDocument, TileId } from './document/types.js';
import type { TextMeasurer } from './text/types.js';
import type { Band } from './document/bands.js';
import type { Box, Fragment, OwnCells } from './box/box.js';
import type { Declarations, Rule } from './page/rule.js';

/** A tile as laid out: px from the grid's border box, and the cells it takes. */
export interface LaidOutTile extends GridArea {
  readonly id: TileId;
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
}

/** What a layout needs of its surroundings. */
export interface LayoutOptions {
  readonly measurer: TextMeasurer;
  /** Height of the screen that a grid's height may be a share of, px. */
  readonly screenBlockSize: number;
  /** Width of the page, px, which type sizes may grow with. */
  readonly pageInlineSize: number;
}

/** The screen height that is meant where nobody says another, px. */
export const SCREEN_BLOCK_SIZE = 800;

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
export interface LevelCells extends OwnCells {
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
  readonly options: LayoutOptions;
  /** The level inside of a group of this one; its box carries the group's id. */
  readonly group: (id: TileId) => LevelBox;
}

/** A rule that holds in one band alone, for pages whose browser can do what it asks. */
export interface OwnRule extends Rule {
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
  readonly own?: readonly OwnRule[];
}

export interface CssInput {
  readonly document: CollectionDocument;
  readonly band: Band;
  /** The level as it is laid out at the band's width. */
  readonly layout: () => Layout;
  readonly level: Level;
  /** What the level's element is called in a style sheet. */
  readonly selector: string;
}

/** What a kind of arrangement can do. A new kind is a folder that exports one of these. */
export interface ArrangementKind {
  readonly kind: Arrangement['kind'];
  readonly box: (input: LevelInput) => LevelBox;
  readonly toCss: (input: CssInput) => LevelCss;
}
