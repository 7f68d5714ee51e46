import { bandOf, placeIn, type Band } from '../document/bands.js';
import { levelOf, type Level } from '../document/levels.js';
import { LIMITS } from '../document/limits.js';
import { bentoAreas, isHidden } from '../bento/areas.js';
import { writeBand, type Draft } from '../commands/draft.js';
import { onLevel } from '../commands/level.js';
import { levelLayout, layoutCollection } from '../layout.js';
import { noise } from '../noise.js';
import { change, type Command } from '../patch/change.js';
import { fillCells, type Choice, type HeldCells, type Span } from '../packing/fillCells.js';
import { LEAST_SHOWN } from '../fit/pictureFindings.js';
import { bandBearing, type BandBearing, type LevelWidths } from './bearing.js';
import type { GridArea } from '../grid/place.js';
import type { CollectionDocument, OwnPlace, Tile, TileId } from '../document/types.js';
import type { TextMeasurer } from '../text/types.js';

export interface DeriveOptions {
  readonly measurer: TextMeasurer;
  /** Left out: as many as the tiles bear. */
  readonly columns?: number;
  /** Spans that were corrected by hand in this band stay; left out: they do. */
  readonly anew?: boolean;
}

const SEEDS = 48;
const STEPS = 2500;
/** How many rows more than its words need a tile may take in one column. */
const MOST_MORE_ROWS = 8;
/** What it costs when a pair that belongs together is apart, or one whose areas touched. */
const APART = { marked: 3, touching: 0.4 };

/** A tile that flows, as it is in the wider band and as it may be in this one. */
interface Candidate {
  readonly tile: Tile;
  /** The span it had. */
  readonly from: Span;
  readonly spans: readonly { readonly span: Span; readonly cost: number }[];
}

/**
 * Works out a band from the next wider one: as many columns as the tiles bear, and for every tile
 * that flows a span near to the size it had, so that reading order stays, no cell is empty, large
 * tiles stay large, no word is clipped, no picture cropped too far, and pairs stay beside each other.
 * Spans corrected by hand and pins of the band stay. Groups are derived too. Where nothing bears,
 * limits on pictures give way first, then all of them; at last everything stands in one column.
 * @throws RangeError when there is no such narrower band
 * @throws whatever the measurer throws
 */
export function deriveBand(document: CollectionDocument, band: number, options: DeriveOptions): Command {
  const commands: Command[] = [];
  let made = document;
  const visit = (level: Level): void => {
    const command = onLevel(
      level,
      deriveLevel(levelOf(made, level), band, widthsOf(made, level, band, options.measurer), options),
    );
    commands.push(command);
    made = change(made, command).document;
    for (const id of levelOf(made, level).order) if (made.tiles[id]?.kind === 'group') visit(id);
  };
  visit(null);
  return (draft) => commands.forEach((command) => command(draft));
}

/** How wide a level is at both ends of a band. */
function widthsOf(
  document: CollectionDocument,
  level: Level,
  index: number,
  measurer: TextMeasurer,
): LevelWidths {
  const band = bandOf(document, index);
  const lowPage = Math.max(LIMITS.narrowest, Math.ceil(band.from));
  const highPage = Math.max(lowPage, Math.min(LIMITS.widest, band.below - 1));
  if (level === null) return { low: lowPage, high: highPage, lowPage, highPage };
  const at = (width: number) =>
    levelLayout(layoutCollection(document, width, { measurer }), level)?.layout.inlineSize ?? width;
  const sizes = [at(lowPage), at(highPage)];
  return { low: Math.min(...sizes), high: Math.max(...sizes), lowPage, highPage };
}

function deriveLevel(
  view: CollectionDocument,
  index: number,
  widths: LevelWidths,
  { measurer, columns: asked, anew = false }: DeriveOptions,
): Command {
  const wider = bandOf(view, index - 1);
  const band = bandOf(view, index);
  const bearing = (columns: number) => bandBearing(view, derivedBand(band), columns, widths, measurer);
  const most = Math.max(1, wider.arrangement.columns.length);
  const first = asked ?? columnsBorne(view, wider, most, bearing);
  for (let columns = first; columns > 1; columns = asked === undefined ? columns - 1 : 1) {
    for (const lenient of asked === undefined ? [STRICT] : [STRICT, ANY_CROP, ANYTHING]) {
      const spans = placed(view, band, wider, columns, bearing(columns), widths, { ...lenient, anew });
      if (spans) return write(index, columns, spans, band, anew);
    }
  }
  return stackedCommand(view, index, bearing(1));
}

interface Leniency {
  readonly crop: boolean;
  readonly words: boolean;
}
const STRICT: Leniency = { crop: false, words: false };
const ANY_CROP: Leniency = { crop: true, words: false };
const ANYTHING: Leniency = { crop: true, words: true };

/** A derived band has even columns and common rows, and no areas. */
const derivedBand = (band: Band): Pick<Band, 'index' | 'arrangement'> => ({
  index: band.index,
  arrangement: { ...band.arrangement, kind: 'bento', rows: [], areas: [] },
});

/** The most columns in which no tile needs more of them than it takes in the wider band. */
export function columnsBorne(
  view: CollectionDocument,
  wider: Band,
  most: number,
  bearing: (columns: number) => BandBearing,
): number {
  const spans = shownTiles(view, wider);
  for (let columns = most; columns > 1; columns--) {
    const { leastRows } = bearing(columns);
    const bears = spans.every(({ tile, area }) => {
      const rows = leastRows(tile, Math.min(columns, area.columnSpan));
      return rows !== null && rows <= area.rowSpan + 1;
    });
    if (bears) return columns;
  }
  return 1;
}

function shownTiles(
  view: CollectionDocument,
  band: Band,
): { tile: Tile; area: GridArea; position: number }[] {
  const areas = bentoAreas(view, band);
  return view.order.flatMap((id, position) => {
    const tile = view.tiles[id];
    const area = areas[position] as GridArea;
    return tile && !isHidden(area) ? [{ tile, area, position }] : [];
  });
}

interface PlaceOptions extends Leniency {
  readonly anew: boolean;
}

/** Spans without a hole in reading order, the cheapest of many tries; null when there are none. */
function placed(
  view: CollectionDocument,
  band: Band,
  wider: Band,
  columns: number,
  bearing: BandBearing,
  widths: LevelWidths,
  options: PlaceOptions,
): Map<TileId, Span> | null {
  const before = new Map(shownTiles(view, wider).map(({ tile, area }) => [tile.id, area]));
  const sizes = [...before.values()].map((area) => area.columnSpan * area.rowSpan).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1] ?? 1;
  const own = view.bands[band.index - 1]?.tiles ?? {};
  const wide = bandBearing(
    view,
    wider,
    Math.max(1, wider.arrangement.columns.length),
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

const isCorrected = (own: OwnPlace | undefined) =>
  own !== undefined && own.derived === undefined && ('columnSpan' in own || 'rowSpan' in own);

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
    return named && areas[0] && areas[1] && touch(areas[0], areas[1])
      ? [{ a: k, b: k + 1, cost: APART.touching }]
      : [];
  });
}

function touch(a: GridArea, b: GridArea): boolean {
  const rows = a.row < b.row + b.rowSpan && b.row < a.row + a.rowSpan;
  const columns = a.column < b.column + b.columnSpan && b.column < a.column + a.columnSpan;
  return (
    (rows && (a.column + a.columnSpan === b.column || b.column + b.columnSpan === a.column)) ||
    (columns && (a.row + a.rowSpan === b.row || b.row + b.rowSpan === a.row))
  );
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
    (sum, { a, b, cost }) => sum + (touch(areas[a] as GridArea, areas[b] as GridArea) ? 0 : cost),
    0,
  );
}

function cellsOf({ column, row, columns: across, rows }: HeldCells, columns: number): number[] {
  return Array.from(
    { length: across * rows },
    (_, k) => (row + Math.floor(k / across)) * columns + column + (k % across),
  );
}

/** Writes the derived columns and spans into a band; what is as it is carried is not written. */
function write(
  index: number,
  columns: number,
  spans: ReadonlyMap<TileId, Span>,
  band: Band,
  anew: boolean,
): Command {
  return (draft) => {
    const own = writeBand(draft, index);
    // Columns that no tile's edge tells apart are one.
    const isFree = Object.values(own.tiles).every((each) => !each.pin && (anew || !isCorrected(each)));
    const common = isFree ? [...spans.values()].reduce((of, span) => divisor(of, span.columns), columns) : 1;
    setColumns(own, columns / common, band);
    for (const [id, span] of spans) {
      const before = own.tiles[id];
      if (!anew && isCorrected(before)) continue;
      own.tiles[id] = { ...before, columnSpan: span.columns / common, rowSpan: span.rows, derived: true };
    }
  };
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));

function setColumns(own: Draft['bands'][number], columns: number, band: Band): void {
  own.arrangement.columns = Array.from({ length: columns }, () => '1fr');
  if (band.arrangement.rows.length > 0) own.arrangement.rows = [];
  if ((band.arrangement.areas ?? []).length > 0) own.arrangement.areas = [];
  if (band.arrangement.kind !== 'bento') own.arrangement.kind = 'bento';
}

/** One column: every tile as many rows as its words need and its picture likes. */
function stackedCommand(view: CollectionDocument, index: number, bearing: BandBearing): Command {
  const band = bandOf(view, index);
  const rows = new Map<TileId, number>();
  for (const { tile, area } of shownTiles(view, band)) {
    const least = bearing.leastRows(tile, 1) ?? area.rowSpan;
    const some = Array.from({ length: MOST_MORE_ROWS + 1 }, (_, k) => least + k);
    const wanted = Math.max(least, area.rowSpan);
    const cost = (each: number) => {
      const shown = bearing.shown(tile, { columns: 1, rows: each });
      const lost = shown < LEAST_SHOWN ? 10 * (LEAST_SHOWN - shown) : 0;
      return lost + (1 - shown) + 0.6 * Math.abs(Math.log(each / wanted));
    };
    const best = some.reduce((one, other) => (cost(other) < cost(one) - 1e-9 ? other : one));
    rows.set(tile.id, bearing.down ? best : 1);
  }
  return (draft) => {
    const own = writeBand(draft, index);
    setColumns(own, 1, band);
    for (const [id, rowSpan] of rows) {
      const { pin: _, ...before } = own.tiles[id] ?? {};
      own.tiles[id] = { ...before, columnSpan: 1, rowSpan, derived: true };
    }
  };
}

/** One column in a band: everything below each other, in reading order. */
export function stackBand(document: CollectionDocument, band: number, measurer: TextMeasurer): Command {
  const widths = widthsOf(document, null, band, measurer);
  return stackedCommand(
    document,
    band,
    bandBearing(document, derivedBand(bandOf(document, band)), 1, widths, measurer),
  );
}

/** The wider band's placement as it is: this band sets none of its own, and pins are held where they were. */
export function keepStructure(document: CollectionDocument, band: number): Command {
  return (draft) => {
    const own = writeBand(draft, band);
    for (const value of ['columns', 'rows', 'areas', 'flow', 'kind'] as const) delete own.arrangement[value];
    for (const [id, place] of Object.entries(own.tiles)) {
      for (const value of ['columnSpan', 'rowSpan', 'pin', 'area', 'order', 'derived'] as const)
        delete place[value];
      if (Object.keys(place).length === 0) delete own.tiles[id];
    }
    for (const id of Object.keys(document.tiles)) {
      const { pin } = placeIn(document, document.tiles[id] as Tile, band - 1);
      if (pin) own.tiles[id] = { ...own.tiles[id], pin: { ...pin } };
    }
  };
}
