import { clone, type DeepWritable } from '../../document/clone.js';
import { filmIn, iconsIn, namedLooksIn, picturesIn } from '../../parts/uses.js';
import type { Draft } from './draft.js';
import type { CollectionDocument, Recipe, Tile } from '../../document/types.js';

/** What tiles need beside themselves: what they show, and the names and recipes that they follow. */
export type Assets = Pick<CollectionDocument, 'pictures' | 'films' | 'icons' | 'namedLooks' | 'recipes'>;

function picked<V>(all: Readonly<Record<string, V>> | undefined, ids: readonly string[]): Record<string, V> {
  return Object.fromEntries(ids.flatMap((id) => (all && Object.hasOwn(all, id) ? [[id, all[id] as V]] : [])));
}

/** The assets of tiles, those of their recipes too. */
export function assetsOf(document: Assets, tiles: readonly Tile[]): Required<Assets> {
  const recipes = picked<Recipe>(
    document.recipes,
    tiles.flatMap(({ recipe }) => recipe?.recipe ?? []),
  );
  const all = [...tiles, ...Object.values(recipes).flatMap(({ parts }) => Object.values(parts))];
  return {
    pictures: picked(document.pictures, all.flatMap(picturesIn)),
    films: picked(
      document.films,
      all.flatMap((tile) => filmIn(tile) ?? []),
    ),
    icons: picked(document.icons, all.flatMap(iconsIn)),
    namedLooks: picked(document.namedLooks, [
      ...all.flatMap(({ look }) => namedLooksIn(look)),
      ...Object.values(recipes).flatMap(({ variants }) => namedLooksIn(variants)),
    ]),
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
  for (const named of Object.values(assets.namedLooks ?? {}))
    (draft.namedLooks ??= {})[named.id] ??= clone(named);
  const here = (tile: Tile): Tile => withFiles(tile, pictures, films);
  for (const recipe of Object.values(assets.recipes ?? {})) {
    const parts = Object.fromEntries(Object.entries(recipe.parts).map(([id, part]) => [id, here(part)]));
    (draft.recipes ??= {})[recipe.id] ??= clone({ ...recipe, parts }) as NonNullable<
      Draft['recipes']
    >[string];
  }
  return (tile) => {
    const own = here(tile);
    const { recipe } = own;
    if (!recipe || draft.recipes?.[recipe.recipe]?.parts[recipe.part]) return own;
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

type Renamed = ReadonlyMap<string, string>;

function withFiles(tile: Tile, pictures: Renamed, films: Renamed): Tile {
  const renamed = <I extends string | null>(ids: Renamed, id: I) =>
    (id === null ? null : (ids.get(id) ?? id)) as I;
  const { fill } = tile.look;
  const own =
    typeof fill === 'object' && fill.kind === 'picture'
      ? { ...tile, look: { ...tile.look, fill: { ...fill, picture: renamed(pictures, fill.picture) } } }
      : tile;
  if (own.kind === 'picture') return { ...own, picture: renamed(pictures, own.picture) };
  if (own.kind === 'film')
    return { ...own, film: renamed(films, own.film), poster: renamed(pictures, own.poster) };
  if (own.kind === 'marks')
    return {
      ...own,
      marks: own.marks.map((mark) => ({ ...mark, picture: renamed(pictures, mark.picture) })),
    };
  return own;
}
