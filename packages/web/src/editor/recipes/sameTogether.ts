import { type Recipe } from '@noria/core';
import type { StoredCollection } from '../../api/collections';

/** A recipe, and the collections that have it. */
export interface Used {
  readonly recipe: Recipe;
  readonly from: readonly [StoredCollection, ...StoredCollection[]];
}

/** The recipes of all collections; those that are alike in every point are one. */
export function sameTogether(collections: readonly StoredCollection[]): Used[] {
  const all = new Map<string, Used>();
  for (const collection of collections) {
    for (const recipe of Object.values(collection.document.recipes ?? {})) {
      const key = JSON.stringify([recipe, collection.document.look]);
      const known = all.get(key);
      all.set(key, { recipe, from: known ? [...known.from, collection] : [collection] });
    }
  }
  return [...all.values()];
}
