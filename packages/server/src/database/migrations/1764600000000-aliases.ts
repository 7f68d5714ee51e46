import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A picture that came again under another name keeps that too. */
export class Aliases1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE picture ADD COLUMN aliases text[] NOT NULL DEFAULT '{}'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE picture DROP COLUMN aliases');
  }
}
