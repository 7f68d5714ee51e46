import { partsOf } from '../document/card.js';
import { newCard } from '../parts/newTile.js';
import type { CompositionName } from '../parts/part.js';
import { setPart } from '../edit/commands/tiles.js';
import type { Command } from '../edit/patch/change.js';
import type { Card, Tile, TileId, Words } from '../document/types.js';

/** Values of parts by their ids: words alone, or fields. */
export type Held = Readonly<Record<string, Words | object>>;

const fieldsOf = (held: Words | object): object =>
  typeof held === 'object' && !Array.isArray(held) ? held : { words: held };

/** Sets what parts of cards hold, each by its id. */
export const hold =
  (ids: readonly TileId[], values: Held): Command =>
  (draft) => {
    for (const [part, held] of Object.entries(values)) setPart(ids, part, fieldsOf(held))(draft);
  };

/** What the parts of a tile hold, by their ids: words where it is no more than that; not where those were written. */
export const heldBy = (tile: Tile | undefined): Record<string, unknown> =>
  Object.fromEntries(
    (tile ? partsOf(tile) : []).map(({ id, kind: _, from: __, ...fields }) => {
      const [only, ...more] = Object.entries(fields);
      return [id, only && more.length === 0 ? only[1] : fields];
    }),
  );

/** A card whose parts hold values, by their kinds. */
export const cardWith = (composition: CompositionName, id: TileId, values: Held = {}): Card =>
  newCard(
    composition,
    id,
    Object.fromEntries(Object.entries(values).map(([part, held]) => [part, { ...fieldsOf(held) }])),
  );

/** A card with other values in some of its parts. */
export const withHeld = (tile: Tile | undefined, values: Held): Card => {
  if (tile?.kind !== 'card') throw new Error('A card holds parts.');
  const parts = tile.parts.map((part) =>
    values[part.id] === undefined ? part : { ...part, ...fieldsOf(values[part.id] as object) },
  );
  return { ...tile, parts };
};
