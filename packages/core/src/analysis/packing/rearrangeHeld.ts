import { areaAt } from '../../arrangements/bento/areaMap.js';
import { placeIn } from '../../document/bands.js';
import { assignArea } from '../../edit/commands/areas.js';
import { moveByCells } from '../../edit/commands/moveToCell.js';
import { setPin, setSpan } from '../../edit/commands/place.js';
import { change, type Command } from '../../edit/patch/change.js';
import { flowOf, packed, placed, reordered } from './flow.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { CollectionDocument, Pin, Tile, TileId } from '../../document/types.js';
import type { GridArea } from '../../geometry/area.js';

export interface Rearranged {
  /** Where the first tile comes to lie; null: nowhere else without a hole, and all stays as it is. */
  readonly cell: Pin | null;
  readonly command: Command;
}

export const STAYS: Rearranged = { cell: null, command: () => undefined };

interface OutOfArea {
  readonly lead: TileId;
  readonly own: GridArea;
  readonly from: string | null;
  readonly cell: Pin;
  /** The cell from which it lies in the columns as large as it is seen. */
  readonly target: Pin;
}

/**
 * A tile in an area goes to the one at a cell, and those that are there to where it was. At a cell of none it
 * is let out and pinned there, as large as it is seen, where that leaves no more cells empty than before.
 */
export function fromArea(
  document: CollectionDocument,
  band: ResolvedBand,
  { lead, own, from, cell, target }: OutOfArea,
): Rearranged {
  const to = areaAt(band.arrangement, cell);
  if (from === null || to === from) return STAYS;
  if (to === null) {
    const command: Command = (draft) => {
      const { columnSpan, rowSpan } = own;
      setSpan({ tiles: [lead], band: band.index, setFor: 'band', columnSpan, rowSpan })(draft);
      setPin([lead], band.index, target)(draft);
    };
    const { empty } = flowOf(change(document, command).document, band);
    return empty > flowOf(document, band).empty ? STAYS : { cell: target, command };
  }
  const there = document.order.filter(
    (id) => placeIn(document, document.tiles[id] as Tile, band.index).area === to,
  );
  return {
    cell,
    command: (draft) => {
      assignArea([lead], to, band.index, 'band')(draft);
      assignArea(there, from, band.index, 'band')(draft);
    },
  };
}

/** Pinned tiles are pinned elsewhere; what flows is packed around them where that leaves fewer holes. */
export function pinnedElsewhere(
  document: CollectionDocument,
  band: ResolvedBand,
  ids: readonly TileId[],
  own: GridArea,
  target: Pin,
): Rearranged {
  const pinned = ids.filter((id) => placeIn(document, document.tiles[id] as Tile, band.index).pin);
  const move = moveByCells(document, pinned, band, target.column - own.column, target.row - own.row);
  const made = change(document, move).document;
  const flow = flowOf(made, band);
  const order =
    flow.empty > flowOf(document, band).empty
      ? packed(
          flow,
          flow.ids.map((_, k) => k),
          null,
        )
      : null;
  const better = order && placed(flow, order).empty < flow.empty ? reordered(made, band, flow, order) : null;
  return {
    cell: target,
    command: (draft) => {
      move(draft);
      better?.(draft);
    },
  };
}
