import { hasPercent, toUnits } from '../css/length.js';
import { alignTracks } from './alignTracks.js';
import { type AxisPlan } from './placeGrid.js';
import { sizeTracks } from './sizeTracks.js';
import { type AxisItem } from './axisItem.js';
import { type AxisGeometry } from './subgrid.js';
import { initializeTracks, tracksTotal } from './tracks.js';
import type { Box, InheritedAxis } from '../box/box.js';
import type { Aligned, ContentAlignment } from '../box/style.js';

export const unknownSpace = (gap: number) => ({ space: NaN, minSpace: 0, maxSpace: Infinity, gap });

export function once<T>(work: () => T): () => T {
  let known: T | undefined;
  return () => (known ??= work());
}

export const inheritedGeometry = (axis: InheritedAxis | null | undefined): AxisGeometry | null =>
  axis?.geometry ? { ...axis.geometry, gap: axis.gap } : null;

export function needsBlockSize({ sizings }: AxisPlan, gap: Box['style']['rowGap']): boolean {
  if (typeof gap === 'object' && hasPercent(gap)) return true;
  return sizings.some(
    ({ min, max, fitLimit: limit }) =>
      max.kind === 'fr' ||
      (min.kind === 'length' && hasPercent(min.value)) ||
      (max.kind === 'length' && hasPercent(max.value)) ||
      (limit !== null && hasPercent(limit)),
  );
}

export interface AxisOptions {
  readonly space: number;
  readonly minSpace: number;
  readonly maxSpace: number;
  readonly gap: number;
  readonly alignment: Aligned<ContentAlignment>;
}

/** Sizes and aligns the tracks of one axis; `total` is their sum with the gutters. */
export function layOutAxis(
  plan: AxisPlan,
  items: () => readonly AxisItem[],
  { space, minSpace, maxSpace, gap, alignment }: AxisOptions,
): { readonly geometry: AxisGeometry; readonly total: number } {
  if (plan.shares && !Number.isNaN(space)) return shareSpace(plan.shares, space, gap);
  const tracks = initializeTracks(plan.sizings, space, plan.collapsed);
  const asks = tracks.hasIntrinsic || (tracks.hasFlex && Number.isNaN(space));
  sizeTracks(tracks, asks ? items() : [], {
    space,
    constraint: 'none',
    gap,
    minSpace,
    stretches: alignment.at === 'normal' || alignment.at === 'stretch',
  });
  const total = tracksTotal(tracks, gap);
  const size = Number.isNaN(space) ? Math.max(minSpace, Math.min(total, maxSpace)) : space;
  const { starts, between, origin } = alignTracks(tracks, gap, size - total, alignment);
  return { geometry: { starts, sizes: tracks.baseSize, gap: between, origin }, total };
}

export const areaSize = ({ starts, sizes }: AxisGeometry, start: number, span: number) => {
  const last = start + span - 1;
  return (starts[last] as number) + (sizes[last] as number) - (starts[start] as number);
};

/** Tracks that are nothing but shares need no rounds of sizing: section 12.7.1 in one step. */
function shareSpace(
  factors: Float64Array,
  space: number,
  gap: number,
): { readonly geometry: AxisGeometry; readonly total: number } {
  const count = factors.length;
  let sum = 0;
  for (let k = 0; k < count; k++) sum += factors[k] as number;
  const fraction = Math.max(0, space - (count - 1) * gap) / sum;
  const starts = new Float64Array(count);
  const sizes = new Float64Array(count);
  let left = 0;
  let at = 0;
  for (let k = 0; k < count; k++) {
    const share = fraction * (factors[k] as number) + left;
    const size = toUnits(share);
    left = Math.max(0, share - size);
    starts[k] = at;
    sizes[k] = size;
    at += size + gap;
  }
  return { geometry: { starts, sizes, gap, origin: 0 }, total: at - gap };
}
