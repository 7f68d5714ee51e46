import type { MigrationInterface, QueryRunner } from 'typeorm';

export class First1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE workspace (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        slug text NOT NULL UNIQUE,
        name text NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query(`
      CREATE TABLE collection (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        workspace_id uuid NOT NULL REFERENCES workspace ON DELETE CASCADE,
        name text NOT NULL,
        revision integer NOT NULL,
        document json NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        updated_at timestamptz NOT NULL DEFAULT now()
      )`);
    await runner.query('CREATE INDEX collection_in_workspace ON collection (workspace_id, updated_at)');
    await runner.query(`
      CREATE TABLE collection_revision (
        collection_id uuid NOT NULL REFERENCES collection ON DELETE CASCADE,
        number integer NOT NULL,
        change_id text,
        patch json,
        document json,
        created_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (collection_id, number)
      )`);
    await runner.query(
      'CREATE UNIQUE INDEX collection_revision_change ON collection_revision (collection_id, change_id)',
    );
    await runner.query(`
      CREATE TABLE picture (
        workspace_id uuid NOT NULL REFERENCES workspace ON DELETE CASCADE,
        hash text NOT NULL,
        name text NOT NULL,
        media_type text NOT NULL,
        inline_size integer NOT NULL,
        block_size integer NOT NULL,
        bytes bytea NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (workspace_id, hash)
      )`);
    await runner.query(`
      CREATE TABLE picture_variant (
        workspace_id uuid NOT NULL,
        hash text NOT NULL,
        inline_size integer NOT NULL,
        bytes bytea NOT NULL,
        PRIMARY KEY (workspace_id, hash, inline_size),
        FOREIGN KEY (workspace_id, hash) REFERENCES picture ON DELETE CASCADE
      )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['picture_variant', 'picture', 'collection_revision', 'collection', 'workspace']) {
      await runner.query(`DROP TABLE ${table}`);
    }
  }
}
