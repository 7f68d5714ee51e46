import { areasTouch, isBefore } from '../../geometry/relations.js';
import {
  candidatesIn,
  runsOf,
  type Candidate,
  type CandidateRules,
  type Candidates,
  type PlaceRequest,
} from './spanChoices.js';
import { fillCells, type Choice, type HeldCells, type Span } from '../packing/fillCells.js';
import { noise } from '../../geometry/noise.js';
import { laidOver, overlaysIn, type Overlay } from './overlays.js';
import { placedTiles } from './bandLevel.js';
import { saidPin } from '../../document/bands.js';
import type { GridArea } from '../../geometry/area.js';
import type { Pin, Tile, TileId } from '../../document/types.js';

const SEEDS = 48;
const STEPS = 2500;
/** What it costs when a pair that belongs together is apart, or one whose areas touched. */
const APART = { marked: 3, touching: 0.4 };
/** What it costs when the last row of tiles is not full: less than three cards that become thrice as wide. */
const NOT_FULL = 2.5;

/** What was worked out for a tile: its span, and what becomes of a pin that it inherits. */
export interface DerivedPlace {
  /** The cells that it takes. */
  readonly area: GridArea;
  /** Null: it flows. Left out: it has none, or one that holds. */
  readonly pin?: Pin | null;
}

/**
 * Places without a hole in reading order, the cheapest of many tries; null when there are none. Tiles
 * that are alike and follow each other have one span; where no such span fills the last row, it may
 * end early. Pins of the wider band hold unless tiles were seen in another order; what lay over another
 * tile lies over it again.
 */
export function placedSpans(request: PlaceRequest): Map<TileId, DerivedPlace> | null {
  const { view, wider, band } = request;
  const before = new Map(placedTiles(view, wider).map(({ tile, area }) => [tile.id, area]));
  const over = overlaysIn(view, band.index, before);
  // A grid of equal cards stays one where it can, whatever is in them.
  const rules = areEqual([...before.values()]) ? [true, false] : [false];
  const found = rules.reduce<Placed | null>((one, spanAlone) => {
    if (one) return one;
    const kept = cheapest(request, before, over, { keepsPins: true, spanAlone });
    if (kept && isInOrder(kept.areas, view.order)) return kept;
    return cheapest(request, before, over, { keepsPins: false, spanAlone });
  }, null);
  if (!found) return null;
  const places = new Map<TileId, DerivedPlace>();
  // A tile that flows goes around those that are pinned, so what is laid over must be pinned too.
  const under = new Set([...over.values()].map(({ base }) => base));
  for (const id of found.flows) {
    const area = found.areas.get(id) as GridArea;
    const { pin } = saidPin(view, view.tiles[id] as Tile, band.index);
    const derived = under.has(id) ? { column: area.column, row: area.row } : null;
    places.set(id, { area, ...((pin ?? derived) && { pin: derived }) });
  }
  for (const [id, overlay] of over) {
    const base = found.areas.get(overlay.base);
    if (!base) continue;
    const area = laidOver(overlay, base, request.bearing);
    places.set(id, { area, pin: { column: area.column, row: area.row } });
  }
  return places;
}

/** The cells of tiles, and which of them flow. */
interface Placed {
  readonly areas: ReadonlyMap<TileId, GridArea>;
  readonly flows: readonly TileId[];
}

function cheapest(
  request: PlaceRequest,
  before: ReadonlyMap<TileId, GridArea>,
  over: ReadonlyMap<TileId, Overlay>,
  rules: CandidateRules,
): Placed | null {
  const { columns } = request;
  const tiles = candidatesIn(request, before, over, rules);
  if (!tiles) return null;
  const pairs = pairsOf(tiles.flowing, before);
  let best: { cost: number; areas: readonly GridArea[] } | null = null;
  for (const mayEndEarly of [false, true]) {
    if (mayEndEarly && best && best.cost <= NOT_FULL) break;
    for (let seed = 0; seed < SEEDS; seed++) {
      const spans = filledBy(seed, tiles, columns, mayEndEarly);
      if (!spans) continue;
      const areas = areasOf(spans, columns, tiles.held);
      const own = spans.reduce((sum, each) => sum + each.cost, 0);
      const cost = own + apartness(areas, pairs) + (mayEndEarly ? NOT_FULL : 0);
      if (!best || cost < best.cost - 1e-9) best = { cost, areas };
    }
  }
  if (!best) return null;
  const areas = new Map<TileId, GridArea>();
  for (const { id, column, row, columns: columnSpan, rows: rowSpan } of tiles.held)
    areas.set(id, { column: column + 1, row: row + 1, columnSpan, rowSpan });
  const flows = tiles.flowing.map(({ tile }) => tile.id);
  best.areas.forEach((area, k) => areas.set(flows[k] as TileId, area));
  return { areas, flows };
}

const areEqual = ([first, ...others]: readonly GridArea[]): boolean =>
  first !== undefined &&
  others.every((area) => area.columnSpan === first.columnSpan && area.rowSpan === first.rowSpan);

/** Whether tiles are seen in the order in which they are read. */
function isInOrder(areas: ReadonlyMap<TileId, GridArea>, order: readonly TileId[]): boolean {
  const seen = order.flatMap((id) => areas.get(id) ?? []);
  return seen.every((area, k) => k === 0 || isBefore(seen[k - 1] as GridArea, area));
}

/** One try: spans in an order of their own that leave no hole; null where there are none. */
function filledBy(
  seed: number,
  { held, flowing }: Candidates,
  columns: number,
  mayEndEarly: boolean,
): readonly Choice[] | null {
  const random = noise(seed * 7919 + columns);
  const jitter = seed === 0 ? 0 : 0.15 + (seed / SEEDS) * 1.2;
  const sorted = new Map(
    [...runsOf(flowing)].map(([run, tiles]) => {
      const by = (tiles[0] as Candidate).spans
        .map((each) => ({ ...each, by: each.cost + jitter * random() }))
        .sort((a, b) => a.by - b.by);
      return [run, tiles.length > 1 ? by.slice(0, 1) : by];
    }),
  );
  return fillCells({
    columns,
    held,
    count: flowing.length,
    budget: Infinity,
    steps: STEPS,
    mayEndEarly,
    choices: (_, at) =>
      (sorted.get(flowing[at]?.run ?? 0) ?? []).map(({ span, cost }): Choice => ({
        ...span,
        tile: at,
        cost,
      })),
  }).choices;
}

interface Pair {
  readonly a: number;
  readonly b: number;
  readonly cost: number;
}

/** Tiles that come one after the other and belong together: marked so, or in areas that touched. */
function pairsOf(flowing: readonly Candidate[], before: ReadonlyMap<TileId, GridArea>): Pair[] {
  return flowing.slice(1).flatMap(({ tile }, k): Pair[] => {
    const earlier = (flowing[k] as Candidate).tile;
    if (earlier.keepWithNext) return [{ a: k, b: k + 1, cost: APART.marked }];
    const areas = [before.get(earlier.id), before.get(tile.id)] as const;
    const named = Boolean(earlier.place.area) && Boolean(tile.place.area);
    return named && areas[0] && areas[1] && areasTouch(areas[0], areas[1])
      ? [{ a: k, b: k + 1, cost: APART.touching }]
      : [];
  });
}

/** What the pairs cost that do not touch. */
const apartness = (areas: readonly GridArea[], pairs: readonly Pair[]): number =>
  pairs.reduce(
    (sum, { a, b, cost }) => sum + (areasTouch(areas[a] as GridArea, areas[b] as GridArea) ? 0 : cost),
    0,
  );

/** The cells that tiles of such spans take one after the other, around those that are held. */
function areasOf(spans: readonly Span[], columns: number, held: readonly HeldCells[]): GridArea[] {
  const taken = new Set(held.flatMap((each) => cellsOf(each, columns)));
  let cell = 0;
  return spans.map(({ columns: columnSpan, rows: rowSpan }) => {
    while (taken.has(cell)) cell++;
    const at = { column: cell % columns, row: Math.floor(cell / columns) };
    for (const each of cellsOf({ ...at, columns: columnSpan, rows: rowSpan }, columns)) taken.add(each);
    return { column: at.column + 1, row: at.row + 1, columnSpan, rowSpan };
  });
}

function cellsOf({ column, row, columns: across, rows }: HeldCells, columns: number): number[] {
  return Array.from(
    { length: across * rows },
    (_, k) => (row + Math.floor(k / across)) * columns + column + (k % across),
  );
}
