import { pictureOf } from '../document/card.js';
import { placeIn, type Band } from '../document/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { letsThrough } from '../look/paints.js';
import { areasMeet } from '../geometry/relations.js';
import type { CollectionDocument, Tile, TileId } from '../document/types.js';
import type { LaidOutTile, Layout } from '../arrangements/kind.js';

/**
 * Tiles of a level of which nothing is seen, because tiles that let nothing through lie over every cell of
 * theirs.
 * @param document the level
 * @param layout of it, in the band
 */
export function unseenTiles(
  document: CollectionDocument,
  { index }: Pick<Band, 'index'>,
  { tiles, coverage }: Layout,
): TileId[] {
  if (coverage.overlapping === 0) return [];
  const { tiles: dressed } = documentIn(document, index);
  const shown = tiles.flatMap((laid, k) => {
    const tile = dressed[laid.id];
    return tile ? [{ laid, k, isOpaque: isOpaque(tile), layer: placeIn(document, tile, index).layer }] : [];
  });
  return shown.flatMap(({ laid, layer, k }) => {
    const over = shown.filter(
      (other) =>
        other.isOpaque &&
        (other.layer > layer || (other.layer === layer && other.k > k)) &&
        areasMeet(other.laid, laid),
    );
    return isCovered(
      laid,
      over.map((other) => other.laid),
    )
      ? [laid.id]
      : [];
  });
}

/** Whether nothing behind a tile is seen through it. */
function isOpaque(tile: Tile): boolean {
  const { fade } = tile.look;
  if (fade) return false;
  if (pictureOf(tile)?.picture) return true;
  return !letsThrough(tile.look);
}

function isCovered(tile: LaidOutTile, over: readonly LaidOutTile[]): boolean {
  if (over.length === 0) return false;
  for (let row = tile.row; row < tile.row + tile.rowSpan; row++) {
    for (let column = tile.column; column < tile.column + tile.columnSpan; column++) {
      const cell = { column, row, columnSpan: 1, rowSpan: 1 };
      if (!over.some((other) => areasMeet(other, cell))) return false;
    }
  }
  return true;
}
