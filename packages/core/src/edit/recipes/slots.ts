import { withContents } from '../../document/levels.js';
import type { Slot, Tile, TileId } from '../../document/types.js';

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
