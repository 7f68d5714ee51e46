import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Each change says in which format version it was made; those before are of the first. */
export class Formats1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE collection_revision ADD COLUMN format integer NOT NULL DEFAULT 1');
    await runner.query('ALTER TABLE collection_revision ALTER COLUMN format DROP DEFAULT');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE collection_revision DROP COLUMN format');
  }
}
