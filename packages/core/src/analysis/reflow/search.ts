import { bandAt } from '../../document/bands.js';
import { checkFit } from '../fit/checkFit.js';
import { holdsCells } from '../../arrangements/questions.js';
import { LIMITS } from '../../document/limits.js';
import type { CollectionDocument } from '../../document/types.js';
import type { FindingKind } from '../fit/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** What makes a number of columns stop working. */
const STOPS: readonly FindingKind[] = ['squashed', 'clipped', 'overflow', 'over-cropped'];
/** What does so however few columns there are. */
const LEAST_STOPS: readonly FindingKind[] = ['squashed', 'clipped', 'overflow'];

/** Where the search begins, px: a width that the widest band is meant for. */
const BEGINS = 1280;
/** A band that is narrower than this, px, is not worth a breakpoint. */
export const LEAST_BAND = 24;
/** How many widths are looked at together, px. */
const AT_ONCE = 240;
export interface Search {
  readonly measurer: TextMeasurer;
  /** Ids of findings that are there anyway. */
  readonly ignored: ReadonlySet<string>;
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
