import type { CollectionDocument } from '@noria/core';
import { Column, CreateDateColumn, Entity, Index, PrimaryGeneratedColumn, UpdateDateColumn } from 'typeorm';

@Entity('collection')
@Index(['workspaceId', 'updatedAt'])
export class Collection {
  @PrimaryGeneratedColumn('uuid')
  id: string;

  @Column({ name: 'workspace_id', type: 'uuid' })
  workspaceId: string;

  @Column({ type: 'text' })
  name: string;

  /** Counts up by one with every change; the entity tag. */
  @Column({ type: 'integer' })
  revision: number;

  /** `json`, not `jsonb`: the order of fields is kept as it was written. */
  @Column({ type: 'json' })
  document: CollectionDocument;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;

  @UpdateDateColumn({ name: 'updated_at', type: 'timestamptz' })
  updatedAt: Date;
}
