import { clone } from '../../document/clone.js';
import { withContents } from '../../document/levels.js';
import type { CollectionDocument, RecipeId, Tile, TileId } from '../../document/types.js';

/** Tiles of a collection as the tiles of a recipe: by the part that each is, the others by their ids. */
export function partsFrom(tiles: CollectionDocument['tiles'], root: TileId, recipe: RecipeId) {
  const ids = withContents({ tiles }, root);
  const partOf = new Map(
    ids.map((id) => {
      const use = tiles[id]?.recipe;
      return [id, use?.recipe === recipe ? use.part : id];
    }),
  );
  const parts = ids.map((id): [TileId, Tile] => {
    const { recipe: _, ...tile } = clone(tiles[id] as Tile) as Tile;
    const part = partOf.get(id) as TileId;
    const own = { ...tile, id: part, place: id === root ? { ...tile.place, pin: null } : tile.place } as Tile;
    const inside =
      own.kind === 'group' ? { ...own, order: own.order.map((each) => partOf.get(each) ?? each) } : own;
    return [part, inside];
  });
  return { partOf, parts: Object.fromEntries(parts), root: partOf.get(root) as TileId };
}
