import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Library1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE picture
        ADD COLUMN byte_size integer NOT NULL DEFAULT 0,
        ADD COLUMN colours json NOT NULL DEFAULT '[]',
        ADD COLUMN placeholder text,
        ADD COLUMN alternative_text text NOT NULL DEFAULT ''`);
    await runner.query('UPDATE picture SET byte_size = octet_length(bytes)');
    await runner.query('CREATE INDEX picture_in_workspace ON picture (workspace_id, created_at)');
    await runner.query(`
      CREATE TABLE film (
        workspace_id uuid NOT NULL REFERENCES workspace ON DELETE CASCADE,
        hash text NOT NULL,
        name text NOT NULL,
        media_type text NOT NULL,
        bytes bytea NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (workspace_id, hash)
      )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE film');
    await runner.query('DROP INDEX picture_in_workspace');
    await runner.query(`
      ALTER TABLE picture
        DROP COLUMN byte_size, DROP COLUMN colours, DROP COLUMN placeholder, DROP COLUMN alternative_text`);
  }
}
