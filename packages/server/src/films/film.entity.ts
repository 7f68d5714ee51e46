import type { FilmAsset } from '@noria/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

/** A film of a workspace, stored once under the hash of its bytes. */
@Entity('film')
export class Film {
  @PrimaryColumn({ name: 'workspace_id', type: 'uuid' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text' })
  hash: string;

  @Column({ type: 'text' })
  name: string;

  @Column({ name: 'media_type', type: 'text' })
  mediaType: FilmAsset['mediaType'];

  @Column({ name: 'byte_size', type: 'integer' })
  byteSize: number;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;
}
