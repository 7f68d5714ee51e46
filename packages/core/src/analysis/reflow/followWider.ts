import { bandBelow, type Next } from './bandBelow.js';
import { amissAt, beginning, LEAST_BAND, lowestFrom } from './search.js';
import { correctionsOf, followsWider, isDerivedBreakpoint, IDS_OF } from '../../document/derived.js';
import { LIMITS } from '../../document/limits.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { same } from '../../same.js';
import type {
  ArrangementValues,
  CollectionDocument,
  DerivedValues,
  NarrowerBand,
} from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** How far a band may have moved, as a factor of its width, and be taken for the same. */
const SAME_BAND = 1.5;

/**
 * Brings the narrower bands of a collection up to its widest one, where they are derived: breakpoints,
 * columns and spans are worked out anew, and what a person set in a band stays with its breakpoint.
 * Nothing else tells the result: the same wider band and the same corrections give the same bands.
 * @param freshId names a band that is new, by its position from 0
 * @param shown the width, px, at which somebody has changed something. Where that is a laptop’s or more, and in
 *   the widest band, it stays in it, even if not every tile has the room there that it needs: no breakpoint is
 *   derived above it from then on.
 * @returns the same object where nothing changes, or bands are set by hand
 * @throws whatever the measurer throws
 */
export function followWider(
  document: CollectionDocument,
  measurer: TextMeasurer,
  freshId: (position: number) => string,
  shown?: number,
): CollectionDocument {
  if (!followsWider(document)) return document;
  const bands = bandsFor(document, measurer, freshId, new Set());
  const isKept = shown !== undefined && shown >= LEAST_KEPT && isWidest(document.bands, shown);
  if (isKept && !isWidest(bands, shown)) {
    return followWider(keptFrom(document, shown), measurer, freshId);
  }
  return same(bands, document.bands) ? document : { ...document, bands };
}

/** The narrowest width, px, that stays in the widest band: narrower ones are what narrower bands are for. */
const LEAST_KEPT = 1024;

const isWidest = ([next]: readonly NarrowerBand[], width: number) =>
  next === undefined || width >= next.below;

/** The same collection with no breakpoint derived above a width. */
function keptFrom(document: CollectionDocument, from: number): CollectionDocument {
  const others = (document.unbroken ?? []).filter(({ to }) => to < LIMITS.widest);
  return { ...document, unbroken: [...others.slice(1 - LIMITS.bands), { from, to: LIMITS.widest }] };
}

/** A person set something in a band: what that is, and whether its breakpoint stays too. */
interface Corrected {
  readonly set: NarrowerBand;
  readonly before: NarrowerBand;
  readonly isFixed: boolean;
}

/** @param fixed ids of bands whose breakpoints stay though they were derived */
function bandsFor(
  document: CollectionDocument,
  measurer: TextMeasurer,
  freshId: (position: number) => string,
  fixed: ReadonlySet<string>,
): readonly NarrowerBand[] {
  const corrected = document.bands.flatMap((before): Corrected[] => {
    const set = correctionsOf(before);
    return set ? [{ set, before, isFixed: !isDerivedBreakpoint(before) || fixed.has(before.id) }] : [];
  });
  const [held, free] = [
    corrected.filter(({ isFixed }) => isFixed),
    corrected.filter((each) => !each.isFixed),
  ];
  const spare = document.bands.filter(({ id }) => corrected.every(({ set }) => set.id !== id));
  const unbroken = document.unbroken ?? [];
  const search = beginning({ ...document, bands: [] }, measurer);
  let made: CollectionDocument = { ...document, bands: [] };
  let low = lowestFrom(search, made, search.start);
  const add = (set: NarrowerBand, before: NarrowerBand | undefined, next: Next): void => {
    const last = next.document.bands.at(-1) as NarrowerBand;
    const isByHand = before !== undefined && !isDerivedBreakpoint(before);
    const band = withIdsOf({ ...last, derived: derivedIn(set, last, isByHand) }, before);
    made = { ...next.document, bands: [...next.document.bands.slice(0, -1), band] };
    low = next.low;
  };
  /** A band below a width; one that a person corrected in it, if there was one like it. */
  const derive = (below: number): void => {
    const [other] = spare;
    const plain = { id: other?.id ?? freshId(made.bands.length), below, arrangement: {}, tiles: {} };
    const next = bandBelow(search, made, plain);
    const columns = next.document.bands.at(-1)?.arrangement.columns?.length;
    const at = free.findIndex(({ before }) => isLike(before, below, columns));
    const [own] = at === -1 ? [] : free.splice(at, 1);
    if (own) {
      const set = { ...own.set, below };
      add(set, own.before, bandBelow(search, made, set, columns ?? null));
    } else add(plain, spare.shift(), next);
  };
  while (made.bands.length < LIMITS.bands) {
    // What does not fit at the widest width would be broken there.
    const below = Math.min(LIMITS.widest, low);
    low = unbroken.reduce(
      (from, range) => (from > range.from && from <= range.to ? range.from : from),
      below,
    );
    const [next] = held;
    const least = next ? next.set.below + LEAST_BAND : LIMITS.narrowest + 1;
    if (low >= least) derive(low);
    else if (next) {
      held.shift();
      // What is amiss where it begins is as the person wanted it.
      const own = amissAt({ ...made, bands: [...made.bands, next.set] }, measurer, next.set.below - 1);
      const ignored = new Set([...search.ignored, ...own]);
      // One that was added has what the wider one has, one that was moved what it had.
      const columns =
        next.before.derived?.arrangement.columns?.length ??
        resolvedBandOf(made, made.bands.length).columns.length;
      add(next.set, next.before, bandBelow({ ...search, ignored }, made, next.set, columns));
    } else break;
  }
  // Where no band is like one that was corrected any more, that one stays where it was.
  return free.length > 0 && made.bands.length < LIMITS.bands
    ? bandsFor(document, measurer, freshId, new Set([...fixed, ...free.map(({ set }) => set.id)]))
    : [...made.bands, ...held.map(({ set }) => set)].slice(0, LIMITS.bands);
}

/** Whether a band that a person corrected is the one that is derived below a width now: by its columns, else by its width. */
function isLike({ derived, below: was }: NarrowerBand, below: number, columns: number | undefined): boolean {
  const before = derived?.arrangement.columns?.length;
  return before === undefined || columns === undefined
    ? Math.max(was / below, below / was) < SAME_BAND
    : before === columns;
}

/** What a band has beside what was set in it. */
function derivedIn(set: NarrowerBand, made: NarrowerBand, isByHand: boolean): DerivedValues {
  const beside = (own: Partial<ArrangementValues> | undefined, all: Partial<ArrangementValues>) => {
    const ids = Object.values(IDS_OF);
    return Object.fromEntries(
      Object.entries(all).filter(([field]) => !(own && field in own) && !ids.includes(field)),
    );
  };
  const groups = Object.entries(made.groups ?? {})
    .map(([id, all]) => [id, beside(set.groups?.[id], all)] as const)
    .filter(([, values]) => Object.keys(values).length > 0);
  return {
    ...(!isByHand && { below: made.below }),
    arrangement: beside(set.arrangement, made.arrangement),
    ...(groups.length > 0 && { groups: Object.fromEntries(groups) }),
  };
}

/** A band whose derived tracks have the ids that they had. */
function withIdsOf(band: NarrowerBand, before: NarrowerBand | undefined): NarrowerBand {
  const named = (own: Partial<ArrangementValues>, was: Partial<ArrangementValues> | undefined) =>
    was?.columnIds && own.columns?.length === was.columnIds.length
      ? { ...own, columnIds: was.columnIds }
      : own;
  return {
    ...band,
    arrangement: named(band.arrangement, before?.arrangement),
    ...(band.groups && {
      groups: Object.fromEntries(
        Object.entries(band.groups).map(([id, own]) => [id, named(own, before?.groups?.[id])]),
      ),
    }),
  };
}
