import {
  colourOf,
  emptyDocument,
  STARTERS,
  starterAssets,
  tilesUsing,
  type Assets,
  type PictureAsset,
  type CollectionDocument,
  type Recipe,
} from '@noria/core';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { StoredCollection } from '../../api/collections';
import { sameTogether, type Used } from '../../editor/recipes/sameTogether';
import { recipeList } from '../../api/recipeList';
import '../../editor/lists';
import { RecipePreview } from '../../editor/recipes/RecipePreview';
import { count } from '../../ui/words';
import { WorkspaceBar } from '../../editor/frame/WorkspaceBar';

const picturesOf = ({ document: { pictures } }: StoredCollection) => Object.values(pictures);
const AROUND = emptyDocument('Recipes');

/** The library of recipes: those of every collection, and those to begin with. */
export function RecipesScreen() {
  const { data: collections, error } = recipeList.useRecipesQuery(undefined);
  const samples = useMemo(() => {
    const [first] = (collections ?? []).toSorted((a, b) => picturesOf(b).length - picturesOf(a).length);
    return first ? picturesOf(first).slice(0, 6) : [];
  }, [collections]);
  useEffect(() => {
    document.title = 'Recipes – Noria';
  }, []);
  const own = useMemo(() => sameTogether(collections ?? []), [collections]);
  const names = new Set(own.map(({ recipe }) => recipe.name));
  const starters = STARTERS.filter(({ name }) => !names.has(name));
  return (
    <div className="flex h-full flex-col">
      <WorkspaceBar />
      <main className="min-h-0 flex-1 overflow-y-auto px-6 pt-7 pb-10 [scrollbar-width:thin]">
        <div className="mx-auto grid max-w-[1360px] gap-5">
          <div>
            <h1 className="font-title text-[28px] leading-tight font-[680] tracking-tight">Recipes</h1>
            <p className="mt-0.5 text-soft">
              Recipes are designs for tiles. Change a recipe, and every tile that uses it follows.
            </p>
          </div>
          {error && (
            <p role="alert" className="rounded-m border border-amiss px-4 py-2.5">
              {error.message}
            </p>
          )}
          {own.length > 0 && (
            <>
              <h2 className="font-title text-lg font-[650]">In your collections</h2>
              <ul className="grid grid-cols-[repeat(auto-fill,minmax(280px,1fr))] gap-4">
                {own.map(({ recipe, from }) => (
                  <RecipeCard
                    key={`${from[0].id} ${recipe.id}`}
                    recipe={recipe}
                    assets={from[0].document}
                    around={from[0].document}
                    samples={samples}
                    from={from}
                  />
                ))}
              </ul>
            </>
          )}
          <h2 className="font-title text-lg font-[650]">Starters</h2>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(280px,1fr))] gap-4">
            {starters.map((recipe) => (
              <RecipeCard
                key={recipe.id}
                recipe={recipe}
                assets={starterAssets}
                around={AROUND}
                samples={samples}
              />
            ))}
          </ul>
        </div>
      </main>
    </div>
  );
}

/** More collections than these are counted, not listed. */
const MOST_LINKS = 4;

const usesOf = (recipe: Recipe, document: CollectionDocument): number =>
  tilesUsing(document, recipe.id).filter((tile) => tile.recipe?.tile === recipe.root).length;

interface RecipeCardProps {
  readonly recipe: Recipe;
  readonly assets: Assets;
  readonly around: Pick<CollectionDocument, 'look' | 'namedLooks'>;
  readonly samples: readonly PictureAsset[];
  /** The collections that have it. */
  readonly from?: Used['from'];
}

function RecipeCard({ recipe, assets, around, samples, from }: RecipeCardProps) {
  const [variant, setVariant] = useState<string | null>(null);
  return (
    <li className="grid content-start gap-2 rounded-m bg-panel p-3 shadow-[0_0_0_1px_var(--hair)]">
      <span
        className="grid place-items-center rounded-s py-2"
        style={{ background: colourOf(around.namedLooks, around.look.background) }}
      >
        <RecipePreview
          recipe={recipe}
          variant={variant}
          assets={assets}
          around={around}
          samples={samples}
          width={256}
          height={190}
        />
      </span>
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="truncate font-semibold">{recipe.name}</h3>
      </div>
      <div role="group" aria-label={`Variants of ${recipe.name}`} className="flex min-h-6 flex-wrap gap-1">
        {recipe.variants.length > 0 &&
          [{ id: null, name: 'Base' }, ...recipe.variants].map(({ id, name }) => (
            <button
              key={id ?? 'plain'}
              type="button"
              aria-pressed={variant === id}
              className="rounded-s border border-hair px-1.5 text-xs leading-[22px] text-soft hover:text-ink aria-pressed:border-copper aria-pressed:text-copper-ink"
              onClick={() => setVariant(id)}
            >
              {name}
            </button>
          ))}
      </div>
      <p className="truncate text-sm text-faint">
        {recipe.slots.map(({ name }) => name).join(', ') || 'no slots'}
      </p>
      {from && (
        <ul aria-label={`Collections that use ${recipe.name}`} className="grid">
          {from.slice(0, MOST_LINKS).map(({ id, document }) => (
            <li key={id} className="flex min-w-0">
              <Link
                to={`/collections/${id}/compose`}
                className="truncate text-sm leading-6 text-copper-ink underline"
              >
                {document.name}, {count(usesOf(recipe, document), 'use').toLowerCase()}
              </Link>
            </li>
          ))}
          {from.length > MOST_LINKS && (
            <li className="text-sm text-faint">and {from.length - MOST_LINKS} more</li>
          )}
        </ul>
      )}
    </li>
  );
}
