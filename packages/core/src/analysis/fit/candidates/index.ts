import { kindCandidates } from '../kindCandidates.js';
import { ANY_BAND, type Finding } from '../types.js';
import { atBreakpoints, derivedAnew } from './breakpoints.js';
import { caseOf, type Case } from './case.js';
import { legible } from './faint.js';
import { letFlow, lostPinHere, otherFlow, otherSpans } from './spans.js';
import { anywhere, apart, lessNeed } from './tile.js';
import { inside, neverWider, otherRows } from './tracks.js';
import type { CollectionDocument } from '../../../document/types.js';
import type { Candidate } from '../candidate.js';
import type { CheckOptions } from '../checkFit.js';

/** What may be done in the band of a finding, the least first. */
const IN_BAND: readonly ((which: Case) => Iterable<Candidate>)[] = [
  letFlow,
  lostPinHere,
  otherSpans,
  otherFlow,
  derivedAnew,
  atBreakpoints,
  otherRows,
  ({ here, finding, at }) => kindCandidates(here, finding, at),
  lessNeed,
  neverWider,
  inside,
  apart,
];

/** What might put a finding right, the least first; none of it has been tried. */
export function* candidates(
  document: CollectionDocument,
  finding: Finding,
  options: CheckOptions,
): Generator<Candidate> {
  if (!ANY_BAND.includes(finding.kind)) {
    const which = caseOf(document, finding, options);
    for (const remedies of IN_BAND) yield* remedies(which);
  }
  yield* legible(document, finding, options);
  yield* anywhere(document, finding);
}
