import {
  applyPatch,
  checkDocument,
  difference,
  FORMAT_VERSION,
  joinDocuments,
  type CollectionDocument,
  type JsonPatch,
  type Joined,
  type Side,
} from '@noria/core';
import { readRevision, readStored, type StoredCollection } from '../../api/collections';
import { readBase, type Outbox, type OutboxKey } from './outbox';

/** One side’s work on a collection: what it began with, and what it has become. */
export interface Version {
  readonly base: CollectionDocument;
  readonly document: CollectionDocument;
}

/**
 * The version that an outbox leads to.
 * @param stored the collection as it is now; null: it was deleted
 * @throws PatchError when its patches do not fit the revision that they are based on; an Error when that
 *   revision is nowhere any more
 */
export async function versionOf(
  of: OutboxKey,
  { revision, underWay, unsent, format = 1 }: Outbox,
  stored: StoredCollection | null,
): Promise<Version> {
  const kept = await readBase(of);
  const isPresent = format === FORMAT_VERSION;
  const base =
    kept?.revision === revision && kept.document.formatVersion === format
      ? kept.document
      : isPresent
        ? stored?.revision === revision
          ? stored.document
          : await readRevision(of.collection, revision)
        : await readStored(of.collection, revision);
  const document = applyPatch(base as CollectionDocument, [...(underWay?.patch ?? []), ...unsent]);
  return isPresent
    ? { base: base as CollectionDocument, document }
    : { base: present(base), document: present(document) };
}

/** A document of an older format version in the present one. */
function present(document: unknown): CollectionDocument {
  const { document: read } = checkDocument(document);
  if (!read) throw new Error('The changes that were left can’t be read.');
  return read;
}

/** A version on top of what is stored now, with the patch that leads from there to it. */
export function onTop(
  { base, document }: Version,
  theirs: CollectionDocument,
  choices: Readonly<Record<string, Side>> = {},
): Joined & { readonly unsent: JsonPatch } {
  const joined = joinDocuments({ base, ours: document, theirs, choices, otherwise: 'ours' });
  return { ...joined, unsent: difference(theirs, joined.document) };
}
