import { correctionsOf, followsWider, isDerivedBreakpoint, withDerivedOf } from '../../document/derived.js';
import type { CollectionDocument, NarrowerBand } from '../../document/types.js';
import type { Versions } from './tiles.js';

const bandIn = ({ bands }: CollectionDocument, id: string) => bands.find((band) => band.id === id);

/**
 * Versions in which bands only say what people set in them, since what was derived is no matter to
 * decide; null where the bands of one are set by hand. A band that someone corrected is in all that have
 * it, with one breakpoint where nobody moved it.
 */
export function withoutDerivedBands(versions: Versions): Versions | null {
  const all = [versions.base, versions.ours, versions.theirs];
  if (!all.every(followsWider)) return null;
  const corrected = new Set(
    all.flatMap(({ bands }) => bands.filter((band) => correctionsOf(band) !== null).map(({ id }) => id)),
  );
  const bare = (document: CollectionDocument): CollectionDocument => ({
    ...document,
    bands: document.bands.flatMap((band): NarrowerBand[] => {
      if (!corrected.has(band.id)) return [];
      const set = correctionsOf(band) ?? { id: band.id, below: band.below, arrangement: {}, tiles: {} };
      const there = isDerivedBreakpoint(band) ? bandIn(versions.base, band.id) : undefined;
      return [there ? { ...set, below: there.below } : set];
    }),
  });
  return { base: bare(versions.base), ours: bare(versions.ours), theirs: bare(versions.theirs) };
}

/** A joined document with what was derived in theirs, until it is derived anew. */
export function withDerivedBands(joined: CollectionDocument, { ours, theirs }: Versions): CollectionDocument {
  const bands = joined.bands.map((band) => {
    const [one, other] = [bandIn(ours, band.id), bandIn(theirs, band.id)];
    const isDerived = other && isDerivedBreakpoint(other) && (!one || isDerivedBreakpoint(one));
    return isDerived ? { ...band, below: other.below } : band;
  });
  return withDerivedOf({ ...joined, bands }, theirs);
}
