import type { AxisItem } from './axisItem.js';
import { toUnits } from '../css/length.js';
import { distribute, type Affected } from './distribute.js';
import { AUTO, FIXED, FLEX, MAX_CONTENT, MIN_CONTENT, tracksTotal, type AxisTracks } from './tracks.js';

export interface SizingOptions {
  /** Inner size of the container in this axis, px; NaN when it depends on its content. */
  readonly space: number;
  /** The constraint under which the container itself is being measured. */
  readonly constraint: 'none' | 'min-content' | 'max-content';
  readonly gap: number;
  /** Inner minimum of the container, px; 0 where there is none. */
  readonly minSpace: number;
  /** Whether `auto` tracks take what is left: content alignment is `normal` or `stretch`. */
  readonly stretches: boolean;
}

/**
 * The track sizing algorithm (CSS Grid 2, section 12.3 to 12.8) on initialized tracks; afterwards
 * `tracks.base` holds the used sizes.
 */
export function sizeTracks(tracks: AxisTracks, items: readonly AxisItem[], options: SizingOptions): void {
  const definite = !Number.isNaN(options.space);
  if (tracks.hasIntrinsic) resolveIntrinsic(tracks, items, options);
  for (let k = 0; k < tracks.count; k++) {
    if (tracks.growthLimit[k] === Infinity) tracks.growthLimit[k] = tracks.baseSize[k] as number;
  }
  maximize(tracks, options);
  if (tracks.hasFlex) expandFlexible(tracks, items, options);
  if (!options.stretches) return;
  if (definite) stretchAuto(tracks, options.space - tracksTotal(tracks, options.gap));
  else if (options.minSpace > 0) stretchAuto(tracks, options.minSpace - tracksTotal(tracks, options.gap));
}

/** Section 12.5: items of span 1, then wider ones by span, then those that span a flexible track. */
function resolveIntrinsic(tracks: AxisTracks, items: readonly AxisItem[], options: SizingOptions): void {
  const bySpan = new Map<number, AxisItem[]>();
  const flexible: AxisItem[] = [];
  const flexBefore = countBefore(tracks, (k) => tracks.maxKind[k] === FLEX);
  const intrinsicBefore = countBefore(tracks, (k) => isIntrinsic(tracks, k));
  for (const item of items) {
    const end = item.start + item.span;
    if ((intrinsicBefore[end] as number) === intrinsicBefore[item.start]) continue;
    const isFlexible = (flexBefore[end] as number) > (flexBefore[item.start] as number);
    if (item.isEdge || (item.span === 1 && !isFlexible)) fitSingle(tracks, item);
    else if (isFlexible) flexible.push(item);
    else {
      const group = bySpan.get(item.span);
      if (group) group.push(item);
      else bySpan.set(item.span, [item]);
    }
  }
  for (let k = 0; k < tracks.count; k++) {
    if ((tracks.growthLimit[k] as number) < (tracks.baseSize[k] as number))
      tracks.growthLimit[k] = tracks.baseSize[k] as number;
  }
  for (const span of [...bySpan.keys()].sort((a, b) => a - b)) {
    fitGroup(tracks, bySpan.get(span) as AxisItem[], options, false);
  }
  if (flexible.length > 0) fitGroup(tracks, flexible, options, true);
}

const isIntrinsic = (tracks: AxisTracks, k: number) =>
  tracks.collapsed[k] === 0 &&
  (tracks.minKind[k] !== FIXED || (tracks.maxKind[k] !== FIXED && tracks.maxKind[k] !== FLEX));

/** How many tracks before each index fulfil a test: a range is then one subtraction. */
function countBefore(tracks: AxisTracks, test: (k: number) => boolean): Int32Array {
  const counts = new Int32Array(tracks.count + 1);
  for (let k = 0; k < tracks.count; k++) counts[k + 1] = (counts[k] as number) + (test(k) ? 1 : 0);
  return counts;
}

/** Section 12.5, step 2, for one item in one track that is not flexible. */
function fitSingle(tracks: AxisTracks, item: AxisItem): void {
  const k = item.start;
  const { baseSize, growthLimit, minKind, maxKind, fitLimit } = tracks;
  switch (minKind[k]) {
    case MIN_CONTENT:
      baseSize[k] = Math.max(baseSize[k] as number, item.minContentContribution());
      break;
    case MAX_CONTENT:
      baseSize[k] = Math.max(baseSize[k] as number, item.maxContentContribution());
      break;
    case AUTO:
      baseSize[k] = Math.max(baseSize[k] as number, item.minimumContribution(tracks, item.start, 0));
      break;
  }
  const kind = maxKind[k] as number;
  if (item.isEdge) return;
  if (kind === MIN_CONTENT)
    growthLimit[k] = Math.max(finite(growthLimit[k] as number), item.minContentContribution());
  else if (kind === AUTO || kind === MAX_CONTENT) {
    const most = Math.min(item.maxContentContribution(), fitLimit[k] as number);
    growthLimit[k] = Math.max(finite(growthLimit[k] as number), most, baseSize[k] as number);
  }
}

const finite = (value: number) => (value === Infinity ? 0 : value);

/** Section 12.5, steps 3 and 4: a group of items that span several tracks, or a flexible one. */
function fitGroup(
  tracks: AxisTracks,
  items: readonly AxisItem[],
  { gap }: SizingOptions,
  flexible: boolean,
): void {
  const { minKind, maxKind, baseSize, growthLimit, count } = tracks;
  const counts = (k: number) => tracks.collapsed[k] === 0 && (!flexible || maxKind[k] === FLEX);
  const intrinsicMax = (k: number) => maxKind[k] !== FIXED && maxKind[k] !== FLEX;
  const maxContentMax = (k: number) => maxKind[k] === MAX_CONTENT || maxKind[k] === AUTO;
  const step = (options: Omit<Affected, 'gap' | 'byFactor'>) =>
    distribute(tracks, items, { ...options, gap, byFactor: flexible });

  step({
    target: 'baseSize',
    affects: (k) => counts(k) && minKind[k] !== FIXED,
    beyond: intrinsicMax,
    contribution: (item) => item.minimumContribution(tracks, item.start, 0),
  });
  step({
    target: 'baseSize',
    affects: (k) => counts(k) && (minKind[k] === MIN_CONTENT || minKind[k] === MAX_CONTENT),
    beyond: intrinsicMax,
    contribution: (item) => item.minContentContribution(),
  });
  step({
    target: 'baseSize',
    affects: (k) => counts(k) && minKind[k] === MAX_CONTENT,
    beyond: maxContentMax,
    contribution: (item) => item.maxContentContribution(),
  });
  for (let k = 0; k < count; k++) {
    if ((growthLimit[k] as number) < (baseSize[k] as number)) growthLimit[k] = baseSize[k] as number;
  }
  if (flexible) return;

  const growable = new Uint8Array(count);
  const before = growthLimit.slice();
  step({
    target: 'growthLimit',
    affects: (k) => counts(k) && intrinsicMax(k),
    beyond: intrinsicMax,
    contribution: (item) => item.minContentContribution(),
  });
  for (let k = 0; k < count; k++) if (before[k] === Infinity && growthLimit[k] !== Infinity) growable[k] = 1;
  step({
    target: 'growthLimit',
    affects: (k) => counts(k) && maxContentMax(k),
    beyond: maxContentMax,
    growable,
    contribution: (item) => item.maxContentContribution(),
  });
}

/** Section 12.6: what is left goes to the tracks in equal parts, up to their growth limits. */
function maximize(tracks: AxisTracks, { space, constraint, gap }: SizingOptions): void {
  const { baseSize, growthLimit, count } = tracks;
  if (constraint === 'min-content') return;
  if (!Number.isNaN(space)) {
    growToLimits(tracks, space - tracksTotal(tracks, gap));
    return;
  }
  for (let k = 0; k < count; k++) baseSize[k] = growthLimit[k] as number;
}

function growToLimits({ baseSize, growthLimit, count }: AxisTracks, free: number): void {
  let left = free;
  const open: number[] = [];
  for (let k = 0; k < count; k++) if ((growthLimit[k] as number) > (baseSize[k] as number)) open.push(k);
  // The track with the least room fills first, and the rest share what it leaves.
  open.sort((a, b) => room(a) - room(b));
  function room(k: number): number {
    return (growthLimit[k] as number) - (baseSize[k] as number);
  }
  for (let i = 0; i < open.length && left > 0; i++) {
    const k = open[i] as number;
    const growth = Math.min(room(k), left / (open.length - i));
    baseSize[k] = (baseSize[k] as number) + growth;
    left -= growth;
  }
}

/** Section 12.7. */
function expandFlexible(tracks: AxisTracks, items: readonly AxisItem[], options: SizingOptions): void {
  const { space, constraint, gap } = options;
  if (!Number.isNaN(space)) {
    applyFraction(tracks, findFraction(tracks, 0, tracks.count, space, gap));
    return;
  }
  if (constraint === 'min-content') return;
  const { baseSize, factor, maxKind, count } = tracks;
  let fraction = 0;
  for (let k = 0; k < count; k++) {
    if (maxKind[k] === FLEX)
      fraction = Math.max(fraction, (baseSize[k] as number) / Math.max(1, factor[k] as number));
  }
  for (const item of items) {
    const end = item.start + item.span;
    let crosses = false;
    for (let k = item.start; k < end && !crosses; k++) crosses = (factor[k] as number) > 0;
    if (crosses) {
      fraction = Math.max(
        fraction,
        findFraction(tracks, item.start, end, item.maxContentContribution(), gap),
      );
    }
  }
  // The container's minimum and maximum are kept by sizing the rows anew once its height is known.
  applyFraction(tracks, fraction);
}

/** What a track's share loses by counting in 64ths of a px goes to the next one. */
function applyFraction({ baseSize, factor, maxKind, count }: AxisTracks, fraction: number): void {
  let left = 0;
  for (let k = 0; k < count; k++) {
    if (maxKind[k] !== FLEX) continue;
    const share = fraction * (factor[k] as number) + left;
    const size = toUnits(share);
    if (size < (baseSize[k] as number)) continue;
    baseSize[k] = size;
    left = Math.max(0, share - size);
  }
}

/** Section 12.7.1: the size of one `fr` over some tracks in a space. */
function findFraction(tracks: AxisTracks, from: number, to: number, space: number, gap: number): number {
  const { baseSize, factor, maxKind, collapsed } = tracks;
  let left = space;
  let factors = 0;
  let open = 0;
  const flexible: number[] = [];
  for (let k = from; k < to; k++) {
    if (collapsed[k] === 1) continue;
    open++;
    if (maxKind[k] === FLEX) {
      flexible.push(k);
      factors += factor[k] as number;
    } else left -= baseSize[k] as number;
  }
  left -= Math.max(0, open - 1) * gap;
  if (left <= 0) return 0;
  // Tracks whose content needs more than their share are set aside, the neediest first.
  const need = (k: number) => (baseSize[k] === 0 ? 0 : (baseSize[k] as number) / (factor[k] as number));
  flexible.sort((a, b) => need(b) - need(a));
  for (const k of flexible) {
    const fraction = left / Math.max(1, factors);
    if (fraction * (factor[k] as number) >= (baseSize[k] as number)) return fraction;
    left -= baseSize[k] as number;
    factors -= factor[k] as number;
  }
  return 0;
}

/** Section 12.8. */
function stretchAuto({ baseSize, maxKind, collapsed, count }: AxisTracks, free: number): void {
  if (free <= 0) return;
  let autos = 0;
  for (let k = 0; k < count; k++) if (maxKind[k] === AUTO && collapsed[k] === 0) autos++;
  for (let k = 0; k < count; k++) {
    if (maxKind[k] === AUTO && collapsed[k] === 0) baseSize[k] = (baseSize[k] as number) + free / autos;
  }
}
