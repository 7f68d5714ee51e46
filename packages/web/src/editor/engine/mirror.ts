import { applyPatch, difference, type CollectionDocument, type JsonPatch } from '@noria/core';

/** How a mirror comes from the document that it had to the next one. */
export type MirrorStep = { readonly document: CollectionDocument } | { readonly patch: JsonPatch } | null;

/** The page's side of a mirror: says how the other side gets from what it has to a document. */
export function mirrorSteps(): (document: CollectionDocument) => MirrorStep {
  let there: CollectionDocument | null = null;
  return (document) => {
    const before = there;
    there = document;
    if (before === document) return null;
    if (before === null) return { document };
    // What both share is not looked into, so this costs what changed.
    const patch = difference(before, document);
    return patch.length > 0 ? { patch } : null;
  };
}

/** The worker's side: the document as it is there now. What a step does not touch stays the same objects. */
export function mirror(): (step: MirrorStep) => CollectionDocument | null {
  let here: CollectionDocument | null = null;
  return (step) => {
    if (step === null) return here;
    if ('document' in step) here = step.document;
    else if (here) here = applyPatch(here, step.patch);
    return here;
  };
}
