import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { DataSource, type EntityManager } from 'typeorm';
import { FileChunk } from './fileChunk.entity.js';

export const CHUNK_BYTES = 512 * 1024;

/** SHA-256 of a file, in hexadecimal. */
export async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const bytes of createReadStream(path, { highWaterMark: CHUNK_BYTES }))
    hash.update(bytes as Buffer);
  return hash.digest('hex');
}

/** Stores files by their hash in pieces, and hands them out again; never a whole one in memory. */
@Injectable()
export class FilesService {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** Stores a file of the disk, unless its bytes are there already. */
  async store(manager: EntityManager, workspaceId: string, hash: string, path: string): Promise<void> {
    if (await manager.existsBy(FileChunk, { workspaceId, hash })) return;
    let number = 0;
    for await (const bytes of createReadStream(path, { highWaterMark: CHUNK_BYTES })) {
      await manager.query(
        `INSERT INTO file_chunk (workspace_id, hash, number, bytes) VALUES ($1, $2, $3, $4)
         ON CONFLICT DO NOTHING`,
        [workspaceId, hash, number++, bytes],
      );
    }
  }

  async remove(manager: EntityManager, workspaceId: string, hash: string): Promise<void> {
    await manager.delete(FileChunk, { workspaceId, hash });
  }

  /** The bytes from `start` to `end`, both included, read piece by piece as they are taken. */
  read(workspaceId: string, hash: string, start: number, end: number): Readable {
    return Readable.from(this.pieces(workspaceId, hash, start, end), { objectMode: false });
  }

  private async *pieces(
    workspaceId: string,
    hash: string,
    start: number,
    end: number,
  ): AsyncGenerator<Buffer> {
    for (let number = Math.floor(start / CHUNK_BYTES); number * CHUNK_BYTES <= end; number++) {
      const [row] = await this.database.query<{ bytes: Buffer }[]>(
        'SELECT bytes FROM file_chunk WHERE workspace_id = $1 AND hash = $2 AND number = $3',
        [workspaceId, hash, number],
      );
      if (!row) throw new Error(`Piece ${number} of the file ${hash} is missing.`);
      const at = number * CHUNK_BYTES;
      yield row.bytes.subarray(Math.max(0, start - at), end + 1 - at);
    }
  }
}
