import { assetsOf, carryAssets, clone, type Assets } from '../commands/assets.js';
import { insertTile, removeTiles } from '../commands/tiles.js';
import { withContents } from '../document/levels.js';
import { plainWords } from '../page/richText.js';
import { follow, isSame, recipeDifferences, recipeLook, tilesUsing } from './follow.js';
import type { Draft } from '../commands/draft.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, Recipe, RecipeId, Slot, Tile, TileId, Words } from '../document/types.js';

/** Fields of content that a recipe leaves to each use, by kind, in the order in which they are read. */
export const CONTENT_FIELDS: Readonly<Record<Tile['kind'], readonly string[]>> = {
  text: ['eyebrow', 'heading', 'body'],
  stat: ['figure', 'label'],
  quote: ['words', 'source'],
  marks: ['marks'],
  action: ['label', 'address'],
  picture: ['picture', 'caption', 'focalPoint'],
  film: ['film', 'poster', 'caption', 'focalPoint'],
  group: [],
};

const SLOT_NAMES: Readonly<Record<string, string>> = {
  body: 'Text',
  words: 'Quote',
  focalPoint: 'Focal point',
};
const slotName = (field: string) =>
  SLOT_NAMES[field] ?? `${field.charAt(0).toUpperCase()}${field.slice(1).toLowerCase()}`;

/** A slot for every field of content of a recipe's tiles; names that come twice are numbered. */
export function slotsOf(parts: Readonly<Record<TileId, Tile>>, root: TileId): Slot[] {
  const slots: Slot[] = [];
  for (const id of withContents({ tiles: parts }, root)) {
    const part = parts[id] as Tile;
    for (const field of CONTENT_FIELDS[part.kind]) {
      const name = slotName(field);
      const same = slots.filter((slot) => slot.name === name || slot.name.startsWith(`${name} `)).length;
      slots.push({ name: same === 0 ? name : `${name} ${same + 1}`, part: id, field });
    }
  }
  return slots;
}

/** Tiles of a collection as the tiles of a recipe: by the part that each is, the others by their ids. */
function partsFrom(tiles: CollectionDocument['tiles'], root: TileId, recipe: RecipeId) {
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
 * it. A tile of another kind hands its words on in the order in which they are read.
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
      for (const each of inside) delete draft.tiles[each];
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
  for (const id of withContents(draft, root)) {
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
  const gone = Object.keys(before.parts).filter((part) => !after.parts[part] && idOf.has(part));
  if (gone.length > 0)
    forgetTiles(
      draft,
      gone.map((part) => idOf.get(part) as TileId),
    );
}

/** Removes tiles that no order holds any more. */
function forgetTiles(draft: Draft, ids: readonly TileId[]): void {
  const order = draft.order;
  draft.order = [...ids];
  removeTiles(ids)(draft);
  draft.order = order;
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
