import { clone } from '../../document/clone.js';
import type { Draft } from '../commands/draft.js';
import type { Recipe, RecipeUse, Tile, TileId, TileLook } from '../../document/types.js';

type Values = Readonly<Record<string, unknown>>;

/** What a tile has as its own and never from a recipe. */
const OWN = new Set(['id', 'name', 'kind', 'place', 'look', 'recipe', 'order', 'weight']);

/** The look of a recipe's tile in a variant. */
export const recipeLook = (recipe: Recipe, part: TileId, variant: string | null): TileLook => ({
  ...(recipe.parts[part] as Tile).look,
  ...recipe.variants.find(({ id }) => id === variant)?.looks[part],
});

/** Everything that a tile has from its recipe, but its look: what no slot fills. */
export function recipeValues(recipe: Recipe, part: TileId): Values {
  const slots = new Set(recipe.slots.flatMap((slot) => (slot.part === part ? [slot.field] : [])));
  const values = Object.entries(recipe.parts[part] as Tile).filter(
    ([field]) => !OWN.has(field) && !slots.has(field),
  );
  return Object.fromEntries(values);
}

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
  if (!use || !recipe?.parts[use.part]) return [];
  const values = recipeValues(recipe, use.part);
  const slots = new Set(recipe.slots.flatMap(({ part, field }) => (part === use.part ? [field] : [])));
  const own = Object.fromEntries(
    Object.entries(tile).filter(([field]) => !OWN.has(field) && !slots.has(field)),
  );
  return [
    ...differing('look', { ...tile.look }, { ...recipeLook(recipe, use.part, use.variant) }),
    ...differing('content', own, values),
  ];
}

/** Puts single values of a tile back to what its recipe says; all of them when none is named. */
export function resetToRecipe(ids: readonly TileId[], fields?: readonly string[]) {
  return (draft: Draft): void => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      for (const { of, field, recipe } of recipeDifferences(draft.recipes, tile)) {
        if (!fields || fields.includes(field)) write(of === 'look' ? tile.look : tile, field, recipe);
      }
    }
  };
}

function write(on: object, field: string, value: unknown): void {
  const values = on as Record<string, unknown>;
  if (value === undefined) delete values[field];
  else values[field] = clone(value);
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
  const { part, variant } = use;
  if (!before.parts[part] || !after.parts[part]) return;
  const step = (on: object, was: Values, is: Values) => {
    for (const field of new Set([...Object.keys(was), ...Object.keys(is)])) {
      if (isSame((on as Values)[field], was[field])) write(on, field, is[field]);
    }
  };
  step(tile.look, { ...recipeLook(before, part, variant) }, { ...recipeLook(after, part, variant) });
  step(tile, recipeValues(before, part), recipeValues(after, part));
}
