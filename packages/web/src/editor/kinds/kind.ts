import type {
  Arrangement,
  ArrangementName,
  Command,
  LaidOutTile,
  SetFor,
  Tile,
  TileId,
  WholePlace,
} from '@noria/core';
import type { LucideIcon } from 'lucide-react';
import type { ComponentType } from 'react';
import type { Field } from '../fields/field';
import type { Seen } from '../stage/seen';
import type { StageSpace } from '../stage/space';
import type { Inherited } from './inherited';

/** A tile where it lies, with what it says of its place. */
export interface Placed {
  readonly tile: Tile;
  readonly at: LaidOutTile;
  readonly place: WholePlace;
  /** Its number in reading order. */
  readonly number: number;
  readonly arrangement: Arrangement;
}

/** How tiles are held where they are. */
export interface Holding {
  /** The value of a place that holds it. */
  readonly by: 'pin' | 'slot' | 'breakBefore';
  /** What the setting is called, and its two choices. */
  readonly label: string;
  readonly free: string;
  readonly held: string;
  /** Holds tiles where they lie, or frees them. */
  readonly command: (
    tiles: readonly Tile[],
    laid: ReadonlyMap<TileId, LaidOutTile>,
    band: number,
    setFor: SetFor,
    holds: boolean,
  ) => Command;
  /** The name of that step. */
  readonly step: (holds: boolean) => string;
  /** What is said of it, after the names of the tiles. */
  readonly said: (holds: boolean) => string;
  /** The sign on tiles that are held; left out: their outline says it. */
  readonly Sign?: (lost: boolean) => LucideIcon;
  /** Whether a tile lies elsewhere than where it is held. Left out: never. */
  readonly isLost?: (placed: Pick<Placed, 'at' | 'place'>) => boolean;
}

/** The ends of a tile by which it can be drawn wider or higher. */
export type Grips = 'all' | 'inline' | 'none';

/** The interface of a kind of arrangement, beside what is known of it (`data.ts`). */
export interface KindInterface {
  /** What only it has in the settings of the arrangement. */
  readonly Settings: ComponentType<{ readonly inherited: Inherited }>;
  /** What the width gives, beside the width: “Five columns of 234”. */
  readonly Gives: ComponentType;
  /** The values that it has of its own, as what is set in a band says them. */
  readonly values?: Field & {
    /** Their field in the file. */
    readonly of: string;
    readonly says: (value: unknown) => string;
  };
  /** What the settings of a tile set: spans of cells, of columns alone, or none. */
  readonly spans: 'cells' | 'columns' | 'none';
  readonly holding?: Holding;
  /** Whether a tile can be put into an area that has a name. */
  readonly hasAreas?: true;
  /** Whether its columns are a list of sizes that can be changed one by one. */
  readonly listsColumns?: true;
  /** Why nothing is done here about gaps; left out: spans close them. */
  readonly noGaps?: { readonly title: string; readonly says: string };
  /** Where a tile is, after its name and number: “2 by 1 at column 3, row 1”. */
  readonly where: (placed: Placed) => string;
  /** What a selected tile takes, on its outline. */
  readonly takes: (placed: Omit<Placed, 'tile' | 'number'>) => string;
  readonly grips: (arrangement: Arrangement) => Grips;
  /** What is drawn over its tiles on the stage. */
  readonly Overlay?: ComponentType<{ readonly space: StageSpace; readonly seen: Seen | null }>;
  /** How well it is filled, in the bar at the top; left out: its packed cells. */
  readonly Figure?: ComponentType;
}

export type KindInterfaces = Readonly<Record<ArrangementName, KindInterface>>;
