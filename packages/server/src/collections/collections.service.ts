import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  applyPatch,
  checkDocument,
  emptyDocument,
  formatProblem,
  PatchError,
  type CollectionDocument,
  type JsonPatch,
  type Problem,
} from '@noria/core';
import { DataSource, type EntityManager } from 'typeorm';
import { PicturesService } from '../pictures/pictures.service.js';
import { ProblemException } from '../problems/problem.js';
import { Collection } from './collection.entity.js';
import { Revision } from './revision.entity.js';

/** Every so many revisions the whole document is kept, so that an old one is read in few steps. */
const SNAPSHOT_EVERY = 50;

export interface Change {
  readonly patch: JsonPatch;
  readonly basedOn: number;
  readonly changeId: string | null;
}

export interface Changed {
  readonly revision: number;
  readonly notices: readonly Problem[];
}

@Injectable()
export class CollectionsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly pictures: PicturesService,
  ) {}

  list(workspaceId: string): Promise<Collection[]> {
    return this.database
      .getRepository(Collection)
      .find({ where: { workspaceId }, order: { updatedAt: 'DESC', id: 'ASC' } });
  }

  async read(workspaceId: string, id: string): Promise<Collection> {
    const found = await this.database.getRepository(Collection).findOneBy({ workspaceId, id });
    return found ?? missing(id);
  }

  async create(workspaceId: string, input: { name?: string; document?: unknown }): Promise<Collection> {
    const { document } = accepted(input.document ?? emptyDocument(input.name ?? 'Untitled collection'));
    await this.requirePictures(workspaceId, document);
    return this.database.transaction(async (manager) => {
      const collection = await manager.save(
        manager.create(Collection, { workspaceId, name: document.name, revision: 1, document }),
      );
      await this.record(manager, collection, null, null);
      return collection;
    });
  }

  /** Applies a patch to the revision it is based on, all of it or nothing. */
  async change(workspaceId: string, id: string, { patch, basedOn, changeId }: Change): Promise<Changed> {
    return this.database.transaction(async (manager) => {
      const collection = await this.locked(manager, workspaceId, id);
      const before = changeId && (await manager.findOneBy(Revision, { collectionId: id, changeId }));
      if (before) return { revision: before.number, notices: [] };
      requireCurrent(collection, basedOn);
      const { document, notices } = accepted(patched(collection.document, patch));
      await this.requirePictures(workspaceId, document, collection.document);
      Object.assign(collection, { document, name: document.name, revision: collection.revision + 1 });
      await manager.save(collection);
      await this.record(manager, collection, patch, changeId);
      return { revision: collection.revision, notices };
    });
  }

  async remove(workspaceId: string, id: string, basedOn: number): Promise<void> {
    await this.database.transaction(async (manager) => {
      const collection = await this.locked(manager, workspaceId, id);
      requireCurrent(collection, basedOn);
      await manager.remove(collection);
    });
  }

  async revisions(workspaceId: string, id: string): Promise<Revision[]> {
    await this.read(workspaceId, id);
    return this.database.getRepository(Revision).find({
      where: { collectionId: id },
      order: { number: 'DESC' },
      select: { number: true, createdAt: true, patch: true },
      take: 500,
    });
  }

  /** The document as it was at a revision, from the nearest whole one before it. */
  async readRevision(workspaceId: string, id: string, number: number): Promise<CollectionDocument> {
    await this.read(workspaceId, id);
    const from = number - ((number - 1) % SNAPSHOT_EVERY);
    const steps = await this.database
      .getRepository(Revision)
      .createQueryBuilder('revision')
      .where('revision.collectionId = :id AND revision.number BETWEEN :from AND :number', {
        id,
        from,
        number,
      })
      .orderBy('revision.number')
      .getMany();
    const [first, ...rest] = steps;
    if (!first?.document || steps.at(-1)?.number !== number) {
      throw new ProblemException(
        HttpStatus.NOT_FOUND,
        'no-revision',
        'No such revision',
        `This collection has no revision ${number}. GET …/revisions lists them.`,
      );
    }
    return rest.reduce((document, step) => applyPatch(document, step.patch ?? []), first.document);
  }

  private async locked(manager: EntityManager, workspaceId: string, id: string): Promise<Collection> {
    const found = await manager.findOne(Collection, {
      where: { workspaceId, id },
      lock: { mode: 'pessimistic_write' },
    });
    return found ?? missing(id);
  }

  private async record(
    manager: EntityManager,
    collection: Collection,
    patch: JsonPatch | null,
    changeId: string | null,
  ) {
    const { id, revision, document } = collection;
    const whole = (revision - 1) % SNAPSHOT_EVERY === 0;
    const row = { collectionId: id, number: revision, changeId, patch, document: whole ? document : null };
    await manager.save(Object.assign(new Revision(), row));
  }

  /**
   * Pictures that come into a collection are stored before. One that was there already may have been
   * deleted since; that must not keep other changes from being saved.
   */
  private async requirePictures(
    workspaceId: string,
    document: CollectionDocument,
    before?: CollectionDocument,
  ): Promise<void> {
    const known = new Set(Object.values(before?.pictures ?? {}).map(({ hash }) => hash));
    const pictures = Object.values(document.pictures).filter(({ hash }) => !known.has(hash));
    const stored = await this.pictures.stored(
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

function missing(id: string): never {
  throw new ProblemException(
    HttpStatus.NOT_FOUND,
    'no-collection',
    'No such collection',
    `There is no collection ${id} in this workspace. It may have been deleted; GET …/collections lists them.`,
  );
}

function requireCurrent(collection: Collection, basedOn: number) {
  if (collection.revision === basedOn) return;
  throw new ProblemException(
    HttpStatus.PRECONDITION_FAILED,
    'stale-revision',
    'The collection has changed since',
    `This change is based on revision ${basedOn}; the collection is at ${collection.revision}. Read it again and repeat the change on it.`,
    { currentRevision: collection.revision },
  );
}

function patched(document: CollectionDocument, patch: JsonPatch): unknown {
  try {
    return applyPatch(document, patch);
  } catch (error) {
    if (!(error instanceof PatchError)) throw error;
    throw new ProblemException(
      HttpStatus.UNPROCESSABLE_ENTITY,
      'patch-does-not-fit',
      'The patch does not fit the collection',
      `${error.message} Nothing was changed.`,
      { operation: error.operation, path: error.path },
    );
  }
}

function accepted(input: unknown): { document: CollectionDocument; notices: readonly Problem[] } {
  const { document, problems } = checkDocument(input);
  return document ? { document, notices: problems } : refuse(problems);
}

function refuse(problems: readonly Problem[]): never {
  const errors = problems.filter(({ severity }) => severity === 'error');
  throw new ProblemException(
    HttpStatus.UNPROCESSABLE_ENTITY,
    'document-refused',
    'The collection would not be sound',
    `${errors.slice(0, 5).map(formatProblem).join(' ')} Nothing was stored.`,
    { problems: errors.slice(0, 50) },
  );
}
