import type { Card, Part, TileId } from '@noria/core';

/** What the rows of a part get: it, the tile that it is in, and those that it is set for. */
export interface PartProps<P extends Part = Part> {
  readonly tile: Card;
  /** Words that the tiles differ in are empty. */
  readonly part: P;
  /** The tile and the other selected ones that have such a part. */
  readonly ids: readonly TileId[];
  /** Whether these say different words. */
  readonly differs: boolean;
}
