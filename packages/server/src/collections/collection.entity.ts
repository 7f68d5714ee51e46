import type { CollectionDocument } from '@noria/core';
import { Column, CreateDateColumn, Entity, Index, PrimaryGeneratedColumn, UpdateDateColumn } from 'typeorm';

/** A collection without its document, which lies with its revisions. */
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

  /** What lists show of it. */
  @Column({ type: 'json', nullable: true })
  summary: Summary | null;

  /** How many tiles show each picture and film, by hash. */
  @Column({ name: 'picture_uses', type: 'jsonb' })
  pictureUses: Uses;

  @Column({ name: 'film_uses', type: 'jsonb' })
  filmUses: Uses;

  /** How many times each font that was added is used, by hash. */
  @Column({ name: 'font_uses', type: 'jsonb' })
  fontUses: Uses;

  /** The version of summaries that the four fields above were written by. */
  @Column({ name: 'summed_up', type: 'integer' })
  summedUp: number;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;

  @UpdateDateColumn({ name: 'updated_at', type: 'timestamptz' })
  updatedAt: Date;
}

export type Uses = Readonly<Record<string, number>>;

export interface Summary {
  /** How many tiles there are, those in groups counted too. */
  readonly tiles: number;
  /** How many recipes it has. */
  readonly recipes: number;
  /** A small document that looks like the beginning of it; null when this version can't read it. */
  readonly document: CollectionDocument | null;
  /** Why it can't be read; null when it can. */
  readonly unreadable: string | null;
}
