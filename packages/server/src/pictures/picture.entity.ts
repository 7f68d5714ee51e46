import type { PictureAsset } from '@noria/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

/** A picture of a workspace, stored once under the hash of its bytes. */
@Entity('picture')
export class Picture {
  @PrimaryColumn({ name: 'workspace_id', type: 'uuid' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text' })
  hash: string;

  @Column({ type: 'text' })
  name: string;

  @Column({ name: 'media_type', type: 'text' })
  mediaType: PictureAsset['mediaType'];

  @Column({ name: 'inline_size', type: 'integer' })
  inlineSize: number;

  @Column({ name: 'block_size', type: 'integer' })
  blockSize: number;

  @Column({ name: 'byte_size', type: 'integer' })
  byteSize: number;

  /** Mean, darkest and lightest, `#rrggbb`. */
  @Column({ type: 'json' })
  colours: string[];

  /** Its colours in a few px; null for what lets through what is behind, and for what came before this was kept. */
  @Column({ type: 'text', nullable: true })
  raster: string | null;

  /** A few px as a `data:` address; null for what lets through what is behind. */
  @Column({ type: 'text', nullable: true })
  placeholder: string | null;

  /** Names that it came under again. */
  @Column({ type: 'text', array: true, default: () => "'{}'" })
  aliases: string[];

  @Column({ name: 'alternative_text', type: 'text', default: '' })
  alternativeText: string;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;
}

/** A smaller WebP of a picture, made when it is first asked for. */
@Entity('picture_variant')
export class PictureVariant {
  @PrimaryColumn({ name: 'workspace_id', type: 'uuid' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text' })
  hash: string;

  @PrimaryColumn({ name: 'inline_size', type: 'integer' })
  inlineSize: number;

  @Column({ type: 'bytea' })
  bytes: Buffer;
}
