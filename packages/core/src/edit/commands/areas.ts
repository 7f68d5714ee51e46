import { bandsOf, placeIn } from '../../document/bands.js';
import { mapRows, NO_AREA } from '../../arrangements/bento/areaMap.js';
import { AREA_NAME } from '../../document/spellings.js';
import { LIMITS } from '../../document/limits.js';
import { setMap } from './tracks.js';
import { writeBand } from './draft.js';
import type { Command } from '../patch/change.js';
import type { GridArea } from '../../geometry/area.js';
import type { TileId } from '../../document/types.js';
import type { SetFor } from './place.js';

/**
 * Paints cells into a named area. Where the area was before is given up, and other areas lose what
 * is painted over, or go when the rest of them is no rectangle.
 * @throws RangeError when the name can't name an area; its message says what to write
 */
export function paintArea(name: string, cells: GridArea, band: number, setFor: SetFor): Command {
  if (!AREA_NAME.test(name)) {
    throw new RangeError(
      `“${name}” can’t name an area. Write a word of letters, digits and hyphens, such as “side”.`,
    );
  }
  return (draft) => {
    const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    const columns = arrangement.columns.length;
    const present = mapRows(arrangement);
    const height = Math.min(LIMITS.rows, Math.max(present.length, cells.row + cells.rowSpan - 1));
    const rows = Array.from({ length: height }, (_, r) =>
      Array.from({ length: columns }, (_, c) => {
        const inside =
          r + 1 >= cells.row &&
          r + 1 < cells.row + cells.rowSpan &&
          c + 1 >= cells.column &&
          c + 1 < cells.column + cells.columnSpan;
        const now = present[r]?.[c] ?? NO_AREA;
        return inside ? name : now === name ? NO_AREA : now;
      }),
    );
    setMap(onlyRectangles(rows), band, setFor)(draft);
  };
}

/** Takes an area off the map; tiles in it flow again. */
export function removeArea(name: string, band: number, setFor: SetFor): Command {
  return (draft) => {
    const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    setMap(
      mapRows(arrangement).map((row) => row.map((each) => (each === name ? NO_AREA : each))),
      band,
      setFor,
    )(draft);
  };
}

/** Puts tiles into a named area, or out of any with null. A pin of this band gives way. */
export function assignArea(
  ids: readonly TileId[],
  area: string | null,
  band: number,
  setFor: SetFor,
): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile || placeIn(draft, tile, band).area === area) continue;
      if (setFor === 'all' || band === 0) Object.assign(tile.place, { area, pin: null });
      else writeBand(draft, band).tiles[id] = { ...writeBand(draft, band).tiles[id], area, pin: null };
      if (setFor !== 'all') continue;
      for (const each of draft.bands) {
        const own = each.tiles[id];
        delete own?.area;
        if (own && Object.keys(own).length === 0) delete each.tiles[id];
      }
    }
  };
}

function onlyRectangles(rows: readonly (readonly string[])[]): string[][] {
  const edges = new Map<string, { top: number; end: number; left: number; right: number; cells: number }>();
  rows.forEach((row, r) =>
    row.forEach((name, c) => {
      const at = edges.get(name) ?? { top: r, end: r, left: c, right: c, cells: 0 };
      edges.set(name, {
        top: at.top,
        end: r,
        left: Math.min(at.left, c),
        right: Math.max(at.right, c),
        cells: at.cells + 1,
      });
    }),
  );
  const isWhole = (name: string) => {
    const at = edges.get(name);
    if (!at) return false;
    return at.cells === (at.end - at.top + 1) * (at.right - at.left + 1);
  };
  return rows.map((row) => row.map((name) => (name === NO_AREA || isWhole(name) ? name : NO_AREA)));
}
