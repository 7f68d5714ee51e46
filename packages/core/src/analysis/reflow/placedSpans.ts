import { areasTouch } from '../../geometry/relations.js';
import { candidatesIn, runsOf, type Candidate, type Candidates } from './spanChoices.js';
import { fillCells, type Choice, type HeldCells, type Span } from '../packing/fillCells.js';
import { noise } from '../../geometry/noise.js';
import { placedTiles } from './bandLevel.js';
import type { Band } from '../../document/bands.js';
import type { BandBearing, LevelWidths } from '../bearing.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { GridArea } from '../../geometry/area.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

const SEEDS = 48;
const STEPS = 2500;
/** What it costs when a pair that belongs together is apart, or one whose areas touched. */
const APART = { marked: 3, touching: 0.4 };
/** What it costs when the last row of tiles is not full: less than three cards that become thrice as wide. */
const NOT_FULL = 2.5;

/** What gives way where nothing bears: how much of a picture shows, or what words need. */
export interface Leniency {
  readonly crop: boolean;
  readonly words: boolean;
}

export interface PlaceOptions extends Leniency {
  readonly anew: boolean;
}

/** A level in a band that spans are looked for. */
export interface PlaceRequest {
  readonly view: CollectionDocument;
  readonly band: Band;
  /** The next wider band, whose sizes the tiles had. */
  readonly wider: ResolvedBand;
  readonly columns: number;
  readonly bearing: BandBearing;
  readonly widths: LevelWidths;
  readonly options: PlaceOptions;
}

/**
 * Spans without a hole in reading order, the cheapest of many tries; null when there are none. Tiles
 * that are alike and follow each other have one span; where no such span fills the last row, it may
 * end early.
 */
export function placedSpans(request: PlaceRequest): Map<TileId, Span> | null {
  const { view, wider, columns } = request;
  const before = new Map(placedTiles(view, wider).map(({ tile, area }) => [tile.id, area]));
  const tiles = candidatesIn(request, before);
  if (!tiles) return null;
  const pairs = pairsOf(tiles.flowing, before);
  let best: { cost: number; spans: readonly Choice[] } | null = null;
  for (const mayEndEarly of [false, true]) {
    if (mayEndEarly && best && best.cost <= NOT_FULL) break;
    for (let seed = 0; seed < SEEDS; seed++) {
      const spans = filledBy(seed, tiles, columns, mayEndEarly);
      if (!spans) continue;
      const own = spans.reduce((sum, each) => sum + each.cost, 0);
      const cost = own + apartness(spans, columns, tiles.held, pairs) + (mayEndEarly ? NOT_FULL : 0);
      if (!best || cost < best.cost - 1e-9) best = { cost, spans };
    }
  }
  return (
    best &&
    new Map(
      best.spans.map(({ columns: across, rows }, k) => [
        (tiles.flowing[k] as Candidate).tile.id,
        { columns: across, rows },
      ]),
    )
  );
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
function apartness(
  spans: readonly Span[],
  columns: number,
  held: readonly HeldCells[],
  pairs: readonly Pair[],
): number {
  if (pairs.length === 0) return 0;
  const taken = new Set(
    held.flatMap((each) => cellsOf({ ...each, column: each.column, row: each.row }, columns)),
  );
  const areas: GridArea[] = [];
  let cell = 0;
  for (const { columns: columnSpan, rows: rowSpan } of spans) {
    while (taken.has(cell)) cell++;
    const at = { column: cell % columns, row: Math.floor(cell / columns) };
    for (const each of cellsOf({ ...at, columns: columnSpan, rows: rowSpan }, columns)) taken.add(each);
    areas.push({ column: at.column + 1, row: at.row + 1, columnSpan, rowSpan });
  }
  return pairs.reduce(
    (sum, { a, b, cost }) => sum + (areasTouch(areas[a] as GridArea, areas[b] as GridArea) ? 0 : cost),
    0,
  );
}

function cellsOf({ column, row, columns: across, rows }: HeldCells, columns: number): number[] {
  return Array.from(
    { length: across * rows },
    (_, k) => (row + Math.floor(k / across)) * columns + column + (k % across),
  );
}
