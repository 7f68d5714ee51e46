import { Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  applyPatch,
  broughtUp,
  FORMAT_VERSION,
  withEntryIds,
  withMarkIds,
  type CollectionDocument,
  type JsonPatch,
} from '@noria/core';
import { LRUCache } from 'lru-cache';
import PQueue from 'p-queue';
import { DataSource, type EntityManager } from 'typeorm';
import { Revision } from '../collections/revision.entity.js';

/** After so many patches the whole document is kept again, so that it is read in few steps. */
const WHOLE_EVERY = 50;
/** Characters of JSON whose documents are kept in memory. */
const MOST_KEPT = 48_000_000;

/** A document at a revision. What it weighs is the length of its JSON, about. */
export interface AtRevision {
  readonly revision: number;
  /** In the present format version. */
  readonly document: CollectionDocument;
  /** In the version that it was stored in. */
  readonly stored: CollectionDocument;
  readonly weight: number;
}

/**
 * The documents of collections, put together from the last whole one and the patches since. The ones
 * in use stay in memory, and are brought up to date when another server has changed them.
 */
@Injectable()
export class DocumentsService {
  private readonly log = new Logger('Documents');
  private readonly kept = new LRUCache<string, AtRevision>({
    maxSize: MOST_KEPT,
    sizeCalculation: ({ weight }) => Math.max(1, weight),
  });
  private readonly keeping = new PQueue({ concurrency: 1 });

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * The document of a collection at a revision.
   * @returns null when that revision is not there
   */
  async at(
    id: string,
    revision: number,
    manager: EntityManager = this.database.manager,
  ): Promise<AtRevision | null> {
    const known = this.kept.get(id);
    if (known?.revision === revision) return known;
    const from = known && known.revision < revision ? known : await whole(manager, id, revision);
    if (!from) return null;
    const steps = await manager.query<Step[]>(
      `SELECT number, patch, format, length(patch::text) AS length FROM collection_revision
       WHERE collection_id = $1 AND number > $2 AND number <= $3 ORDER BY number`,
      [id, from.revision, revision],
    );
    if (from.revision + steps.length !== revision) return null;
    // A patch is of the version in which the document was when it was made.
    const stored = steps.reduce(
      (document, { patch, format }) => applyPatch(inFormat(document, format), patch ?? []),
      from.stored,
    );
    const found = {
      revision,
      stored,
      document: inFormat(stored, FORMAT_VERSION),
      weight: steps.reduce((sum, { length }) => sum + length, from.weight),
    };
    // An old revision that somebody looks at must not push out the one that is worked on.
    if (!known || known.revision < revision) this.keep(id, found);
    return found;
  }

  /** Notes what a collection has become, once that is committed; keeps it whole when it is time. */
  changed(id: string, at: AtRevision): void {
    this.keep(id, at);
    if ((at.revision - 1) % WHOLE_EVERY !== 0) return;
    void this.keeping.add(async () => {
      try {
        await this.database.query(
          `UPDATE collection_revision SET document = $3
           WHERE collection_id = $1 AND number = $2 AND document IS NULL`,
          [id, at.revision, JSON.stringify(at.document)],
        );
      } catch (error) {
        // It is read in more steps then, until the next time.
        this.log.warn(`Revision ${at.revision} of ${id} was not kept whole: ${String(error)}`);
      }
    });
  }

  forget(id: string): void {
    this.kept.delete(id);
  }

  private keep(id: string, at: AtRevision) {
    const known = this.kept.peek(id);
    if (!known || known.revision < at.revision) this.kept.set(id, at);
  }
}

interface Step {
  readonly number: number;
  readonly patch: JsonPatch | null;
  /** The format version of the document that the patch is for. */
  readonly format: number;
  readonly length: number;
}

const inFormat = (document: CollectionDocument, format: number): CollectionDocument =>
  broughtUp(document, format) as CollectionDocument;

/** The last revision up to a number that holds the whole document. */
async function whole(manager: EntityManager, id: string, revision: number): Promise<AtRevision | null> {
  const [row] = await manager.query<(Pick<Revision, 'number'> & { document: string })[]>(
    `SELECT number, document::text AS document FROM collection_revision
     WHERE collection_id = $1 AND number <= $2 AND document IS NOT NULL ORDER BY number DESC LIMIT 1`,
    [id, revision],
  );
  if (!row) return null;
  const stored = complete(JSON.parse(row.document) as CollectionDocument);
  const document = inFormat(stored, FORMAT_VERSION);
  return { revision: row.number, stored, document, weight: row.document.length };
}

/**
 * A document as this version writes it: one that was stored before entries of lists had ids gets them, the
 * same for every server and every client. One that can’t be read is left as it is.
 */
function complete(document: CollectionDocument): CollectionDocument {
  try {
    const { formatVersion }: { readonly formatVersion: number } = document;
    const named = formatVersion === FORMAT_VERSION ? document : withMarkIds(document);
    return withEntryIds(named as CollectionDocument);
  } catch {
    return document;
  }
}
