import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A piece of a stored picture or film; all but the last are of one size. */
@Entity('file_chunk')
export class FileChunk {
  @PrimaryColumn({ name: 'workspace_id', type: 'uuid' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text' })
  hash: string;

  /** From 0. */
  @PrimaryColumn({ type: 'integer' })
  number: number;

  @Column({ type: 'bytea' })
  bytes: Buffer;
}
