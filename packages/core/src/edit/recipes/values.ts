import { clone } from '../../document/clone.js';
import { partIn, partsOf, shownParts } from '../../document/card.js';
import { asKind, saysAnything } from '../../parts/becoming.js';
import { pointerSegment, pointerSegments } from '../../document/problems.js';
import type { Card, Part, PartName, Slot, Tile, TileId } from '../../document/types.js';

/** Values of a tile by where they are in it, as JSON Pointers write it: `link`, `parts/heading/level`. */
export type Values = Readonly<Record<string, unknown>>;

/** What a tile has as its own and never from a recipe. */
const OWN = new Set(['id', 'name', 'kind', 'place', 'look', 'recipe', 'order', 'weight', 'parts']);

/** Which parts a card shows, in order: each by its id and kind. */
const PARTS = 'parts';

const keyOf = (part: string, field: string) => `${PARTS}/${part}/${pointerSegment(field)}`;

/**
 * Everything that a tile says beside its look and its place; what the slots of its recipe hold is left
 * out, and so are parts that are not shown.
 */
export function valuesOf(tile: Tile, slots: readonly Slot[], inRecipe: TileId): Values {
  const held = new Set(
    slots.flatMap((slot) => (slot.tile === inRecipe ? [keyOf(slot.part, slot.field)] : [])),
  );
  const own = Object.entries(tile).flatMap(([field, value]): [string, unknown][] =>
    OWN.has(field) ? [] : [[pointerSegment(field), value]],
  );
  const inParts = shownParts(tile).flatMap((part) =>
    Object.entries(part).flatMap(([field, value]): [string, unknown][] =>
      NOT_VALUES.has(field) || held.has(keyOf(part.id, field)) ? [] : [[keyOf(part.id, field), value]],
    ),
  );
  const parts: [string, unknown][] =
    tile.kind === 'card' ? [[PARTS, shownParts(tile).map(({ id, kind }) => ({ id, kind }))]] : [];
  return Object.fromEntries([...own, ...parts, ...inParts]);
}

/** Whether a part is shown is said by the list of those that are; where its words come from is its own. */
const NOT_VALUES: ReadonlySet<string> = new Set(['id', 'kind', 'hidden', 'from']);

/**
 * Writes one value of a tile; undefined takes it off. Parts that it has not are taken
 * from its recipe; those that are not shown any more stay hidden, where they say anything.
 * @param like the recipe's tile
 */
export function writeValue(tile: Tile, key: string, value: unknown, like: Tile | undefined): void {
  if (key === PARTS) return writeParts(tile, value as readonly Pick<Part, 'id' | 'kind'>[], like);
  const [first = '', part, field] = pointerSegments(key);
  if (field === undefined) return set(tile, first, value);
  const on = partsOf(tile).find(({ id }) => id === part);
  // A part that is hidden keeps what it says.
  if (on && !(on.hidden && value === undefined)) set(on, field, value);
}

function writeParts(tile: Tile, wanted: readonly Pick<Part, 'id' | 'kind'>[], like: Tile | undefined): void {
  if (tile.kind !== 'card') return;
  const shown = wanted.flatMap(({ id, kind }) => {
    const given = partIn(tile, id) ?? (like && partIn(like, id));
    return given ? [shownAs(given, kind)] : [];
  });
  const others = tile.parts.filter((part) => !shown.some(({ id }) => id === part.id) && saysAnything(part));
  const parts = [...shown, ...others.map((part): Part => ({ ...part, hidden: true }))];
  (tile as { -readonly [K in keyof Card]: Card[K] }).parts = clone(parts);
}

/** A part that is shown, as another kind where it is one there. */
export function shownAs(part: Part, kind: PartName): Part {
  const { hidden: _, ...shown } = asKind(part, kind);
  return shown;
}

/** Sets a field, or takes it off. */
export function set(on: object, field: string, value: unknown): void {
  const values = on as Record<string, unknown>;
  if (value === undefined) delete values[field];
  else values[field] = clone(value);
}
