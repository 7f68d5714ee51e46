import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { pictureVariants } from '@noria/core';
import sharp from 'sharp';
import { In, Repository } from 'typeorm';
import { ProblemException } from '../problems/problem.js';
import { Picture, PictureVariant } from './picture.entity.js';
import { readPicture } from './readPicture.js';

@Injectable()
export class PicturesService {
  constructor(
    @InjectRepository(Picture) private readonly pictures: Repository<Picture>,
    @InjectRepository(PictureVariant) private readonly variants: Repository<PictureVariant>,
  ) {}

  /** Stores an upload; the same bytes twice are one picture. */
  async store(workspaceId: string, upload: Buffer, name: string): Promise<Picture> {
    const read = await readPicture(upload, name);
    await this.pictures
      .createQueryBuilder()
      .insert()
      .values({ ...read, workspaceId, name })
      .orIgnore()
      .execute();
    return this.find(workspaceId, read.hash);
  }

  /** Which of these hashes the workspace has. */
  async stored(workspaceId: string, hashes: readonly string[]): Promise<Set<string>> {
    if (hashes.length === 0) return new Set();
    const found = await this.pictures.find({
      where: { workspaceId, hash: In([...hashes]) },
      select: { hash: true },
    });
    return new Set(found.map(({ hash }) => hash));
  }

  async original(workspaceId: string, hash: string): Promise<Picture> {
    return this.find(workspaceId, hash, true);
  }

  /** A picture as WebP of one of its variant widths. */
  async variant(workspaceId: string, hash: string, inlineSize: number): Promise<Buffer> {
    const known = await this.variants.findOneBy({ workspaceId, hash, inlineSize });
    if (known) return known.bytes;
    const sizes = pictureVariants(await this.find(workspaceId, hash));
    if (!sizes.includes(inlineSize)) {
      throw new ProblemException(
        HttpStatus.NOT_FOUND,
        'no-variant',
        'No such width',
        `This picture comes ${sizes.join(', ')} px wide; ${inlineSize} is none of them.`,
      );
    }
    const { bytes: original } = await this.find(workspaceId, hash, true);
    const bytes = await sharp(original).resize({ width: inlineSize }).webp({ quality: 84 }).toBuffer();
    await this.variants
      .createQueryBuilder()
      .insert()
      .values({ workspaceId, hash, inlineSize, bytes })
      .orIgnore()
      .execute();
    return bytes;
  }

  private async find(workspaceId: string, hash: string, withBytes = false): Promise<Picture> {
    const query = this.pictures.createQueryBuilder('picture').where({ workspaceId, hash });
    if (withBytes) query.addSelect('picture.bytes');
    const found = await query.getOne();
    if (found) return found;
    throw new ProblemException(
      HttpStatus.NOT_FOUND,
      'no-picture',
      'No such picture',
      `There is no picture ${hash.slice(0, 12)}… in this workspace.`,
    );
  }
}
