import { recipeTile } from './recipeTile.js';
import { set, valuesOf, writeValue, type Values } from './values.js';
import type { Draft } from '../commands/draft.js';
import type { Recipe, Tile, TileId } from '../../document/types.js';

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
  const like = use && recipe && recipeTile(recipe, use.tile, use.variant);
  if (!like) return [];
  return [
    ...differing('look', { ...tile.look }, { ...like.look }),
    ...differing('content', valuesOf(tile, recipe.slots, use.tile), valuesOf(like, recipe.slots, use.tile)),
  ];
}

/** Puts single values of a tile back to what its recipe says; all of them when none is named. */
export function resetToRecipe(ids: readonly TileId[], fields?: readonly string[]) {
  return (draft: Draft): void => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      const used = tile.recipe && draft.recipes?.[tile.recipe.recipe];
      const like = tile.recipe && used && recipeTile(used, tile.recipe.tile, tile.recipe.variant);
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

/** A recipe in one of its variants; null: as it is itself. */
export interface Shows {
  readonly recipe: Recipe;
  readonly variant: string | null;
}

/**
 * Lets a tile follow from what a tile of a recipe was to what it is, or to what another variant makes of
 * it: values that the tile has as it was take the new ones, values of its own stay.
 * @param inRecipe the recipe's tile that it is
 */
export function follow(tile: Draft['tiles'][string], before: Shows, after: Shows, inRecipe: TileId): void {
  const was = recipeTile(before.recipe, inRecipe, before.variant);
  const is = recipeTile(after.recipe, inRecipe, after.variant);
  if (!was || !is) return;
  const step = (has: Values, from: Values, to: Values, write: (field: string, value: unknown) => void) => {
    for (const field of new Set([...Object.keys(from), ...Object.keys(to)])) {
      if (isSame(has[field], from[field])) write(field, to[field]);
    }
  };
  step({ ...tile.look }, { ...was.look }, { ...is.look }, (field, value) => set(tile.look, field, value));
  const { slots } = after.recipe;
  step(
    valuesOf(tile, slots, inRecipe),
    valuesOf(was, slots, inRecipe),
    valuesOf(is, slots, inRecipe),
    (field, value) => writeValue(tile, field, value, is),
  );
}
