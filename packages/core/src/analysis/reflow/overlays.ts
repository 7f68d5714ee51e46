import { areasMeet } from '../../geometry/relations.js';
import { placeIn, saidPin } from '../../document/bands.js';
import type { BandBearing } from '../bearing.js';
import type { GridArea } from '../../geometry/area.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';

/** A tile that lies over another in the wider band. */
export interface Overlay {
  readonly tile: Tile;
  /** What it lies over. */
  readonly base: TileId;
  /** The cells of both there. */
  readonly over: GridArea;
  readonly under: GridArea;
}

/**
 * The tiles that are pinned over others in the next wider band and not in this one, with the lowest one
 * that each lies over.
 * @param before the cells of tiles in the wider band
 */
export function overlaysIn(
  view: CollectionDocument,
  index: number,
  before: ReadonlyMap<TileId, GridArea>,
): ReadonlyMap<TileId, Overlay> {
  const over = new Map<TileId, Overlay>();
  const byLayer = [...before.keys()]
    .map((id) => ({ id, layer: placeIn(view, view.tiles[id] as Tile, index - 1).layer }))
    .sort((a, b) => a.layer - b.layer);
  byLayer.forEach(({ id }, k) => {
    const tile = view.tiles[id] as Tile;
    const said = saidPin(view, tile, index);
    if (!said.pin || said.by === index) return;
    const area = before.get(id) as GridArea;
    const base = byLayer.slice(0, k).find((each) => {
      const under = before.get(each.id) as GridArea;
      return !over.has(each.id) && areasMeet(under, area);
    });
    if (base) over.set(id, { tile, base: base.id, over: area, under: before.get(base.id) as GridArea });
  });
  return over;
}

/** The cells of a tile over another one that lies elsewhere now: as far along it as it was, and wide enough for its words. */
export function laidOver({ tile, over, under }: Overlay, now: GridArea, bearing: BandBearing): GridArea {
  let columnSpan = Math.min(over.columnSpan, now.columnSpan);
  while (columnSpan < now.columnSpan && bearing.leastRows(tile, columnSpan) === null) columnSpan++;
  const least = bearing.leastRows(tile, columnSpan) ?? 1;
  const rowSpan = Math.min(Math.max(over.rowSpan, least), now.rowSpan);
  return {
    column: now.column + along(over.column - under.column, under.columnSpan, now.columnSpan, columnSpan),
    row: now.row + along(over.row - under.row, under.rowSpan, now.rowSpan, rowSpan),
    columnSpan,
    rowSpan,
  };
}

/** How far in a tile begins, of `is` tracks where it was of `was`, when it takes so many. */
function along(offset: number, was: number, is: number, takes: number): number {
  const share = was > 1 ? Math.min(1, Math.max(0, offset / (was - 1))) : 0;
  return Math.min(Math.round(share * (is - 1)), is - takes);
}
