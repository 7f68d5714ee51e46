import { withContents } from '../document/levels.js';
import { whileSame } from '../memo.js';
import type { CollectionDocument, TileId } from '../document/types.js';

const remembered = whileSame<CollectionDocument['tiles'], ReadonlyMap<TileId, number>>();

/**
 * The level of every tile's heading, 1 to 6: what the tile says, else 2 and one more for each group
 * around it; never more than one below the heading before it, so that no level is left out.
 */
export const headingLevels = ({
  tiles,
  order,
}: Pick<CollectionDocument, 'tiles' | 'order'>): ReadonlyMap<TileId, number> =>
  remembered(tiles, [order], () => levelsAnew(tiles, order));

function levelsAnew(tiles: CollectionDocument['tiles'], order: readonly TileId[]): Map<TileId, number> {
  const levels = new Map<TileId, number>();
  let last = 1;
  const visit = (ids: readonly TileId[], depth: number) => {
    for (const id of ids) {
      const tile = tiles[id];
      if (tile?.kind === 'group') visit(tile.order, depth + 1);
      if (tile?.kind !== 'text' || tile.heading === '') continue;
      last = tile.headingLevel ?? Math.min(6, depth, last + 1);
      levels.set(id, last);
    }
  };
  visit(order, 2);
  return levels;
}

/** Whether a tile is the page's main heading, so that the page needs no other. */
export const hasMainHeading = (document: CollectionDocument) =>
  document.order
    .flatMap((id) => withContents(document, id))
    .some((id) => {
      const tile = document.tiles[id];
      return tile?.kind === 'text' && tile.headingLevel === 1 && tile.heading !== '';
    });
