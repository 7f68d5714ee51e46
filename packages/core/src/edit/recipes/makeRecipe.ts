import { canGive, freshPartId, meansAsMuch } from '../../parts/becoming.js';
import { clone } from '../../document/clone.js';
import { kindTitle } from '../../parts/said.js';
import { partIn } from '../../document/card.js';
import { partKindOf } from '../../parts/index.js';
import { emptySlot } from './handOn.js';
import { isSame } from './follow.js';
import { formOf, withPartsOf } from './recipeTile.js';
import { recipeTilesOf } from './recipeTiles.js';
import { slotsOf, withSlotsOf } from './slots.js';
import type { Command } from '../patch/change.js';
import type {
  Card,
  Part,
  PartId,
  Recipe,
  RecipeId,
  TileId,
  TileLook,
  Variant,
} from '../../document/types.js';

/** Makes a recipe of a tile with all that is in it; the tile is the first to use it. */
export function makeRecipe(tile: TileId, id: RecipeId, name: string): Command {
  return (draft) => {
    if (!draft.tiles[tile]) return;
    const { tiles, root, idIn } = recipeTilesOf(draft.tiles, tile, id);
    const recipe: Recipe = { id, name, root, tiles, slots: slotsOf(tiles, root), variants: [] };
    (draft.recipes ??= {})[id] = clone(recipe);
    for (const [each, inRecipe] of idIn) {
      const use = draft.tiles[each];
      if (use) use.recipe = { recipe: id, variant: null, tile: inRecipe };
    }
  };
}

/**
 * Makes one recipe of several cards: the first is what it looks like, and those of another look or of
 * other parts become its variants, called by what they are. Every card stays as it is. Words that mean as
 * much are one slot, so that each card shows its own in any variant.
 * @param freshId an id for a variant, by its name
 */
export function makeRecipeOf(
  [first, ...others]: readonly TileId[],
  id: RecipeId,
  name: string,
  freshId: (name: string) => string,
): Command {
  return (draft) => {
    if (first === undefined) return;
    makeRecipe(first, id, name)(draft);
    for (const tile of others) {
      const card = draft.tiles[tile];
      const recipe = draft.recipes?.[id] as Recipe | undefined;
      const base = recipe?.tiles[recipe.root];
      if (card?.kind !== 'card' || base?.kind !== 'card' || !recipe) continue;
      const use = likePartsOf(clone(card as Card), base);
      const { made, variant } = withVariantOf(recipe, base, use, freshId);
      (draft.recipes ??= {})[id] = clone(made);
      const rest = (made.tiles[made.root] as Card).parts.filter((part) => !partIn(use, part.id));
      card.parts = clone([...use.parts, ...rest.map(hiddenAndEmpty)]);
      card.recipe = { recipe: id, variant, tile: made.root };
    }
  };
}

/** A card whose parts have the ids of those of another that they stand for: of their kind, else of words that mean as much. */
function likePartsOf(card: Card, base: Card): Card {
  const ids = new Map<Part, PartId>();
  const match = (fits: (part: Part, other: Part) => boolean) => {
    for (const part of card.parts) {
      if (ids.has(part)) continue;
      const taken = new Set(ids.values());
      const other = base.parts.find((each) => !taken.has(each.id) && fits(part, each));
      if (other) ids.set(part, other.id);
    }
  };
  match((part, other) => part.kind === other.kind);
  match((part, other) => meansAsMuch(part.kind, other.kind) && canGive(part, other.kind));
  const parts: Part[] = [];
  for (const part of card.parts)
    parts.push({ ...part, id: ids.get(part) ?? freshPartId([...base.parts, ...parts], part.kind) });
  return { ...card, parts };
}

/** A recipe that shows a card as it is, and in which variant; null: as the recipe is itself. */
function withVariantOf(recipe: Recipe, base: Card, use: Card, freshId: (name: string) => string) {
  const like = withPartsOf(base, use);
  const own = like.look as unknown as Readonly<Record<string, unknown>>;
  const look = Object.entries(use.look).filter(([field, value]) => !isSame(value, own[field]));
  const form = formOf(use, like);
  if (look.length === 0 && !form) return { made: recipe, variant: null };
  const looks = { [recipe.root]: Object.fromEntries(look) as Partial<TileLook> };
  const forms = form && { [recipe.root]: form };
  const known = recipe.variants.find((each) => isSame([each.looks, each.forms], [looks, forms ?? undefined]));
  if (known) return { made: recipe, variant: known.id };
  const name = freshName(recipe, kindTitle(use));
  const variant: Variant = { id: freshId(name), name, looks, ...(forms && { forms }) };
  const tiles = { ...recipe.tiles, [recipe.root]: like };
  const made: Recipe = {
    ...recipe,
    tiles,
    slots: withSlotsOf(recipe, tiles),
    variants: [...recipe.variants, variant],
  };
  return { made, variant: variant.id };
}

function freshName({ variants }: Recipe, name: string): string {
  const isTaken = (each: string) => variants.some((variant) => variant.name === each);
  if (!isTaken(name)) return name;
  for (let k = 2; ; k++) if (!isTaken(`${name} ${k}`)) return `${name} ${k}`;
}

/** A part that a use of a recipe does not show: what slots hold is empty in it. */
function hiddenAndEmpty(part: Part): Part {
  const empty = partKindOf(part).slots.flatMap(({ field, holds }) => {
    const value = emptySlot({ kind: part.kind, field, holds });
    return value === undefined ? [] : [[field, value] as const];
  });
  return { ...part, ...Object.fromEntries(empty), hidden: true };
}
