import { resolvedBands } from '../../arrangements/bands.js';
import { cellsOf, isHidden } from '../../arrangements/cells.js';
import { emptyGroup } from '../../arrangements/emptyGroup.js';
import { boundsOf } from '../../geometry/bounds.js';
import { newGroup } from '../../parts/newTile.js';
import { forgetTiles, insertTile } from './tiles.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { GroupTile, TileId } from '../../document/types.js';

/**
 * Puts tiles into a new group, which takes the cells around them all in this band and has as many
 * columns as those; gaps are carried over. Fewer than one tile makes no group.
 */
export function groupTiles(ids: readonly TileId[], id: TileId, band: number): Command {
  return (draft) => {
    const inside = draft.order.filter((each) => ids.includes(each));
    const resolved = resolvedBands(draft)[band];
    const [first] = inside;
    if (first === undefined || !resolved) return;
    const areas = cellsOf(draft, resolved).filter((_, k) => ids.includes(draft.order[k] as TileId));
    // Tiles that are all hidden here take no cells.
    const bounds = boundsOf(areas.filter((area) => !isHidden(area)));
    const [columnSpan, rowSpan] = [Math.max(1, bounds.columnSpan), Math.max(1, bounds.rowSpan)];
    const { columnGap, rowGap, flow } = resolved.arrangement;
    const group: GroupTile = {
      ...newGroup(id),
      place: { columnSpan, rowSpan, pin: null },
      look: { fill: draft.look.background, textColour: 'auto', spread: 'start' },
      arrangement: {
        ...emptyGroup(),
        columns: Array.from({ length: columnSpan }, () => '1fr'),
        columnGap,
        rowGap,
        flow,
      },
      order: inside,
    };
    const position = draft.order.indexOf(first);
    draft.order = draft.order.filter((each) => !inside.includes(each));
    insertTile(draft, group, position);
    inside.forEach((each) => setFree(draft, each));
  };
}

/** Pins and areas are lines of the grid that a tile leaves. */
function setFree(draft: Draft, id: TileId): void {
  const tile = draft.tiles[id];
  if (!tile) return;
  delete tile.place.area;
  tile.place.pin = null;
  for (const { tiles } of draft.bands) {
    const own = tiles[id];
    if (!own) continue;
    delete own.pin;
    delete own.area;
    if (Object.keys(own).length === 0) delete tiles[id];
  }
}

/** Takes a group apart: its tiles come in its place in reading order, free. */
export function ungroup(id: TileId): Command {
  return (draft) => {
    const group = draft.tiles[id];
    const position = draft.order.indexOf(id);
    if (group?.kind !== 'group' || position === -1) return;
    const inside = [...group.order];
    inside.forEach((each) => setFree(draft, each));
    draft.order = [...draft.order.slice(0, position), ...inside, ...draft.order.slice(position + 1)];
    forgetTiles(draft, [id]);
  };
}
