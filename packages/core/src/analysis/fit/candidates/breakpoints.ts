import { LIMITS } from '../../../document/limits.js';
import { addBreakpoint, moveBreakpoint } from '../../../edit/commands/bands.js';
import { change } from '../../../edit/patch/change.js';
import { deriveBand } from '../../reflow/derive.js';
import { tame, type Candidate } from '../candidate.js';
import type { CollectionDocument } from '../../../document/types.js';
import type { Case } from './case.js';

/** A band worked out anew from the next wider one. */
export function* derivedAnew({ document, finding, index, options }: Case): Generator<Candidate> {
  if (index > 0 && finding.kind !== 'focus lost')
    yield tame('Derive this band again', deriveBand(document, index, options));
}

/** Findings at an end of a band go with its breakpoint; others with a new one. */
export function* atBreakpoints({ document, band, first, last, options }: Case): Generator<Candidate> {
  if (!first || !last) return;
  const narrower = document.bands[band.index];
  const low = Math.max(band.from, options.from ?? LIMITS.narrowest);
  const atLow = first.from <= low;
  const atHigh = last.to >= band.below - 1;
  if (atLow && narrower && first.to + 1 < band.below)
    yield tame(`Move breakpoint to ${first.to + 1}`, moveBreakpoint(band.index + 1, first.to + 1));
  if (atHigh && band.index > 0 && last.from > low)
    yield tame(`Move breakpoint to ${last.from}`, moveBreakpoint(band.index, last.from));
  const below = atLow ? first.to + 1 : last.from;
  if (below <= low || below >= band.below || below > LIMITS.widest) return;
  const id = freshId(document, below);
  const added = change(document, addBreakpoint(id, below)).document;
  const index = added.bands.findIndex((each) => each.id === id) + 1;
  if (index === 0) return;
  yield tame(`Add a breakpoint at ${below}`, (draft) => {
    addBreakpoint(id, below)(draft);
    deriveBand(added, index, { ...options, anew: true })(draft);
  });
}

function freshId({ bands }: CollectionDocument, below: number): string {
  const ids = new Set(bands.map(({ id }) => id));
  let id = `below-${below}`;
  while (ids.has(id)) id += '-x';
  return id;
}
