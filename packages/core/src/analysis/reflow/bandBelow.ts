import { measuredIn } from '../../document/measured.js';
import { bandAt, bandOf } from '../../document/bands.js';
import { bandBearing } from '../bearing.js';
import { change } from '../../edit/patch/change.js';
import { checkFit } from '../fit/checkFit.js';
import { columnsBorne, deriveBand } from './derive.js';
import { coverageOf } from '../packing/closeGaps.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { holdsCells } from '../../arrangements/questions.js';
import { LIMITS } from '../../document/limits.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import type { FindingKind } from '../fit/types.js';
import type { CollectionDocument, NarrowerBand } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What makes a number of columns stop working. */
const STOPS: readonly FindingKind[] = ['squashed', 'clipped', 'overflow', 'over-cropped'];
/** What does so however few columns there are. */
const LEAST_STOPS: readonly FindingKind[] = ['squashed', 'clipped', 'overflow'];

/** A column of a narrower band is at most about twice as wide as one of the wider band beside it. */
const MOST_GROWTH = 2.3;
/** About three times where that makes the last row full. */
const MOST_GROWTH_TO_FULL = 3.6;
/** Where the search begins, px: a width that the widest band is meant for. */
const BEGINS = 1280;
/** A band that is narrower than this, px, is not worth a breakpoint. */
export const LEAST_BAND = 24;
/** How many widths are looked at together, px. */
const AT_ONCE = 240;
/** The least part of its widths, down from its breakpoint, in which a band with as many columns as the wider one works. */
const LEAST_SHARE = 0.15;
/** How often a shorter reach is tried. */
const TRIES = 5;

export interface Search {
  readonly measurer: TextMeasurer;
  /** Ids of findings that are there anyway. */
  readonly ignored: ReadonlySet<string>;
}

/** A collection with one band more, and the narrowest width down to which that works, px. */
export interface Next {
  readonly document: CollectionDocument;
  readonly low: number;
}

interface Found extends Next {
  readonly columns: number;
  /** Whether the last row of tiles is full. */
  readonly isFull: boolean;
}

/** The width nearest to the usual one at which nothing keeps the widest band's columns from working, and what is amiss there anyway. */
export function beginning(
  document: CollectionDocument,
  measurer: TextMeasurer,
): Search & { readonly start: number } {
  const start = startOf(document, measurer);
  // What is amiss where everything else works is not for want of another number of columns.
  const ignored = amissAt(document, measurer, start, (kind) => !LEAST_STOPS.includes(kind));
  return { measurer, ignored, start };
}

function startOf(document: CollectionDocument, measurer: TextMeasurer): number {
  const counts = (kind: FindingKind) => LEAST_STOPS.includes(kind);
  if (amissAt(document, measurer, BEGINS, counts).size === 0) return BEGINS;
  const amiss = checkFit(document, { measurer })
    .findings.filter(({ kind }) => counts(kind))
    .flatMap(({ ranges }) => ranges);
  const isFree = (width: number) => amiss.every(({ from, to }) => width < from || width > to);
  for (let away = 0; away <= LIMITS.widest; away++) {
    for (const width of [BEGINS + away, BEGINS - away])
      if (width >= LIMITS.narrowest && width <= LIMITS.widest && isFree(width)) return width;
  }
  return LIMITS.widest;
}

/** Ids of what is found at a width. */
export function amissAt(
  document: CollectionDocument,
  measurer: TextMeasurer,
  width: number,
  counts: (kind: FindingKind) => boolean = () => true,
): ReadonlySet<string> {
  const { findings } = checkFit(document, { measurer, from: width, to: width });
  return new Set(findings.filter(({ kind }) => counts(kind)).map(({ id }) => id));
}

/**
 * The narrowest width down to which it works without a break, from a width on; one above that when it
 * does not there.
 * @param floor nothing narrower is looked at, px
 */
export function lowestFrom(
  { measurer, ignored }: Search,
  document: CollectionDocument,
  width: number,
  floor: number = LIMITS.narrowest,
): number {
  if (!holdsCells(bandAt(document, width).arrangement.kind)) return floor;
  for (let to = width; to >= floor; to -= AT_ONCE) {
    const from = Math.max(floor, to - AT_ONCE + 1);
    const amiss = checkFit(document, { measurer, from, to }).findings.filter(
      ({ kind, id }) => STOPS.includes(kind) && !ignored.has(id),
    );
    if (amiss.length > 0)
      return Math.max(...amiss.flatMap(({ ranges }) => ranges.map((each) => each.to + 1)));
  }
  return floor;
}

/**
 * Adds a band below all others, with the columns and spans that reach down the furthest: full rows and
 * columns about twice as wide as before come first, one column comes last.
 * @param band where it begins, and what it sets itself: columns that are among it, and spans, stay
 * @param wanted as many columns come first where they work at all, since a person wanted a band there
 */
export function bandBelow(
  search: Search,
  made: CollectionDocument,
  band: NarrowerBand,
  wanted: number | null = null,
): Next {
  const { measurer } = search;
  const { id, below } = band;
  const wider = resolvedBandOf(made, made.bands.length);
  const most = wider.columns.length;
  const index = made.bands.length + 1;
  const withBand: CollectionDocument = { ...made, bands: [...made.bands, band] };
  if (!holdsCells(bandOf(withBand, index).arrangement.kind))
    return { document: withBand, low: LIMITS.narrowest };
  const own = band.arrangement.columns?.length;
  if (own !== undefined) return derived(own) ?? { document: withBand, low: LIMITS.narrowest };

  const stacked = (): Found => ({
    document: change(withBand, deriveBand(withBand, index, { measurer, columns: 1, keepsColumns: true }))
      .document,
    low: LIMITS.narrowest,
    columns: 1,
    isFull: true,
  });
  if (wanted === 1) return stacked();
  // Where only groups stop working, they alone get other columns.
  const hasGroups = made.order.some((tile) => made.tiles[tile]?.kind === 'group');
  const first = wanted ?? (hasGroups ? most : null);
  if (first !== null) {
    const next = derived(first);
    const least = wanted === null ? LEAST_SHARE * below : LEAST_BAND;
    if (next && below - next.low >= least) return next;
  }
  const before = columnAt(made, below - 1, most);
  const growthOf = (columns: number) => columnAt(withBand, below - 1, columns) / before;
  const between = (least: number, greatest: number): Found[] => {
    const found: Found[] = [];
    for (let columns = most - 1; columns > 1; columns--) {
      const growth = growthOf(columns);
      if (growth > greatest) break;
      const next = growth > least ? derived(columns) : null;
      if (next && below - next.low >= LEAST_BAND) found.push(next);
    }
    return found;
  };
  const usual = between(0, MOST_GROWTH);
  if (growthOf(1) <= MOST_GROWTH) usual.push(stacked());
  const isFull = (each: Found) => each.isFull;
  if (usual.some(isFull)) return lowest(usual.filter(isFull));
  const larger = between(MOST_GROWTH, MOST_GROWTH_TO_FULL);
  if (growthOf(1) <= MOST_GROWTH_TO_FULL) larger.push(stacked());
  if (larger.some(isFull)) return lowest(larger.filter(isFull));
  return usual.length > 0 ? lowest(usual) : lowest([...larger, stacked()]);

  /** Derived down to the width at which tiles still bear so many columns, or as far as that works. */
  function derived(columns: number): Found | null {
    const bearing = (end: number) => (count: number) =>
      bandBearing(
        withBand,
        bandOf(withBand, index),
        count,
        { low: end, high: end, lowPage: end, highPage: end },
        measurer,
      );
    let low: number = LIMITS.narrowest;
    let high = below - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (columnsBorne(withBand, wider, columns, bearing(middle)) >= columns) high = middle;
      else low = middle + 1;
    }
    let reached: Found | null = null;
    for (let step = 0; step < TRIES && low < below - LEAST_BAND; step++) {
      const end: NarrowerBand = { id: `${id}-end`, below: low, arrangement: {}, tiles: {} };
      const ended = low > LIMITS.narrowest ? { ...withBand, bands: [...withBand.bands, end] } : withBand;
      const command = deriveBand(ended, index, { measurer, columns, keepsColumns: true });
      const changed = change(ended, command).document;
      const document = { ...changed, bands: changed.bands.slice(0, index) };
      // Fewer are looked for by themselves.
      if (resolvedBandOf(document, index).columns.length < columns) return null;
      const least = lowestFrom(search, document, below - 1, low);
      if (least < below && (!reached || least < reached.low)) {
        const { holes } = coverageOf(document, resolvedBandOf(document, index));
        reached = { document, low: least, columns, isFull: holes.length === 0 };
      }
      if (least === low) break;
      low += Math.max(LEAST_BAND, Math.round((below - low) / 4));
    }
    return reached;
  }
}

const lowest = (found: readonly Found[]): Found =>
  found.reduce((one, other) => (other.low < one.low ? other : one));

function columnAt(document: CollectionDocument, width: number, columns: number): number {
  const { padding, columnGap, maxInlineSize } = measuredIn(bandAt(document, width));
  const inner = Math.min(width, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd;
  return Math.max(LEAST_BAND, evenColumn(inner, columns, columnGap));
}
