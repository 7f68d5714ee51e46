import { visibleShare } from '../../geometry/visibleShare.js';
import { placeIn } from '../../document/bands.js';
import { resolvedBandOf, type ResolvedBand } from '../../arrangements/bands.js';
import { areasTouch } from '../../geometry/relations.js';
import { cellsOf } from '../../arrangements/cells.js';
import { change, type Command } from '../../edit/patch/change.js';
import { noise } from '../../geometry/noise.js';
import { setSpan } from '../../edit/commands/place.js';
import { partKindOf } from '../../parts/index.js';
import { coveredAspect } from '../bearing.js';
import { coverageOf } from './closeGaps.js';
import { fillCells, type Choice, type Span } from './fillCells.js';
import { tilesOf } from './tilesOf.js';
import type { GridArea } from '../../geometry/area.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';

export interface ProposeOptions {
  /** The tiles that may have another span; the others keep theirs. */
  readonly tiles: readonly TileId[];
  readonly allows: (tile: TileId, span: Span) => boolean;
  /** Inline ÷ block of a span at the width shown; null where rows follow their content. */
  readonly aspectOf: (span: Span) => number | null;
  /** The same seed, the same proposals; a whole number. */
  readonly seed: number;
  /** How many at most. */
  readonly most: number;
}

/** What a proposal is judged by, each 0 to 1. */
export interface ProposalScore {
  /** The mean part of the pictures that shows. */
  readonly crop: number;
  /** Neighbours of different size ÷ all neighbours. */
  readonly rhythm: number;
  /** How far larger tiles are those of larger weight. */
  readonly emphasis: number;
  /** Steps from a tile to the next in reading order that lead to the right of it or down, not far back up. */
  readonly reading: number;
  /** 0.35 crop + 0.25 rhythm + 0.25 emphasis + 0.15 reading. */
  readonly whole: number;
}

export interface Proposal {
  readonly spans: Readonly<Record<TileId, Span>>;
  readonly areas: readonly GridArea[];
  readonly rows: number;
  readonly score: ProposalScore;
}

const SEARCHES = 400;
const STEPS = 1500;
const MOST_CELLS = 8;
/** Two proposals differ in at least this share of their tiles. */
const LEAST_DIFFERENCE = 0.2;

/** How much a group matters beside other tiles, and a card with nothing in it. */
const GROUP = 3;
const EMPTY = 1;

const weightByContent = (tile: Tile): number =>
  tile.kind === 'group' ? GROUP : Math.max(EMPTY, ...tile.parts.map((part) => partKindOf(part).weight));

/** How much a tile matters beside others, 1 to 5: as it says, else by what is in it; the first a step more. */
export const weightOf = (tile: Tile, position: number): number =>
  tile.weight ?? Math.min(5, weightByContent(tile) + (position === 0 ? 1 : 0));

/**
 * Arrangements of a level at a band without a hole, best first, each unlike the others: reading order
 * and pinned tiles stay, spans change. The number of searches is bounded, so few or none come back
 * where there are few.
 * @throws RangeError when there is no such band
 */
export function propose(
  document: CollectionDocument,
  bandIndex: number,
  options: ProposeOptions,
): Proposal[] {
  const band = resolvedBandOf(document, bandIndex);
  const columns = band.columns.length;
  const { held, flowing: tiles } = tilesOf(document, band);
  const flowing = tiles.map(({ tile, position, span }) => {
    const others = options.tiles.includes(tile.id)
      ? allSpans(columns).filter((each) => options.allows(tile.id, each))
      : [];
    const spans = others.length > 0 ? others : [span];
    return { id: tile.id, spans, weight: weightOf(tile, position), aspect: coveredAspect(document, tile) };
  });

  const found = new Map<string, Proposal>();
  for (let seed = 0; seed < SEARCHES && found.size < options.most * 6; seed++) {
    const random = noise(options.seed * 1009 + seed);
    const scale = 0.6 + 1.3 * random();
    const sorted = flowing.map(({ spans, weight, aspect }) => {
      const wish = Math.max(1, (weight - 0.6) * scale);
      const cost = (span: Span) => {
        const shape = options.aspectOf(span);
        const crop = aspect !== null && shape !== null ? 1 - visibleShare(aspect, shape) : 0;
        return Math.abs(Math.log((span.columns * span.rows) / wish)) + 1.2 * crop + 0.9 * random();
      };
      return spans
        .map((span) => ({ span, cost: cost(span) }))
        .sort((a, b) => a.cost - b.cost)
        .map(({ span }) => span);
    });
    const filled = fillCells({
      columns,
      held,
      count: flowing.length,
      budget: 0,
      steps: STEPS,
      choices: (_, placed) =>
        (sorted[placed] ?? []).map((span): Choice => ({ ...span, tile: placed, cost: 0 })),
    });
    if (!filled.choices) continue;
    const key = filled.choices.map(({ columns: c, rows: r }) => `${c}×${r}`).join();
    if (found.has(key)) continue;
    const spans = Object.fromEntries(
      filled.choices.map(({ columns: c, rows: r }, k) => [flowing[k]?.id ?? '', { columns: c, rows: r }]),
    );
    const proposal = judge(document, band, spans, options);
    if (proposal) found.set(key, proposal);
  }
  return unlike([...found.values()], options.most);
}

function unlike(proposals: readonly Proposal[], most: number): Proposal[] {
  const sorted = [...proposals].sort((a, b) => b.score.whole - a.score.whole);
  const kept: Proposal[] = [];
  for (const least of [LEAST_DIFFERENCE, 0]) {
    for (const each of sorted) {
      if (kept.length >= most) return kept.sort((a, b) => b.score.whole - a.score.whole);
      if (!kept.includes(each) && kept.every((other) => difference(each, other) > least)) kept.push(each);
    }
  }
  return kept.sort((a, b) => b.score.whole - a.score.whole);
}

function difference({ spans: a }: Proposal, { spans: b }: Proposal): number {
  const ids = Object.keys(a);
  const other = ids.filter((id) => a[id]?.columns !== b[id]?.columns || a[id]?.rows !== b[id]?.rows);
  return ids.length === 0 ? 0 : other.length / ids.length;
}

/** The spans of a proposal as a command. */
export function proposalCommand(spans: Proposal['spans'], band: number): Command {
  return (draft) => {
    for (const [id, { columns: columnSpan, rows: rowSpan }] of Object.entries(spans)) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      const place = placeIn(draft, tile, band);
      if (place.columnSpan === columnSpan && place.rowSpan === rowSpan) continue;
      setSpan({ tiles: [id], band, setFor: 'band', columnSpan, rowSpan })(draft);
    }
  };
}

/** A proposal with its score; null when placing the tiles leaves a hole after all. */
function judge(
  document: CollectionDocument,
  band: ResolvedBand,
  spans: Readonly<Record<TileId, Span>>,
  options: ProposeOptions,
): Proposal | null {
  const made = change(document, proposalCommand(spans, band.index)).document;
  const after = resolvedBandOf(made, band.index);
  if (coverageOf(made, after).holes.length > 0) return null;
  const areas = cellsOf(made, after);
  const rows = areas.reduce((most, { row, rowSpan }) => Math.max(most, row + rowSpan - 1), 0);
  return { spans, areas, rows, score: scoreOf(document, areas, options) };
}

function scoreOf(
  document: CollectionDocument,
  areas: readonly GridArea[],
  { aspectOf: shapeOf }: ProposeOptions,
): ProposalScore {
  const tiles = document.order.map((id) => document.tiles[id] as Tile);
  const crops = tiles.flatMap((tile, k) => {
    const aspect = coveredAspect(document, tile);
    const at = areas[k] as GridArea;
    const shape = shapeOf({ columns: at.columnSpan, rows: at.rowSpan });
    return aspect === null || shape === null ? [] : [visibleShare(aspect, shape)];
  });
  let neighbours = 0;
  let unlikeOnes = 0;
  areas.forEach((a, k) => {
    for (const b of areas.slice(k + 1)) {
      if (!areasTouch(a, b)) continue;
      neighbours++;
      if (a.columnSpan !== b.columnSpan || a.rowSpan !== b.rowSpan) unlikeOnes++;
    }
  });
  const steps = areas.slice(1).map((b, k) => {
    const a = areas[k] as GridArea;
    return b.row >= a.row ? 1 : Math.max(0, 1 - (a.row - b.row) / 2);
  });
  const score = {
    crop: crops.length === 0 ? 1 : mean(crops),
    rhythm: neighbours === 0 ? 1 : unlikeOnes / neighbours,
    emphasis: concord(
      tiles.map(weightOf),
      areas.map((each) => each.columnSpan * each.rowSpan),
    ),
    reading: steps.length === 0 ? 1 : mean(steps),
  };
  return {
    ...score,
    whole: 0.35 * score.crop + 0.25 * score.rhythm + 0.25 * score.emphasis + 0.15 * score.reading,
  };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Of the pairs of unlike weight, the share whose heavier tile is larger; half for the same size (Kendall). */
function concord(weights: readonly number[], sizes: readonly number[]): number {
  let pairs = 0;
  let right = 0;
  weights.forEach((weight, k) => {
    for (let other = k + 1; other < weights.length; other++) {
      const heavier = weight - (weights[other] as number);
      if (heavier === 0) continue;
      const larger = ((sizes[k] as number) - (sizes[other] as number)) * Math.sign(heavier);
      pairs++;
      right += larger > 0 ? 1 : larger === 0 ? 0.5 : 0;
    }
  });
  return pairs === 0 ? 1 : right / pairs;
}

function allSpans(columns: number): Span[] {
  const spans: Span[] = [];
  for (let c = 1; c <= columns; c++)
    for (let r = 1; r <= 3; r++)
      if (c * r <= Math.max(MOST_CELLS, columns)) spans.push({ columns: c, rows: r });
  return spans;
}
