import { HttpStatus } from '@nestjs/common';
import { applyPatch, PatchError, type CollectionDocument, type JsonPatch } from '@noria/core';
import { ProblemException } from '../problems/problem.js';

const SLICE = 1000;

/** A patch of very many operations, in slices between which others are served. */
export async function patchedInSlices(
  document: CollectionDocument,
  patch: JsonPatch,
): Promise<CollectionDocument> {
  let made = document;
  for (let from = 0; from < patch.length; from += SLICE) {
    made = patched(made, patch.slice(from, from + SLICE), from);
    await new Promise((resolve) => setImmediate(resolve));
  }
  return made;
}

/** @param from number of the first operation, where others were applied before */
export function patched(document: CollectionDocument, patch: JsonPatch, from = 0): CollectionDocument {
  try {
    return applyPatch(document, patch, from);
  } catch (error) {
    if (!(error instanceof PatchError)) throw error;
    throw new ProblemException(
      HttpStatus.UNPROCESSABLE_ENTITY,
      'patch-does-not-fit',
      'The patch does not fit the collection',
      `${error.message} Nothing was changed.`,
      { operation: error.operation, path: error.path },
    );
  }
}
