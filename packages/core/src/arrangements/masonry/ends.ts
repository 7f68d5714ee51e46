import { isAlong } from './values.js';
import type { LaidOutTile, Layout } from '../kind.js';
import type { MeasuredArrangement, TileId } from '../../document/types.js';

type Laid = Pick<Layout, 'columns' | 'rows' | 'tiles'>;

/** Where a tile lies along its lanes, px from where the first tile begins; lanes count from 0. */
interface AlongLanes {
  readonly first: number;
  readonly span: number;
  readonly from: number;
  readonly to: number;
}

function alongLanes(tile: LaidOutTile, { padding }: MeasuredArrangement, along: boolean): AlongLanes {
  const from = along ? tile.x - padding.inlineStart : tile.y - padding.blockStart;
  return along
    ? { first: tile.row - 1, span: tile.rowSpan, from, to: from + tile.inlineSize }
    : { first: tile.column - 1, span: tile.columnSpan, from, to: from + tile.blockSize };
}

/** Where each lane of a masonry ends, px from where its first tile begins. */
export function laneEnds({ columns, rows, tiles }: Laid, arrangement: MeasuredArrangement): number[] {
  const along = isAlong(arrangement);
  const ends = (along ? rows : columns).map(() => 0);
  for (const tile of tiles) {
    const { first, span, to } = alongLanes(tile, arrangement, along);
    for (let lane = first; lane < first + span; lane++) ends[lane] = Math.max(ends[lane] ?? 0, to);
  }
  return ends;
}

/** A stretch of a lane that stays open before a tile that lies over several. */
export interface LaneHole {
  /** The tile that comes after it. */
  readonly tile: TileId;
  /** From 0. */
  readonly lane: number;
  /** Where it begins, px from where the first tile begins. */
  readonly from: number;
  /** px, without the gaps around it. */
  readonly size: number;
}

/**
 * What stays open in the lanes of a masonry before tiles that lie over several: they begin where the
 * longest of their lanes ends. Nothing is left out, however small.
 */
export function laneHoles({ columns, rows, tiles }: Laid, arrangement: MeasuredArrangement): LaneHole[] {
  const along = isAlong(arrangement);
  const gap = along ? arrangement.columnGap : arrangement.rowGap;
  /** Where the next tile of a lane would begin. */
  const next = (along ? rows : columns).map(() => 0);
  const holes: LaneHole[] = [];
  for (const tile of tiles) {
    const { first, span, from, to } = alongLanes(tile, arrangement, along);
    for (let lane = first; lane < first + span; lane++) {
      const begins = next[lane] ?? 0;
      const size = from - gap - begins;
      if (size > 0) holes.push({ tile: tile.id, lane, from: begins, size });
      next[lane] = to + gap;
    }
  }
  return holes;
}

/** How long a stretch of a lane has to stay open before it is seen as a hole, px: a quarter of what a lane is across. */
export function holeFrom({ columns, rows }: Laid, arrangement: MeasuredArrangement): number {
  return ((isAlong(arrangement) ? rows[0] : columns[0])?.size ?? 0) / 4;
}
