import { perObjectAnd } from '../memo.js';
import type { CollectionDocument, GroupTile, TileId } from './types.js';

/** The group whose tiles are meant; null: the collection itself. */
export type Level = TileId | null;

/**
 * A group seen as a collection of its own: its arrangement, its order and what the bands set of them
 * stand where the collection's do. The same document gives the same view.
 * @throws RangeError when there is no such group
 */
export function levelOf(document: CollectionDocument, level: Level): CollectionDocument {
  return level === null ? document : viewOf(document, level);
}

const viewOf = perObjectAnd((document: CollectionDocument, level: TileId): CollectionDocument => {
  const { id, arrangement, order } = groupOf(document, level);
  return {
    ...document,
    arrangement,
    order,
    bands: document.bands.map(({ derived, ...band }) => ({
      ...band,
      arrangement: band.groups?.[id] ?? {},
      ...(derived && { derived: { ...derived, arrangement: derived.groups?.[id] ?? {} } }),
    })),
  };
});

/** @throws RangeError when there is no such group */
export function groupOf(document: CollectionDocument, id: TileId): GroupTile {
  const tile = document.tiles[id];
  if (tile?.kind !== 'group') throw new RangeError(`There is no group “${id}”.`);
  return tile;
}

/** A tile's id with those of everything in it, itself first. */
export function withContents({ tiles }: Pick<CollectionDocument, 'tiles'>, id: TileId): TileId[] {
  const tile = tiles[id];
  return tile?.kind === 'group' ? [id, ...tile.order.flatMap((each) => withContents({ tiles }, each))] : [id];
}

/** Every tile in reading order, a group before what is in it. */
export const allTiles = (document: CollectionDocument): TileId[] =>
  document.order.flatMap((id) => withContents(document, id));
