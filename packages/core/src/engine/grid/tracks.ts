import { hasPercent, resolveLength, toUnits } from '../css/length.js';
import type { Breadth, TrackSizingFunction } from '../box/style.js';

/** What a minimum or maximum is, once lengths are px. */
export const FIXED = 0;
export const AUTO = 1;
export const MIN_CONTENT = 2;
export const MAX_CONTENT = 3;
export const FLEX = 4;

/** The tracks of one axis while they are sized, one entry a track in each array. */
export interface AxisTracks {
  readonly count: number;
  readonly minKind: Uint8Array;
  readonly maxKind: Uint8Array;
  /** Flex factor of tracks whose maximum is `FLEX`, else 0. */
  readonly factor: Float64Array;
  /** Argument of `fit-content()`, in px; Infinity where there is none. */
  readonly fitLimit: Float64Array;
  readonly baseSize: Float64Array;
  readonly growthLimit: Float64Array;
  /** 1 where an empty track of `auto-fit` is collapsed to nothing, its gutters with it. */
  readonly collapsed: Uint8Array;
  readonly hasIntrinsic: boolean;
  readonly hasFlex: boolean;
}

/** A minimum and a maximum as numbers; the value is px, a flex factor, or unused. */
interface Resolved {
  readonly minKind: number;
  readonly minValue: number;
  readonly maxKind: number;
  readonly maxValue: number;
  readonly fitLimit: number;
}

/**
 * Initializes track sizes (CSS Grid 2, section 12.4).
 * @param space px that percentages refer to; NaN when not known, and then they count as `auto`
 */
export function initializeTracks(
  sizings: readonly TrackSizingFunction[],
  space: number,
  collapsed: Uint8Array,
): AxisTracks {
  const count = sizings.length;
  const tracks = {
    count,
    minKind: new Uint8Array(count),
    maxKind: new Uint8Array(count),
    factor: new Float64Array(count),
    fitLimit: new Float64Array(count).fill(Infinity),
    baseSize: new Float64Array(count),
    growthLimit: new Float64Array(count).fill(Infinity),
    collapsed,
    hasIntrinsic: false,
    hasFlex: false,
  };
  let last: TrackSizingFunction | null = null;
  let resolved: Resolved | null = null;
  for (let k = 0; k < count; k++) {
    if (collapsed[k] === 1) {
      tracks.growthLimit[k] = 0;
      continue;
    }
    const sizing = sizings[k] as TrackSizingFunction;
    if (sizing !== last || resolved === null) {
      resolved = resolveSizing(sizing, space);
      last = sizing;
    }
    const { minKind, maxKind, minValue, maxValue, fitLimit } = resolved;
    tracks.minKind[k] = minKind;
    tracks.maxKind[k] = maxKind;
    tracks.fitLimit[k] = fitLimit;
    if (minKind === FIXED) tracks.baseSize[k] = minValue;
    if (maxKind === FIXED) tracks.growthLimit[k] = Math.max(maxValue, tracks.baseSize[k] as number);
    if (maxKind === FLEX) {
      tracks.factor[k] = maxValue;
      tracks.hasFlex = true;
    }
    if (minKind !== FIXED || (maxKind !== FIXED && maxKind !== FLEX)) tracks.hasIntrinsic = true;
  }
  return tracks;
}

function resolveSizing({ min, max, fitLimit: limit }: TrackSizingFunction, space: number): Resolved {
  const least = resolveBreadth(min, space);
  const most = resolveBreadth(max, space);
  const unlimited = limit === null || (Number.isNaN(space) && hasPercent(limit));
  return {
    minKind: least.kind === FLEX ? AUTO : least.kind,
    minValue: least.value,
    maxKind: most.kind,
    maxValue: most.value,
    fitLimit: unlimited ? Infinity : Math.max(0, resolveLength(limit, space)),
  };
}

function resolveBreadth(breadth: Breadth, space: number): { kind: number; value: number } {
  switch (breadth.kind) {
    case 'length':
      if (Number.isNaN(space) && hasPercent(breadth.value)) return { kind: AUTO, value: 0 };
      return { kind: FIXED, value: toUnits(Math.max(0, resolveLength(breadth.value, space))) };
    case 'fr':
      return { kind: FLEX, value: breadth.value };
    case 'auto':
      return { kind: AUTO, value: 0 };
    case 'min-content':
      return { kind: MIN_CONTENT, value: 0 };
    case 'max-content':
      return { kind: MAX_CONTENT, value: 0 };
  }
}

/** The sum of the base sizes and of the gutters between tracks that are not collapsed. */
export function tracksTotal({ baseSize, collapsed, count }: AxisTracks, gap: number): number {
  let sum = 0;
  let open = 0;
  for (let k = 0; k < count; k++) {
    if (collapsed[k] === 1) continue;
    sum += baseSize[k] as number;
    open++;
  }
  return sum + Math.max(0, open - 1) * gap;
}
