import { HttpStatus, Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  checkDocument,
  emptyDocument,
  FORMAT_VERSION,
  type CollectionDocument,
  type JsonPatch,
  type Problem,
} from '@noria/core';
import { DataSource, type EntityManager } from 'typeorm';
import { CONFIG } from '../config/config.module.js';
import type { Config } from '../config/config.js';
import { DocumentsService, type AtRevision } from '../documents/documents.service.js';
import { EventsService } from '../events/events.service.js';
import { pageOf, readCursor, type Page, type PageDto } from '../lists/cursor.js';
import { PicturesService } from '../pictures/pictures.service.js';
import { ProblemException } from '../problems/problem.js';
import { WorkService } from '../work/work.service.js';
import type { Worked } from '../work/tasks.js';
import { Collection, type Summary } from './collection.entity.js';
import { describeCollection, describeStored, SUMMARY_VERSION, type Described } from './describe.js';
import { patched, patchedInSlices } from './patched.js';
import { missing, refuse, requireCurrent, requirePresentFormat, reused } from './refusals.js';
import { Revision } from './revision.entity.js';
import { changesOf, hashOf, insertRevision, locked } from './revisions.js';

/** Characters of JSON from which a document is checked in a thread of its own. */
const LARGE = 600_000;

export interface Change {
  readonly patch: JsonPatch;
  /** How long the patch was as it came, characters. */
  readonly size: number;
  readonly basedOn: number;
  readonly changeId: string | null;
  /** The format version of the document that it is for. */
  readonly format: number;
}

export interface Changed {
  readonly revision: number;
  readonly notices: readonly Problem[];
}

/** A collection with its document. */
export type Whole = Pick<Collection, 'id' | 'name' | 'revision' | 'updatedAt'> & {
  readonly document: CollectionDocument;
};

export interface Listed {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: Date;
  readonly summary: Summary;
}

/** A document that was found sound, with what is kept beside it. */
interface Accepted {
  readonly document: CollectionDocument;
  readonly text: string | null;
  readonly described: Described;
  readonly notices: readonly Problem[];
}

@Injectable()
export class CollectionsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(CONFIG) private readonly config: Config,
    private readonly pictures: PicturesService,
    private readonly documents: DocumentsService,
    private readonly events: EventsService,
    private readonly work: WorkService,
  ) {}

  /** A page of the collections of a workspace, the last changed first, without their documents. */
  async list(workspaceId: string, { limit = 60, after }: PageDto): Promise<Page<Listed>> {
    const cursor = readCursor(after);
    const rows = await this.database.query<(Collection & { at: string })[]>(
      `SELECT id, name, revision, updated_at AS "updatedAt", updated_at::text AS at, summary,
              summed_up AS "summedUp"
       FROM collection
       WHERE workspace_id = $1 ${cursor ? 'AND (updated_at < $3 OR (updated_at = $3 AND id > $4))' : ''}
       ORDER BY updated_at DESC, id LIMIT $2`,
      [workspaceId, limit + 1, ...(cursor ? [cursor.at, cursor.id] : [])],
    );
    const summaries = new Map<string, Summary>();
    for (const row of rows) {
      if (row.summedUp !== SUMMARY_VERSION || !row.summary) summaries.set(row.id, await this.sumUp(row));
    }
    return pageOf(
      rows,
      limit,
      ({ id }) => id,
      ({ id, name, revision, updatedAt, summary }) => {
        return { id, name, revision, updatedAt, summary: summaries.get(id) ?? (summary as Summary) };
      },
    );
  }

  /** The collections that have recipes, each with its recipes and what they show. */
  async withRecipes(workspaceId: string): Promise<Whole[]> {
    const rows = await this.database.query<{ id: string }[]>(
      `SELECT id FROM collection
       WHERE workspace_id = $1 AND (summed_up <> $2 OR (summary->>'recipes')::integer > 0)
       ORDER BY updated_at DESC, id LIMIT 100`,
      [workspaceId, SUMMARY_VERSION],
    );
    const all: Whole[] = [];
    for (const { id } of rows) {
      const each = await this.read(workspaceId, id);
      if (Object.keys(each.document.recipes ?? {}).length > 0) all.push(each);
    }
    return all;
  }

  async read(workspaceId: string, id: string): Promise<Whole> {
    // Between the two questions the collection may be changed; then the document is of the newer revision.
    const found = await this.find(workspaceId, id);
    const at = await this.documents.at(id, found.revision);
    return at ? whole(found, at.document) : missing(id);
  }

  async create(workspaceId: string, input: { name?: string; document?: unknown }): Promise<Whole> {
    const asked = input.document ?? emptyDocument(input.name ?? 'Untitled collection');
    const accepted = await this.accept(asked);
    const created = await this.database.transaction(async (manager) => {
      await this.requirePictures(manager, workspaceId, accepted.document);
      const collection = await manager.save(
        manager.create(Collection, { workspaceId, revision: 1, ...accepted.described }),
      );
      await insertRevision(manager, {
        collectionId: collection.id,
        number: 1,
        document: accepted.text ?? JSON.stringify(accepted.document),
      });
      await this.events.changed(manager, workspaceId, { id: collection.id, revision: 1, changeId: null });
      return collection;
    });
    return whole(created, accepted.document);
  }

  /** Applies a patch to the revision it is based on, all of it or nothing. */
  async change(workspaceId: string, id: string, change: Change): Promise<Changed> {
    const { patch, basedOn, changeId, format } = change;
    const hash = hashOf(patch);
    // What takes long is done before the collection is locked, so that nobody waits for it.
    const ahead = await this.prepared(workspaceId, id, change);
    const done = await this.database.transaction(async (manager) => {
      const collection = await locked(manager, workspaceId, id);
      const before = changeId && (await manager.findOneBy(Revision, { collectionId: id, changeId }));
      if (before) {
        if (before.patchHash !== null && before.patchHash !== hash) reused();
        return { changed: { revision: before.number, notices: [] }, at: null };
      }
      requirePresentFormat(format);
      requireCurrent(collection, basedOn);
      const base = ahead?.base ?? (await this.base(collection, manager));
      const accepted = ahead?.accepted ?? (await this.accept(patched(base.document, patch), base.document));
      await this.requirePictures(manager, workspaceId, accepted.document, base.document);
      const revision = collection.revision + 1;
      await manager.update(Collection, { id }, { revision, ...changesOf(collection, accepted.described) });
      await insertRevision(manager, {
        collectionId: id,
        number: revision,
        patch: JSON.stringify(patch),
        patchHash: hash,
        changeId,
      });
      await this.events.changed(manager, workspaceId, { id, revision, changeId });
      const { document } = accepted;
      const at = { revision, document, stored: document, weight: base.weight + change.size };
      return { changed: { revision, notices: accepted.notices }, at };
    });
    if (done.at) this.documents.changed(id, done.at);
    return done.changed;
  }

  async remove(workspaceId: string, id: string, basedOn: number): Promise<void> {
    await this.database.transaction(async (manager) => {
      const collection = await locked(manager, workspaceId, id);
      requireCurrent(collection, basedOn);
      await manager.delete(Collection, { id });
      await this.events.changed(manager, workspaceId, { id, revision: null, changeId: null });
    });
    this.documents.forget(id);
  }

  async revisions(workspaceId: string, id: string, before: number): Promise<Revision[]> {
    await this.find(workspaceId, id);
    return this.database
      .createQueryBuilder(Revision, 'revision')
      .select(['revision.number', 'revision.createdAt', 'revision.patch'])
      .where('revision.collection_id = :id AND revision.number < :before', { id, before })
      .orderBy('revision.number', 'DESC')
      .limit(200)
      .getMany();
  }

  /** The document as it was stored at a revision, in the format version of then. */
  async readRevision(workspaceId: string, id: string, number: number): Promise<CollectionDocument> {
    await this.find(workspaceId, id);
    const at = await this.documents.at(id, number);
    if (at) return at.stored;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-revision',
      'No such revision',
      `This collection has no revision ${number}. GET …/revisions lists them.`,
    );
  }

  private async find(workspaceId: string, id: string): Promise<Collection> {
    return (await this.database.manager.findOneBy(Collection, { workspaceId, id })) ?? missing(id);
  }

  private async base(collection: Collection, manager: EntityManager): Promise<AtRevision> {
    return (await this.documents.at(collection.id, collection.revision, manager)) ?? missing(collection.id);
  }

  /** The outcome of a large patch, worked out before the collection is locked; null for all others. */
  private async prepared(workspaceId: string, id: string, { patch, size, basedOn, format }: Change) {
    if (size < LARGE || format !== FORMAT_VERSION) return null;
    const collection = await this.find(workspaceId, id);
    if (collection.revision !== basedOn) return null;
    const base = await this.base(collection, this.database.manager);
    const document = await patchedInSlices(base.document, patch);
    return { base, accepted: await this.accept(document, base.document, size) };
  }

  /** Checks a document: here, what it shares with a sound one left out; or, where it is large, in a thread. */
  private async accept(input: unknown, before?: CollectionDocument, size?: number): Promise<Accepted> {
    const text = before && size === undefined ? null : JSON.stringify(input);
    if (text !== null && text.length >= LARGE) return this.acceptLarge(text);
    const { document, problems } = checkDocument(input, before);
    if (!document) return refuse(problems);
    return { document, text: null, described: describeCollection(document), notices: problems };
  }

  private async acceptLarge(text: string): Promise<Accepted> {
    const worked: Worked = await this.work.run('document', { text }, this.config.limits.readingTime);
    if (!('text' in worked)) return refuse(worked.problems);
    return {
      document: JSON.parse(worked.text) as CollectionDocument,
      text: worked.text,
      described: worked.described,
      notices: worked.problems,
    };
  }

  /** Sums up a collection that was stored by an older version. */
  private async sumUp({
    id,
    name,
    revision,
  }: Pick<Collection, 'id' | 'name' | 'revision'>): Promise<Summary> {
    const at = await this.documents.at(id, revision);
    const described = describeStored(at?.document, name);
    const { summary, pictureUses, filmUses, fontUses, summedUp } = described;
    await this.database.query(
      `UPDATE collection SET summary = $3, picture_uses = $4, film_uses = $5, font_uses = $6, summed_up = $7
       WHERE id = $1 AND revision = $2`,
      [
        id,
        revision,
        JSON.stringify(summary),
        JSON.stringify(pictureUses),
        JSON.stringify(filmUses),
        JSON.stringify(fontUses),
        summedUp,
      ],
    );
    return summary as Summary;
  }

  /**
   * Pictures that come into a collection are stored before. One that was there already may have been
   * deleted since; that must not keep other changes from being saved.
   */
  private async requirePictures(
    manager: EntityManager,
    workspaceId: string,
    document: CollectionDocument,
    before?: CollectionDocument,
  ): Promise<void> {
    if (document.pictures === before?.pictures) return;
    const known = new Set(Object.values(before?.pictures ?? {}).map(({ hash }) => hash));
    const pictures = Object.values(document.pictures).filter(({ hash }) => !known.has(hash));
    const stored = await this.pictures.stored(
      manager,
      workspaceId,
      pictures.map(({ hash }) => hash),
    );
    const lacking = pictures.filter(({ hash }) => !stored.has(hash));
    if (lacking.length === 0) return;
    refuse(
      lacking.map(({ id, name }) => ({
        path: `/pictures/${id}`,
        severity: 'error',
        message: `The picture “${name}” is not in this workspace. Upload it first.`,
      })),
    );
  }
}

const whole = ({ id, name, revision, updatedAt }: Collection, document: CollectionDocument): Whole => ({
  id,
  name,
  revision,
  updatedAt,
  document,
});
