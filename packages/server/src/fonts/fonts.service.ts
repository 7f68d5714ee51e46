import { HttpStatus, Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { readFile, stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { DataSource } from 'typeorm';
import { collectionsUsing, useCounts } from '../collections/uses.js';
import { CONFIG } from '../config/config.module.js';
import type { Config } from '../config/config.js';
import { FilesService, hashOf } from '../files/files.service.js';
import { pageOf, readCursor, type Page, type PageDto } from '../lists/cursor.js';
import { ProblemException } from '../problems/problem.js';
import { WorkService } from '../work/work.service.js';
import { Font } from './font.entity.js';

type Listed = Omit<Font, 'workspaceId'>;

@Injectable()
export class FontsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    @Inject(CONFIG) private readonly config: Config,
    private readonly files: FilesService,
    private readonly work: WorkService,
  ) {}

  /**
   * Stores an upload; the same bytes twice are one font.
   * @throws ProblemException 415 when it is no WOFF2, TTF or OTF font, whatever its name says
   */
  async store(workspaceId: string, upload: { readonly path: string; readonly name: string }): Promise<Font> {
    const { path, name } = upload;
    const { readingTime } = this.config.limits;
    const read = await this.work.run('font', { bytes: await readFile(path) }, readingTime);
    if ('why' in read) {
      throw new ProblemException(
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        'not-a-font',
        'Not a font',
        `“${name}” was not stored. ${read.why} Choose a WOFF2, TTF or OTF font.`,
      );
    }
    const hash = await hashOf(path);
    const { size } = await stat(path);
    return this.database.transaction(async (manager) => {
      await this.files.store(manager, workspaceId, hash, path);
      const values = { ...read, workspaceId, hash, name, byteSize: size };
      await manager.createQueryBuilder().insert().into(Font).values(values).orIgnore().execute();
      return manager.findOneByOrFail(Font, { workspaceId, hash });
    });
  }

  /** A page of the fonts of a workspace, the newest first, with how many collections use each. */
  async library(
    workspaceId: string,
    { limit = 60, after }: PageDto,
  ): Promise<Page<Listed & { readonly uses: number }>> {
    const cursor = readCursor(after);
    const rows = await this.database.query<(Listed & { at: string })[]>(
      `SELECT hash, name, family, media_type AS "mediaType", byte_size AS "byteSize", facts,
              created_at AS "createdAt", created_at::text AS at
       FROM font
       WHERE workspace_id = $1 ${cursor ? 'AND (created_at < $3 OR (created_at = $3 AND hash > $4))' : ''}
       ORDER BY created_at DESC, hash LIMIT $2`,
      [workspaceId, limit + 1, ...(cursor ? [cursor.at, cursor.id] : [])],
    );
    const hashes = rows.map(({ hash }) => hash);
    const uses = await useCounts(this.database.manager, workspaceId, 'font_uses', hashes);
    return pageOf(
      rows,
      limit,
      ({ hash }) => hash,
      ({ at: _, ...font }) => ({ ...font, uses: uses.get(font.hash) ?? 0 }),
    );
  }

  /**
   * Deletes a font that no collection uses, or one that some do when that was said to be known.
   * @throws ProblemException 409 with the collections that use it
   */
  async remove(workspaceId: string, hash: string, evenUsed: boolean): Promise<void> {
    await this.find(workspaceId, hash);
    const uses = await collectionsUsing(this.database.manager, workspaceId, 'font_uses', hash);
    if (uses.length > 0 && !evenUsed) {
      throw new ProblemException(
        HttpStatus.CONFLICT,
        'font-in-use',
        'The font is in use',
        `It was not deleted: it is used in ${uses.map(({ name }) => `“${name}”`).join(', ')}.`,
        { uses },
      );
    }
    await this.database.transaction(async (manager) => {
      await manager.delete(Font, { workspaceId, hash });
      await this.files.remove(manager, workspaceId, hash);
    });
  }

  /** A font's bytes from `start` to `end`, both included. */
  bytes(workspaceId: string, hash: string, start: number, end: number): Readable {
    return this.files.read(workspaceId, hash, start, end);
  }

  /** A font as WOFF2 with the letters of some characters, and all that its features make of them. */
  async subset(workspaceId: string, hash: string, characters: string): Promise<Buffer> {
    const { byteSize } = await this.find(workspaceId, hash);
    const bytes = await buffer(this.bytes(workspaceId, hash, 0, byteSize - 1));
    return Buffer.from(
      await this.work.run('fontSubset', { bytes, characters }, this.config.limits.readingTime),
    );
  }

  async find(workspaceId: string, hash: string): Promise<Font> {
    const found = await this.database.manager.findOneBy(Font, { workspaceId, hash });
    if (found) return found;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-font',
      'No such font',
      `There is no font ${hash.slice(0, 12)}… in this workspace.`,
    );
  }
}
