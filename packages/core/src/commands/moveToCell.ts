import { bandsOf, placeIn } from '../document/bands.js';
import { bentoAreas } from '../bento/areas.js';
import { change, type Command } from '../patch/change.js';
import { moveInOrder } from './tiles.js';
import { setPin } from './place.js';
import type { CollectionDocument, Pin, Tile, TileId } from '../document/types.js';

/** How a tile gets to a cell: further forward or back in reading order, or held there. */
export interface MoveToCell {
  readonly by: 'order' | 'pin' | 'nothing';
  readonly command: Command;
}

/**
 * The least that brings a tile to a cell of a band: a free tile stays free when some position in
 * reading order, the nearest first, lets it flow right there; else it is pinned. A pinned tile's pin
 * moves.
 */
export function moveToCell(document: CollectionDocument, id: TileId, band: number, cell: Pin): MoveToCell {
  const tile = document.tiles[id] as Tile;
  const resolved = bandsOf(document)[band];
  if (!resolved) throw new RangeError(`There is no band ${band}.`);
  const place = placeIn(document, tile, band);
  const columns = resolved.arrangement.columns.length;
  const span = Math.min(place.columnSpan, columns);
  const target = {
    column: Math.max(1, Math.min(cell.column, columns - span + 1)),
    row: Math.max(1, cell.row),
  };
  const here = bentoAreas(document, resolved)[document.order.indexOf(id)];
  if (here?.column === target.column && here.row === target.row) {
    return { by: 'nothing', command: () => undefined };
  }
  if (place.pin) return { by: 'pin', command: setPin([id], band, target) };

  const from = document.order.indexOf(id);
  const positions = document.order.map((_, k) => k).sort((a, b) => Math.abs(a - from) - Math.abs(b - from));
  for (const position of positions) {
    if (position === from) continue;
    const command = moveInOrder([id], position);
    const moved = change(document, command).document;
    const area = bentoAreas(moved, resolved)[position];
    if (area?.column === target.column && area.row === target.row) return { by: 'order', command };
  }
  return { by: 'pin', command: setPin([id], band, target) };
}
