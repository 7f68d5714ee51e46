import { LIMITS } from '../document/limits.js';
import type { CollectionDocument, TileId } from '../document/types.js';

type Growing = Pick<CollectionDocument, 'tiles' | 'order' | 'bands' | 'recipes' | 'tables'>;

/**
 * What a change made grow past the bounds of a file, in words that say what to do; null as long as the
 * checker takes it. What was too much before may become less.
 */
export function outgrown(before: Growing, after: Growing): string | null {
  const parts = [
    [before.tiles, after.tiles, LIMITS.tiles, 'tiles. Remove some first.'],
    [before.bands, after.bands, LIMITS.bands, 'bands below the widest. Remove a breakpoint first.'],
    [before.recipes, after.recipes, LIMITS.recipes, 'recipes. Remove one first.'],
    [before.tables, after.tables, LIMITS.tables, 'tables. Unlink one first.'],
  ] as const;
  for (const [was, is, most, words] of parts) {
    const count = Object.keys(is ?? {}).length;
    if (is !== was && count > most && count > Object.keys(was ?? {}).length)
      return `A collection has at most ${most} ${words}`;
  }
  if (after.tiles !== before.tiles && isTooDeep(after) && !isTooDeep(before))
    return `Groups lie at most ${LIMITS.depth} deep. Take one apart first.`;
  return null;
}

function isTooDeep({ tiles, order }: Growing): boolean {
  const reaches = (ids: readonly TileId[], depth: number): boolean =>
    ids.some((id) => {
      const tile = tiles[id];
      return tile?.kind === 'group' && (depth === LIMITS.depth || reaches(tile.order, depth + 1));
    });
  return reaches(order, 0);
}
