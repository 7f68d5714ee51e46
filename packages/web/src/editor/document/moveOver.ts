import { applyPatch, difference, joinDocuments, type CollectionDocument } from '@noria/core';
import type { Seam, Step } from './documentSlice';

/**
 * Undoes the last of some steps (`inverse`), or makes it again (`patch`). When changes from elsewhere came
 * in between, the step is made to fit them first, and what they changed stays as they have it.
 * @returns null when there is no step
 */
export function moveOver(document: CollectionDocument, steps: readonly Step[], way: 'patch' | 'inverse') {
  const last = steps.at(-1);
  if (!last) return null;
  const { seams = [], ...plain } = last;
  if (seams.length === 0) {
    return { document: applyPatch(document, last[way]), step: plain, left: steps.slice(0, -1) };
  }
  // The step leads from where the first change from elsewhere began.
  const [first] = seams as readonly [Seam, ...Seam[]];
  let from = applyPatch(first.before, last[way]);
  const below: Seam[] = [];
  for (const { before, after } of seams) {
    const { document: to } = joinDocuments({ base: before, ours: from, theirs: after, otherwise: 'theirs' });
    below.push({ before: from, after: to });
    from = to;
  }
  const there = difference(document, from);
  const back = difference(from, document);
  const step = way === 'patch' ? { patch: there, inverse: back } : { patch: back, inverse: there };
  const left = steps.slice(0, -1);
  const next = left.at(-1);
  return {
    document: from,
    step: { ...plain, ...step },
    left: next ? [...left.slice(0, -1), { ...next, seams: [...(next.seams ?? []), ...below] }] : left,
  };
}

/**
 * Goes over so many steps, as far as there are some.
 * @returns null when there is none
 */
export function moveOverSome(
  document: CollectionDocument,
  steps: readonly Step[],
  way: 'patch' | 'inverse',
  count: number,
) {
  let at = { document, steps: [] as readonly Step[], left: steps };
  for (let k = 0; k < count; k++) {
    const moved = moveOver(at.document, at.left, way);
    if (!moved) break;
    at = { document: moved.document, steps: [...at.steps, moved.step], left: moved.left };
  }
  return at.steps.length > 0 ? at : null;
}
