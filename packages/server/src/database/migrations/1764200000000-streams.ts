import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHUNK = 512 * 1024;

/**
 * Files lie in pieces, so that they come and go as streams. A collection's document lies with its
 * revisions alone; the collection has what lists show of it.
 */
export class Streams1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE file_chunk (
        workspace_id uuid NOT NULL REFERENCES workspace ON DELETE CASCADE,
        hash text NOT NULL,
        number integer NOT NULL,
        bytes bytea NOT NULL,
        PRIMARY KEY (workspace_id, hash, number)
      )`);
    // Pictures and films are compressed already.
    await runner.query('ALTER TABLE file_chunk ALTER COLUMN bytes SET STORAGE EXTERNAL');
    await runner.query('ALTER TABLE film ADD COLUMN byte_size integer NOT NULL DEFAULT 0');
    await runner.query('UPDATE film SET byte_size = octet_length(bytes)');
    for (const table of ['picture', 'film']) {
      await runner.query(`
        INSERT INTO file_chunk (workspace_id, hash, number, bytes)
        SELECT workspace_id, hash, n, substring(bytes FROM n * ${CHUNK} + 1 FOR ${CHUNK})
        FROM ${table}, generate_series(0, GREATEST(0, (octet_length(bytes) - 1) / ${CHUNK})) AS n`);
      await runner.query(`ALTER TABLE ${table} DROP COLUMN bytes`);
    }
    await runner.query(`
      UPDATE collection_revision SET document = collection.document
      FROM collection
      WHERE collection_revision.collection_id = collection.id
        AND collection_revision.number = collection.revision`);
    await runner.query(`
      ALTER TABLE collection
        DROP COLUMN document,
        ADD COLUMN summary json,
        ADD COLUMN picture_uses jsonb NOT NULL DEFAULT '{}',
        ADD COLUMN film_uses jsonb NOT NULL DEFAULT '{}',
        ADD COLUMN summed_up integer NOT NULL DEFAULT 0`);
    await runner.query('ALTER TABLE collection_revision ADD COLUMN patch_hash text');
    await runner.query('DROP INDEX collection_in_workspace');
    await runner.query(
      'CREATE INDEX collection_in_workspace ON collection (workspace_id, updated_at DESC, id)',
    );
    await runner.query('DROP INDEX picture_in_workspace');
    await runner.query('CREATE INDEX picture_in_workspace ON picture (workspace_id, created_at DESC, hash)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE collection ADD COLUMN document json');
    await runner.query(`
      UPDATE collection SET document = (
        SELECT document FROM collection_revision
        WHERE collection_id = collection.id AND document IS NOT NULL ORDER BY number DESC LIMIT 1)`);
    await runner.query(`
      ALTER TABLE collection
        ALTER COLUMN document SET NOT NULL,
        DROP COLUMN summary, DROP COLUMN picture_uses, DROP COLUMN film_uses, DROP COLUMN summed_up`);
    await runner.query('ALTER TABLE collection_revision DROP COLUMN patch_hash');
    for (const table of ['picture', 'film']) {
      await runner.query(`ALTER TABLE ${table} ADD COLUMN bytes bytea`);
      await runner.query(`
        UPDATE ${table} SET bytes = (
          SELECT string_agg(file_chunk.bytes, ''::bytea ORDER BY number) FROM file_chunk
          WHERE file_chunk.workspace_id = ${table}.workspace_id AND file_chunk.hash = ${table}.hash)`);
      await runner.query(`ALTER TABLE ${table} ALTER COLUMN bytes SET NOT NULL`);
    }
    await runner.query('ALTER TABLE film DROP COLUMN byte_size');
    await runner.query('DROP TABLE file_chunk');
  }
}
