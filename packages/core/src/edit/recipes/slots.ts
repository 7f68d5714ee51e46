import { partsOf } from '../../document/card.js';
import { withContents } from '../../document/levels.js';
import { partKindOf } from '../../parts/index.js';
import type { CollectionDocument, PartId, Recipe, Slot, Tile, TileId } from '../../document/types.js';
import type { SlotField } from '../../parts/part.js';

/** A field of content, and where it is. */
export interface ContentField extends SlotField {
  readonly tile: TileId;
  readonly part: PartId;
  /** What kind of part it is in. */
  readonly kind: string;
  readonly value: unknown;
}

/** The fields of content of a tile and of all that is in it, in the order in which they are read. */
export const contentOf = (tiles: CollectionDocument['tiles'], root: TileId): ContentField[] =>
  withContents({ tiles }, root).flatMap((tile) =>
    partsOf(tiles[tile] as Tile).flatMap((part) =>
      partKindOf(part).slots.map((slot) => ({
        ...slot,
        tile,
        part: part.id,
        kind: part.kind,
        value: (part as unknown as Readonly<Record<string, unknown>>)[slot.field],
      })),
    ),
  );

/** A slot for every field of content of a recipe's tiles; names that come twice are numbered. */
export function slotsOf(tiles: Readonly<Record<TileId, Tile>>, root: TileId): Slot[] {
  const slots: Slot[] = [];
  for (const { name, tile, part, field } of contentOf(tiles, root)) {
    const same = slots.filter((slot) => slot.name === name || slot.name.startsWith(`${name} `)).length;
    slots.push({ name: same === 0 ? name : `${name} ${same + 1}`, tile, part, field });
  }
  return slots;
}

/** What a slot of a recipe holds; undefined where it is for nothing that is there. */
export const slotField = ({ tiles }: Pick<Recipe, 'tiles'>, slot: Slot): ContentField | undefined =>
  tiles[slot.tile] &&
  contentOf({ [slot.tile]: tiles[slot.tile] as Tile }, slot.tile).find(
    ({ tile, part, field }) => tile === slot.tile && part === slot.part && field === slot.field,
  );
