import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { FilmAsset } from '@noria/core';
import { fileTypeFromFile } from 'file-type/node';
import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { DataSource } from 'typeorm';
import { FilesService, hashOf } from '../files/files.service.js';
import { libraryPage, removeFromLibrary, type Sort } from '../files/library.js';
import type { Page, PageDto } from '../lists/cursor.js';
import { ProblemException } from '../problems/problem.js';
import { Film } from './film.entity.js';
import { isFilm } from './isFilm.js';

const MEDIA_TYPES: readonly string[] = ['video/mp4', 'video/webm'] satisfies FilmAsset['mediaType'][];
const isMediaType = (type: string | undefined): type is FilmAsset['mediaType'] =>
  type !== undefined && MEDIA_TYPES.includes(type);

type Listed = Omit<Film, 'workspaceId'>;
const FILMS: Sort = {
  table: 'film',
  uses: 'film_uses',
  columns: 'name, media_type AS "mediaType", byte_size AS "byteSize"',
};

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

  library(workspaceId: string, asked: PageDto): Promise<Page<Listed & { readonly uses: number }>> {
    return libraryPage<Listed>(this.database, FILMS, workspaceId, asked);
  }

  /** @throws ProblemException 404, or 409 with the collections that use it where that was not said to be known */
  async remove(workspaceId: string, hash: string, evenUsed: boolean): Promise<void> {
    await this.find(workspaceId, hash);
    await removeFromLibrary(this.database, this.files, Film, FILMS, { workspaceId, hash, evenUsed });
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
