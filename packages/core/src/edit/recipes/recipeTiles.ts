import { clone } from '../../document/clone.js';
import { withContents } from '../../document/levels.js';
import type { CollectionDocument, RecipeId, Tile, TileId } from '../../document/types.js';

/** Tiles of a collection as the tiles of a recipe: by the one that each is, the others by their ids. */
export function recipeTilesOf(tiles: CollectionDocument['tiles'], root: TileId, recipe: RecipeId) {
  const ids = withContents({ tiles }, root);
  const idIn = new Map(
    ids.map((id) => {
      const use = tiles[id]?.recipe;
      return [id, use?.recipe === recipe ? use.tile : id];
    }),
  );
  const taken = ids.map((id): [TileId, Tile] => {
    const { recipe: _, ...tile } = clone(tiles[id] as Tile) as Tile;
    const inRecipe = idIn.get(id) as TileId;
    const place = id === root ? { ...tile.place, pin: null } : tile.place;
    const own = { ...tile, id: inRecipe, place } as Tile;
    const inside =
      own.kind === 'group' ? { ...own, order: own.order.map((each) => idIn.get(each) ?? each) } : own;
    return [inRecipe, inside];
  });
  return { idIn, tiles: Object.fromEntries(taken), root: idIn.get(root) as TileId };
}
