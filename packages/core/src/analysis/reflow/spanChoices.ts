import { bandBearing, coveredAspect, type BandBearing, type LevelWidths } from '../bearing.js';
import { LEAST_SHOWN } from '../fit/pictureFindings.js';
import { isCorrected } from '../../document/derived.js';
import { placeIn, saidPin, type Band } from '../../document/bands.js';
import type { GridArea } from '../../geometry/area.js';
import type { Overlay } from './overlays.js';
import type { HeldCells, Span } from '../packing/fillCells.js';
import type { ResolvedBand } from '../../arrangements/bands.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

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

/** A tile that flows, as it is in the wider band and as it may be in this one. */
export interface Candidate {
  readonly tile: Tile;
  /** The span it had. */
  readonly from: Span;
  readonly spans: readonly SpanChoice[];
  /** Tiles of one number are alike, follow each other, and take one span. */
  readonly run: number;
}

export interface SpanChoice {
  readonly span: Span;
  readonly cost: number;
}

/** A tile that is held, and its cells. */
export interface Held extends HeldCells {
  readonly id: TileId;
}

export interface CandidateRules {
  readonly keepsPins: boolean;
  readonly spanAlone: boolean;
}

export interface Candidates {
  readonly held: readonly Held[];
  readonly flowing: readonly Candidate[];
}

/**
 * The tiles that are held, and those that flow with the spans that each bears; null where one bears none.
 * Those that lie over others are neither.
 * @param by whether pins of wider bands hold where their column is there, and whether tiles are alike by their span alone
 */
export function candidatesIn(
  request: PlaceRequest,
  before: ReadonlyMap<TileId, GridArea>,
  over: ReadonlyMap<TileId, Overlay>,
  { keepsPins, spanAlone }: CandidateRules,
): Candidates | null {
  const { view, band, wider, columns, widths, options } = request;
  const sizes = [...before.values()].map((area) => area.columnSpan * area.rowSpan).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1] ?? 1;
  const own = view.bands[band.index - 1]?.tiles ?? {};
  const at = { ...widths, low: widths.high + 1, high: widths.high + 1 };
  const { across } = bandBearing(view, wider, Math.max(1, wider.columns.length), at, NO_MEASURE);
  const held: Held[] = [];
  const flowing: Candidate[] = [];
  let last = '';
  let run = 0;
  for (const id of view.order) {
    const tile = view.tiles[id] as Tile;
    const place = placeIn(view, tile, band.index);
    if (place.hidden || over.has(id)) continue;
    const span = { columns: Math.min(place.columnSpan, columns), rows: place.rowSpan };
    const { pin, by } = saidPin(view, tile, band.index);
    if (pin && by === band.index) {
      const column = Math.min(pin.column, columns - span.columns + 1) - 1;
      held.push({ ...span, id, column, row: pin.row - 1 });
      continue;
    }
    if (pin && keepsPins && pin.column <= columns) {
      const room = columns - pin.column + 1;
      held.push({
        ...span,
        id,
        columns: Math.min(span.columns, room),
        column: pin.column - 1,
        row: pin.row - 1,
      });
      continue;
    }
    const area = before.get(id);
    const from: Span = area
      ? { columns: area.columnSpan, rows: area.rowSpan }
      : { columns: place.columnSpan, rows: place.rowSpan };
    const isByHand = !options.anew && isCorrected(own[id]);
    const spans = isByHand
      ? [{ span, cost: 0 }]
      : choicesOf(request, { tile, from, usual, hadPx: across(from.columns)[0] });
    if (spans.length === 0) return null;
    const alike = isByHand ? `${id} by hand` : spanAlone ? 'all' : likeness(view, tile, from);
    if (alike !== last) run++;
    last = alike;
    flowing.push({ tile, from, spans, run });
  }
  const together = inRuns(flowing);
  return together && { held, flowing: together };
}

/** Pictures whose aspects differ by less than about a quarter look alike. */
const ASPECTS = 4;

/** What is the same in tiles that are alike: the span they had, the recipe or the kinds of their parts, and about the aspect of a picture. */
export function likeness(
  document: Pick<CollectionDocument, 'pictures'>,
  tile: Tile,
  { columns, rows }: Span,
): string {
  if (tile.kind === 'group') return `group ${tile.id}`;
  const made = tile.recipe?.recipe ?? tile.parts.map(({ kind }) => kind).join(' ');
  const aspect = coveredAspect(document, tile);
  return `${columns} ${rows} ${made} ${aspect === null ? '' : Math.round(Math.log(aspect) * ASPECTS)}`;
}

/** Every tile of a run has the spans that all of them bear, at what they cost all of them; null where there are none. */
function inRuns(flowing: readonly Candidate[]): Candidate[] | null {
  const shared = new Map<number, readonly SpanChoice[]>();
  for (const [run, tiles] of runsOf(flowing)) {
    const costs = tiles.map(({ spans }) => new Map(spans.map((each) => [keyOf(each), each.cost])));
    const all = (tiles[0] as Candidate).spans.flatMap((each): SpanChoice[] => {
      const those = costs.map((of) => of.get(keyOf(each)) ?? Infinity);
      const cost = those.reduce((sum, one) => sum + one, 0) / those.length;
      return cost === Infinity ? [] : [{ span: each.span, cost }];
    });
    if (all.length === 0) return null;
    shared.set(run, all);
  }
  return flowing.map((each) => ({ ...each, spans: shared.get(each.run) as readonly SpanChoice[] }));
}

/** The tiles of each run. */
export function runsOf(flowing: readonly Candidate[]): ReadonlyMap<number, readonly Candidate[]> {
  const runs = new Map<number, Candidate[]>();
  for (const each of flowing) runs.set(each.run, [...(runs.get(each.run) ?? []), each]);
  return runs;
}

const keyOf = ({ span }: SpanChoice) => `${span.columns} ${span.rows}`;

/** Widths of columns need no words. */
const NO_MEASURE: TextMeasurer = {
  width: () => 0,
  metrics: () => ({ ascent: 0, descent: 0, lineGap: 0 }),
};

/** A tile that spans are looked for. */
interface Wanted {
  readonly tile: Tile;
  /** The span it had, and how wide that was, px. */
  readonly from: Span;
  readonly hadPx: number;
  /** How many cells most tiles had. */
  readonly usual: number;
}

/**
 * The spans that a tile bears, with how far each is from the size that it had. It takes no more rows
 * than it had, but where its words need them, less than half of its picture would show, or it had one.
 */
function choicesOf(
  { columns, bearing, options: { crop, words } }: PlaceRequest,
  { tile, from, usual, hadPx }: Wanted,
): SpanChoice[] {
  const prominence = Math.max(1, ((from.columns * from.rows) / usual) ** 0.25);
  const found: SpanChoice[] = [];
  for (let count = 1; count <= columns; count++) {
    const least = bearing.leastRows(tile, count);
    if (least === null && !words) continue;
    const px = bearing.across(count)[1];
    for (const rows of rowsFor(tile, count, from, bearing, least ?? 1)) {
      const span = { columns: count, rows };
      if (!words && bearing.down && rows < (least ?? 1)) continue;
      const shown = bearing.shown(tile, span);
      if (!crop && shown < LEAST_SHOWN) continue;
      const cost =
        Math.abs(Math.log(px / Math.min(hadPx * prominence, bearing.across(columns)[1]))) +
        0.9 * Math.abs(Math.log(rows / from.rows)) +
        1.4 * (1 - shown) ** 2;
      found.push({ span, cost });
    }
  }
  return found;
}

/** The numbers of rows that may suit a tile in so many columns; a low one may be twice as high to fill up. */
function rowsFor(tile: Tile, count: number, from: Span, bearing: BandBearing, least: number): Set<number> {
  const fitting = bearing.fittingRows(tile, count);
  const some = [from.rows, from.rows + 1, Math.max(1, from.rows - 1), least, least + 1, fitting];
  const isCropped = bearing.shown(tile, { columns: count, rows: from.rows }) < LEAST_SHOWN;
  const most = Math.max(from.rows, least, isCropped ? fitting : 1, from.rows === 1 ? 2 : 1);
  return new Set(some.filter((rows) => rows <= most));
}
