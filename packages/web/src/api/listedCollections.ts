import type { Page } from './pages';
import { request } from './problem';
import { workspacePath } from './workspace';

export const collections = (): string => workspacePath('collections');
export const collectionPath = (id: string): string => `${collections()}/${encodeURIComponent(id)}`;

/** What a list shows of a collection. */
export interface ListedCollection {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly summary: {
    readonly tiles: number;
    readonly recipes: number;
    /** A small document that looks like the beginning of it, not checked yet; null when the server can’t read it. */
    readonly document: unknown;
    /** Why it can’t. */
    readonly unreadable: string | null;
  };
}

/** A page of the collections of the workspace, the last changed first. */
export async function listCollections(
  after: string | null = null,
  limit = 24,
): Promise<Page<ListedCollection>> {
  const query = new URLSearchParams({ limit: String(limit), ...(after !== null && { after }) });
  return (await (await request(`${collections()}?${query.toString()}`)).json()) as Page<ListedCollection>;
}

/** Makes a collection, and answers it as it was stored. */
export async function addCollection(body: {
  readonly name?: string;
  readonly document?: unknown;
}): Promise<{ readonly id: string }> {
  const response = await request(collections(), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  return (await response.json()) as { readonly id: string };
}

export async function deleteCollection({
  id,
  revision,
}: Pick<ListedCollection, 'id' | 'revision'>): Promise<void> {
  await request(`${collections()}/${id}`, { method: 'DELETE', headers: { 'If-Match': `"${revision}"` } });
}
