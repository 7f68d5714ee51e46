import { measuredIn } from '../../document/measured.js';
import { shownTiles, type Band } from '../../document/bands.js';
import { aspectOf } from '../shared/shape.js';
import type { LaidOutTile, Layout } from '../kind.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

/** A length that grows with the width of a lane: share × lane + length, px, and so many gaps. */
interface Linear {
  readonly share: number;
  readonly length: number;
  readonly rowGaps: number;
  readonly columnGaps: number;
}

export interface LaneOffset extends Linear {
  /** From 0. */
  readonly lane: number;
  readonly span: number;
}

const NOTHING: Linear = { share: 0, length: 0, rowGaps: 0, columnGaps: 0 };

/**
 * What lies above each tile of a masonry, as a share of the tile’s width, px and gaps. With lanes of width c
 * a tile of s lanes is w = s·c + (s − 1)·g wide and, of aspect a, w ÷ a high; so every edge is a straight
 * line of c, for as long as each tile keeps its lane, and words their height.
 */
export function laneOffsets(
  document: CollectionDocument,
  band: Band,
  layout: Layout,
): ReadonlyMap<TileId, LaneOffset> {
  const { columnGap, rowGap } = measuredIn(band);
  const lane = layout.columns[0]?.size ?? 0;
  const ends: Linear[] = layout.columns.map(() => NOTHING);
  const sizeOf = (end: Linear) =>
    end.share * lane + end.length + end.rowGaps * rowGap + end.columnGaps * columnGap;
  const at = new Map(layout.tiles.map((tile) => [tile.id, tile]));
  const found = new Map<TileId, LaneOffset>();
  for (const { tile } of shownTiles(document, band)) {
    const { column, columnSpan: span, blockSize } = at.get(tile.id) as LaidOutTile;
    const start = furthest(ends.slice(column - 1, column - 1 + span), sizeOf);
    found.set(tile.id, {
      lane: column - 1,
      span,
      ...start,
      share: start.share / span,
      columnGaps: start.columnGaps - (start.share / span) * (span - 1),
    });
    const aspect = aspectOf(document, tile);
    const end =
      aspect === null
        ? { ...start, length: start.length + blockSize, rowGaps: start.rowGaps + 1 }
        : {
            ...start,
            share: start.share + span / aspect,
            columnGaps: start.columnGaps + (span - 1) / aspect,
            rowGaps: start.rowGaps + 1,
          };
    ends.fill(end, column - 1, column - 1 + span);
  }
  return found;
}

function furthest(ends: readonly Linear[], sizeOf: (end: Linear) => number): Linear {
  return ends.reduce((most, end) => (sizeOf(end) > sizeOf(most) ? end : most));
}
