import type { GridArea } from './grid/place.js';
import type { Coverage } from './grid/coverage.js';
import type { Track } from './grid/track.js';
import type { Arrangement, CollectionDocument, TileId } from './document/types.js';
import type { TextMeasurer } from './text/types.js';
import type { Band } from './document/bands.js';

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

/** CSS declarations of one rule, as property and value. */
export type Declarations = Readonly<Record<string, string>>;

/** What one band's arrangement says in CSS. */
export interface ArrangementCss {
  readonly grid: Declarations;
  /** Those in groups too. */
  readonly tiles: Readonly<Record<TileId, Declarations>>;
}

/** What a kind of arrangement can do. A new kind is a folder that exports one of these. */
export interface ArrangementKind {
  readonly kind: Arrangement['kind'];
  layout(document: CollectionDocument, band: Band, width: number, options: LayoutOptions): Layout;
  toCss(document: CollectionDocument, band: Band): ArrangementCss;
}
