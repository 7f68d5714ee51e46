import { resolvedBandOf, type ResolvedBand } from '../../arrangements/bands.js';
import { cellsOf, rowCountOf } from '../../arrangements/cells.js';
import { coverage, type Coverage } from '../../geometry/coverage.js';
import { change, type Command } from '../../edit/patch/change.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { setSpan } from '../../edit/commands/place.js';
import { packBeam, type Packing } from './packBeam.js';
import { tilesOf } from './tilesOf.js';
import type { Span } from './fillCells.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

export interface CloseGapsOptions {
  /** How many positions in reading order a tile may move, 0 to 24. */
  readonly distance: number;
  /** Whether a tile may have a span: its content fits, its picture is not cropped too far. */
  readonly allows: (tile: TileId, span: Span) => boolean;
  /** How many tiles may change their span. */
  readonly mostSpans: number;
}

/** One thing that closing the gaps would change. */
export type GapChange =
  | { readonly what: 'flow' }
  | {
      readonly what: 'order';
      readonly tile: TileId;
      /** Positions in reading order, from 0. */
      readonly from: number;
      readonly to: number;
      /** The whole order that all such changes together lead to. */
      readonly order: readonly TileId[];
    }
  | { readonly what: 'span'; readonly tile: TileId; readonly from: Span; readonly to: Span };

export interface ClosedGaps {
  /** `none`: there was no hole; `whole`: no hole is left; `best`: the fewest that could be reached. */
  readonly outcome: 'none' | 'whole' | 'best';
  readonly before: Coverage;
  readonly after: Coverage;
  readonly changes: readonly GapChange[];
}

/** The waiting tiles of a search are bits of a number. */
const MOST_DISTANCE = 24;

/**
 * The least that leaves no hole in a level at a band: dense flow; else tiles moved within a distance
 * in reading order, the fewest first; else other spans, the fewest tiles and the fewest cells first.
 * Pinned tiles and those in areas stay where they are. Every answer is checked by placing the tiles.
 * @throws RangeError when there is no such band
 */
export function closeGaps(
  document: CollectionDocument,
  bandIndex: number,
  options: CloseGapsOptions,
): ClosedGaps {
  const band = resolvedBandOf(document, bandIndex);
  const before = coverageOf(document, band);
  if (before.holes.length === 0) return { outcome: 'none', before, after: before, changes: [] };

  const dense: GapChange[] = band.arrangement.flow === 'dense' ? [] : [{ what: 'flow' }];
  const flowed = answer(document, band, dense);
  if (flowed.after.holes.length === 0) return { ...flowed, outcome: 'whole', before };

  let best = flowed;
  for (const found of search(document, band, options)) {
    // As it flows is tried first: dense flow is a change too, but it may fill what is left.
    for (const changes of [found, [...dense, ...found]]) {
      const tried = answer(document, band, changes);
      if (tried.after.holes.length === 0) return { ...tried, outcome: 'whole', before };
      if (emptyCells(tried.after) < emptyCells(best.after)) best = tried;
    }
  }
  return { ...best, outcome: 'best', before };
}

const emptyCells = ({ cells, covered }: Coverage) => cells - covered;

/** The holes of a level in a band. */
export function coverageOf(document: CollectionDocument, band: ResolvedBand): Coverage {
  const areas = cellsOf(document, band);
  const { arrangement, columns } = band;
  return coverage(areas, columns.length, rowCountOf(arrangement, columns, areas));
}

/** Changes, with the coverage that they truly lead to. */
function answer(document: CollectionDocument, band: ResolvedBand, changes: readonly GapChange[]) {
  const made = change(document, gapCommand(changes, band.index)).document;
  return { changes, after: coverageOf(made, resolvedBandOf(made, band.index)) };
}

/** What closing the gaps came to, as a command. */
export function gapCommand(changes: readonly GapChange[], band: number): Command {
  return (draft) => {
    for (const each of changes) {
      if (each.what === 'flow') setArrangement({ flow: 'dense' }, band, 'band')(draft);
      if (each.what === 'order' && draft.order.join() !== each.order.join()) draft.order = [...each.order];
      if (each.what === 'span') {
        const { columns: columnSpan, rows: rowSpan } = each.to;
        setSpan({ tiles: [each.tile], band, setFor: 'band', columnSpan, rowSpan })(draft);
      }
    }
  };
}

interface Flowing {
  readonly id: TileId;
  /** Position in reading order. */
  readonly position: number;
  readonly spans: readonly Span[];
}

/** The best changes that were found, fewest spans first; later ones are only searched for when they are asked for. */
function* search(
  document: CollectionDocument,
  band: ResolvedBand,
  { distance, allows, mostSpans }: CloseGapsOptions,
): Generator<GapChange[]> {
  const columns = band.columns.length;
  const { held, flowing: tiles } = tilesOf(document, band);
  const flowing = tiles.map(({ tile: { id }, position, span }): Flowing => {
    const others = mostSpans === 0 ? [] : nearSpans(span, columns).filter((other) => allows(id, other));
    return { id, position, spans: [span, ...others] };
  });
  const cells = [...held, ...flowing.map(({ spans }) => spans[0] as Span)].reduce(
    (sum, { columns: wide, rows }) => sum + wide * rows,
    0,
  );
  const options = { columns, held, tiles: flowing, distance: Math.min(distance, MOST_DISTANCE) };
  // Cells that are no whole number of rows need another span, whatever the order.
  const fewest = cells % columns === 0 ? 0 : 1;
  for (const most of fewest < mostSpans ? [fewest, mostSpans] : [mostSpans]) {
    const packings = packBeam({ ...options, mostSpans: most });
    for (const { placed } of packings) yield asChanges(placed);
  }

  function asChanges(placed: Packing['placed']): GapChange[] {
    const order = [...document.order];
    placed.forEach(({ tile }, k) => {
      order[(flowing[k] as Flowing).position] = (flowing[tile] as Flowing).id;
    });
    const stay = longestRun(placed.map(({ tile }) => tile));
    const changes: GapChange[] = [];
    placed.forEach(({ tile, span }, k) => {
      const { id, position, spans } = flowing[tile] as Flowing;
      const to = (flowing[k] as Flowing).position;
      if (!stay.has(tile)) changes.push({ what: 'order', tile: id, from: position, to, order });
      const from = spans[0] as Span;
      if (span !== from) changes.push({ what: 'span', tile: id, from, to: span });
    });
    return changes;
  }
}

/** The most tiles that keep their order among one another: the longest increasing run (patience sorting). */
function longestRun(sequence: readonly number[]): ReadonlySet<number> {
  const ends: number[] = [];
  const before = new Map<number, number | undefined>();
  for (const value of sequence) {
    let k = ends.findIndex((end) => end > value);
    if (k === -1) k = ends.length;
    before.set(value, ends[k - 1]);
    ends[k] = value;
  }
  const run = new Set<number>();
  for (let at = ends.at(-1); at !== undefined; at = before.get(at)) run.add(at);
  return run;
}

/** Other spans, the nearest first: any number of columns, or a row more or less. */
function nearSpans({ columns, rows }: Span, most: number): Span[] {
  const found: Span[] = [];
  for (let c = 1; c <= most; c++)
    for (let r = Math.max(1, rows - 1); r <= rows + 1; r++)
      if ((c !== columns || r !== rows) && (r === rows || Math.abs(c - columns) <= 2))
        found.push({ columns: c, rows: r });
  const cells = (span: Span) => Math.abs(span.columns * span.rows - columns * rows);
  const steps = (span: Span) => Math.abs(span.columns - columns) + Math.abs(span.rows - rows);
  return found.sort((a, b) => steps(a) - steps(b) || cells(a) - cells(b));
}
