import {
  checkDocument,
  FORMAT_VERSION,
  formatProblem,
  type CollectionDocument,
  type JsonPatch,
} from '@noria/core';
import type { Page } from './pages';
import { request } from './problem';
import { workspacePath } from './workspace';

const collections = () => workspacePath('collections');

export interface StoredCollection {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly document: CollectionDocument;
}

/** What a list shows of a collection. */
export interface ListedCollection {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly summary: {
    readonly tiles: number;
    readonly recipes: number;
    /** A small document that looks like the beginning of it; null when this version can’t read it. */
    readonly document: CollectionDocument | null;
    readonly unreadable: string | null;
  };
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

/** A page of the collections of the workspace, the last changed first. */
export async function listCollections(
  after: string | null = null,
  limit = 24,
): Promise<Page<ListedCollection>> {
  const query = new URLSearchParams({ limit: String(limit), ...(after !== null && { after }) });
  const page = (await (
    await request(`${collections()}?${query.toString()}`)
  ).json()) as Page<ListedCollection>;
  return { ...page, entries: page.entries.map(readable) };
}

/** A summary is checked as well: one that can’t be drawn must not keep the others from being shown. */
function readable(listed: ListedCollection): ListedCollection {
  const { summary } = listed;
  if (!summary.document) return listed;
  const { document, problems } = checkDocument(summary.document);
  const unreadable = document ? null : problems.slice(0, 2).map(formatProblem).join(' ');
  return { ...listed, summary: { ...summary, document, unreadable } };
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
  return received(await (await request(`${collections()}/${encodeURIComponent(id)}`)).json());
}

/** The document of a collection as it was at a revision, in the format version of then, unchecked. */
export async function readStored(id: string, revision: number): Promise<unknown> {
  const path = `${collections()}/${encodeURIComponent(id)}/revisions/${revision}`;
  const { document } = (await (await request(path)).json()) as { document: unknown };
  return document;
}

/** The document of a collection as it was at a revision. */
export async function readRevision(id: string, revision: number): Promise<CollectionDocument> {
  const document = await readStored(id, revision);
  return received({ id, name: id, revision, updatedAt: '', document }).document;
}

export async function createCollection(body: {
  name?: string;
  document?: CollectionDocument;
}): Promise<StoredCollection> {
  const response = await request(collections(), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  return received(await response.json());
}

export async function deleteCollection({
  id,
  revision,
}: Pick<StoredCollection, 'id' | 'revision'>): Promise<void> {
  await request(`${collections()}/${id}`, { method: 'DELETE', headers: { 'If-Match': `"${revision}"` } });
}

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
  const response = await request(`${collections()}/${id}`, {
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
