import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Fonts that were added, and which collections use them. */
export class Fonts1764500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE font (
        workspace_id uuid NOT NULL REFERENCES workspace ON DELETE CASCADE,
        hash text NOT NULL,
        name text NOT NULL,
        family text NOT NULL,
        media_type text NOT NULL,
        byte_size integer NOT NULL,
        facts jsonb NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (workspace_id, hash)
      )`);
    await runner.query('CREATE INDEX font_in_workspace ON font (workspace_id, created_at DESC, hash)');
    await runner.query(`ALTER TABLE collection ADD COLUMN font_uses jsonb NOT NULL DEFAULT '{}'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE collection DROP COLUMN font_uses');
    await runner.query('DROP TABLE font');
  }
}
