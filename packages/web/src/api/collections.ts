import {
  checkDocument,
  FORMAT_VERSION,
  formatProblem,
  type CollectionDocument,
  type JsonPatch,
} from '@noria/core';
import { takeAhead } from './ahead';
import { addCollection, collectionPath } from './listedCollections';
import { request } from './problem';
import { workspacePath } from './workspace';

export interface StoredCollection {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly document: CollectionDocument;
}

/** A collection that this version of Noria can’t read; what was stored is there to be taken away. */
export class UnreadableCollection extends Error {
  override readonly name = 'UnreadableCollection';
  constructor(
    message: string,
    readonly stored: { readonly name: string; readonly document: unknown },
  ) {
    super(message);
  }
}

/** What comes over the network is checked like a file. */
function received(json: unknown): StoredCollection {
  const stored = json as StoredCollection;
  const { document, problems } = checkDocument(stored.document);
  if (document) return { ...stored, document };
  const why = problems.slice(0, 3).map(formatProblem).join(' ');
  throw new UnreadableCollection(`“${stored.name}” can’t be read. ${why}`, stored);
}

/** The collections that have recipes. */
export async function listRecipes(): Promise<StoredCollection[]> {
  const all = (await (await request(workspacePath('recipes'))).json()) as unknown[];
  return all.flatMap((each) => {
    try {
      return [received(each)];
    } catch {
      return [];
    }
  });
}

export async function readCollection(id: string): Promise<StoredCollection> {
  return received(await (await request(collectionPath(id))).json());
}

/** The collection as it was asked for by the address, before this was there; null: it was not, or was read so. */
export async function readAhead(id: string): Promise<StoredCollection | null> {
  const answer = takeAhead(collectionPath(id));
  return answer && received(await (await answer).json());
}

/** The document of a collection as it was at a revision, in the format version of then, unchecked. */
export async function readStored(id: string, revision: number): Promise<unknown> {
  const path = `${collectionPath(id)}/revisions/${revision}`;
  const { document } = (await (await request(path)).json()) as { document: unknown };
  return document;
}

/** The document of a collection as it was at a revision. */
export async function readRevision(id: string, revision: number): Promise<CollectionDocument> {
  const document = await readStored(id, revision);
  return received({ id, name: id, revision, updatedAt: '', document }).document;
}

/** Stores a document as a collection of its own. */
export const createCollection = async (document: CollectionDocument): Promise<StoredCollection> =>
  received(await addCollection({ document }));

/**
 * Sends a change; answers the new revision. The same change sent twice is made once.
 * @param format the format version that it was made in; of another than the server’s it is refused, but
 *   for one that was made already
 */
export async function sendChange(
  id: string,
  basedOn: number,
  changeId: string,
  patch: JsonPatch,
  format: number = FORMAT_VERSION,
): Promise<number> {
  const response = await request(collectionPath(id), {
    method: 'PATCH',
    headers: {
      'Content-Type': 'application/json-patch+json',
      'If-Match': `"${basedOn}"`,
      'Idempotency-Key': changeId,
      'Noria-Format': String(format),
    },
    body: JSON.stringify(patch),
  });
  return ((await response.json()) as { revision: number }).revision;
}
