import { namedLooksIn, type CollectionDocument } from '@noria/core';

/** How many places follow each named look. */
export function namedUses({ look, tiles, styles = {} }: CollectionDocument): ReadonlyMap<string, number> {
  const uses = new Map<string, number>();
  for (const id of [
    ...namedLooksIn(look),
    ...namedLooksIn(styles),
    ...Object.values(tiles).flatMap((tile) => namedLooksIn(tile.look)),
  ])
    uses.set(id, (uses.get(id) ?? 0) + 1);
  return uses;
}
