import { areasTouch } from '../../geometry/relations.js';
import { bandBearing, type BandBearing, type LevelWidths } from '../bearing.js';
import { fillCells, type Choice, type HeldCells, type Span } from '../packing/fillCells.js';
import { isCorrected, placedTiles } from './bandLevel.js';
import { LEAST_SHOWN } from '../fit/pictureFindings.js';
import { noise } from '../../geometry/noise.js';
import { placeIn, type Band } from '../../document/bands.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { GridArea } from '../../geometry/area.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

const SEEDS = 48;
const STEPS = 2500;
/** What it costs when a pair that belongs together is apart, or one whose areas touched. */
const APART = { marked: 3, touching: 0.4 };

/** A tile that flows, as it is in the wider band and as it may be in this one. */
interface Candidate {
  readonly tile: Tile;
  /** The span it had. */
  readonly from: Span;
  readonly spans: readonly { readonly span: Span; readonly cost: number }[];
}

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

/** Spans without a hole in reading order, the cheapest of many tries; null when there are none. */
export function placedSpans(asked: PlaceRequest): Map<TileId, Span> | null {
  const { view, wider, columns } = asked;
  const before = new Map(placedTiles(view, wider).map(({ tile, area }) => [tile.id, area]));
  const tiles = tilesIn(asked, before);
  if (!tiles) return null;
  const { held, flowing } = tiles;
  const pairs = pairsOf(flowing, before);
  let best: { cost: number; spans: readonly Choice[] } | null = null;
  for (let seed = 0; seed < SEEDS; seed++) {
    const spans = filledBy(seed, flowing, held, columns);
    if (!spans) continue;
    const own = spans.reduce((sum, each) => sum + each.cost, 0);
    const cost = own + apartness(spans, columns, held, pairs);
    if (!best || cost < best.cost - 1e-9) best = { cost, spans };
  }
  return (
    best &&
    new Map(
      best.spans.map(({ columns: across, rows }, k) => [
        (flowing[k] as Candidate).tile.id,
        { columns: across, rows },
      ]),
    )
  );
}

/** The tiles that are pinned, and those that flow with the spans that each bears; null where one bears none. */
function tilesIn(
  { view, band, wider, columns, bearing, widths, options }: PlaceRequest,
  before: ReadonlyMap<TileId, GridArea>,
): { readonly held: readonly HeldCells[]; readonly flowing: readonly Candidate[] } | null {
  const sizes = [...before.values()].map((area) => area.columnSpan * area.rowSpan).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1] ?? 1;
  const own = view.bands[band.index - 1]?.tiles ?? {};
  const at = { ...widths, low: widths.high + 1, high: widths.high + 1 };
  const { across } = bandBearing(view, wider, Math.max(1, wider.columns.length), at, NO_MEASURE);
  const held: HeldCells[] = [];
  const flowing: Candidate[] = [];
  for (const id of view.order) {
    const tile = view.tiles[id] as Tile;
    const place = placeIn(view, tile, band.index);
    if (place.hidden) continue;
    const span = { columns: Math.min(place.columnSpan, columns), rows: place.rowSpan };
    if (place.pin) {
      const column = Math.min(place.pin.column, columns - span.columns + 1) - 1;
      held.push({ ...span, column, row: place.pin.row - 1 });
      continue;
    }
    const area = before.get(id);
    const from: Span = area
      ? { columns: area.columnSpan, rows: area.rowSpan }
      : { columns: place.columnSpan, rows: place.rowSpan };
    const spans =
      !options.anew && isCorrected(own[id])
        ? [{ span, cost: 0 }]
        : choices({ tile, from, usual, columns, bearing, hadPx: across(from.columns)[0], lenient: options });
    if (spans.length === 0) return null;
    flowing.push({ tile, from, spans });
  }
  return { held, flowing };
}

/** One try: spans in an order of their own that leave no hole; null where there are none. */
function filledBy(
  seed: number,
  flowing: readonly Candidate[],
  held: readonly HeldCells[],
  columns: number,
): readonly Choice[] | null {
  const random = noise(seed * 7919 + columns);
  const jitter = seed === 0 ? 0 : 0.15 + (seed / SEEDS) * 1.2;
  const sorted = flowing.map(({ spans }) =>
    spans.map((each) => ({ ...each, by: each.cost + jitter * random() })).sort((a, b) => a.by - b.by),
  );
  return fillCells({
    columns,
    held,
    count: flowing.length,
    budget: Infinity,
    steps: STEPS,
    choices: (_, at) => (sorted[at] ?? []).map(({ span, cost }): Choice => ({ ...span, tile: at, cost })),
  }).choices;
}

/** Widths of columns need no words. */
const NO_MEASURE: TextMeasurer = {
  width: () => 0,
  metrics: () => ({ ascent: 0, descent: 0, lineGap: 0 }),
};

/** A tile that spans are looked for. */
interface ChoiceRequest {
  readonly tile: Tile;
  /** The span it had, and how wide that was, px. */
  readonly from: Span;
  readonly hadPx: number;
  /** How many cells most tiles had. */
  readonly usual: number;
  readonly columns: number;
  readonly bearing: BandBearing;
  readonly lenient: Leniency;
}

/** The spans that a tile bears, with how far each is from the size that it had. */
function choices({ tile, from, usual, columns, bearing, hadPx, lenient }: ChoiceRequest): Candidate['spans'] {
  const { crop, words } = lenient;
  const prominence = Math.max(1, ((from.columns * from.rows) / usual) ** 0.25);
  const found: { span: Span; cost: number }[] = [];
  for (let count = 1; count <= columns; count++) {
    const least = bearing.leastRows(tile, count);
    if (least === null && !words) continue;
    const px = bearing.across(count)[1];
    const rows = new Set([
      from.rows,
      from.rows + 1,
      Math.max(1, from.rows - 1),
      least ?? 1,
      (least ?? 1) + 1,
    ]);
    rows.add(bearing.fittingRows(tile, count));
    for (const each of rows) {
      const span = { columns: count, rows: each };
      if (!words && bearing.down && each < (least ?? 1)) continue;
      const shown = bearing.shown(tile, span);
      if (!crop && shown < LEAST_SHOWN) continue;
      const cost =
        Math.abs(Math.log(px / Math.min(hadPx * prominence, bearing.across(columns)[1]))) +
        0.9 * Math.abs(Math.log(each / from.rows)) +
        1.4 * (1 - shown) ** 2;
      found.push({ span, cost });
    }
  }
  return found;
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
