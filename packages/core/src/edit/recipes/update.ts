import { clone } from '../../document/clone.js';
import { forgetTiles } from '../commands/tiles.js';
import { withContents } from '../../document/levels.js';
import { follow, isSame, tilesUsing } from './follow.js';
import { formOf, recipeTile, withPartsOf } from './recipeTile.js';
import { partsOf } from '../../document/card.js';
import { recipeTilesOf } from './recipeTiles.js';
import { withSlotsOf } from './slots.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, Part, Recipe, Slot, Tile, TileId } from '../../document/types.js';

/** The outermost tile of the use of a recipe that a tile belongs to; null when it uses none. */
export function useRoot({ tiles, recipes }: CollectionDocument, id: TileId): TileId | null {
  const use = tiles[id]?.recipe;
  const recipe = use && recipes?.[use.recipe];
  if (!recipe) return null;
  const roots = Object.values(tiles).filter(
    ({ recipe: each }) => each?.recipe === use.recipe && each.tile === recipe.root,
  );
  return roots.find((root) => withContents({ tiles }, root.id).includes(id))?.id ?? null;
}

/**
 * Changes a recipe, or the variant that the tile shows, into what a tile that uses it has become: its
 * look, what no slot fills, the tiles in it. Every other use follows, but for values of its own.
 */
export function updateRecipe(tile: TileId, freshId: (part: Tile) => TileId): Command {
  return (draft) => {
    const document = draft as CollectionDocument;
    const root = useRoot(document, tile);
    const use = root === null ? undefined : draft.tiles[root]?.recipe;
    const recipe = use && draft.recipes?.[use.recipe];
    if (root === null || !use || !recipe) return;
    const before = clone(recipe as Recipe) as Recipe;
    const taken = recipeTilesOf(document.tiles, root, recipe.id);
    const after = changed(before, taken.tiles, use.variant);
    (draft.recipes ??= {})[recipe.id] = clone(after);
    for (const [id, inRecipe] of taken.idIn) {
      const each = draft.tiles[id];
      if (each) each.recipe = { recipe: recipe.id, variant: use.variant, tile: inRecipe };
    }
    const others = tilesUsing(document, recipe.id).filter(
      ({ id, recipe: each }) => each?.tile === before.root && id !== root,
    );
    for (const other of others) bringUpTo(draft, other.id, before, after, freshId);
  };
}

/** A recipe whose tiles have become others; in a variant, their looks are that variant's. */
function changed(before: Recipe, tiles: Readonly<Record<TileId, Tile>>, variant: string | null): Recipe {
  const slots = withSlotsOf(before, tiles);
  const kept = Object.entries(tiles).map(([id, tile]): [TileId, Tile] => {
    const was = before.tiles[id];
    const isVariant = variant !== null && was !== undefined;
    const look = isVariant ? was.look : tile.look;
    const place = was && id === before.root ? was.place : tile.place;
    const name = was ? was.name : tile.name;
    // A variant says which parts are shown and how; what there is of them is the recipe’s.
    const content =
      isVariant && was.kind === 'card' && tile.kind === 'card'
        ? { ...tile, parts: withPartsOf(was, tile).parts }
        : withExamples(tile, was, slots);
    return [id, { ...content, look, place, ...(name !== undefined && { name }) }];
  });
  const after: Recipe = { ...before, tiles: Object.fromEntries(kept), slots };
  if (variant === null) return after;
  const variants = before.variants.map((each) => {
    if (each.id !== variant) return each;
    const looks = Object.entries(tiles).map(([id, tile]) => {
      const base = (after.tiles[id] as Tile).look as unknown as Record<string, unknown>;
      const own = Object.entries(tile.look).filter(([field, value]) => !isSame(value, base[field]));
      return [id, Object.fromEntries(own)];
    });
    const forms = Object.entries(tiles).flatMap(([id, tile]) => {
      const base = after.tiles[id];
      const form = tile.kind === 'card' && base?.kind === 'card' ? formOf(tile, base) : null;
      return form ? [[id, form] as const] : [];
    });
    const { forms: _, ...rest } = each;
    return {
      ...rest,
      looks: Object.fromEntries(looks) as typeof each.looks,
      ...(forms.length > 0 && { forms: Object.fromEntries(forms) }),
    };
  });
  return { ...after, variants };
}

/** What slots hold belongs to the use; the recipe keeps its own example. */
function withExamples(tile: Tile, was: Tile | undefined, slots: readonly Slot[]): Tile {
  if (tile.kind !== 'card' || !was) return tile;
  const parts = tile.parts.map((part) => {
    const example = partsOf(was).find(({ id, kind }) => id === part.id && kind === part.kind);
    const fields = slots.filter((slot) => slot.tile === tile.id && slot.part === part.id);
    const own = fields.flatMap(({ field }) =>
      example && field in example ? [[field, (example as unknown as Record<string, unknown>)[field]]] : [],
    );
    return { ...part, ...Object.fromEntries(own) } as Part;
  });
  return { ...tile, parts };
}

function bringUpTo(
  draft: Draft,
  root: TileId,
  before: Recipe,
  after: Recipe,
  freshId: (part: Tile) => TileId,
): void {
  const variant = draft.tiles[root]?.recipe?.variant ?? null;
  const idOf = new Map<TileId, TileId>();
  const inside = withContents(draft, root);
  for (const id of inside) {
    const tile = draft.tiles[id];
    if (tile?.recipe?.recipe !== after.id) continue;
    idOf.set(tile.recipe.tile, id);
    follow(tile, { recipe: before, variant }, { recipe: after, variant }, tile.recipe.tile);
  }
  for (const [part, tile] of Object.entries(after.tiles)) {
    if (idOf.has(part)) continue;
    const id = freshId(tile);
    idOf.set(part, id);
    const made = {
      ...recipeTile(after, part, variant),
      id,
      recipe: { recipe: after.id, variant, tile: part },
    };
    draft.tiles[id] = clone<Tile>(made as Tile);
  }
  for (const [part, tile] of Object.entries(after.tiles)) {
    const own = draft.tiles[idOf.get(part) ?? ''];
    if (tile.kind === 'group' && own?.kind === 'group')
      own.order = tile.order.map((each) => idOf.get(each) as TileId);
  }
  const held = new Set(withContents(draft, root));
  forgetTiles(
    draft,
    inside.filter((id) => !held.has(id)),
  );
}
