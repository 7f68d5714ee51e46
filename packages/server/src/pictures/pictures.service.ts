import { HttpStatus, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { pictureVariants, picturesIn, tilesShowing } from '@noria/core';
import PQueue from 'p-queue';
import sharp from 'sharp';
import { In, Repository } from 'typeorm';
import { ProblemException } from '../problems/problem.js';
import { Picture, PictureVariant } from './picture.entity.js';
import { readPicture } from './readPicture.js';
import { Collection } from '../collections/collection.entity.js';
import type { DescribePictureDto } from './dto.js';

/** The tiles of one collection that show a picture. */
export interface PictureUse {
  readonly id: string;
  readonly name: string;
  readonly tiles: readonly string[];
}

/** Drawings are made as large as they are asked for; films of pictures keep them all. */
const inputFor = ({ mediaType }: Picture, inlineSize: number) => ({
  limitInputPixels: false,
  ...(mediaType === 'image/svg+xml' && { density: Math.min(2400, Math.max(72, inlineSize)) }),
  ...(mediaType === 'image/gif' && { animated: true }),
});

@Injectable()
export class PicturesService {
  constructor(
    @InjectRepository(Picture) private readonly pictures: Repository<Picture>,
    @InjectRepository(PictureVariant) private readonly variants: Repository<PictureVariant>,
    @InjectRepository(Collection) private readonly collections: Repository<Collection>,
  ) {}

  /** Pictures are decoded two at a time, however many come, so that memory stays small. */
  private readonly reading = new PQueue({ concurrency: 2 });

  /** Stores an upload; the same bytes twice are one picture. */
  async store(workspaceId: string, load: () => Promise<Buffer>, name: string): Promise<Picture> {
    return this.reading.add(async () => this.readAndStore(workspaceId, await load(), name));
  }

  private async readAndStore(workspaceId: string, upload: Buffer, name: string): Promise<Picture> {
    const read = await readPicture(upload, name);
    await this.pictures
      .createQueryBuilder()
      .insert()
      .values({ ...read, workspaceId, name })
      .orIgnore()
      .execute();
    return this.find(workspaceId, read.hash);
  }

  /** The pictures of a workspace, the newest first, with how many tiles show each. */
  async library(workspaceId: string, search: string): Promise<(Picture & { readonly uses: number })[]> {
    const query = this.pictures
      .createQueryBuilder('picture')
      .where({ workspaceId })
      .orderBy('picture.createdAt', 'DESC')
      .addOrderBy('picture.name');
    if (search.trim() !== '') {
      const like = `%${search.trim().replace(/[\\%_]/g, '\\$&')}%`;
      query.andWhere('(picture.name ILIKE :like OR picture.alternative_text ILIKE :like)', { like });
    }
    const [pictures, collections] = await Promise.all([query.getMany(), this.documents(workspaceId)]);
    const uses = new Map<string, number>();
    for (const { document } of collections) {
      for (const tile of Object.values(document.tiles)) {
        for (const id of picturesIn(tile)) {
          const hash = document.pictures[id]?.hash ?? '';
          uses.set(hash, (uses.get(hash) ?? 0) + 1);
        }
      }
    }
    return pictures.map((picture) => Object.assign(picture, { uses: uses.get(picture.hash) ?? 0 }));
  }

  /** The tiles that show a picture, by collection. */
  async uses(workspaceId: string, hash: string): Promise<PictureUse[]> {
    await this.find(workspaceId, hash);
    const collections = await this.documents(workspaceId);
    return collections.flatMap(({ id, name, document }) => {
      const tiles = tilesShowing(document, hash).map((tile) => document.tiles[tile]?.name ?? tile);
      return tiles.length > 0 ? [{ id, name, tiles }] : [];
    });
  }

  async describe(workspaceId: string, hash: string, values: DescribePictureDto): Promise<Picture> {
    await this.find(workspaceId, hash);
    const { name, alternativeText } = values;
    const said = {
      ...(name !== undefined && { name }),
      ...(alternativeText !== undefined && { alternativeText }),
    };
    if (Object.keys(said).length > 0) await this.pictures.update({ workspaceId, hash }, said);
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
    await this.pictures.delete({ workspaceId, hash });
  }

  private documents(workspaceId: string): Promise<Collection[]> {
    return this.collections.find({
      where: { workspaceId },
      select: { id: true, name: true, document: true },
      order: { name: 'ASC' },
    });
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
    const bytes = await this.reading.add(async () => {
      const original = await this.find(workspaceId, hash, true);
      return sharp(original.bytes, inputFor(original, inlineSize))
        .resize({ width: inlineSize })
        .webp({ quality: 84 })
        .toBuffer();
    });
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
