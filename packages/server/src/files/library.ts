import { HttpStatus } from '@nestjs/common';
import type { DataSource, EntityTarget, ObjectLiteral } from 'typeorm';
import { collectionsUsing, useCounts, type UsesColumn } from '../collections/uses.js';
import { pageOf, readCursor, type Page, type PageDto } from '../lists/cursor.js';
import { ProblemException } from '../problems/problem.js';
import type { FilesService } from './files.service.js';

/** A sort of stored files: its table, and which of a collection's columns says how often each is used. */
export interface Sort {
  readonly table: 'film' | 'font';
  readonly uses: UsesColumn;
  /** What lists tell of a file beside its hash and when it came, as SQL. */
  readonly columns: string;
}

/** A page of the files of a workspace, the newest first, with how often each is used. */
export async function libraryPage<Entry extends { readonly hash: string }>(
  database: DataSource,
  { table, uses: column, columns }: Sort,
  workspaceId: string,
  { limit = 60, after }: PageDto,
): Promise<Page<Entry & { readonly uses: number }>> {
  const cursor = readCursor(after);
  const rows = await database.query<(Entry & { at: string })[]>(
    `SELECT hash, ${columns}, created_at AS "createdAt", created_at::text AS at
     FROM ${table}
     WHERE workspace_id = $1 ${cursor ? 'AND (created_at < $3 OR (created_at = $3 AND hash > $4))' : ''}
     ORDER BY created_at DESC, hash LIMIT $2`,
    [workspaceId, limit + 1, ...(cursor ? [cursor.at, cursor.id] : [])],
  );
  const hashes = rows.map(({ hash }) => hash);
  const uses = await useCounts(database.manager, workspaceId, column, hashes);
  return pageOf(
    rows,
    limit,
    ({ hash }) => hash,
    ({ at: _, ...entry }) => ({ ...(entry as unknown as Entry), uses: uses.get(entry.hash) ?? 0 }),
  );
}

/**
 * Deletes a file that no collection uses, or one that some do when that was said to be known.
 * @throws ProblemException 409 with the collections that use it
 */
export async function removeFromLibrary(
  database: DataSource,
  files: FilesService,
  entity: EntityTarget<ObjectLiteral>,
  { table, uses: column }: Sort,
  {
    workspaceId,
    hash,
    evenUsed,
  }: {
    readonly workspaceId: string;
    readonly hash: string;
    readonly evenUsed: boolean;
  },
): Promise<void> {
  const uses = await collectionsUsing(database.manager, workspaceId, column, hash);
  if (uses.length > 0 && !evenUsed) {
    throw new ProblemException(
      HttpStatus.CONFLICT,
      `${table}-in-use`,
      `The ${table} is in use`,
      `It was not deleted: it is used in ${uses.map(({ name }) => `“${name}”`).join(', ')}.`,
      { uses },
    );
  }
  await database.transaction(async (manager) => {
    await manager.delete(entity, { workspaceId, hash });
    await files.remove(manager, workspaceId, hash);
  });
}
