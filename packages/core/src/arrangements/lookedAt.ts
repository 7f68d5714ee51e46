import { areasMeet } from '../geometry/relations.js';
import { documentIn } from '../document/bandLooks.js';
import { levelOf, type Level } from '../document/levels.js';
import { perObjectAnd } from '../memo.js';
import { placeIn } from '../document/bands.js';
import { isOneColour } from '../look/textColour.js';
import { resolvedBandOf } from './bands.js';
import { wishesOf } from './cells.js';
import type { GridArea } from '../geometry/area.js';
import type { Lower } from '../look/painted.js';
import type { CollectionDocument, GroupTile, Tile, TileId } from '../document/types.js';

/** A collection as it looks in a band, with what lies below the tiles that let it through. */
export interface LookedAt extends CollectionDocument {
  readonly lower?: ReadonlyMap<TileId, readonly Lower[]>;
}

/**
 * A collection with the looks that it has in a band, and with the tiles over which others lie there. Only
 * tiles that are held lie over each other, so nothing is laid out. The same document gives the same view.
 * @throws RangeError when there is no such band
 */
export const lookedAt = perObjectAnd((document: CollectionDocument, bandIndex: number): LookedAt => {
  const looks = documentIn(document, bandIndex);
  const groups = Object.values(looks.tiles).filter((tile): tile is GroupTile => tile.kind === 'group');
  const levels: Level[] = [null, ...groups.map(({ id }) => id)];
  const lower = new Map(levels.flatMap((level) => [...lowerIn(levelOf(looks, level), bandIndex)]));
  return lower.size > 0 ? { ...looks, lower } : looks;
});

interface Held {
  readonly tile: Tile;
  readonly area: GridArea;
}

/** The tiles of a level that others lie over, by those, the lowest first. */
function lowerIn(level: CollectionDocument, bandIndex: number): Map<TileId, readonly Lower[]> {
  const held = heldIn(level, bandIndex);
  const found = new Map<TileId, readonly Lower[]>();
  const byRow = new Map<number, number[]>();
  held.forEach(({ tile, area }, k) => {
    const rows = Array.from({ length: area.rowSpan }, (_, row) => area.row + row);
    if (!isOneColour(tile.look)) {
      const near = [...new Set(rows.flatMap((row) => byRow.get(row) ?? []))].sort((a, b) => a - b);
      const below = near.map((at) => held[at] as Held).filter((each) => areasMeet(each.area, area));
      if (below.length > 0)
        found.set(
          tile.id,
          below.map((each) => asLower(each, area)),
        );
    }
    for (const row of rows) byRow.set(row, [...(byRow.get(row) ?? []), k]);
  });
  return found;
}

const asLower = ({ tile, area }: Held, upper: GridArea): Lower => ({
  tile,
  isBehindAll:
    area.column <= upper.column &&
    area.row <= upper.row &&
    area.column + area.columnSpan >= upper.column + upper.columnSpan &&
    area.row + area.rowSpan >= upper.row + upper.rowSpan,
});

/**
 * The tiles of a level that are held at cells, in the order in which they are painted; none where nothing
 * shows through one of them.
 */
function heldIn(level: CollectionDocument, bandIndex: number): Held[] {
  const tiles = level.order.map((id) => level.tiles[id] as Tile);
  if (tiles.every(({ look }) => isOneColour(look))) return [];
  const places = tiles.map((tile) => placeIn(level, tile, bandIndex));
  if (places.every(({ pin, area }) => pin === null && area === null)) return [];
  const found = wishesOf(level, resolvedBandOf(level, bandIndex)).flatMap((wish, k) => {
    const { column = null, row = null, columnSpan = 1, rowSpan = 1 } = wish ?? {};
    if (column === null || row === null) return [];
    const place = places[k] as (typeof places)[number];
    return [{ tile: tiles[k] as Tile, area: { column, row, columnSpan, rowSpan }, place }];
  });
  return found.sort((a, b) => a.place.layer - b.place.layer || a.place.order - b.place.order);
}
