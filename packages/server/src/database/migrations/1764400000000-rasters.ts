import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Pictures keep their colours in a few px, which words on them are told by. */
export class Rasters1764400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE picture ADD COLUMN raster text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE picture DROP COLUMN raster');
  }
}
