import { enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { numbered, withEntryIds, type NameEntry } from '../../check/entryIds.js';
import { outgrown } from '../outgrown.js';
import { pointerSegment } from '../../document/problems.js';
import type { CollectionDocument } from '../../document/types.js';
import { difference } from './difference.js';
import type { JsonPatch } from './types.js';

enablePatches();

/** A change to a document that was made, with the way there and the way back. */
export interface Change {
  readonly document: CollectionDocument;
  readonly patch: JsonPatch;
  readonly inverse: JsonPatch;
}

/** A command writes on a draft; what it leaves untouched stays the same object. */
export type Command = (draft: Draft<CollectionDocument>) => void;

/**
 * Runs a command on a document.
 * @param nameEntry names what is new in lists; two tabs at once want names that can't be the same
 * @returns the new document, with the JSON Patch (RFC 6902) that leads to it and the one that leads back
 * @throws RangeError when the document would grow past the bounds of a file; whatever the command throws
 * @example change(document, setSpan({ tiles: ['beds'], columnSpan: 2, band: 0, setFor: 'band' })).inverse
 */
export function change(
  document: CollectionDocument,
  command: Command,
  nameEntry: NameEntry = numbered,
): Change {
  const [changed, patches, inverse] = produceWithPatches(document, (draft) => {
    command(draft);
  });
  const amiss = outgrown(document, changed);
  if (amiss !== null) throw new RangeError(amiss);
  const named = withEntryIds(changed, nameEntry, document);
  return {
    document: named,
    patch: [...patches.map(toOperation), ...difference(changed, named)],
    inverse: [...difference(named, changed), ...inverse.map(toOperation)],
  };
}

function toOperation({ op, path, value }: Patch): JsonPatch[number] {
  const pointer = path.map((segment) => `/${pointerSegment(segment)}`).join('');
  return op === 'remove' ? { op, path: pointer } : { op, path: pointer, value: value as unknown };
}
