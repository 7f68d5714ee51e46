import { checkDocument, formatProblem, type CollectionDocument, type JsonPatch } from '@noria/core';
import { request } from './problem';

/** The workspace that this installation serves; accounts with more come later. */
export const WORKSPACE = 'huts';
const collections = `/api/workspaces/${WORKSPACE}/collections`;

export interface StoredCollection {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly document: CollectionDocument;
}

/** What comes over the network is checked like a file. */
function received(json: unknown): StoredCollection {
  const stored = json as StoredCollection;
  const { document, problems } = checkDocument(stored.document);
  if (document) return { ...stored, document };
  throw new Error(`“${stored.name}” can’t be read. ${problems.slice(0, 3).map(formatProblem).join(' ')}`);
}

export async function listCollections(): Promise<StoredCollection[]> {
  const all = (await (await request(collections)).json()) as unknown[];
  return all.map(received);
}

export async function readCollection(id: string): Promise<StoredCollection> {
  return received(await (await request(`${collections}/${encodeURIComponent(id)}`)).json());
}

export async function createCollection(body: {
  name?: string;
  document?: CollectionDocument;
}): Promise<StoredCollection> {
  const response = await request(collections, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  return received(await response.json());
}

export async function deleteCollection({ id, revision }: StoredCollection): Promise<void> {
  await request(`${collections}/${id}`, { method: 'DELETE', headers: { 'If-Match': `"${revision}"` } });
}

/** Sends a change; answers the new revision. The same change sent twice is made once. */
export async function sendChange(
  id: string,
  basedOn: number,
  changeId: string,
  patch: JsonPatch,
): Promise<number> {
  const response = await request(`${collections}/${id}`, {
    method: 'PATCH',
    headers: {
      'Content-Type': 'application/json-patch+json',
      'If-Match': `"${basedOn}"`,
      'Idempotency-Key': changeId,
    },
    body: JSON.stringify(patch),
  });
  return ((await response.json()) as { revision: number }).revision;
}
