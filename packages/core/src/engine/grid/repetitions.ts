import { hasPercent, resolveLength } from '../css/length.js';
import type { Breadth, TrackListPart, TrackSizingFunction } from '../box/style.js';

export interface AvailableSpace {
  /** Inner size of the container, px; NaN when not definite. */
  readonly space: number;
  readonly minSpace: number;
  readonly maxSpace: number;
  readonly gap: number;
}

/** As many tracks as browsers allow for one axis to be repeated. */
const MOST_REPETITIONS = 10_000;

/**
 * How often the `auto-fill` or `auto-fit` of a track list repeats (CSS Grid 2, section 7.2.3.2):
 * as often as fits a definite size or maximum, often enough for a definite minimum, else once.
 */
export function countRepetitions(parts: readonly TrackListPart[], available: AvailableSpace): number {
  const repeat = parts.find((part) => part.kind === 'repeat' && typeof part.count !== 'number');
  if (repeat?.kind !== 'repeat') return 1;
  const { space, minSpace, maxSpace, gap } = available;
  const most = Number.isNaN(space) ? maxSpace : space;
  const basis = Number.isNaN(space) ? (maxSpace < Infinity ? maxSpace : minSpace) : space;
  const each = measure(repeat.parts, basis);
  const others = measure(
    parts.filter((part) => part !== repeat),
    basis,
  );
  const period = each.size + gap * each.count;
  if (period <= 0) return 1;
  // The others' tracks with a gap after each, and one gap too many at the end.
  const rest = others.size + gap * others.count - gap;
  const count =
    most < Infinity
      ? Math.floor((most - rest + 1e-6) / period)
      : minSpace > 0
        ? Math.ceil((minSpace - rest - 1e-6) / period)
        : 1;
  return Math.max(1, Math.min(count, MOST_REPETITIONS));
}

function measure(parts: readonly TrackListPart[], basis: number): { size: number; count: number } {
  let size = 0;
  let count = 0;
  for (const part of parts) {
    if (part.kind === 'track') {
      size += definiteSize(part.sizing, basis);
      count++;
    } else if (part.kind === 'repeat' && typeof part.count === 'number') {
      const inner = measure(part.parts, basis);
      size += inner.size * part.count;
      count += inner.count * part.count;
    }
  }
  return { size, count };
}

/** A track counts as its maximum if that is definite, floored by its minimum, else as its minimum. */
function definiteSize({ min, max, fitLimit: limit }: TrackSizingFunction, basis: number): number {
  const least = definite(min, basis);
  const most = limit === null ? definite(max, basis) : null;
  const size = most === null ? (least ?? 0) : Math.max(most, least ?? 0);
  // Never nothing, so that the count stays finite (the specification's floor of 1 px).
  return Math.max(1, size);
}

function definite(breadth: Breadth, basis: number): number | null {
  if (breadth.kind !== 'length') return null;
  if (Number.isNaN(basis) && hasPercent(breadth.value)) return null;
  return Math.max(0, resolveLength(breadth.value, basis));
}
