import { areasTouch } from '../../geometry/relations.js';
import { bandBearing, type BandBearing, type LevelWidths } from './bearing.js';
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

/** Spans without a hole in reading order, the cheapest of many tries; null when there are none. */
export function placedSpans(
  view: CollectionDocument,
  band: Band,
  wider: ResolvedBand,
  columns: number,
  bearing: BandBearing,
  widths: LevelWidths,
  options: PlaceOptions,
): Map<TileId, Span> | null {
  const before = new Map(placedTiles(view, wider).map(({ tile, area }) => [tile.id, area]));
  const sizes = [...before.values()].map((area) => area.columnSpan * area.rowSpan).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1] ?? 1;
  const own = view.bands[band.index - 1]?.tiles ?? {};
  const wide = bandBearing(
    view,
    wider,
    Math.max(1, wider.columns.length),
    {
      ...widths,
      low: widths.high + 1,
      high: widths.high + 1,
    },
    NO_MEASURE,
  ).across;

  const held: HeldCells[] = [];
  const flowing: Candidate[] = [];
  for (const id of view.order) {
    const tile = view.tiles[id] as Tile;
    const place = placeIn(view, tile, band.index);
    if (place.hidden) continue;
    const area = before.get(id);
    const from: Span = area
      ? { columns: area.columnSpan, rows: area.rowSpan }
      : { columns: place.columnSpan, rows: place.rowSpan };
    if (place.pin) {
      const span = { columns: Math.min(place.columnSpan, columns), rows: place.rowSpan };
      const column = Math.min(place.pin.column, columns - span.columns + 1) - 1;
      held.push({ ...span, column, row: place.pin.row - 1 });
      continue;
    }
    const corrected = !options.anew && isCorrected(own[id]);
    const spans = corrected
      ? [{ span: { columns: Math.min(place.columnSpan, columns), rows: place.rowSpan }, cost: 0 }]
      : choices(tile, from, usual, columns, bearing, wide(from.columns)[0], options);
    if (spans.length === 0) return null;
    flowing.push({ tile, from, spans });
  }
  const pairs = pairsOf(flowing, before);
  let best: { cost: number; spans: Map<TileId, Span> } | null = null;
  for (let seed = 0; seed < SEEDS; seed++) {
    const random = noise(seed * 7919 + columns);
    const jitter = seed === 0 ? 0 : 0.15 + (seed / SEEDS) * 1.2;
    const sorted = flowing.map(({ spans }) =>
      spans.map((each) => ({ ...each, by: each.cost + jitter * random() })).sort((a, b) => a.by - b.by),
    );
    const filled = fillCells({
      columns,
      held,
      count: flowing.length,
      budget: Infinity,
      steps: STEPS,
      choices: (_, at) => (sorted[at] ?? []).map(({ span, cost }): Choice => ({ ...span, tile: at, cost })),
    });
    if (!filled.choices) continue;
    const spans = new Map(
      filled.choices.map(({ columns: c, rows }, k) => [
        (flowing[k] as Candidate).tile.id,
        { columns: c, rows },
      ]),
    );
    const cost =
      filled.choices.reduce((sum, each) => sum + each.cost, 0) +
      apartness(filled.choices, columns, held, pairs);
    if (!best || cost < best.cost - 1e-9) best = { cost, spans };
  }
  return best?.spans ?? null;
}

/** Widths of columns need no words. */
const NO_MEASURE: TextMeasurer = {
  width: () => 0,
  metrics: () => ({ ascent: 0, descent: 0, lineGap: 0 }),
};

/** The spans that a tile bears, with how far each is from the size that it had. */
function choices(
  tile: Tile,
  from: Span,
  usual: number,
  columns: number,
  bearing: BandBearing,
  hadPx: number,
  { crop, words }: Leniency,
): { span: Span; cost: number }[] {
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
    if (earlier.withNext) return [{ a: k, b: k + 1, cost: APART.marked }];
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
