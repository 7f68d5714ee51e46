import { assetsOf, carryAssets, type Assets } from '../commands/assets.js';
import { clone } from '../../document/clone.js';
import { forgetTiles, insertTile } from '../commands/tiles.js';
import { withContents } from '../../document/levels.js';
import { plainWords } from '../../parts/richText.js';
import { isSame, recipeDifferences, recipeLook } from './follow.js';
import { partsFrom } from './parts.js';
import { CONTENT_FIELDS, slotsOf } from './slots.js';
import { useRoot } from './update.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, Recipe, RecipeId, Tile, TileId, Words } from '../../document/types.js';

/** Makes a recipe of a tile with all that is in it; the tile is the first to use it. */
export function makeRecipe(tile: TileId, id: RecipeId, name: string): Command {
  return (draft) => {
    if (!draft.tiles[tile]) return;
    const { parts, root, partOf } = partsFrom(draft.tiles, tile, id);
    const recipe: Recipe = { id, name, root, parts, slots: slotsOf(parts, root), variants: [] };
    (draft.recipes ??= {})[id] = clone(recipe);
    for (const [each, part] of partOf) {
      const use = draft.tiles[each];
      if (use) use.recipe = { recipe: id, variant: null, part };
    }
  };
}

export interface UseRecipe {
  readonly recipe: Recipe;
  readonly variant: string | null;
  /** What the recipe shows and follows, when it comes from elsewhere. */
  readonly assets?: Assets;
  readonly position: number;
  readonly freshId: (part: Tile) => TileId;
}

/** The tiles of a new use of a recipe, the outermost first. */
export function tilesFrom(recipe: Recipe, variant: string | null, freshId: (part: Tile) => TileId): Tile[] {
  const ids = new Map(
    withContents({ tiles: recipe.parts }, recipe.root).map((part) => [
      part,
      freshId(recipe.parts[part] as Tile),
    ]),
  );
  return [...ids].map(([part, id]) => {
    const tile = clone(recipe.parts[part] as Tile) as Tile;
    const own = {
      ...tile,
      id,
      name: part === recipe.root ? recipe.name : tile.name,
      look: clone(recipeLook(recipe, part, variant)),
      recipe: { recipe: recipe.id, variant, part },
    } as Tile;
    return own.kind === 'group' ? { ...own, order: own.order.map((each) => ids.get(each) as TileId) } : own;
  });
}

/** Adds a recipe to the collection when it is not there. */
export function carryRecipe(draft: Draft, recipe: Recipe, assets: Assets | undefined): void {
  const needed = assetsOf({ pictures: {}, ...assets }, Object.values(recipe.parts));
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

/** The words of a tile's content in the order in which they are read, and its picture. */
function contentOf(tiles: CollectionDocument['tiles'], id: TileId) {
  const all = withContents({ tiles }, id).flatMap((each) => {
    const tile = tiles[each] as Tile;
    const fields = tile as unknown as Record<string, unknown>;
    return CONTENT_FIELDS[tile.kind].map((field) => ({ kind: tile.kind, field, value: fields[field] }));
  });
  const isText = (value: unknown): value is Words =>
    (typeof value === 'string' || Array.isArray(value)) && plainWords(value as Words).trim() !== '';
  const isWords = ({ field }: { field: string }) =>
    !['picture', 'film', 'poster', 'address', 'marks'].includes(field);
  return {
    exact: new Map(all.map(({ kind, field, value }) => [`${kind} ${field}`, value])),
    words: all.filter((each) => isWords(each) && isText(each.value)).map(({ value }) => value as Words),
    picture: all.find(({ field, value }) => field === 'picture' && value !== null)?.value ?? null,
  };
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
      const content = contentOf(tiles, id);
      const inside = withContents({ tiles }, id).slice(1);
      const made = tilesFrom(recipe, use.variant, (part) =>
        part.id === recipe.root ? id : use.freshId(part),
      );
      const filled = made.map((tile) => fill(tile, recipe, content));
      forgetTiles(draft, inside);
      for (const { groups, looks } of draft.bands) {
        delete groups?.[id];
        delete looks?.[id];
      }
      for (const tile of filled) {
        const own = tile.id === id ? { ...tile, name, place } : tile;
        draft.tiles[tile.id] = clone<Tile>(own);
      }
    }
  };
}

function fill(tile: Tile, recipe: Recipe, content: ReturnType<typeof contentOf>): Tile {
  const values: Record<string, unknown> = {};
  for (const { part, field } of recipe.slots) {
    if (part !== tile.recipe?.part) continue;
    const exact = content.exact.get(`${tile.kind} ${field}`);
    if (exact !== undefined) values[field] = exact;
    else if (field === 'picture' && content.picture !== null) values[field] = content.picture;
    else if (!['picture', 'film', 'poster', 'address', 'marks', 'focalPoint'].includes(field)) {
      const words = content.words.shift();
      if (words !== undefined) values[field] = field === 'body' ? words : plainWords(words);
    }
  }
  return { ...tile, ...values };
}

/** Shows tiles in another variant of their recipe; values of their own stay. */
export function setVariant(ids: readonly TileId[], variant: string | null): Command {
  return (draft) => {
    for (const id of ids.flatMap((each) => withContents(draft as CollectionDocument, each))) {
      const tile = draft.tiles[id];
      const recipe = tile?.recipe && draft.recipes?.[tile.recipe.recipe];
      if (!tile?.recipe || !recipe) continue;
      const own = new Set(
        recipeDifferences({ [recipe.id]: recipe }, tile as Tile).flatMap(({ of, field }) =>
          of === 'look' ? [field] : [],
        ),
      );
      const kept = Object.entries(tile.look).filter(([field]) => own.has(field));
      const look = recipeLook(recipe, tile.recipe.part, variant);
      const rest = Object.entries(look).filter(([field]) => !own.has(field));
      tile.look = clone(Object.fromEntries([...rest, ...kept])) as unknown as typeof tile.look;
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
    const looks: Record<TileId, object> = {};
    for (const each of withContents(draft, root)) {
      const inside = draft.tiles[each];
      if (inside?.recipe?.recipe !== recipe.id) continue;
      const base = recipe.parts[inside.recipe.part]?.look as unknown as Record<string, unknown>;
      const own = Object.entries(inside.look).filter(([field, value]) => !isSame(value, base[field]));
      looks[inside.recipe.part] = clone(Object.fromEntries(own));
      inside.recipe.variant = id;
    }
    recipe.variants.push({ id, name, looks });
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
