import { clone, type DeepWritable } from '../../document/clone.js';
import {
  filmsIn,
  iconsIn,
  looksOfVariants,
  namedLooksIn,
  namedLooksOf,
  picturesIn,
  usedOf,
  usesOfVariants,
  withAssets,
} from '../../parts/uses.js';
import { familiesInLooks } from '../../parts/families.js';
import { usesInLook, withLookAssets } from '../../look/paints.js';
import type { Draft } from './draft.js';
import type { CollectionDocument, Recipe, Tile } from '../../document/types.js';

/** What tiles need beside themselves: what they show, and the names and recipes that they follow. */
export type Assets = Pick<
  CollectionDocument,
  'pictures' | 'films' | 'icons' | 'families' | 'namedLooks' | 'styles' | 'recipes'
>;

function picked<V>(all: Readonly<Record<string, V>> | undefined, ids: readonly string[]): Record<string, V> {
  return Object.fromEntries(ids.flatMap((id) => (all && Object.hasOwn(all, id) ? [[id, all[id] as V]] : [])));
}

/** The assets of tiles, those of their recipes too. */
export function assetsOf(document: Assets, tiles: readonly Tile[]): Required<Assets> {
  const recipes = picked<Recipe>(
    document.recipes,
    tiles.flatMap(({ recipe }) => recipe?.recipe ?? []),
  );
  const all = [...tiles, ...Object.values(recipes).flatMap(({ tiles: own }) => Object.values(own))];
  const styles = picked(
    document.styles,
    all.flatMap(({ style }) => style ?? []),
  );
  const inStyles = Object.values(styles).map(({ look }) => look);
  const behind = [...Object.values(recipes).flatMap(usesOfVariants), ...inStyles.flatMap(usesInLook)];
  return {
    pictures: picked(document.pictures, [...all.flatMap(picturesIn), ...usedOf(behind, 'picture')]),
    films: picked(document.films, [...all.flatMap(filmsIn), ...usedOf(behind, 'film')]),
    icons: picked(document.icons, all.flatMap(iconsIn)),
    families: picked(
      document.families,
      familiesInLooks([
        ...all.map(({ look }) => look),
        ...inStyles,
        ...Object.values(recipes).flatMap(looksOfVariants),
      ]),
    ),
    namedLooks: picked(document.namedLooks, [
      ...all.flatMap(namedLooksOf),
      ...Object.values(recipes).flatMap(({ variants }) => namedLooksIn(variants)),
      ...namedLooksIn(inStyles),
    ]),
    styles,
    recipes,
  };
}

/**
 * Adds assets to a collection. What is there already under the same name stays as it is there.
 * @returns how a tile that comes with them refers to them in this collection
 */
export function carryAssets(draft: Draft, assets: Assets): (tile: Tile) => Tile {
  const pictures = new Map(
    Object.values(assets.pictures).map((asset) => [asset.id, carryFile(draft.pictures, asset)]),
  );
  const films = new Map(
    Object.values(assets.films ?? {}).map((asset) => [asset.id, carryFile((draft.films ??= {}), asset)]),
  );
  for (const icon of Object.values(assets.icons ?? {})) (draft.icons ??= {})[icon.id] ??= clone(icon);
  for (const family of Object.values(assets.families ?? {}))
    (draft.families ??= {})[family.name] ??= clone(family) as NonNullable<Draft['families']>[string];
  for (const named of Object.values(assets.namedLooks ?? {}))
    (draft.namedLooks ??= {})[named.id] ??= clone(named);
  for (const { look, ...style } of Object.values(assets.styles ?? {}))
    (draft.styles ??= {})[style.id] ??= clone({
      ...style,
      look: withLookAssets(look, (what, id) => (what === 'film' ? films : pictures).get(id) ?? id),
    }) as NonNullable<Draft['styles']>[string];
  const renamed = { picture: pictures, film: films };
  const here = (tile: Tile): Tile =>
    withAssets(tile, (what, id) => (what === 'icon' ? id : (renamed[what].get(id) ?? id)));
  for (const recipe of Object.values(assets.recipes ?? {})) {
    const own = Object.fromEntries(Object.entries(recipe.tiles).map(([id, tile]) => [id, here(tile)]));
    (draft.recipes ??= {})[recipe.id] ??= clone({ ...recipe, tiles: own }) as NonNullable<
      Draft['recipes']
    >[string];
  }
  return (tile) => {
    const own = here(tile);
    const { recipe } = own;
    if (!recipe || draft.recipes?.[recipe.recipe]?.tiles[recipe.tile]) return own;
    const { recipe: _, ...released } = own;
    return released;
  };
}

/** The id of a picture or film in this collection, where another one may have its name. */
function carryFile<A extends { readonly id: string; readonly hash: string }>(
  all: Record<string, DeepWritable<A>>,
  asset: A,
): string {
  let { id } = asset;
  for (let n = 2; all[id] && all[id]?.hash !== asset.hash; n++) id = `${asset.id.slice(0, 60)}-${n}`;
  all[id] ??= clone({ ...asset, id });
  return id;
}
