import { shownParts } from '../document/card.js';
import { withContents } from '../document/levels.js';
import { whileSame } from '../memo.js';
import { partKindOf } from './index.js';
import type { CollectionDocument, Tile, TileId } from '../document/types.js';

/** The level of each part of a tile, where that is a heading. */
export type HeadingLevels = readonly (number | undefined)[];

const remembered = whileSame<CollectionDocument['tiles'], ReadonlyMap<TileId, HeadingLevels>>();

/**
 * The level of every heading, 1 to 6, by the tile and its part: what the part says, else 2 and one more
 * for each group around it; never more than one below the heading before it, so that no level is left
 * out. Tiles without a heading are left out.
 */
export const headingLevels = ({
  tiles,
  order,
}: Pick<CollectionDocument, 'tiles' | 'order'>): ReadonlyMap<TileId, HeadingLevels> =>
  remembered(tiles, [order], () => levelsAnew(tiles, order));

function levelsAnew(tiles: CollectionDocument['tiles'], order: readonly TileId[]) {
  const levels = new Map<TileId, HeadingLevels>();
  let last = 1;
  const visit = (ids: readonly TileId[], depth: number) => {
    for (const id of ids) {
      const tile = tiles[id];
      if (!tile) continue;
      if (tile.kind === 'group') visit(tile.order, depth + 1);
      const found = shownParts(tile).map((part) => {
        const heading = partKindOf(part).heading?.(part);
        return heading ? (last = heading.level ?? Math.min(6, depth, last + 1)) : undefined;
      });
      if (found.some((level) => level !== undefined)) levels.set(id, found);
    }
  };
  visit(order, 2);
  return levels;
}

/** Whether a tile is the page's main heading, so that the page needs no other. */
export const hasMainHeading = (document: CollectionDocument) =>
  document.order
    .flatMap((id) => withContents(document, id))
    .flatMap((id) => (document.tiles[id] ? shownParts(document.tiles[id]) : []))
    .some((part) => partKindOf(part).heading?.(part)?.level === 1);

/** How many times the size of headings a tile’s large type has, where nothing of its own is set: a figure alone is larger. */
export function largeTimes(tile: Tile): number {
  const kinds = shownParts(tile).map((part) => ({ part, kind: partKindOf(part) }));
  if (kinds.some(({ part, kind }) => kind.heading?.(part))) return 1;
  return kinds.find(({ kind }) => kind.headingTimes !== undefined)?.kind.headingTimes ?? 1;
}
