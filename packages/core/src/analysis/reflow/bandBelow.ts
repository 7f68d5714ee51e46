import { measuredIn } from '../../document/measured.js';
import { bandAt, bandOf } from '../../document/bands.js';
import { bandBearing } from '../bearing.js';
import { change } from '../../edit/patch/change.js';
import { columnsBorne, deriveBand } from './derive.js';
import { coverageOf } from '../packing/closeGaps.js';
import { evenColumn } from '../../geometry/evenColumn.js';
import { holdsCells } from '../../arrangements/questions.js';
import { allTiles, levelOf } from '../../document/levels.js';
import { keptDownTo } from './keptDownTo.js';
import { LIMITS } from '../../document/limits.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import type { CollectionDocument, NarrowerBand } from '../../document/types.js';
import { LEAST_BAND, lowestFrom, type Search } from './search.js';

/** A column of a narrower band is at most about twice as wide as one of the wider band beside it. */
const MOST_GROWTH = 2.3;
/** About three times where that makes the last row full. */
const MOST_GROWTH_TO_FULL = 3.6;
/** The least part of its widths, down from its breakpoint, in which a band with as many columns as the wider one works. */
const LEAST_SHARE = 0.15;
/** How often a shorter reach is tried. */
const TRIES = 5;

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
  const groups = allTiles(made).filter((tile) => made.tiles[tile]?.kind === 'group');
  const withBand: CollectionDocument = { ...made, bands: [...made.bands, band] };
  if (!holdsCells(bandOf(withBand, index).arrangement.kind))
    return { document: withBand, low: LIMITS.narrowest };
  const own = band.arrangement.columns?.length;
  const found = own === undefined ? best() : own === 1 ? stacked() : derived(own);
  return found ? keepingGroups(found) : { document: withBand, low: LIMITS.narrowest };

  function best(): Found {
    if (wanted === 1 || most === 1) return stacked();
    // Where only groups stop working, they alone get other columns.
    const first = wanted ?? (groups.length > 0 ? most : null);
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
  }

  function stacked(): Found {
    return { document: derivedTo(LIMITS.narrowest, 1), low: LIMITS.narrowest, columns: 1, isFull: true };
  }

  /** As far down as groups keep the columns that they have where the band begins. */
  function keepingGroups(found: Found): Found {
    if (groups.length === 0) return found;
    const { low, columns } = found;
    const end = keptDownTo({ low, below }, (to) => groupColumns(derivedTo(to, columns)));
    if (end === low) return found;
    const document = derivedTo(end, columns);
    return { ...found, document, low: lowestFrom(search, document, below - 1, end) };
  }

  /** The columns of every group in the new band. */
  function groupColumns(document: CollectionDocument): number[] {
    return groups.map((id) => resolvedBandOf(levelOf(document, id), index).columns.length);
  }

  function derivedTo(low: number, columns: number): CollectionDocument {
    const end: NarrowerBand = { id: `${id}-end`, below: low, arrangement: {}, tiles: {} };
    const ended = low > LIMITS.narrowest ? { ...withBand, bands: [...withBand.bands, end] } : withBand;
    const command = deriveBand(ended, index, { measurer, columns, keepsColumns: true });
    const changed = change(ended, command).document;
    return { ...changed, bands: changed.bands.slice(0, index) };
  }

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
      const document = derivedTo(low, columns);
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
