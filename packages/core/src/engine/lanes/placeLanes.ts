/** What asks for a place in lanes. Sizes run along the lanes, px. */
export interface LaneItem {
  /** Index of its first lane from 0; null: wherever there is room first. */
  readonly lane: number | null;
  readonly span: number;
}

export interface LanesOptions {
  readonly lanes: number;
  /** px between neighbours along a lane. */
  readonly gap: number;
  /** How far behind the shortest a lane may be and still be taken in its turn, px; Infinity: always in turn. */
  readonly tolerance: number;
  /**
   * After which item the next free one is looked for: the last `free` one, or `any`, one that is held at
   * its lane too. CSS Grid 3 is a draft, and browsers differ; left out: `free`.
   */
  readonly goOnAfter?: 'free' | 'any';
}

export interface LanesPlacement {
  readonly lane: Int32Array;
  /** Where each item starts along its lanes, px. */
  readonly start: Float64Array;
  /** Where each lane ends, px, without a gap after its last item. */
  readonly ends: Float64Array;
}

/**
 * Places items in lanes one after the other (CSS Grid 3, section 4, "placement in the stacking axis"):
 * each in the first lane, counted from where the last one was placed, that is no further along than
 * the shortest by more than the tolerance.
 *
 * @param sizeAt size of item `k` along the lanes when it starts in `lane`, px
 */
export function placeLanes(
  items: readonly LaneItem[],
  sizeAt: (k: number, lane: number) => number,
  { lanes, gap, tolerance, goOnAfter = 'free' }: LanesOptions,
): LanesPlacement {
  const count = items.length;
  const lane = new Int32Array(count);
  const start = new Float64Array(count);
  const running = new Float64Array(lanes);
  let cursor = 0;
  for (let k = 0; k < count; k++) {
    const item = items[k] as LaneItem;
    const span = Math.min(item.span, lanes);
    const at =
      item.lane === null ? firstLane(running, span, cursor, tolerance) : Math.min(item.lane, lanes - span);
    const position = furthest(running, at, span);
    lane[k] = at;
    start[k] = position;
    running.fill(position + sizeAt(k, at) + gap, at, at + span);
    if (item.lane === null || goOnAfter === 'any') cursor = at + span;
  }
  const ends = running.map((position) => Math.max(0, position - gap));
  return { lane, start, ends };
}

function furthest(running: Float64Array, at: number, span: number): number {
  let most = running[at] as number;
  for (let l = at + 1; l < at + span; l++) most = Math.max(most, running[l] as number);
  return most;
}

function firstLane(running: Float64Array, span: number, cursor: number, tolerance: number): number {
  const last = running.length - span;
  let least = Infinity;
  for (let l = 0; l <= last; l++) least = Math.min(least, furthest(running, l, span));
  const within = least + tolerance;
  let first = -1;
  for (let l = 0; l <= last; l++) {
    if (furthest(running, l, span) > within) continue;
    if (l >= cursor) return l;
    if (first < 0) first = l;
  }
  return first;
}

/** How uneven lanes end: (longest − shortest) ÷ mean; 0 for empty lanes. */
export function laneImbalance(ends: Float64Array): number {
  let [least, most, sum] = [Infinity, 0, 0];
  for (const end of ends) {
    least = Math.min(least, end);
    most = Math.max(most, end);
    sum += end;
  }
  return sum === 0 ? 0 : ((most - least) * ends.length) / sum;
}
