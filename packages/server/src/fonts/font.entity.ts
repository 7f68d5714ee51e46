import type { FontFace } from '@noria/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

/** What is read of a font file. */
export type FontFacts = Pick<FontFace, 'style' | 'weight' | 'axes' | 'features'>;

/** A font of a workspace, stored once under the hash of its bytes. */
@Entity('font')
export class Font {
  @PrimaryColumn({ name: 'workspace_id', type: 'uuid' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text' })
  hash: string;

  /** The name of its file. */
  @Column({ type: 'text' })
  name: string;

  /** What its family is called. */
  @Column({ type: 'text' })
  family: string;

  @Column({ name: 'media_type', type: 'text' })
  mediaType: FontFace['mediaType'];

  @Column({ name: 'byte_size', type: 'integer' })
  byteSize: number;

  @Column({ type: 'jsonb' })
  facts: FontFacts;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;
}
