/** Card designs that tiles use, and tables that tiles are made from. */

import type { TileLook } from './look.js';
import type { RecipeId } from './content.js';
import type { PartId, TileId } from './ids.js';
import type { PartForm } from './parts.js';
import type { Tile } from './tile.js';

/** A place in a recipe that each use fills with content of its own. */
export interface Slot {
  readonly name: string;
  /** The tile of the recipe that it lies in. */
  readonly tile: TileId;
  /** The part of that tile. */
  readonly part: PartId;
  /** The field of that part. */
  readonly field: string;
}

/** The same design in another look, or in another form: the same slots in other places. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  /** What it changes, by the recipe's tiles. */
  readonly looks: Readonly<Record<TileId, Partial<TileLook>>>;
  /** The parts that its cards show, in order; cards that are left out show theirs as the recipe does. */
  readonly forms?: Readonly<Record<TileId, readonly PartForm[]>>;
}

export interface Recipe {
  readonly id: RecipeId;
  readonly name: string;
  /** The outermost of its tiles. */
  readonly root: TileId;
  /** Its tiles by the ids that they have in the recipe; those in groups too. */
  readonly tiles: Readonly<Record<TileId, Tile>>;
  readonly slots: readonly Slot[];
  readonly variants: readonly Variant[];
}

export type TableId = string;

/** Rows of a table, each of which fills a tile made by a recipe. */
/** How cells are written: numbers, shares, amounts of money by their ISO 4217 code, and days. */
export type CellFormat = 'number' | 'percent' | 'date' | 'date-long' | 'day-month' | `currency-${string}`;

export interface Table {
  readonly id: TableId;
  readonly name: string;
  readonly recipe: RecipeId;
  readonly columns: readonly string[];
  /** The column that tells rows apart when the table comes in anew. */
  readonly key: string;
  /** Slot names, each with the column that fills it. */
  readonly mapping: Readonly<Record<string, string>>;
  /** Columns whose cells are written in a format, by the language of the collection; others are as they are. */
  readonly formats?: Readonly<Record<string, CellFormat>>;
  readonly sort: { readonly column: string; readonly descending: boolean } | null;
  /** Rows whose column holds these words; empty words: all. */
  readonly filter: { readonly column: string; readonly words: string } | null;
  /** The keys in the order in which their rows came in. */
  readonly order: readonly string[];
  /** By key, as they last came in. */
  readonly rows: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** The outermost tile of each key that shows. */
  readonly tiles: Readonly<Record<string, TileId>>;
  /** Tiles of rows that the filter leaves out, the outermost first: they come back as they were. */
  readonly aside: Readonly<Record<string, readonly Tile[]>>;
}
