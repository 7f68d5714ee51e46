import type { NestExpressApplication } from '@nestjs/platform-express';
import { emptyDocument, newTile, type CollectionDocument } from '@noria/core';
import { randomBytes } from 'node:crypto';
import { crc32 } from 'node:zlib';
import pg from 'pg';
import sharp from 'sharp';
import { DataSource } from 'typeorm';
import { readConfig, type Config } from '../config/config.js';
import { createApp } from '../createApp.js';
import { migrate } from '../database/database.js';
import { WorkspacesService } from '../workspaces/workspaces.service.js';

export interface TestApp {
  readonly app: NestExpressApplication;
  close(): Promise<void>;
  /** Asks the database itself. */
  query(sql: string): Promise<unknown>;
}

/**
 * The application on a database of its own, with the workspaces “huts” and “other”.
 * @param port by which the application reaches the database, where that is not its own
 */
export async function createTestApp(changes: Partial<Config> = {}, port?: number): Promise<TestApp> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('These tests need a PostgreSQL: run them with npm test, or set DATABASE_URL.');
  const name = `noria_test_${randomBytes(6).toString('hex')}`;
  const admin = async (sql: string) => {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  await admin(`CREATE DATABASE ${name}`);
  const databaseUrl = new URL(url);
  databaseUrl.pathname = `/${name}`;
  await migrate(databaseUrl.href);
  if (port !== undefined) databaseUrl.port = String(port);
  const app = await createApp({
    ...readConfig({ DATABASE_URL: databaseUrl.href, PORT: '0' }),
    ...changes,
  });
  await app.init();
  const workspaces = app.get(WorkspacesService);
  await workspaces.create('huts', 'Huts');
  await workspaces.create('other', 'Another cooperative');
  return {
    app,
    query: (sql) => app.get(DataSource).query(sql),
    close: async () => {
      await app.close();
      await admin(`DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
}

/** Another server on the database of one that runs. */
export async function createTestAppOn(other: TestApp): Promise<Pick<TestApp, 'app' | 'close'>> {
  const { url } = other.app.get(DataSource).options as { readonly url?: string };
  const app = await createApp(readConfig({ DATABASE_URL: url, PORT: '0' }));
  await app.init();
  return { app, close: () => app.close() };
}

/** A collection of one stat. */
export function oneStat(): CollectionDocument {
  return { ...emptyDocument('Beds'), tiles: { beds: newTile('stat', 'beds') }, order: ['beds'] };
}

/** A plain picture of a size in px. */
export const picture = (width: number, height: number, format: 'png' | 'jpeg' | 'webp' = 'png') =>
  sharp({ create: { width, height, channels: 3, background: '#345' } })
    .toFormat(format)
    .toBuffer();

/** A PNG whose header says that it is of a size in px: cheap to make, however large it claims to be. */
export async function claimingPicture(width: number, height: number): Promise<Buffer> {
  const png = await picture(8, 8);
  // Signature 8 bytes, then the header chunk: length 4, type 4, width 4, height 4, five more, checksum 4.
  png.writeUInt32BE(width, 16);
  png.writeUInt32BE(height, 20);
  png.writeUInt32BE(crc32(png.subarray(12, 29)), 29);
  return png;
}
