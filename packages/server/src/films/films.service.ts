import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { FilmAsset } from '@noria/core';
import { fileTypeFromBuffer } from 'file-type/node';
import { createHash } from 'node:crypto';
import { Repository } from 'typeorm';
import { ProblemException } from '../problems/problem.js';
import { Film } from './film.entity.js';

export const MOST_FILM_BYTES = 60 * 1024 * 1024;

const MEDIA_TYPES: readonly string[] = ['video/mp4', 'video/webm'];

@Injectable()
export class FilmsService {
  constructor(@InjectRepository(Film) private readonly films: Repository<Film>) {}

  /**
   * Stores an upload; the same bytes twice are one film.
   * @throws ProblemException 415 when it is neither MP4 nor WebM, whatever its name says
   */
  async store(workspaceId: string, bytes: Buffer, name: string): Promise<Film> {
    const type = await fileTypeFromBuffer(bytes);
    if (!type || !MEDIA_TYPES.includes(type.mime)) {
      throw new ProblemException(
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        'not-a-film',
        'Not a film',
        `“${name}” was not stored. ${type ? `It is ${type.mime}.` : 'Its bytes can’t be read as a film.'} Choose an MP4 or WebM film.`,
      );
    }
    const hash = createHash('sha256').update(bytes).digest('hex');
    await this.films
      .createQueryBuilder()
      .insert()
      .values({ workspaceId, hash, name, mediaType: type.mime as FilmAsset['mediaType'], bytes })
      .orIgnore()
      .execute();
    return this.find(workspaceId, hash);
  }

  async find(workspaceId: string, hash: string, withBytes = false): Promise<Film> {
    const query = this.films.createQueryBuilder('film').where({ workspaceId, hash });
    if (withBytes) query.addSelect('film.bytes');
    const found = await query.getOne();
    if (found) return found;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-film',
      'No such film',
      `There is no film ${hash.slice(0, 12)}… in this workspace.`,
    );
  }
}
