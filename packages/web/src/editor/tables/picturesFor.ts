import {
  pictureIn,
  plainName,
  tableSlots,
  type CollectionDocument,
  type PictureAsset,
  type ReadTable,
  type Recipe,
} from '@noria/core';
import { allPictures, toAsset } from '../../api/pictures';

/** What a table names of pictures. */
export interface Found {
  /** Those of the library that the collection does not hold yet. */
  readonly pictures: readonly PictureAsset[];
  /** What is neither in the collection nor in the library, as the table says it. */
  readonly missing: readonly string[];
}

/** Looks for the pictures that a table names, by their names, files or addresses. */
export async function picturesFor(
  table: ReadTable,
  recipe: Recipe,
  mapping: Readonly<Record<string, string>>,
  { pictures }: CollectionDocument,
): Promise<Found> {
  const columns = tableSlots(recipe).flatMap(({ name, of }) =>
    of.holds === 'picture' && mapping[name] !== undefined ? [mapping[name]] : [],
  );
  const wanted = new Map(
    table.rows.flatMap((row) => columns.map((column) => [pictureIn(row[column] ?? ''), row[column] ?? ''])),
  );
  wanted.delete('');
  if (wanted.size === 0) return { pictures: [], missing: [] };
  const held = Object.values(pictures);
  const hashes = new Set(held.map(({ hash }) => hash));
  const library = await allPictures();
  const named = new Set([
    ...held.flatMap(({ id, name, file }) => [id, name, file].map(plainName)),
    ...library.map(({ name }) => plainName(name)),
  ]);
  return {
    pictures: library
      .filter(({ name, hash }) => wanted.has(plainName(name)) && !hashes.has(hash))
      .map(toAsset),
    missing: [...wanted].flatMap(([name, cell]) => (named.has(name) ? [] : [cell])),
  };
}

/** Names that are listed in a message. */
const MOST = 8;

/** What is said of pictures that were not found; null: all were. */
export const missingWords = (missing: readonly string[]): string | null =>
  missing.length === 0
    ? null
    : `Not found in the library: ${missing.slice(0, MOST).join(', ')}${missing.length > MOST ? ` and ${missing.length - MOST} more` : ''}. Their slots stay empty: upload the pictures, and import the table again.`;
