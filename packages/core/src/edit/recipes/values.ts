import { clone } from '../../document/clone.js';
import { partsOf } from '../../document/card.js';
import { pointerSegment, pointerSegments } from '../../document/problems.js';
import type { Card, Part, Recipe, Slot, Tile, TileId } from '../../document/types.js';

/** Values of a tile by where they are in it, as JSON Pointers write it: `link`, `parts/heading/level`. */
export type Values = Readonly<Record<string, unknown>>;

/** What a tile has as its own and never from a recipe. */
const OWN = new Set(['id', 'name', 'kind', 'place', 'look', 'recipe', 'order', 'weight', 'parts']);

/** Which parts a card has, in order: each by its id and kind. */
const PARTS = 'parts';

const keyOf = (part: string, field: string) => `${PARTS}/${part}/${pointerSegment(field)}`;

/** Everything that a tile says beside its look and its place; what the slots of its recipe hold is left out. */
export function valuesOf(tile: Tile, slots: readonly Slot[], inRecipe: TileId): Values {
  const held = new Set(
    slots.flatMap((slot) => (slot.tile === inRecipe ? [keyOf(slot.part, slot.field)] : [])),
  );
  const own = Object.entries(tile).flatMap(([field, value]): [string, unknown][] =>
    OWN.has(field) ? [] : [[pointerSegment(field), value]],
  );
  const inParts = partsOf(tile).flatMap((part) =>
    Object.entries(part).flatMap(([field, value]): [string, unknown][] =>
      field === 'id' || field === 'kind' || held.has(keyOf(part.id, field))
        ? []
        : [[keyOf(part.id, field), value]],
    ),
  );
  const parts: [string, unknown][] =
    tile.kind === 'card' ? [[PARTS, tile.parts.map(({ id, kind }) => ({ id, kind }))]] : [];
  return Object.fromEntries([...own, ...parts, ...inParts]);
}

/** Everything that a tile has from its recipe, but its look: what no slot fills. */
export const recipeValues = (recipe: Recipe, tile: TileId): Values =>
  valuesOf(recipe.tiles[tile] as Tile, recipe.slots, tile);

/**
 * Writes one value of a tile; undefined takes it off. Parts that it has not are taken from its recipe.
 * @param like the recipe's tile
 */
export function writeValue(tile: Tile, key: string, value: unknown, like: Tile | undefined): void {
  if (key === PARTS) return writeParts(tile, value as readonly Pick<Part, 'id' | 'kind'>[], like);
  const [first = '', part, field] = pointerSegments(key);
  const on = field === undefined ? tile : partsOf(tile).find(({ id }) => id === part);
  if (on) set(on, field ?? first, value);
}

function writeParts(tile: Tile, wanted: readonly Pick<Part, 'id' | 'kind'>[], like: Tile | undefined): void {
  if (tile.kind !== 'card') return;
  const find = (parts: readonly Part[], { id, kind }: Pick<Part, 'id' | 'kind'>) =>
    parts.find((part) => part.id === id && part.kind === kind);
  const parts = wanted.flatMap((each) => {
    const given = find(tile.parts, each) ?? (like && find(partsOf(like), each));
    return given ? [clone<Part>(given)] : [];
  });
  (tile as { -readonly [K in keyof Card]: Card[K] }).parts = parts;
}

/** Sets a field, or takes it off. */
export function set(on: object, field: string, value: unknown): void {
  const values = on as Record<string, unknown>;
  if (value === undefined) delete values[field];
  else values[field] = clone(value);
}
