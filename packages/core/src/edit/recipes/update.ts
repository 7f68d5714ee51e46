import { clone } from '../../document/clone.js';
import { forgetTiles } from '../commands/tiles.js';
import { withContents } from '../../document/levels.js';
import { follow, isSame, recipeLook, tilesUsing } from './follow.js';
import { partsFrom } from './parts.js';
import { slotsOf } from './slots.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, Recipe, Tile, TileId } from '../../document/types.js';

/** The outermost tile of the use of a recipe that a tile belongs to; null when it uses none. */
export function useRoot({ tiles, recipes }: CollectionDocument, id: TileId): TileId | null {
  const use = tiles[id]?.recipe;
  const recipe = use && recipes?.[use.recipe];
  if (!recipe) return null;
  const roots = Object.values(tiles).filter(
    ({ recipe: each }) => each?.recipe === use.recipe && each.part === recipe.root,
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
    const taken = partsFrom(document.tiles, root, recipe.id);
    const after = changed(before, taken.parts, use.variant);
    (draft.recipes ??= {})[recipe.id] = clone(after);
    for (const [id, part] of taken.partOf) {
      const each = draft.tiles[id];
      if (each) each.recipe = { recipe: recipe.id, variant: use.variant, part };
    }
    const others = tilesUsing(document, recipe.id).filter(
      ({ id, recipe: each }) => each?.part === before.root && id !== root,
    );
    for (const other of others) bringUpTo(draft, other.id, before, after, freshId);
  };
}

/** A recipe whose tiles have become others; in a variant, their looks are that variant's. */
function changed(before: Recipe, parts: Readonly<Record<TileId, Tile>>, variant: string | null): Recipe {
  const slots = slotsOf(parts, before.root).filter(
    ({ part, field }) =>
      !before.parts[part] || before.slots.some((slot) => slot.part === part && slot.field === field),
  );
  const named = slots.map(
    (slot) => before.slots.find(({ part, field }) => part === slot.part && field === slot.field) ?? slot,
  );
  // What slots hold belongs to the use; the recipe keeps its own example.
  const kept = Object.entries(parts).map(([id, part]): [TileId, Tile] => {
    const example = before.parts[id] as Record<string, unknown> | undefined;
    const fields = named.flatMap((slot) => (slot.part === id ? [slot.field] : []));
    const own = example ? Object.fromEntries(fields.map((field) => [field, example[field]])) : {};
    const look = variant !== null && before.parts[id] ? before.parts[id].look : part.look;
    const place = before.parts[id]?.place ?? part.place;
    const name = before.parts[id]?.name ?? part.name;
    return [id, { ...part, ...own, look, name, ...(id === before.root && { place }) }];
  });
  const after: Recipe = { ...before, parts: Object.fromEntries(kept), slots: named };
  if (variant === null) return after;
  const variants = before.variants.map((each) => {
    if (each.id !== variant) return each;
    const looks = Object.entries(parts).map(([id, part]) => {
      const base = (after.parts[id] as Tile).look as unknown as Record<string, unknown>;
      const own = Object.entries(part.look).filter(([field, value]) => !isSame(value, base[field]));
      return [id, Object.fromEntries(own)];
    });
    return { ...each, looks: Object.fromEntries(looks) as typeof each.looks };
  });
  return { ...after, variants };
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
    idOf.set(tile.recipe.part, id);
    follow(tile, before, after, tile.recipe);
  }
  for (const [part, tile] of Object.entries(after.parts)) {
    if (idOf.has(part)) continue;
    const id = freshId(tile);
    idOf.set(part, id);
    const look = recipeLook(after, part, variant);
    const made = { ...tile, id, look, recipe: { recipe: after.id, variant, part } };
    draft.tiles[id] = clone<Tile>(made);
  }
  for (const [part, tile] of Object.entries(after.parts)) {
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
