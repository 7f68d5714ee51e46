import { shownTiles, type Band } from '../../document/bands.js';
import { aspectOf } from '../shared/shape.js';
import type { LaidOutTile, Layout } from '../kind.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

/** A length that grows with the width of a lane: share × lane + length, px. */
interface Linear {
  readonly share: number;
  readonly length: number;
}

export interface LaneOffset {
  /** From 0. */
  readonly lane: number;
  readonly span: number;
  /** What lies above the tile: this share of the tile’s own width, and so many px. */
  readonly share: number;
  readonly length: number;
}

/**
 * What lies above each tile of a masonry, as a share of the tile’s width and px. With lanes of width c
 * a tile of s lanes is w = s·c + (s − 1)·g wide and, of aspect a, w ÷ a high; so every edge is a straight
 * line of c, for as long as each tile keeps its lane, and words their height.
 */
export function laneOffsets(
  document: CollectionDocument,
  band: Band,
  layout: Layout,
): ReadonlyMap<TileId, LaneOffset> {
  const { columnGap, rowGap } = band.arrangement;
  const lane = layout.columns[0]?.size ?? 0;
  const ends: Linear[] = layout.columns.map(() => ({ share: 0, length: 0 }));
  const at = new Map(layout.tiles.map((tile) => [tile.id, tile]));
  const found = new Map<TileId, LaneOffset>();
  for (const { tile } of shownTiles(document, band)) {
    const { column, columnSpan: span, blockSize } = at.get(tile.id) as LaidOutTile;
    const start = furthest(ends.slice(column - 1, column - 1 + span), lane);
    const between = (span - 1) * columnGap;
    found.set(tile.id, {
      lane: column - 1,
      span,
      share: start.share / span,
      length: start.length - (start.share / span) * between,
    });
    const aspect = aspectOf(document, tile);
    const end =
      aspect === null
        ? { share: start.share, length: start.length + blockSize + rowGap }
        : { share: start.share + span / aspect, length: start.length + between / aspect + rowGap };
    ends.fill(end, column - 1, column - 1 + span);
  }
  return found;
}

function furthest(ends: readonly Linear[], lane: number): Linear {
  const size = ({ share, length }: Linear) => share * lane + length;
  return ends.reduce((most, end) => (size(end) > size(most) ? end : most));
}
