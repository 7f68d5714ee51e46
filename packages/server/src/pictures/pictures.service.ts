import { HttpStatus, Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { nameIn, pictureVariants, tilesShowing } from '@noria/core';
import PQueue from 'p-queue';
import { randomUUID } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { DataSource, In, type EntityManager } from 'typeorm';
import { collectionsUsing, useCounts } from '../collections/uses.js';
import { CONFIG } from '../config/config.module.js';
import type { Config } from '../config/config.js';
import { DocumentsService } from '../documents/documents.service.js';
import { FilesService } from '../files/files.service.js';
import { pageOf, readCursor, type Page } from '../lists/cursor.js';
import { ProblemException } from '../problems/problem.js';
import { WorkService } from '../work/work.service.js';
import { Picture, PictureVariant } from './picture.entity.js';
import { readPicture, type Upload } from './readPicture.js';
import type { DescribePictureDto, FindPicturesDto } from './dto.js';

/** The tiles of one collection that show a picture. */
export interface PictureUse {
  readonly id: string;
  readonly name: string;
  readonly tiles: readonly string[];
}

/** A page of the library, and what there is in all of what was searched for. */
export interface PicturePage extends Page<Omit<Picture, 'workspaceId'> & { readonly uses: number }> {
  readonly total: number;
  /** How many of them have no alternative text. */
  readonly silent: number;
}

/** Drawings are made as large as they are asked for; films of pictures keep them all. */
const inputFor = ({ mediaType }: Picture, inlineSize: number) => ({
  limitInputPixels: false,
  ...(mediaType === 'image/svg+xml' && { density: Math.min(2400, Math.max(72, inlineSize)) }),
  ...(mediaType === 'image/gif' && { animated: true }),
});

/** Names that a picture may have beside its own. */
const MOST_ALIASES = 20;

@Injectable()
export class PicturesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(CONFIG) private readonly config: Config,
    private readonly files: FilesService,
    private readonly documents: DocumentsService,
    private readonly work: WorkService,
  ) {}

  /** Pictures are decoded two at a time, however many come, so that memory stays small. */
  private readonly reading = new PQueue({ concurrency: 2 });

  /** Stores an upload; the same bytes twice are one picture. */
  store(workspaceId: string, upload: Upload): Promise<Picture> {
    const { readingTime } = this.config.limits;
    return this.reading.add(async () => {
      const scratch = join(tmpdir(), `noria-${randomUUID()}`);
      try {
        const { path, ...read } = await readPicture(upload, {
          safeSvg: (text) => this.work.run('safeSvg', { text }, readingTime),
          within: readingTime,
          scratch,
        });
        return await this.database.transaction(async (manager) => {
          await this.files.store(manager, workspaceId, read.hash, path);
          const values = { ...read, workspaceId, name: upload.name };
          await manager.createQueryBuilder().insert().into(Picture).values(values).orIgnore().execute();
          // What is there already keeps its name, and is found by this one too.
          await manager.query(
            `UPDATE picture SET aliases = array_append(aliases, $3)
             WHERE workspace_id = $1 AND hash = $2 AND name <> $3 AND NOT $3 = ANY(aliases)
               AND cardinality(aliases) < ${MOST_ALIASES}`,
            [workspaceId, read.hash, upload.name],
          );
          return this.find(workspaceId, read.hash, manager);
        });
      } finally {
        await rm(scratch, { force: true });
      }
    });
  }

  /** A page of the pictures of a workspace, the newest first, with how many tiles show each. */
  async library(
    workspaceId: string,
    { search = '', limit = 60, after, only = 'all' }: FindPicturesDto,
  ): Promise<PicturePage> {
    const query = this.database
      .createQueryBuilder(Picture, 'picture')
      .addSelect('picture.created_at::text', 'at')
      .where('picture.workspace_id = :workspaceId', { workspaceId });
    if (search.trim() !== '') {
      const like = `%${search.trim().replace(/[\\%_]/g, '\\$&')}%`;
      query.andWhere(
        '(picture.name ILIKE :like OR picture.alternative_text ILIKE :like OR array_to_string(picture.aliases, chr(10)) ILIKE :like)',
        { like },
      );
    }
    const counted = await query
      .clone()
      .select('count(*)::integer', 'total')
      .addSelect(`count(*) FILTER (WHERE trim(picture.alternative_text) = '')::integer`, 'silent')
      .getRawOne<{ total: number; silent: number }>();
    query
      .orderBy('picture.created_at', 'DESC')
      .addOrderBy('picture.hash')
      .limit(limit + 1);
    if (only === 'silent') query.andWhere(`trim(picture.alternative_text) = ''`);
    if (only === 'unused') {
      query.andWhere(`NOT EXISTS (
        SELECT 1 FROM collection
        WHERE collection.workspace_id = picture.workspace_id
          AND jsonb_exists(collection.picture_uses, picture.hash))`);
    }
    const cursor = readCursor(after);
    if (cursor) {
      query.andWhere(
        '(picture.created_at < :at OR (picture.created_at = :at AND picture.hash > :id))',
        cursor,
      );
    }
    const { entities, raw } = await query.getRawAndEntities<{ at: string }>();
    const uses = await useCounts(
      this.database.manager,
      workspaceId,
      'picture_uses',
      entities.map(({ hash }) => hash),
    );
    const rows = entities.map((picture, k) => ({ picture, at: raw[k]?.at ?? '' }));
    const page = pageOf(
      rows,
      limit,
      ({ picture }) => picture.hash,
      ({ picture: { workspaceId: _, ...picture } }) => ({ ...picture, uses: uses.get(picture.hash) ?? 0 }),
    );
    return { ...page, total: counted?.total ?? 0, silent: counted?.silent ?? 0 };
  }

  /** The tiles that show a picture, by collection. */
  async uses(workspaceId: string, hash: string): Promise<PictureUse[]> {
    await this.find(workspaceId, hash);
    const using = await collectionsUsing(this.database.manager, workspaceId, 'picture_uses', hash);
    const all: PictureUse[] = [];
    for (const { id, name, revision } of using) {
      const document = (await this.documents.at(id, revision))?.document;
      if (!document) continue;
      all.push({
        id,
        name,
        tiles: tilesShowing(document, hash).map((tile) => nameIn(document, tile)),
      });
    }
    return all;
  }

  async describe(workspaceId: string, hash: string, values: DescribePictureDto): Promise<Picture> {
    await this.find(workspaceId, hash);
    const { name, alternativeText } = values;
    const said = {
      ...(name !== undefined && { name }),
      ...(alternativeText !== undefined && { alternativeText }),
    };
    if (Object.keys(said).length > 0)
      await this.database.manager.update(Picture, { workspaceId, hash }, said);
    return this.find(workspaceId, hash);
  }

  /**
   * Deletes a picture that no tile shows, or one that tiles do show when that was said to be known.
   * @throws ProblemException 409 with where it is used
   */
  async remove(workspaceId: string, hash: string, evenUsed: boolean): Promise<void> {
    const uses = await this.uses(workspaceId, hash);
    if (uses.length > 0 && !evenUsed) {
      const where = uses.map(({ name, tiles }) => `“${name}” (${tiles.join(', ')})`).join(', ');
      throw new ProblemException(
        HttpStatus.CONFLICT,
        'picture-in-use',
        'The picture is in use',
        `It was not deleted: it is shown in ${where}.`,
        { uses },
      );
    }
    await this.database.transaction(async (manager) => {
      await manager.delete(Picture, { workspaceId, hash });
      await this.files.remove(manager, workspaceId, hash);
    });
  }

  /** Which of these hashes the workspace has, asked on the connection of the transaction under way. */
  async stored(manager: EntityManager, workspaceId: string, hashes: readonly string[]): Promise<Set<string>> {
    if (hashes.length === 0) return new Set();
    const found = await manager.find(Picture, {
      where: { workspaceId, hash: In([...hashes]) },
      select: { hash: true },
    });
    return new Set(found.map(({ hash }) => hash));
  }

  /** A picture's bytes from `start` to `end`, both included. */
  bytes(workspaceId: string, hash: string, start: number, end: number): Readable {
    return this.files.read(workspaceId, hash, start, end);
  }

  /** A picture as WebP of one of its variant widths. */
  async variant(workspaceId: string, hash: string, inlineSize: number): Promise<Buffer> {
    const known = await this.database.manager.findOneBy(PictureVariant, { workspaceId, hash, inlineSize });
    if (known) return known.bytes;
    const picture = await this.find(workspaceId, hash);
    const sizes = pictureVariants(picture);
    if (!sizes.includes(inlineSize)) {
      throw new ProblemException(
        HttpStatus.NOT_FOUND,
        'no-variant',
        'No such width',
        `This picture comes ${sizes.join(', ')} px wide; ${inlineSize} is none of them.`,
      );
    }
    const bytes = await this.reading.add(async () => {
      const original = await buffer(this.bytes(workspaceId, hash, 0, picture.byteSize - 1));
      return sharp(original, inputFor(picture, inlineSize))
        .resize({ width: inlineSize })
        .webp({ quality: 84 })
        .timeout({ seconds: Math.max(1, Math.ceil(this.config.limits.readingTime / 1000)) })
        .toBuffer();
    });
    await this.database
      .createQueryBuilder()
      .insert()
      .into(PictureVariant)
      .values({ workspaceId, hash, inlineSize, bytes })
      .orIgnore()
      .execute();
    return bytes;
  }

  async find(workspaceId: string, hash: string, manager = this.database.manager): Promise<Picture> {
    const found = await manager.findOneBy(Picture, { workspaceId, hash });
    if (found) return found;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-picture',
      'No such picture',
      `There is no picture ${hash.slice(0, 12)}… in this workspace.`,
    );
  }
}
