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
 *
 * Dense flow remembers, for every size of item, where it last found room: cells are only ever taken,
 * so nothing of that size fits earlier. That makes it linear in the cells for each distinct size.
 *
 * @throws RangeError when the grid would have more than 200 million cells
 */
export function placeItems(wishes: readonly PlacementWish[], options: PlacementOptions): Placement {
  const { bound } = options;
  const byRow = options.flowAxis === 'row';
  const count = wishes.length;
  // `cross` runs across the flow (columns in row flow), `flow` along it.
  const crossStart = new Int32Array(count);
  const crossSpan = new Int32Array(count);
  const flowStart = new Int32Array(count);
  const flowSpan = new Int32Array(count);
  const crossWish = (k: number) => (byRow ? wishes[k]?.column : wishes[k]?.row) as AxisWish;
  const flowWish = (k: number) => (byRow ? wishes[k]?.row : wishes[k]?.column) as AxisWish;

  let crossBefore = 0;
  let flowBefore = 0;
  const explicitCross = byRow ? options.explicitColumns : options.explicitRows;
  const explicitFlow = byRow ? options.explicitRows : options.explicitColumns;
  let crossCount = explicitCross;
  let flowCount = explicitFlow;
  let widest = 1;
  let most = 0;
  for (let k = 0; k < count; k++) {
    const cross = crossWish(k);
    const flow = flowWish(k);
    crossSpan[k] = bound !== null && cross.start === null ? Math.min(cross.span, bound) : cross.span;
    flowSpan[k] = flow.span;
    most += flow.span;
    if (cross.start !== null) {
      crossBefore = Math.max(crossBefore, -cross.start);
      crossCount = Math.max(crossCount, cross.start + cross.span);
    } else widest = Math.max(widest, crossSpan[k] as number);
    if (flow.start !== null) {
      flowBefore = Math.max(flowBefore, -flow.start);
      flowCount = Math.max(flowCount, flow.start + flow.span);
    }
  }
  // An item held in a line of the flow may open further tracks across: room for all of them, at first.
  let beyond = 0;
  for (let k = 0; k < count; k++) {
    if (crossWish(k).start === null && flowWish(k).start !== null) beyond += crossSpan[k] as number;
  }
  crossCount = bound ?? Math.max(0, crossCount + crossBefore);
  if (bound !== null) crossBefore = 0;
  flowCount = Math.max(0, flowCount + flowBefore);
  const room = Math.max(1, crossCount, widest) + beyond;
  refuseTooMany(room, Math.max(flowCount, most));

  let taken = createOccupancy(room);
  // Without explicit tracks, implicit ones only reach as far as there are items.
  let end = explicitFlow > 0 ? flowCount : 0;
  let crossEnd = explicitCross > 0 || bound !== null ? crossCount : 0;
  const settle = (k: number, cross: number, flow: number) => {
    crossStart[k] = cross;
    flowStart[k] = flow;
    const depth = flowSpan[k] as number;
    take(k);
    end = Math.max(end, flow + depth);
    crossEnd = Math.max(crossEnd, cross + (crossSpan[k] as number));
  };
  const take = (k: number) => {
    const from = Math.max(0, crossStart[k] as number);
    const to = Math.min((crossStart[k] as number) + (crossSpan[k] as number), bound ?? Infinity);
    if (to > from) taken.take(flowStart[k] as number, from, to - from, flowSpan[k] as number);
  };

  for (let k = 0; k < count; k++) {
    const cross = crossWish(k).start;
    const flow = flowWish(k).start;
    if (cross !== null && flow !== null) settle(k, cross + crossBefore, flow + flowBefore);
  }
  const lineCursor = new Map<number, number>();
  for (let k = 0; k < count; k++) {
    const flow = flowWish(k).start;
    if (crossWish(k).start !== null || flow === null) continue;
    const line = flow + flowBefore;
    const span = crossSpan[k] as number;
    const from = options.dense ? 0 : (lineCursor.get(line) ?? 0);
    const cross = taken.firstFree(line, from, span, flowSpan[k] as number);
    lineCursor.set(line, cross + span);
    settle(k, cross, line);
    crossCount = bound ?? Math.max(crossCount, cross + span);
  }
  crossCount = bound ?? Math.max(crossCount, widest);
  if (crossCount < room) {
    taken = createOccupancy(crossCount);
    for (let k = 0; k < count; k++) {
      if (flowWish(k).start !== null) take(k);
    }
  }

  // The rest, with a cursor.
  const find = options.dense ? denseFinder(taken) : sparseFinder(taken);
  for (let k = 0; k < count; k++) {
    if (flowWish(k).start !== null) continue;
    const cross = crossWish(k).start;
    const held =
      cross === null ? -1 : bound === null ? cross + crossBefore : Math.max(0, Math.min(cross, bound - 1));
    const span =
      bound !== null && held >= 0 ? Math.min(crossSpan[k] as number, bound - held) : (crossSpan[k] as number);
    const [at, line] = find(held, span, flowSpan[k] as number);
    settle(k, at, line);
  }
  const before = byRow ? [crossBefore, flowBefore] : [flowBefore, crossBefore];
  return {
    columnsBefore: before[0] as number,
    rowsBefore: before[1] as number,
    columns: byRow ? crossEnd : end,
    rows: byRow ? end : crossEnd,
    columnStart: byRow ? crossStart : flowStart,
    columnSpan: byRow ? crossSpan : flowSpan,
    rowStart: byRow ? flowStart : crossStart,
    rowSpan: byRow ? flowSpan : crossSpan,
  };
}

function refuseTooMany(across: number, along: number): void {
  if (across <= 31 ? along <= MOST_CELLS : across * along <= MOST_CELLS) return;
  throw new RangeError(
    `This grid would have up to ${across} × ${along} cells; ${MOST_CELLS} are the most. Use smaller spans or line numbers.`,
  );
}

/** Answers where an item goes: its index across the flow (`held`, unless that is -1) and along it. */
type Finder = (held: number, span: number, depth: number) => readonly [cross: number, line: number];

function sparseFinder(taken: Occupancy): Finder {
  let cross = 0;
  let line = 0;
  return (held, span, depth) => {
    if (held >= 0) {
      if (held < cross) line++;
      while (taken.firstFree(line, held, span, depth) !== held) line++;
      cross = held;
    } else {
      let found = taken.firstFree(line, cross, span, depth);
      while (found < 0) found = taken.firstFree(++line, 0, span, depth);
      cross = found;
    }
    return [cross, line];
  };
}

function denseFinder(taken: Occupancy): Finder {
  const lastLines = new Map<number, Map<number, number>>();
  return (held, span, depth) => {
    const key = (held + 1) * 1e8 + span;
    let byDepth = lastLines.get(key);
    if (!byDepth) lastLines.set(key, (byDepth = new Map<number, number>()));
    let line = byDepth.get(depth) ?? 0;
    const from = Math.max(0, held);
    const fits = (found: number) => (held >= 0 ? found === held : found >= 0);
    let found = taken.firstFree(line, from, span, depth);
    while (!fits(found)) found = taken.firstFree(++line, from, span, depth);
    byDepth.set(depth, line);
    return [found, line];
  };
}
