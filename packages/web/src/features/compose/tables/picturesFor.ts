import type { CollectionDocument, PictureAsset, ReadTable, Recipe } from '@noria/core';
import { listPictures, toAsset } from '../../../api/pictures';

const plain = (name: string) =>
  name
    .toLowerCase()
    .replace(/\.[a-z0-9]{2,4}$/, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Pictures of the library that a table names and the collection does not hold yet. */
export async function picturesFor(
  table: ReadTable,
  recipe: Recipe,
  mapping: Readonly<Record<string, string>>,
  { pictures }: CollectionDocument,
): Promise<PictureAsset[]> {
  const columns = recipe.slots.flatMap(({ name, field }) =>
    field === 'picture' && mapping[name] !== undefined ? [mapping[name]] : [],
  );
  const names = new Set(table.rows.flatMap((row) => columns.map((column) => plain(row[column] ?? ''))));
  names.delete('');
  if (names.size === 0) return [];
  const held = new Set(Object.values(pictures).map(({ hash }) => hash));
  const taken = Object.keys(pictures);
  return (await listPictures(''))
    .filter(({ name, hash }) => names.has(plain(name)) && !held.has(hash))
    .map((picture) => {
      const asset = toAsset(picture, taken);
      taken.push(asset.id);
      return asset;
    });
}
