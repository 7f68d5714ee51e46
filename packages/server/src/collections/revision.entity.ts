import type { CollectionDocument, JsonPatch } from '@noria/core';
import { Column, CreateDateColumn, Entity, Index, PrimaryColumn } from 'typeorm';

/** One change of a collection: the patch, and now and then the whole document to start from. */
@Entity('collection_revision')
@Index(['collectionId', 'changeId'])
export class Revision {
  @PrimaryColumn({ name: 'collection_id', type: 'uuid' })
  collectionId: string;

  @PrimaryColumn({ type: 'integer' })
  number: number;

  /** The client's own name of the change, so that one sent twice is made once. */
  @Column({ name: 'change_id', type: 'text', nullable: true })
  changeId: string | null;

  /** Of the patch as it was sent, so that another one under the same name is noticed. */
  @Column({ name: 'patch_hash', type: 'text', nullable: true })
  patchHash: string | null;

  /** The format version of the document that this is a change of. */
  @Column({ type: 'integer' })
  format: number;

  @Column({ type: 'json', nullable: true })
  patch: JsonPatch | null;

  /** `json`, not `jsonb`: the order of fields is kept as it was written. */
  @Column({ type: 'json', nullable: true })
  document: CollectionDocument | null;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;
}
