import {
  plainName,
  tableSlots,
  type CollectionDocument,
  type PictureAsset,
  type ReadTable,
  type Recipe,
} from '@noria/core';
import { allPictures, toAsset } from '../../api/pictures';

/** Pictures of the library that a table names and the collection does not hold yet. */
export async function picturesFor(
  table: ReadTable,
  recipe: Recipe,
  mapping: Readonly<Record<string, string>>,
  { pictures }: CollectionDocument,
): Promise<PictureAsset[]> {
  const columns = tableSlots(recipe).flatMap(({ name, of }) =>
    of.holds === 'picture' && mapping[name] !== undefined ? [mapping[name]] : [],
  );
  const names = new Set(table.rows.flatMap((row) => columns.map((column) => plainName(row[column] ?? ''))));
  names.delete('');
  if (names.size === 0) return [];
  const held = new Set(Object.values(pictures).map(({ hash }) => hash));
  return (await allPictures())
    .filter(({ name, hash }) => names.has(plainName(name)) && !held.has(hash))
    .map(toAsset);
}
