import { recipeValues, set, valuesOf, writeValue, type Values } from './values.js';
import type { Draft } from '../commands/draft.js';
import type { Recipe, RecipeUse, Tile, TileId, TileLook } from '../../document/types.js';

/** The look of a recipe's tile in a variant. */
export const recipeLook = (recipe: Recipe, tile: TileId, variant: string | null): TileLook => ({
  ...(recipe.tiles[tile] as Tile).look,
  ...recipe.variants.find(({ id }) => id === variant)?.looks[tile],
});

export const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** A value of a tile that its recipe says otherwise. */
export interface Difference {
  readonly of: 'look' | 'content';
  readonly field: string;
  readonly own: unknown;
  readonly recipe: unknown;
}

function differing(of: Difference['of'], own: Values, recipe: Values): Difference[] {
  return [...new Set([...Object.keys(own), ...Object.keys(recipe)])].flatMap((field) =>
    isSame(own[field], recipe[field]) ? [] : [{ of, field, own: own[field], recipe: recipe[field] }],
  );
}

/** What a tile has otherwise than its recipe; nothing for a tile without one. */
export function recipeDifferences(
  recipes: Readonly<Record<string, Recipe>> | undefined,
  tile: Tile,
): Difference[] {
  const { recipe: use } = tile;
  const recipe = use && recipes?.[use.recipe];
  if (!use || !recipe?.tiles[use.tile]) return [];
  return [
    ...differing('look', { ...tile.look }, { ...recipeLook(recipe, use.tile, use.variant) }),
    ...differing('content', valuesOf(tile, recipe.slots, use.tile), recipeValues(recipe, use.tile)),
  ];
}

/** Puts single values of a tile back to what its recipe says; all of them when none is named. */
export function resetToRecipe(ids: readonly TileId[], fields?: readonly string[]) {
  return (draft: Draft): void => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      const like = tile.recipe && draft.recipes?.[tile.recipe.recipe]?.tiles[tile.recipe.tile];
      for (const { of, field, recipe } of recipeDifferences(draft.recipes, tile)) {
        if (fields && !fields.includes(field)) continue;
        if (of === 'look') set(tile.look, field, recipe);
        else writeValue(tile, field, recipe, like);
      }
    }
  };
}

/** The tiles that use a recipe, in it or in another variant of it. */
export const tilesUsing = (
  { tiles }: { readonly tiles: Readonly<Record<TileId, Tile>> },
  recipe: string,
): Tile[] => Object.values(tiles).filter((tile) => tile.recipe?.recipe === recipe);

/**
 * Lets a tile follow from what its recipe was to what it is: values that the tile has as the recipe had
 * them take the new ones, values of its own stay.
 */
export function follow(tile: Draft['tiles'][string], before: Recipe, after: Recipe, use: RecipeUse): void {
  const { tile: inRecipe, variant } = use;
  const [was, is] = [before.tiles[inRecipe], after.tiles[inRecipe]];
  if (!was || !is) return;
  const step = (has: Values, from: Values, to: Values, write: (field: string, value: unknown) => void) => {
    for (const field of new Set([...Object.keys(from), ...Object.keys(to)])) {
      if (isSame(has[field], from[field])) write(field, to[field]);
    }
  };
  step(
    { ...tile.look },
    { ...recipeLook(before, inRecipe, variant) },
    { ...recipeLook(after, inRecipe, variant) },
    (field, value) => set(tile.look, field, value),
  );
  step(
    valuesOf(tile, after.slots, inRecipe),
    valuesOf(was, after.slots, inRecipe),
    valuesOf(is, after.slots, inRecipe),
    (field, value) => writeValue(tile, field, value, is),
  );
}
