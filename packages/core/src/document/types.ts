/** The document: what a `.noria.json` file holds. Every length is in CSS px unless a name says otherwise. */

import type { Arrangement, ArrangementValues } from './arrangement.js';
import type { FilmAsset, IconAsset, PictureAsset, RecipeId } from './content.js';
import type { FamilyName, OwnFamily } from './font.js';
import type { FilmId, IconId, PictureId, TileId } from './ids.js';
import type { CollectionLook, NamedLooks, Style, StyleId, TileLook } from './look.js';
import type { PageData } from './page.js';
import type { Recipe, Table, TableId } from './recipes.js';
import type { OwnPlace, Tile } from './tile.js';

export type * from './arrangement.js';
export type * from './content.js';
export type * from './font.js';
export type * from './ids.js';
export type * from './look.js';
export type { Landmark, PageData } from './page.js';
export type * from './parts.js';
export type * from './recipes.js';
export type * from './tile.js';

export const FORMAT_VERSION = 3;

/** A band below a breakpoint. What it does not set is inherited from the next wider band. */
export interface NarrowerBand {
  readonly id: string;
  /** The breakpoint: the band holds the widths below it, down to the next one. */
  readonly below: number;
  readonly arrangement: Partial<ArrangementValues>;
  readonly tiles: Readonly<Record<TileId, OwnPlace>>;
  /** What the band sets of the arrangements inside groups. */
  readonly groups?: Readonly<Record<TileId, Partial<ArrangementValues>>>;
  /** Type sizes of the collection that the band sets. */
  readonly typeSizes?: TypeSizes;
  /** What the band sets of the looks of single tiles. */
  readonly looks?: Readonly<Record<TileId, BandLook>>;
  /** What was worked out of it where narrower bands are derived; what is other than this was set by hand. */
  readonly derived?: DerivedValues;
}

/** What of a band was worked out from the next wider one, beside the spans of tiles that are marked so. */
export interface DerivedValues {
  /** Left out: its breakpoint was set by hand. */
  readonly below?: number;
  readonly arrangement: Partial<ArrangementValues>;
  readonly groups?: Readonly<Record<TileId, Partial<ArrangementValues>>>;
}

/** Widths in px, both ends included. */
export interface Widths {
  readonly from: number;
  readonly to: number;
}

/** Type sizes that a band sets, px. */
export interface TypeSizes {
  readonly headingSize?: number;
  readonly bodySize?: number;
}

/** What a band sets of a tile's look; null: in this band it is as if the tile said nothing of it. */
export type BandLook = { readonly [F in keyof TileLook]?: TileLook[F] | null };

/** A finding that was looked at and is as it should be. */
export interface IgnoredFinding {
  readonly kind: string;
  readonly tiles: readonly TileId[];
}

export interface CollectionDocument {
  readonly formatVersion: typeof FORMAT_VERSION;
  readonly name: string;
  /** BCP 47 tag of the words in the tiles. */
  readonly language: string;
  /** The arrangement of the widest band. */
  readonly arrangement: Arrangement;
  /** From wide to narrow. */
  readonly bands: readonly NarrowerBand[];
  /** Derived: worked out from the wider band after every change, but for what was set by hand in them. Left out: all by hand. */
  readonly narrowerBands?: 'derived';
  /** Widths at which no breakpoint is derived, since one was removed there or somebody was at work there. Left out: none. */
  readonly unbroken?: readonly Widths[];
  /** By what the page asks how wide it is; left out: its container. */
  readonly queries?: 'container' | 'media';
  readonly look: CollectionLook;
  /** Every tile by id, those in groups too; an `order` says where it comes. */
  readonly tiles: Readonly<Record<TileId, Tile>>;
  /** Reading order: the order of the page's source, the keyboard and screen readers. */
  readonly order: readonly TileId[];
  readonly pictures: Readonly<Record<PictureId, PictureAsset>>;
  readonly films?: Readonly<Record<FilmId, FilmAsset>>;
  readonly icons?: Readonly<Record<IconId, IconAsset>>;
  /** Families whose files were added, by name. */
  readonly families?: Readonly<Record<FamilyName, OwnFamily>>;
  readonly namedLooks?: NamedLooks;
  readonly styles?: Readonly<Record<StyleId, Style>>;
  readonly recipes?: Readonly<Record<RecipeId, Recipe>>;
  readonly tables?: Readonly<Record<TableId, Table>>;
  readonly ignored?: readonly IgnoredFinding[];
  /** Every picture without a link opens large in the page; left out: only those that say so. */
  readonly enlarges?: 'all';
  /** What the page says of itself; left out: only the collection’s name. */
  readonly page?: PageData;
}
