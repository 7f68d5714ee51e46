import { partIn, partsOf } from '../../document/card.js';
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

/** The slots of a recipe whose tiles have become others: those that it had, and those of parts that it had not. */
export function withSlotsOf({ root, slots, tiles: before }: Recipe, tiles: Recipe['tiles']): Slot[] {
  const isOf = (one: Slot) => (other: Slot) =>
    one.tile === other.tile && one.part === other.part && one.field === other.field;
  return slotsOf(tiles, root).flatMap((slot) => {
    const known = slots.find(isOf(slot));
    // A field of a part that was there and is no slot stays none.
    return known ? [known] : partIn(before[slot.tile], slot.part) ? [] : [slot];
  });
}

/** A slot with what it holds. */
export interface HeldSlot extends Slot {
  readonly of: ContentField;
}

/** The slots of a recipe that are for something that is there, with what that is. */
export function heldSlots({ tiles, root, slots }: Recipe): HeldSlot[] {
  const keyOf = ({ tile, part, field }: Omit<Slot, 'name'>) => [tile, part, field].join(' ');
  const all = new Map(contentOf(tiles, root).map((each) => [keyOf(each), each]));
  return slots.flatMap((slot) => {
    const of = all.get(keyOf(slot));
    return of ? [{ ...slot, of }] : [];
  });
}
