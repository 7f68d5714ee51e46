import { measured } from '../../document/measured.js';
import { overWidths } from '../../geometry/overWidths.js';
import { holeFrom, laneHoles, type LaneHole } from './ends.js';
import type { Layout, KindFinding, LevelStretch } from '../kind.js';
import type { TileId } from '../../document/types.js';

/** Lanes of a masonry that stay open before a tile over several, over the widths at which they are seen to. */
export function* masonryFindings(level: LevelStretch): Generator<KindFinding> {
  const { arrangement, first, last, from, to } = level;
  const [narrow, wide] = [measured(arrangement, from), measured(arrangement, to)];
  const holesIn = (layout: Layout) =>
    new Map(
      laneHoles(layout, layout === last ? wide : narrow).map((hole) => [`${hole.lane} ${hole.tile}`, hole]),
    );
  const over = (layout: Layout, size: number) => size - holeFrom(layout, narrow);
  const ends = holesIn(last);
  const begins = holesIn(first);
  const worst = new Map<TileId, KindFinding>();
  for (const key of new Set([...begins.keys(), ...ends.keys()])) {
    const [a, b] = [begins.get(key), ends.get(key)];
    const { tile, lane } = (a ?? b) as LaneHole;
    const found = overWidths(level, over(first, a?.size ?? 0), over(last, b?.size ?? 0));
    if (!found || found.badness <= (worst.get(tile)?.badness ?? 0)) continue;
    const share = (found.worst - from) / Math.max(1, to - from);
    const size = (a?.size ?? 0) + ((b?.size ?? 0) - (a?.size ?? 0)) * share;
    worst.set(tile, {
      ...found,
      kind: 'hole',
      tiles: [tile],
      said: { lane: lane + 1, size, columns: lanesOver(first, tile) },
    });
  }
  yield* worst.values();
}

/** How many lanes a tile lies over. */
function lanesOver(layout: Layout, id: TileId): number {
  const tile = layout.tiles.find((each) => each.id === id);
  return Math.max(tile?.columnSpan ?? 1, tile?.rowSpan ?? 1);
}
