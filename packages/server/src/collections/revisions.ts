/** How a collection and its revisions lie in the database. */

import { createHash } from 'node:crypto';
import { FORMAT_VERSION, type JsonPatch } from '@noria/core';
import type { EntityManager } from 'typeorm';
import { Collection } from './collection.entity.js';
import { missing } from './refusals.js';
import type { Described } from './describe.js';

/** The collection, kept from others until the transaction ends. */
export async function locked(manager: EntityManager, workspaceId: string, id: string): Promise<Collection> {
  const found = await manager.findOne(Collection, {
    where: { workspaceId, id },
    lock: { mode: 'pessimistic_write' },
  });
  return found ?? missing(id);
}

interface NewRevision {
  readonly collectionId: string;
  readonly number: number;
  readonly document?: string;
  readonly patch?: string;
  readonly patchHash?: string;
  readonly changeId?: string | null;
}

/** What is JSON already is written as it is. */
export const insertRevision = (manager: EntityManager, revision: NewRevision) =>
  manager.query(
    `INSERT INTO collection_revision (collection_id, number, document, patch, patch_hash, change_id, format)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [
      revision.collectionId,
      revision.number,
      revision.document ?? null,
      revision.patch ?? null,
      revision.patchHash ?? null,
      revision.changeId ?? null,
      FORMAT_VERSION,
    ],
  );

/** Only what a change altered of what lists show. */
export function changesOf(before: Collection, after: Described): Partial<Described> {
  const altered = Object.entries(after).filter(
    ([field, value]) => JSON.stringify(before[field as keyof Described]) !== JSON.stringify(value),
  );
  return Object.fromEntries(altered);
}

/** Of a patch, so that another one under the same name is noticed. */
export const hashOf = (patch: JsonPatch) => createHash('sha256').update(JSON.stringify(patch)).digest('hex');
