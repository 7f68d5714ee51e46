import { clone } from '../../document/clone.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { bandAt, bandOf, type Band } from '../../document/bands.js';
import { LIMITS } from '../../document/limits.js';
import { checkFit } from '../fit/checkFit.js';
import { change, type Command } from '../../edit/patch/change.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { bandBearing } from '../bearing.js';
import { columnsBorne, deriveBand } from './derive.js';
import { stackBand } from './stack.js';
import type { FindingKind } from '../fit/types.js';
import type { ArrangementValues, CollectionDocument, NarrowerBand } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What makes a number of columns stop working. */
const STOPS: readonly FindingKind[] = [
  'squashed',
  'clipped',
  'overflow',
  'over-cropped',
  'hole',
  'stray',
  'out of order',
];
/** What does so however few columns there are. */
const LEAST_STOPS: readonly FindingKind[] = ['squashed', 'clipped', 'overflow'];

/** A column of a narrower band is at most about twice as wide as one of the wider band beside it. */
const MOST_GROWTH = 2.3;
/** Where the search begins, px: a width that the widest band is meant for. */
const BEGINS = 1280;
/** A band that is narrower than this, px, is not worth a breakpoint. */
const LEAST_BAND = 24;
/** How often a shorter reach is tried. */
const TRIES = 5;

/**
 * Puts breakpoints where the columns stop working, as few as are enough: from a width at which the
 * widest band works, downwards to the first px at which a tile is squashed, clipped or cropped too
 * far; below it the derived columns that reach down the furthest, and so on to the narrowest width.
 * Gaps, padding and rows are as they were at those widths; placements and breakpoints are new.
 * @returns the bands, from wide to narrow
 * @throws whatever the measurer throws
 */
export function findBreakpoints(
  document: CollectionDocument,
  measurer: TextMeasurer,
  freshId: (position: number) => string,
): NarrowerBand[] {
  let made: CollectionDocument = { ...document, bands: [] };
  const start = startOf(made, measurer);
  // What is amiss where everything else works is not for want of another number of columns.
  const ignored = new Set(
    checkFit(made, { measurer, from: start, to: start })
      .findings.filter(({ kind }) => !LEAST_STOPS.includes(kind))
      .map(({ id }) => id),
  );
  const search: Search = { original: document, measurer, ignored };
  let low = lowestFrom(search, made, start);
  while (low > LIMITS.narrowest && made.bands.length < LIMITS.bands) {
    const next = bestBelow(search, made, Math.min(LIMITS.widest, low), freshId(made.bands.length));
    made = next.document;
    low = next.low;
  }
  return [...made.bands];
}

interface Search {
  readonly original: CollectionDocument;
  readonly measurer: TextMeasurer;
  /** Ids of findings that are there anyway. */
  readonly ignored: ReadonlySet<string>;
}

/** The breakpoints that were found, as a command. */
export const breakpointsCommand =
  (bands: readonly NarrowerBand[]): Command =>
  (draft) => {
    draft.bands = clone(bands);
  };

/** The width nearest to the usual one at which nothing keeps the columns from working. */
function startOf(document: CollectionDocument, measurer: TextMeasurer): number {
  const amiss = checkFit(document, { measurer })
    .findings.filter(({ kind }) => LEAST_STOPS.includes(kind))
    .flatMap(({ ranges }) => ranges);
  const isFree = (width: number) => amiss.every(({ from, to }) => width < from || width > to);
  for (let away = 0; away <= LIMITS.widest; away++) {
    for (const width of [BEGINS + away, BEGINS - away]) {
      if (width >= LIMITS.narrowest && width <= LIMITS.widest && isFree(width)) return width;
    }
  }
  return LIMITS.widest;
}

/** The narrowest width down to which it works without a break, from a width on; one above that when it does not there. */
function lowestFrom({ measurer, ignored }: Search, document: CollectionDocument, width: number): number {
  const amiss = checkFit(document, { measurer, from: LIMITS.narrowest, to: width }).findings.filter(
    ({ kind, id }) => STOPS.includes(kind) && !ignored.has(id),
  );
  return Math.max(LIMITS.narrowest, ...amiss.flatMap(({ ranges }) => ranges.map(({ to }) => to + 1)));
}

interface Next {
  readonly document: CollectionDocument;
  readonly low: number;
}

/** The band below a width that reaches down the furthest; one column at last. */
function bestBelow(search: Search, made: CollectionDocument, below: number, id: string): Next {
  const { original, measurer } = search;
  const wider = resolvedBandOf(made, made.bands.length);
  const most = wider.columns.length;
  const index = made.bands.length + 1;
  const band: NarrowerBand = { id, below, arrangement: carriedOver(original, below - 1, wider), tiles: {} };
  const withBand: CollectionDocument = { ...made, bands: [...made.bands, band] };
  const stacked: Next = {
    document: change(withBand, stackBand(withBand, index, measurer)).document,
    low: LIMITS.narrowest,
  };
  let best: Next | null = null;
  for (let columns = most - 1; columns > 1; columns--) {
    if (columnAt(withBand, below - 1, columns) > MOST_GROWTH * columnAt(made, below, most)) break;
    const found = derived(columns);
    if (found && (!best || found.low < best.low)) best = found;
  }
  if (best && below - best.low >= LEAST_BAND) return best;
  return stacked;

  /** Derived down to the width at which tiles still bear so many columns, or as far as that works. */
  function derived(columns: number): Next | null {
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
    let reached: Next | null = null;
    for (let step = 0; step < TRIES && low < below - LEAST_BAND; step++) {
      const ended: CollectionDocument =
        low > LIMITS.narrowest
          ? {
              ...withBand,
              bands: [...withBand.bands, { id: `${id}-end`, below: low, arrangement: {}, tiles: {} }],
            }
          : withBand;
      const document = withoutEnd(
        change(ended, deriveBand(ended, index, { measurer, columns })).document,
        index,
      );
      const lowest = Math.max(low, lowestFrom(search, document, below - 1));
      if (lowest < below && (!reached || lowest < reached.low)) reached = { document, low: lowest };
      if (lowest === low) break;
      low += Math.max(LEAST_BAND, Math.round((below - low) / 4));
    }
    return reached;
  }
}

const withoutEnd = (document: CollectionDocument, bands: number): CollectionDocument => ({
  ...document,
  bands: document.bands.slice(0, bands),
});

function columnAt(document: CollectionDocument, width: number, columns: number): number {
  const { padding, columnGap, maxInlineSize } = bandAt(document, width).arrangement;
  const inner = Math.min(width, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd;
  return Math.max(LEAST_BAND, evenColumn(inner, columns, columnGap));
}

/** What a new band takes over of what held at its widths before, where that is not inherited. */
function carriedOver(original: CollectionDocument, width: number, wider: Band): Partial<ArrangementValues> {
  const { arrangement } = bandAt(original, width);
  const values = ['autoRows', 'columnGap', 'rowGap', 'padding', 'maxInlineSize'] as const;
  return Object.fromEntries(
    values
      .filter((value) => JSON.stringify(arrangement[value]) !== JSON.stringify(wider.arrangement[value]))
      .map((value) => [value, arrangement[value]]),
  );
}
