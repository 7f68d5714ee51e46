import { flatTiles, layoutCollection } from '../../layout/layout.js';
import type { LaidOutTile } from '../../arrangements/kind.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

type Slots = ReadonlyMap<TileId, LaidOutTile>;

let last: { document: CollectionDocument; measurer: TextMeasurer; byWidth: Map<number, Slots> } | null = null;

/**
 * Where every tile of a collection lies at a width of the page, those in groups too. Every picture of a
 * page asks it of the same widths, so the collection that was asked for last is remembered.
 * @throws whatever the measurer throws
 */
export function slotsAt(document: CollectionDocument, width: number, measurer: TextMeasurer): Slots {
  if (last?.document !== document || last.measurer !== measurer)
    last = { document, measurer, byWidth: new Map() };
  let slots = last.byWidth.get(width);
  if (!slots) {
    const tiles = flatTiles(layoutCollection(document, width, { measurer }));
    last.byWidth.set(width, (slots = new Map(tiles.map((tile) => [tile.id, tile]))));
  }
  return slots;
}
