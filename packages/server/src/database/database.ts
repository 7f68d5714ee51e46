import { DataSource, type DataSourceOptions } from 'typeorm';
import { Collection } from '../collections/collection.entity.js';
import { Revision } from '../collections/revision.entity.js';
import { Picture, PictureVariant } from '../pictures/picture.entity.js';
import { Film } from '../films/film.entity.js';
import { Workspace } from '../workspaces/workspace.entity.js';
import { First1764000000000 } from './migrations/1764000000000-first.js';
import { Library1764100000000 } from './migrations/1764100000000-library.js';

export function databaseOptions(url: string): DataSourceOptions {
  return {
    type: 'postgres',
    url,
    entities: [Workspace, Collection, Revision, Picture, PictureVariant, Film],
    migrations: [First1764000000000, Library1764100000000],
    synchronize: false,
    // gen_random_uuid() is PostgreSQL's own; an extension would ask for more rights than needed.
    installExtensions: false,
  };
}

/** Brings the tables up to date; answers the names of the migrations that ran. */
export async function migrate(url: string): Promise<string[]> {
  const database = await new DataSource(databaseOptions(url)).initialize();
  try {
    const ran = await database.runMigrations({ transaction: 'each' });
    return ran.map(({ name }) => name);
  } finally {
    await database.destroy();
  }
}
