import type { MeasuredArrangement, LaidOutTile, Layout, Level } from '@noria/core';
import type { Edge } from '../stage/edge';

/** A level where it is drawn. */
export interface DrawnLevel {
  readonly arrangement: MeasuredArrangement;
  readonly level: Level;
  readonly layout: Pick<Layout, 'inlineSize' | 'blockSize'>;
  readonly tiles: readonly LaidOutTile[];
  /** Where it begins, px of the page. */
  readonly x: number;
  readonly y: number;
  readonly radiusOf: (tile: LaidOutTile) => number;
}

/** What is known of a kind of arrangement without drawing anything: words, and what cuts its tiles. */
export interface KindData {
  /** What it is called: “Bento”. */
  readonly name: string;
  /** What it does, in a line. */
  readonly says: string;
  /** What its columns are called; null where it has none to speak of. */
  readonly column: string | null;
  /** Its name goes without saying: “four columns”, not “bento, four columns”. */
  readonly isPlain?: true;
  /** The edge that its tiles do not reach over; left out: none of its own. */
  readonly edge?: (drawn: DrawnLevel) => Edge;
}
