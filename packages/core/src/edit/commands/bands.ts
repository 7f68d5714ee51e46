import { LIMITS } from '../../document/limits.js';
import { clone } from '../../document/clone.js';
import { HOLDING } from '../../arrangements/index.js';
import { writeBand } from './draft.js';
import type { Command } from '../patch/change.js';
import type { NarrowerBand } from '../../document/types.js';

/** Moves a band's breakpoint to a width in px, kept between its neighbours. */
export function moveBreakpoint(band: number, below: number): Command {
  return (draft) => {
    const widest = (draft.bands[band - 2]?.below ?? LIMITS.widest + 1) - 1;
    const narrowest = (draft.bands[band]?.below ?? LIMITS.narrowest) + 1;
    writeBand(draft, band).below = Math.min(widest, Math.max(narrowest, Math.round(below)));
  };
}

/** Cuts the band at a width in two; the new, narrower one inherits everything. A taken width is left. */
export function addBreakpoint(id: string, below: number): Command {
  return (draft) => {
    const at = Math.round(below);
    if (at <= LIMITS.narrowest || at > LIMITS.widest) return;
    if (draft.bands.length >= LIMITS.bands || draft.bands.some((band) => band.below === at)) return;
    const index = draft.bands.findIndex((band) => band.below < at);
    const position = index === -1 ? draft.bands.length : index;
    draft.bands.splice(position, 0, { id, below: at, arrangement: {}, tiles: {} });
  };
}

/**
 * Removes a band's breakpoint, with what the band set; the next wider band takes its widths. Where the
 * breakpoint was derived, no other is derived at those widths.
 */
export function removeBreakpoint(band: number): Command {
  return (draft) => {
    const { below, derived } = writeBand(draft, band);
    const from = draft.bands[band]?.below ?? LIMITS.narrowest;
    draft.bands.splice(band - 1, 1);
    if (draft.narrowerBands !== 'derived' || derived?.below !== below) return;
    draft.unbroken = [...(draft.unbroken ?? []), { from, to: below }].slice(-LIMITS.bands);
  };
}

/**
 * Breaks a collection at these widths and, where bands are derived, at no others; one that is there
 * already stays as it is. A new band has its share of the columns, from wide to narrow.
 * @param widths from wide to narrow, px
 * @param freshId names a band that is new
 */
export function setBreakpoints(widths: readonly number[], freshId: () => string): Command {
  return (draft) => {
    const { columns, kind } = draft.arrangement;
    widths.forEach((below, k) => {
      addBreakpoint(freshId(), below)(draft);
      const band = draft.bands.find((each) => each.below === below);
      if (!band) return;
      if (band.derived) delete band.derived.below;
      // Other kinds have columns of their own.
      else if (kind === HOLDING && Object.keys(band.arrangement).length === 0) {
        const share = (widths.length - k) / (widths.length + 1);
        const fewer = columns.slice(0, Math.max(1, Math.round(columns.length * share)));
        band.arrangement = { columns: fewer };
        if (draft.narrowerBands === 'derived') band.derived = { arrangement: { columns: [...fewer] } };
      }
    });
    if (draft.narrowerBands !== 'derived') return;
    const ends = [LIMITS.widest, ...widths, LIMITS.narrowest];
    draft.unbroken = ends.slice(1).map((from, k) => ({ from, to: ends[k] ?? from }));
  };
}

/** Lets a breakpoint that was set by hand be derived again, with what else is derived in its band. */
export function deriveBreakpoint(band: number): Command {
  return (draft) => {
    const own = writeBand(draft, band);
    own.derived = { arrangement: {}, ...own.derived, below: own.below };
  };
}

/**
 * Lets narrower bands be derived from the wider one from now on, or leaves them as they are, to be set
 * by hand.
 * @param bands the bands to begin with where they are derived; what of them is not marked as derived stays
 */
export function setNarrowerBands(bands: readonly NarrowerBand[] | null): Command {
  return (draft) => {
    delete draft.unbroken;
    if (bands) {
      draft.narrowerBands = 'derived';
      draft.bands = clone(bands);
      return;
    }
    delete draft.narrowerBands;
    for (const band of draft.bands) delete band.derived;
  };
}
