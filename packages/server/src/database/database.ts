import { Logger } from '@nestjs/common';
import { DataSource, type DataSourceOptions } from 'typeorm';
import { USUAL_LIMITS, type ServerLimits } from '../config/config.js';
import { Collection } from '../collections/collection.entity.js';
import { Revision } from '../collections/revision.entity.js';
import { FileChunk } from '../files/fileChunk.entity.js';
import { Picture, PictureVariant } from '../pictures/picture.entity.js';
import { Film } from '../films/film.entity.js';
import { Font } from '../fonts/font.entity.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { Aliases1764600000000 } from './migrations/1764600000000-aliases.js';
import { First1764000000000 } from './migrations/1764000000000-first.js';
import { Library1764100000000 } from './migrations/1764100000000-library.js';
import { Fonts1764500000000 } from './migrations/1764500000000-fonts.js';
import { Formats1764300000000 } from './migrations/1764300000000-formats.js';
import { Rasters1764400000000 } from './migrations/1764400000000-rasters.js';
import { Streams1764200000000 } from './migrations/1764200000000-streams.js';

export function databaseOptions(url: string, limits: ServerLimits = USUAL_LIMITS): DataSourceOptions {
  const log = new Logger('Database');
  return {
    type: 'postgres',
    url,
    entities: [Workspace, Collection, Revision, Picture, PictureVariant, FileChunk, Film, Font],
    migrations: [
      First1764000000000,
      Library1764100000000,
      Streams1764200000000,
      Formats1764300000000,
      Rasters1764400000000,
      Fonts1764500000000,
      Aliases1764600000000,
    ],
    synchronize: false,
    // gen_random_uuid() is PostgreSQL's own; an extension would ask for more rights than needed.
    installExtensions: false,
    poolSize: limits.connections,
    // An idle connection that breaks is no fault of a request; the pool makes another one.
    poolErrorHandler: (error: Error) => log.warn(`A connection broke: ${error.message}`),
    extra: {
      connectionTimeoutMillis: limits.connectionWait,
      statement_timeout: limits.statementTime,
      lock_timeout: Math.ceil(limits.statementTime / 2),
      idle_in_transaction_session_timeout: limits.statementTime,
      // A statement whose answer never comes, because the machine is gone.
      query_timeout: limits.statementTime + 5_000,
      keepAlive: true,
    },
  };
}

/** Any number that is ours: one process at a time sets up a database. */
const SETTING_UP = 4_680_117;

/**
 * Does work that only one process may do on a database at a time; others wait until it is done. The
 * lock goes with its connection, so a process that dies keeps nobody waiting.
 */
export async function settingUp<Result>(url: string, work: () => Promise<Result>): Promise<Result> {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 10_000 });
  // A lost connection rejects the statement under way; without a listener it would end the process.
  client.on('error', () => undefined);
  await client.connect();
  try {
    await client.query('SELECT pg_advisory_lock($1)', [SETTING_UP]);
    return await work();
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** Brings the tables up to date; answers the names of the migrations that ran. */
export async function migrate(url: string): Promise<string[]> {
  const options = databaseOptions(url, { ...USUAL_LIMITS, connections: 2, statementTime: 600_000 });
  const database = await new DataSource(options).initialize();
  try {
    const ran = await database.runMigrations({ transaction: 'each' });
    return ran.map(({ name }) => name);
  } finally {
    await database.destroy();
  }
}
