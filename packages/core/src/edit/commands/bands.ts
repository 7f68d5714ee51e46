import { LIMITS } from '../../document/limits.js';
import { writeBand } from './draft.js';
import type { Command } from '../patch/change.js';

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

/** Removes a band's breakpoint, with what the band set; the next wider band takes its widths. */
export function removeBreakpoint(band: number): Command {
  return (draft) => {
    writeBand(draft, band);
    draft.bands.splice(band - 1, 1);
  };
}
