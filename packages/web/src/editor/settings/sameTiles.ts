import type { Tile } from '@noria/core';

/** Whether two states of a tile differ in no more than its place, as while it is moved. */
export function sameButPlace(before: Tile, after: Tile): boolean {
  if (before === after) return true;
  const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
  fields.delete('place');
  return [...fields].every((field) => before[field as 'id'] === after[field as 'id']);
}

/** The same of several tiles, for what shows their looks and not where they are. */
export const sameTiles = (
  { tiles: before }: { readonly tiles: readonly Tile[] },
  { tiles: after }: { readonly tiles: readonly Tile[] },
): boolean =>
  before.length === after.length && before.every((tile, k) => sameButPlace(tile, after[k] as Tile));
