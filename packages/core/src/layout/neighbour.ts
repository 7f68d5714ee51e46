import type { LaidOutTile } from '../arrangements/kind.js';

/** An interval along one axis, in px. */
type Interval = readonly [start: number, end: number];

const gapBetween = (a: Interval, b: Interval) => Math.max(0, b[0] - a[1], a[0] - b[1]);
const middle = ([start, end]: Interval) => (start + end) / 2;

/**
 * The tile that lies next to another in a direction: beyond its edge on that side, first those that
 * face it, the nearest of them, and of equally near ones the one most level with it.
 * @param dx −1 towards inline start, 1 towards inline end, else 0
 * @param dy −1 upwards, 1 downwards, else 0
 * @returns null when nothing lies there
 */
export function neighbour(
  tiles: readonly LaidOutTile[],
  from: LaidOutTile,
  dx: number,
  dy: number,
): LaidOutTile | null {
  const along = (tile: LaidOutTile): Interval =>
    dx !== 0 ? [tile.x, tile.x + tile.inlineSize] : [tile.y, tile.y + tile.blockSize];
  const across = (tile: LaidOutTile): Interval =>
    dx !== 0 ? [tile.y, tile.y + tile.blockSize] : [tile.x, tile.x + tile.inlineSize];
  const forward = dx + dy > 0;
  let best: { tile: LaidOutTile; score: number } | null = null;
  for (const tile of tiles) {
    const [a, b] = [along(from), along(tile)];
    const distance = forward ? b[0] - a[1] : a[0] - b[1];
    if (tile.id === from.id || distance < -1) continue;
    const aside = gapBetween(across(from), across(tile));
    const level = Math.abs(middle(across(from)) - middle(across(tile)));
    const score = Math.max(0, distance) + aside * 4 + level * 0.05;
    if (!best || score < best.score) best = { tile, score };
  }
  return best?.tile ?? null;
}
