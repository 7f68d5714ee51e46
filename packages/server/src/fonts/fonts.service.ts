import { HttpStatus, Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { readFile, stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { DataSource } from 'typeorm';
import { CONFIG } from '../config/config.module.js';
import type { Config } from '../config/config.js';
import { FilesService, hashOf } from '../files/files.service.js';
import { libraryPage, removeFromLibrary, type Sort } from '../files/library.js';
import type { Page, PageDto } from '../lists/cursor.js';
import { ProblemException } from '../problems/problem.js';
import { WorkService } from '../work/work.service.js';
import { Font } from './font.entity.js';

type Listed = Omit<Font, 'workspaceId'>;

const FONTS: Sort = {
  table: 'font',
  uses: 'font_uses',
  columns: 'name, family, media_type AS "mediaType", byte_size AS "byteSize", facts',
};

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

  library(workspaceId: string, asked: PageDto): Promise<Page<Listed & { readonly uses: number }>> {
    return libraryPage<Listed>(this.database, FONTS, workspaceId, asked);
  }

  /** @throws ProblemException 404, or 409 with the collections that use it where that was not said to be known */
  async remove(workspaceId: string, hash: string, evenUsed: boolean): Promise<void> {
    await this.find(workspaceId, hash);
    await removeFromLibrary(this.database, this.files, Font, FONTS, { workspaceId, hash, evenUsed });
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
