import type { Card, Part } from '@noria/core';

/** What the rows of a part get: it, and the tile that it is in. */
export interface PartProps<P extends Part = Part> {
  readonly tile: Card;
  readonly part: P;
}
