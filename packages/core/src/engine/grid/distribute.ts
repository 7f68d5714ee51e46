import { FLEX, type AxisTracks } from './tracks.js';
import type { AxisItem } from './axisItem.js';

export interface Affected {
  /** What grows: base sizes or growth limits. */
  readonly target: 'baseSize' | 'growthLimit';
  readonly affects: (track: number) => boolean;
  /** Of the affected tracks, those that grow past their limits first when space remains. */
  readonly beyond: (track: number) => boolean;
  readonly contribution: (item: AxisItem) => number;
  readonly gap: number;
  /** Flexible tracks share by their factors. */
  readonly byFactor: boolean;
  /** 1 for tracks whose growth limit may grow without limit in this step. */
  readonly growable?: Uint8Array;
}

/**
 * Distributes extra space across the tracks that each item spans (CSS Grid 2, section 12.5.1). The
 * planned increases of all items of the group are applied together at the end.
 */
export function distribute(tracks: AxisTracks, items: readonly AxisItem[], step: Affected): void {
  const { baseSize, growthLimit, count } = tracks;
  const planned = new Float64Array(count);
  const touched = new Uint8Array(count);
  for (const item of items) {
    const affected: number[] = [];
    for (let k = item.start; k < item.start + item.span; k++) if (step.affects(k)) affected.push(k);
    if (affected.length === 0) continue;
    for (const k of affected) touched[k] = 1;
    const space = extraSpace(tracks, item, step);
    if (space <= 0) continue;
    const increase = step.byFactor
      ? shareByFactor(tracks, affected, space)
      : share(tracks, affected, space, step);
    affected.forEach((k, i) => {
      planned[k] = Math.max(planned[k] as number, increase[i] as number);
    });
  }
  for (let k = 0; k < count; k++) {
    if (touched[k] === 0) continue;
    const growth = planned[k] as number;
    if (step.target === 'baseSize') baseSize[k] = (baseSize[k] as number) + growth;
    else
      growthLimit[k] =
        (growthLimit[k] === Infinity ? (baseSize[k] as number) : (growthLimit[k] as number)) + growth;
  }
}

/** What the item needs beyond the affected sizes of its tracks; an unknown limit counts as its base. */
function extraSpace({ baseSize, growthLimit }: AxisTracks, item: AxisItem, step: Affected): number {
  let taken = (item.span - 1) * step.gap;
  for (let k = item.start; k < item.start + item.span; k++) {
    taken +=
      step.target === 'baseSize' || growthLimit[k] === Infinity
        ? (baseSize[k] as number)
        : (growthLimit[k] as number);
  }
  return step.contribution(item) - taken;
}

function shareByFactor({ factor }: AxisTracks, affected: readonly number[], space: number): number[] {
  let sum = 0;
  for (const k of affected) sum += factor[k] as number;
  return affected.map((k) => (sum > 0 ? (space * (factor[k] as number)) / sum : space / affected.length));
}

/** Equal parts up to the limits, and the rest in equal parts beyond them. */
function share(tracks: AxisTracks, affected: readonly number[], space: number, step: Affected): number[] {
  const { baseSize, growthLimit, fitLimit, maxKind } = tracks;
  const room = affected.map((k) => {
    if (step.target === 'baseSize') {
      return Math.max(0, (growthLimit[k] as number) - (baseSize[k] as number));
    }
    const current = growthLimit[k] === Infinity ? (baseSize[k] as number) : (growthLimit[k] as number);
    if (growthLimit[k] === Infinity || step.growable?.[k] === 1) {
      return Math.max(0, (fitLimit[k] as number) - current);
    }
    return 0;
  });
  const increase = new Array<number>(affected.length).fill(0);
  const left = fill(increase, room, space);
  if (left <= 1e-9) return increase;
  const beyond = affected.map((k) => step.beyond(k) && maxKind[k] !== FLEX);
  const some = beyond.some(Boolean);
  const open = beyond.map((yes, i) => {
    if (!yes && some) return 0;
    const k = affected[i] as number;
    if (step.target === 'baseSize') return Infinity;
    const current = growthLimit[k] === Infinity ? (baseSize[k] as number) : (growthLimit[k] as number);
    return Math.max(0, (fitLimit[k] as number) - current - (increase[i] as number));
  });
  fill(increase, open, left);
  return increase;
}

/** Adds equal parts of `space` to `increase`, at most `room` each; answers what is left. */
function fill(increase: number[], room: readonly number[], space: number): number {
  const order = room.map((_, i) => i).sort((a, b) => (room[a] as number) - (room[b] as number));
  let left = space;
  order.forEach((i, n) => {
    const part = Math.min(room[i] as number, left / (order.length - n));
    increase[i] = (increase[i] as number) + part;
    left -= part;
  });
  return left;
}
