import { lowestGap } from '../../geometry/skyline.js';
import type { HeldCells, Span } from './fillCells.js';

/** A tile that flows, with the spans that it may have; the first is the one it has. */
export interface PackTile {
  readonly spans: readonly Span[];
}

export interface PackOptions {
  readonly columns: number;
  readonly held: readonly HeldCells[];
  readonly tiles: readonly PackTile[];
  /** How many places a tile may move in the order. */
  readonly distance: number;
  /** How many tiles may have another span than their first. */
  readonly mostSpans: number;
}

/** A way to fill the grid: tiles in their new order, each with a span. */
export interface Packing {
  readonly placed: readonly { readonly tile: number; readonly span: Span }[];
  /** Cells left empty, those of an unfinished last row too. */
  readonly empty: number;
  readonly changedSpans: number;
}

/** How many unfinished ways are kept, for each number of changed spans. */
const BEAM = 40;
/** Tiles at the head of those that wait, which may change their span. */
const MAY_CHANGE = 3;
/** So many tiles before the end all that wait may: the last row has to come out whole. */
const ENDING = 10;
/** Before that, a tile may have so many of its nearest spans. */
const NEAREST = 9;
/** What one thing costs beside a tile that is taken out of order. */
const COST = { cell: 4, hole: 60, notch: 0.35, lost: 1000 };

/** A tile that could come next, before the state that it leads to is made. */
interface Way {
  readonly state: State;
  readonly heights: Uint16Array;
  readonly holes: number;
  readonly tile: number;
  readonly span: Span;
  /** Spans that are changed by then. */
  readonly spans: number;
  readonly cells: number;
  readonly column: number;
  readonly row: number;
  readonly cost: number;
  readonly rank: number;
}

interface State {
  /** Filled cells of each column, from the top. */
  readonly heights: Uint16Array;
  /** Cells that all tiles take with the spans changed so far, those still to come too. */
  readonly cells: number;
  /** The first tile that waits, and a bit for each after it that is placed already. */
  readonly first: number;
  readonly later: number;
  readonly spans: number;
  readonly holes: number;
  readonly cost: number;
  readonly step: { readonly tile: number; readonly span: Span } | null;
  readonly before: State | null;
}

/**
 * Fills a grid that grows downwards, tile after tile into the first empty cell, as auto-placement does
 * (CSS Grid 2, section 8.5): the best unfinished ways are kept after each tile (a beam search), apart
 * for each number of changed spans, so that ways with fewer changes are not crowded out. Time grows
 * with the number of tiles × columns.
 *
 * @returns the best way for each number of changed spans, fewest first; those that leave nothing empty
 * are laid out alike by the browser, dense or sparse
 */
export function packBeam(options: PackOptions): Packing[] {
  const { columns, tiles, mostSpans } = options;
  const heldAt = heldCells(options);
  const start: State = {
    heights: settle(new Uint16Array(columns), heldAt),
    cells: [...options.held, ...tiles.map(({ spans }) => spans[0] as Span)].reduce(
      (sum, span) => sum + span.columns * span.rows,
      0,
    ),
    first: 0,
    later: 0,
    spans: 0,
    holes: 0,
    cost: 0,
    step: null,
    before: null,
  };
  let levels: State[][] = [[start]];
  for (let k = 0; k < tiles.length; k++) {
    const next: Way[][] = Array.from({ length: mostSpans + 1 }, () => []);
    for (const states of levels) for (const state of states) expand(state, k, options, heldAt, next);
    levels = next.map((ways) => bestStates(ways, heldAt));
  }
  const bottom = options.held.reduce((most, { row, rows }) => Math.max(most, row + rows), 0);
  return levels.flatMap((states) => {
    const ended = states.map((state) => ({ state, empty: emptyCells(state, bottom) }));
    ended.sort((a, b) => a.empty - b.empty || a.state.cost - b.state.cost);
    const [best] = ended;
    return best ? [{ placed: steps(best.state), empty: best.empty, changedSpans: best.state.spans }] : [];
  });
}

const emptyCells = ({ heights, holes }: State, bottom: number) => {
  const end = heights.reduce((most, height) => Math.max(most, height), bottom);
  return holes + heights.reduce((sum, height) => sum + end - height, 0);
};

function steps(state: State): Packing['placed'] {
  const placed: { tile: number; span: Span }[] = [];
  for (let at: State | null = state; at; at = at.before) if (at.step) placed.push(at.step);
  return placed.reverse();
}

/** For each column the rows that are taken by tiles held in place; empty when there are none. */
function heldCells({ columns, held }: PackOptions): readonly ReadonlySet<number>[] {
  if (held.length === 0) return [];
  const taken = Array.from({ length: columns }, () => new Set<number>());
  for (const { column, row, columns: wide, rows } of held)
    for (let c = column; c < column + wide; c++) for (let r = row; r < row + rows; r++) taken[c]?.add(r);
  return taken;
}

/** Columns that end at held cells end below them. */
function settle(heights: Uint16Array, heldAt: readonly ReadonlySet<number>[]): Uint16Array {
  if (heldAt.length === 0) return heights;
  for (let c = 0; c < heights.length; c++) {
    while (heldAt[c]?.has(heights[c] as number)) heights[c] = (heights[c] as number) + 1;
  }
  return heights;
}

function expand(
  state: State,
  placed: number,
  options: PackOptions,
  heldAt: readonly ReadonlySet<number>[],
  next: readonly Way[][],
): void {
  const { tiles, distance, mostSpans } = options;
  const isEnding = tiles.length - placed <= ENDING;
  const mayChange = isEnding ? Infinity : MAY_CHANGE;
  const isHeld = heldAt.length === 0 ? undefined : (c: number, r: number) => heldAt[c]?.has(r) === true;
  let { heights, holes } = state;
  for (let tries = 0; tries <= options.columns; tries++) {
    const { column, row, columns: room } = lowestGap(heights, isHeld);
    let found = false;
    let waiting = 0;
    for (let tile = state.first; tile < tiles.length && tile - placed <= distance; tile++) {
      if (tile > state.first && (state.later >>> (tile - state.first - 1)) & 1) continue;
      const { spans } = tiles[tile] as PackTile;
      const changes =
        state.spans < mostSpans && waiting < mayChange
          ? Math.min(spans.length, isEnding ? Infinity : NEAREST)
          : 1;
      for (let k = 0; k < changes; k++) {
        const span = spans[k] as Span;
        if (!fits(span, column, row, room, heldAt)) continue;
        found = true;
        const own = spans[0] as Span;
        const more = span.columns * span.rows - own.columns * own.rows;
        const cost =
          state.cost +
          (tile === state.first ? 0 : 1) +
          (k === 0 ? 0 : COST.cell * (1 + Math.abs(more))) +
          COST.hole * (holes - state.holes);
        const changed = state.spans + (k === 0 ? 0 : 1);
        const cells = state.cells + more;
        // Without a change left, cells that are no whole rows can't come out whole any more.
        const lost = changed === mostSpans && cells % options.columns !== 0 ? COST.lost : 0;
        const rank = cost + lost + COST.notch * edgesAfter(heights, column, row, span);
        next[changed]?.push({
          state,
          heights,
          holes,
          tile,
          span,
          spans: changed,
          cells,
          column,
          row,
          cost,
          rank,
        });
      }
      waiting++;
      // The first that waits may not fall back any further.
      if (placed - state.first >= distance) break;
    }
    if (found) return;
    // Nothing fits here: the cells stay empty.
    const filled = heights.slice();
    for (let c = column; c < column + room; c++) filled[c] = row + 1;
    holes += room;
    heights = settle(filled, heldAt);
  }
}

function fits(
  span: Span,
  column: number,
  row: number,
  room: number,
  heldAt: readonly ReadonlySet<number>[],
): boolean {
  if (span.columns > room) return false;
  if (heldAt.length === 0) return true;
  for (let c = column; c < column + span.columns; c++) {
    const held = heldAt[c] as ReadonlySet<number>;
    if (held.size === 0) continue;
    for (let r = row; r < row + span.rows; r++) if (held.has(r)) return false;
  }
  return true;
}

/** How often the lower edge goes up or down once the tile is there: a smooth edge is easy to go on from. */
function edgesAfter(heights: Uint16Array, column: number, row: number, { columns, rows }: Span): number {
  let edges = 0;
  let before = -1;
  for (let c = 0; c < heights.length; c++) {
    const height = c >= column && c < column + columns ? row + rows : (heights[c] as number);
    if (c > 0 && height !== before) edges++;
    before = height;
  }
  return edges;
}

/** The best ways as states; of those that come to the same, the cheapest. */
function bestStates(ways: Way[], heldAt: readonly ReadonlySet<number>[]): State[] {
  ways.sort((a, b) => a.rank - b.rank);
  const states = new Map<string, State>();
  for (const way of ways) {
    if (states.size === BEAM) break;
    const made = stateOf(way, heldAt);
    const key = String.fromCharCode(made.first, made.later & 0xffff, made.later >>> 16, ...made.heights);
    // Ways that come to the same have the same edge, so the first one is the cheapest.
    if (!states.has(key)) states.set(key, made);
  }
  return [...states.values()];
}

function stateOf(
  { state, heights: before, holes, tile, span, spans, cells, column, row, cost }: Way,
  heldAt: readonly ReadonlySet<number>[],
): State {
  const heights = before.slice().fill(row + span.rows, column, column + span.columns);
  settle(heights, heldAt);
  let { first, later } = state;
  if (tile !== first) later |= 1 << (tile - first - 1);
  else {
    first++;
    while (later & 1) {
      later >>>= 1;
      first++;
    }
    later >>>= 1;
  }
  return { heights, cells, first, later, spans, holes, cost, step: { tile, span }, before: state };
}
