import { assetsOf, carryAssets, type Assets } from '../commands/assets.js';
import { clone } from '../../document/clone.js';
import { forgetTiles, insertTile } from '../commands/tiles.js';
import { withContents } from '../../document/levels.js';
import { follow, isSame } from './follow.js';
import { filledWith, handedOn } from './handOn.js';
import { formOf, recipeTile, withPartsOf } from './recipeTile.js';
import { withSlotsOf } from './slots.js';
import { useRoot } from './update.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type {
  Card,
  CollectionDocument,
  Part,
  PartForm,
  Recipe,
  RecipeId,
  Tile,
  TileId,
} from '../../document/types.js';

export interface UseRecipe {
  readonly recipe: Recipe;
  readonly variant: string | null;
  /** What the recipe shows and follows, when it comes from elsewhere. */
  readonly assets?: Assets;
  readonly position: number;
  readonly freshId: (tile: Tile) => TileId;
}

/** The tiles of a new use of a recipe, the outermost first. */
export function tilesFrom(recipe: Recipe, variant: string | null, freshId: (tile: Tile) => TileId): Tile[] {
  const ids = new Map(
    withContents(recipe, recipe.root).map((each) => [each, freshId(recipe.tiles[each] as Tile)]),
  );
  return [...ids].map(([each, id]) => {
    const { name: _, ...tile } = clone(recipeTile(recipe, each, variant) as Tile) as Tile;
    const own = {
      ...tile,
      id,
      recipe: { recipe: recipe.id, variant, tile: each },
    } as Tile;
    return own.kind === 'group'
      ? { ...own, order: own.order.map((inside) => ids.get(inside) as TileId) }
      : own;
  });
}

/** Adds a recipe to the collection when it is not there. */
export function carryRecipe(draft: Draft, recipe: Recipe, assets: Assets | undefined): void {
  const needed = assetsOf({ pictures: {}, ...assets }, Object.values(recipe.tiles));
  carryAssets(draft, { ...needed, recipes: { [recipe.id]: recipe } });
}

/** Adds a tile that uses a recipe. */
export function addFromRecipe({ recipe, variant, assets, position, freshId }: UseRecipe): Command {
  return (draft) => {
    carryRecipe(draft, recipe, assets);
    const here = draft.recipes?.[recipe.id] ?? recipe;
    addTiles(draft, tilesFrom(here, variant, freshId), position);
  };
}

/** Puts tiles in, the first into the reading order and the others in its groups. */
export function addTiles(draft: Draft, [root, ...inside]: readonly Tile[], position: number): void {
  if (!root) return;
  for (const tile of inside) draft.tiles[tile.id] = tile as Draft['tiles'][string];
  insertTile(draft, root, position);
}

/**
 * Lets tiles use a recipe: they keep their id, name, place and content as far as the recipe has slots for
 * it; what bands set of their look and of an arrangement in them goes. A tile of another kind hands its words on in the order in which they are read.
 */
export function applyRecipe(ids: readonly TileId[], use: Omit<UseRecipe, 'position'>): Command {
  return (draft) => {
    carryRecipe(draft, use.recipe, use.assets);
    const recipe = draft.recipes?.[use.recipe.id] ?? use.recipe;
    for (const id of ids) {
      const old = draft.tiles[id];
      const at = draft.order.indexOf(id);
      if (!old || at === -1) continue;
      const { name, place } = clone(old as Tile);
      const tiles = draft.tiles as CollectionDocument['tiles'];
      const content = handedOn(tiles, id);
      const inside = withContents({ tiles }, id).slice(1);
      const made = tilesFrom(recipe, use.variant, (each) =>
        each.id === recipe.root ? id : use.freshId(each),
      );
      const filled = filledWith(made, recipe, content);
      forgetTiles(draft, inside);
      for (const { groups, looks } of draft.bands) {
        delete groups?.[id];
        delete looks?.[id];
      }
      for (const tile of filled) {
        const own = tile.id === id ? { ...tile, ...(name !== undefined && { name }), place } : tile;
        draft.tiles[tile.id] = clone<Tile>(own);
      }
    }
  };
}

/** Shows tiles in another variant of their recipe; values of their own stay. */
export function setVariant(ids: readonly TileId[], variant: string | null): Command {
  return (draft) => {
    for (const id of ids.flatMap((each) => withContents(draft as CollectionDocument, each))) {
      const tile = draft.tiles[id];
      const recipe = tile?.recipe && draft.recipes?.[tile.recipe.recipe];
      if (!tile?.recipe || !recipe) continue;
      const shows = { recipe: recipe as Recipe, variant: tile.recipe.variant };
      follow(tile, shows, { ...shows, variant }, tile.recipe.tile);
      tile.recipe.variant = variant;
    }
  };
}

/** Releases tiles from their recipe, with all that is in them: they look as they do, and follow no more. */
export function releaseTiles(ids: readonly TileId[]): Command {
  return (draft) => {
    for (const id of ids.flatMap((each) => withContents(draft as CollectionDocument, each)))
      delete draft.tiles[id]?.recipe;
  };
}

/** Adds a variant that looks as a tile does that uses the recipe; the tile shows it. */
export function addVariant(tile: TileId, id: string, name: string): Command {
  return (draft) => {
    const root = useRoot(draft, tile);
    const use = root === null ? undefined : draft.tiles[root]?.recipe;
    const recipe = use && draft.recipes?.[use.recipe];
    if (root === null || !recipe) return;
    const before = clone(recipe as Recipe) as Recipe;
    const looks: Record<TileId, object> = {};
    const forms: Record<TileId, PartForm[]> = {};
    for (const each of withContents(draft, root)) {
      const inside = draft.tiles[each];
      if (inside?.recipe?.recipe !== recipe.id) continue;
      const like = recipe.tiles[inside.recipe.tile];
      const base = like?.look as unknown as Record<string, unknown>;
      if (like?.kind === 'card' && inside.kind === 'card') {
        like.parts = clone(withPartsOf(like as Card, inside as Card).parts as Part[]);
        const form = formOf(inside, like);
        if (form) forms[inside.recipe.tile] = clone(form as PartForm[]);
      }
      const own = Object.entries(inside.look).filter(([field, value]) => !isSame(value, base[field]));
      looks[inside.recipe.tile] = clone(Object.fromEntries(own));
      inside.recipe.variant = id;
    }
    recipe.slots = clone(withSlotsOf(before, recipe.tiles as Recipe['tiles']));
    recipe.variants.push({ id, name, looks, ...(Object.keys(forms).length > 0 && { forms }) });
  };
}

export function renameRecipe(id: RecipeId, name: string): Command {
  return (draft) => {
    const recipe = draft.recipes?.[id];
    if (recipe) recipe.name = name;
  };
}

/** Removes a recipe; tiles that use it are released, tables that it makes are let go. */
export function removeRecipe(id: RecipeId): Command {
  return (draft) => {
    for (const tile of Object.values(draft.tiles)) if (tile.recipe?.recipe === id) delete tile.recipe;
    for (const [key, table] of Object.entries(draft.tables ?? {}))
      if (table.recipe === id) delete draft.tables?.[key];
    delete draft.recipes?.[id];
  };
}
