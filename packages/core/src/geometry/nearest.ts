import type { Track } from './track.js';

/** How tracks go on after the last one: rows that are not there yet. */
export interface Continuation {
  readonly size: number;
  readonly gap: number;
  /** How many more there may be. */
  readonly most: number;
}

const none: Continuation = { size: 0, gap: 0, most: 0 };

function extended(tracks: readonly Track[], { size, gap, most }: Continuation): Track[] {
  const all = [...tracks];
  for (let k = 0; k < most; k++) {
    const last = all.at(-1);
    all.push({ start: last ? last.start + last.size + gap : 0, size });
  }
  return all;
}

const nearestIndex = (positions: readonly number[], position: number) =>
  positions.reduce(
    (best, each, k) =>
      Math.abs(each - position) < Math.abs((positions[best] ?? Infinity) - position) ? k : best,
    0,
  );

/** The 1-based line of the track whose start is nearest to a position in px. */
export function nearestLine(tracks: readonly Track[], position: number, more: Continuation = none): number {
  return (
    nearestIndex(
      extended(tracks, more).map(({ start }) => start),
      position,
    ) + 1
  );
}

/** The span from the track at 1-based `line` to the one whose end is nearest to a position; at least 1. */
export function nearestSpan(
  tracks: readonly Track[],
  line: number,
  position: number,
  more: Continuation = none,
): number {
  const ends = extended(tracks, more)
    .slice(line - 1)
    .map(({ start, size }) => start + size);
  return nearestIndex(ends, position) + 1;
}
