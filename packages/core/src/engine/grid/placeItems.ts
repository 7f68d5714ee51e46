import { denseFinder, sparseFinder } from './finders.js';
import { createOccupancy, type Occupancy } from './occupancy.js';

/** Where an item wishes to be in one axis: a track from 0 (negative: before the explicit grid), or null. */
export interface AxisWish {
  readonly start: number | null;
  readonly span: number;
}

export interface PlacementWish {
  readonly column: AxisWish;
  readonly row: AxisWish;
}

/** Tracks that the grid has in each axis, and where every item lies; indices from 0. */
export interface Placement {
  /** Implicit tracks before the explicit ones. */
  readonly columnsBefore: number;
  readonly rowsBefore: number;
  readonly columns: number;
  readonly rows: number;
  readonly columnStart: Int32Array;
  readonly columnSpan: Int32Array;
  readonly rowStart: Int32Array;
  readonly rowSpan: Int32Array;
}

export interface PlacementOptions {
  readonly explicitColumns: number;
  readonly explicitRows: number;
  readonly flowAxis: 'row' | 'column';
  readonly dense: boolean;
  /** Tracks across the flow that a subgrid has and can't grow; null for a grid of its own. */
  readonly bound: number | null;
}

/** The most cells a grid may have here; beyond, it is refused rather than let the page hang. */
const MOST_CELLS = 200_000_000;

/**
 * The grid item placement algorithm (CSS Grid 2, section 8.5), in order-modified document order.
 * @throws RangeError when the grid would have more than 200 million cells
 */
export function placeItems(wishes: readonly PlacementWish[], options: PlacementOptions): Placement {
  const placing = begin(wishes, options);
  placeHeld(placing);
  placeInLines(placing);
  placeFlowing(placing);
  return finish(placing);
}

/**
 * A grid whose items are being placed. `cross` runs across the flow (columns in row flow), `flow` along
 * it; indices are from the first implicit track.
 */
interface Placing {
  readonly count: number;
  readonly options: PlacementOptions;
  readonly crossWish: (k: number) => number | null;
  readonly flowWish: (k: number) => number | null;
  readonly crossStart: Int32Array;
  readonly crossSpan: Int32Array;
  readonly flowStart: Int32Array;
  readonly flowSpan: Int32Array;
  /** Implicit tracks before the explicit ones. */
  readonly crossBefore: number;
  readonly flowBefore: number;
  /** Tracks across the flow that there are for certain, and those that may yet come. */
  crossCount: number;
  readonly widest: number;
  room: number;
  taken: Occupancy;
  /** How far items reach along the flow, and across it. */
  end: number;
  crossEnd: number;
}

/** What is known before any item is placed: spans, tracks before the explicit ones, room for all. */
function begin(wishes: readonly PlacementWish[], options: PlacementOptions): Placing {
  const { bound } = options;
  const byRow = options.flowAxis === 'row';
  const count = wishes.length;
  const crossOf = (k: number) => (byRow ? wishes[k]?.column : wishes[k]?.row) as AxisWish;
  const flowOf = (k: number) => (byRow ? wishes[k]?.row : wishes[k]?.column) as AxisWish;
  const explicitCross = byRow ? options.explicitColumns : options.explicitRows;
  const explicitFlow = byRow ? options.explicitRows : options.explicitColumns;
  const crossSpan = new Int32Array(count);
  const flowSpan = new Int32Array(count);
  let [crossBefore, flowBefore, crossCount, flowCount] = [0, 0, explicitCross, explicitFlow];
  let widest = 1;
  let most = 0;
  // An item held in a line of the flow may open further tracks across: room for all of them, at first.
  let beyond = 0;
  for (let k = 0; k < count; k++) {
    const cross = crossOf(k);
    const flow = flowOf(k);
    const span = bound !== null && cross.start === null ? Math.min(cross.span, bound) : cross.span;
    crossSpan[k] = span;
    flowSpan[k] = flow.span;
    most += flow.span;
    if (cross.start !== null) {
      crossBefore = Math.max(crossBefore, -cross.start);
      crossCount = Math.max(crossCount, cross.start + cross.span);
    } else {
      widest = Math.max(widest, span);
      if (flow.start !== null) beyond += span;
    }
    if (flow.start !== null) {
      flowBefore = Math.max(flowBefore, -flow.start);
      flowCount = Math.max(flowCount, flow.start + flow.span);
    }
  }
  crossCount = bound ?? Math.max(0, crossCount + crossBefore);
  if (bound !== null) crossBefore = 0;
  flowCount = Math.max(0, flowCount + flowBefore);
  const room = Math.max(1, crossCount, widest) + beyond;
  refuseTooMany(room, Math.max(flowCount, most));
  return {
    count,
    options,
    crossWish: (k) => crossOf(k).start,
    flowWish: (k) => flowOf(k).start,
    crossStart: new Int32Array(count),
    crossSpan,
    flowStart: new Int32Array(count),
    flowSpan,
    crossBefore,
    flowBefore,
    crossCount,
    widest,
    room,
    taken: createOccupancy(room),
    // Without explicit tracks, implicit ones only reach as far as there are items.
    end: explicitFlow > 0 ? flowCount : 0,
    crossEnd: explicitCross > 0 || bound !== null ? crossCount : 0,
  };
}

/** Puts an item in its place. */
function settle(placing: Placing, k: number, cross: number, flow: number): void {
  placing.crossStart[k] = cross;
  placing.flowStart[k] = flow;
  take(placing, k);
  placing.end = Math.max(placing.end, flow + (placing.flowSpan[k] as number));
  placing.crossEnd = Math.max(placing.crossEnd, cross + (placing.crossSpan[k] as number));
}

function take({ crossStart, crossSpan, flowStart, flowSpan, taken, options: { bound } }: Placing, k: number) {
  const from = Math.max(0, crossStart[k] as number);
  const to = Math.min((crossStart[k] as number) + (crossSpan[k] as number), bound ?? Infinity);
  if (to > from) taken.take(flowStart[k] as number, from, to - from, flowSpan[k] as number);
}

/** Step 1: items that are held in both axes. */
function placeHeld(placing: Placing): void {
  for (let k = 0; k < placing.count; k++) {
    const [cross, flow] = [placing.crossWish(k), placing.flowWish(k)];
    if (cross !== null && flow !== null)
      settle(placing, k, cross + placing.crossBefore, flow + placing.flowBefore);
  }
}

/** Step 2: items that are held in a line of the flow; then it is known how many tracks there are across. */
function placeInLines(placing: Placing): void {
  const { count, options, crossSpan, flowSpan } = placing;
  const { bound, dense } = options;
  const cursors = new Map<number, number>();
  for (let k = 0; k < count; k++) {
    const flow = placing.flowWish(k);
    if (placing.crossWish(k) !== null || flow === null) continue;
    const line = flow + placing.flowBefore;
    const span = crossSpan[k] as number;
    const cross = placing.taken.firstFree(
      line,
      dense ? 0 : (cursors.get(line) ?? 0),
      span,
      flowSpan[k] as number,
    );
    cursors.set(line, cross + span);
    settle(placing, k, cross, line);
    placing.crossCount = bound ?? Math.max(placing.crossCount, cross + span);
  }
  placing.crossCount = bound ?? Math.max(placing.crossCount, placing.widest);
  if (placing.crossCount >= placing.room) return;
  placing.taken = createOccupancy(placing.crossCount);
  for (let k = 0; k < count; k++) if (placing.flowWish(k) !== null) take(placing, k);
}

/** Steps 3 and 4: all others, with a cursor. */
function placeFlowing(placing: Placing): void {
  const { count, options, crossBefore, crossSpan, flowSpan } = placing;
  const { bound } = options;
  const find = options.dense ? denseFinder(placing.taken) : sparseFinder(placing.taken);
  for (let k = 0; k < count; k++) {
    if (placing.flowWish(k) !== null) continue;
    const cross = placing.crossWish(k);
    const wished = crossSpan[k] as number;
    const held =
      cross === null ? -1 : bound === null ? cross + crossBefore : Math.max(0, Math.min(cross, bound - 1));
    const span = bound !== null && held >= 0 ? Math.min(wished, bound - held) : wished;
    const [at, line] = find(held, span, flowSpan[k] as number);
    settle(placing, k, at, line);
  }
}

/** The placement by column and row. */
function finish({ options, crossBefore, flowBefore, crossEnd, end, ...placing }: Placing): Placement {
  const { crossStart, crossSpan, flowStart, flowSpan } = placing;
  return options.flowAxis === 'row'
    ? {
        columnsBefore: crossBefore,
        rowsBefore: flowBefore,
        columns: crossEnd,
        rows: end,
        columnStart: crossStart,
        columnSpan: crossSpan,
        rowStart: flowStart,
        rowSpan: flowSpan,
      }
    : {
        columnsBefore: flowBefore,
        rowsBefore: crossBefore,
        columns: end,
        rows: crossEnd,
        columnStart: flowStart,
        columnSpan: flowSpan,
        rowStart: crossStart,
        rowSpan: crossSpan,
      };
}

function refuseTooMany(across: number, along: number): void {
  if (across <= 31 ? along <= MOST_CELLS : across * along <= MOST_CELLS) return;
  throw new RangeError(
    `This grid would have up to ${across} × ${along} cells; ${MOST_CELLS} are the most. Use smaller spans or line numbers.`,
  );
}
