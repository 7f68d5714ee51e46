import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { FilmAsset } from '@noria/core';
import { fileTypeFromFile } from 'file-type/node';
import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { DataSource } from 'typeorm';
import { collectionsUsing, useCounts } from '../collections/uses.js';
import { FilesService, hashOf } from '../files/files.service.js';
import { pageOf, readCursor, type Page, type PageDto } from '../lists/cursor.js';
import { ProblemException } from '../problems/problem.js';
import { Film } from './film.entity.js';
import { isFilm } from './isFilm.js';

const MEDIA_TYPES: readonly string[] = ['video/mp4', 'video/webm'] satisfies FilmAsset['mediaType'][];
const isMediaType = (type: string | undefined): type is FilmAsset['mediaType'] =>
  type !== undefined && MEDIA_TYPES.includes(type);

@Injectable()
export class FilmsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly files: FilesService,
  ) {}

  /**
   * Stores an upload; the same bytes twice are one film.
   * @throws ProblemException 415 when it is neither MP4 nor WebM with moving picture, whatever its name says
   */
  async store(workspaceId: string, upload: { readonly path: string; readonly name: string }): Promise<Film> {
    const { path, name } = upload;
    const type = (await fileTypeFromFile(path))?.mime;
    if (!isMediaType(type) || !(await isFilm(path, type))) {
      const why = isMediaType(type)
        ? 'It begins like a film, but there is no moving picture in it.'
        : type
          ? `It is ${type}.`
          : 'Its bytes can’t be read as a film.';
      throw new ProblemException(
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        'not-a-film',
        'Not a film',
        `“${name}” was not stored. ${why} Choose an MP4 or WebM film.`,
      );
    }
    const hash = await hashOf(path);
    const { size } = await stat(path);
    return this.database.transaction(async (manager) => {
      await this.files.store(manager, workspaceId, hash, path);
      const values = { workspaceId, hash, name, mediaType: type, byteSize: size };
      await manager.createQueryBuilder().insert().into(Film).values(values).orIgnore().execute();
      return manager.findOneByOrFail(Film, { workspaceId, hash });
    });
  }

  /** A page of the films of a workspace, the newest first, with how many tiles show each. */
  async library(
    workspaceId: string,
    { limit = 60, after }: PageDto,
  ): Promise<Page<Omit<Film, 'workspaceId'> & { readonly uses: number }>> {
    const cursor = readCursor(after);
    const rows = await this.database.query<(Omit<Film, 'workspaceId'> & { at: string })[]>(
      `SELECT hash, name, media_type AS "mediaType", byte_size AS "byteSize",
              created_at AS "createdAt", created_at::text AS at
       FROM film
       WHERE workspace_id = $1 ${cursor ? 'AND (created_at < $3 OR (created_at = $3 AND hash > $4))' : ''}
       ORDER BY created_at DESC, hash LIMIT $2`,
      [workspaceId, limit + 1, ...(cursor ? [cursor.at, cursor.id] : [])],
    );
    const hashes = rows.map(({ hash }) => hash);
    const uses = await useCounts(this.database.manager, workspaceId, 'film_uses', hashes);
    return pageOf(
      rows,
      limit,
      ({ hash }) => hash,
      ({ at: _, ...film }) => ({ ...film, uses: uses.get(film.hash) ?? 0 }),
    );
  }

  /**
   * Deletes a film that no tile shows, or one that tiles do show when that was said to be known.
   * @throws ProblemException 409 with the collections that show it
   */
  async remove(workspaceId: string, hash: string, evenUsed: boolean): Promise<void> {
    await this.find(workspaceId, hash);
    const uses = await collectionsUsing(this.database.manager, workspaceId, 'film_uses', hash);
    if (uses.length > 0 && !evenUsed) {
      throw new ProblemException(
        HttpStatus.CONFLICT,
        'film-in-use',
        'The film is in use',
        `It was not deleted: it is shown in ${uses.map(({ name }) => `“${name}”`).join(', ')}.`,
        { uses },
      );
    }
    await this.database.transaction(async (manager) => {
      await manager.delete(Film, { workspaceId, hash });
      await this.files.remove(manager, workspaceId, hash);
    });
  }

  /** A film's bytes from `start` to `end`, both included. */
  bytes(workspaceId: string, hash: string, start: number, end: number): Readable {
    return this.files.read(workspaceId, hash, start, end);
  }

  async find(workspaceId: string, hash: string): Promise<Film> {
    const found = await this.database.manager.findOneBy(Film, { workspaceId, hash });
    if (found) return found;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-film',
      'No such film',
      `There is no film ${hash.slice(0, 12)}… in this workspace.`,
    );
  }
}
