import {
  colourOf,
  removeRecipe,
  STARTERS,
  starterAssets,
  tilesUsing,
  type Assets,
  type Recipe,
  nameIn,
} from '@noria/core';
import { Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { SignButton } from '../../ui/Button';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { takeRecipe } from '../actions/recipes';
import { shown } from '../editorSlice';
import { selectSelected } from '../selectors';
import { RecipePreview } from './RecipePreview';

/** The recipes of the collection and the starters, as they look; pressing one uses it. */
export function RecipesPanel() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const selected = useAppSelector(selectSelected);
  const own = Object.values(document.recipes ?? {});
  const starters = STARTERS.filter(({ id }) => !document.recipes?.[id]);
  return (
    <Panel name="Recipes" title="Recipes" onClose={() => dispatch(shown(null))}>
      <p className="text-sm text-soft">
        {selected.length > 0
          ? `Press a recipe to use it for ${selected.length === 1 ? nameIn(document, selected[0]?.id ?? '') : `the ${selected.length} selected tiles`}. Words and pictures stay.`
          : 'Press a recipe to add a tile that uses it.'}
      </p>
      {own.length > 0 && (
        <>
          <h3 className="text-sm font-semibold">In this collection</h3>
          <ul className="grid gap-2">
            {own.map((recipe) => (
              <RecipeItem key={recipe.id} recipe={recipe} assets={document} />
            ))}
          </ul>
        </>
      )}
      <h3 className="text-sm font-semibold">Starters</h3>
      <ul className="grid gap-2">
        {starters.map((recipe) => (
          <RecipeItem key={recipe.id} recipe={recipe} assets={starterAssets} />
        ))}
      </ul>
    </Panel>
  );
}

function RecipeItem({ recipe, assets }: { recipe: Recipe; assets: Assets }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const samples = useMemo(() => Object.values(document.pictures).slice(0, 4), [document.pictures]);
  const isHere = document.recipes?.[recipe.id] === recipe;
  const uses = isHere
    ? tilesUsing(document, recipe.id).filter((tile) => tile.recipe?.tile === recipe.root).length
    : null;
  return (
    <li className="group relative">
      <button
        type="button"
        aria-label={`Use ${recipe.name}`}
        className="grid w-full gap-1 rounded-m p-1 text-left hover:bg-field"
        onClick={() => dispatch(takeRecipe(recipe, null, assets))}
      >
        <span
          className="block rounded-s p-2"
          style={{ background: colourOf(document.namedLooks, document.look.background) }}
        >
          <RecipePreview
            recipe={recipe}
            variant={null}
            assets={assets}
            look={document.look}
            samples={samples}
            width={232}
            height={108}
          />
        </span>
        <span className="flex items-baseline justify-between gap-2 px-1">
          <span className="truncate font-semibold">{recipe.name}</span>
          {uses !== null && (
            <span className="text-xs text-faint">
              {uses} {uses === 1 ? 'use' : 'uses'}
            </span>
          )}
        </span>
      </button>
      {recipe.variants.length > 0 && (
        <div
          className="flex flex-wrap gap-1 px-2 pb-1"
          role="group"
          aria-label={`Variants of ${recipe.name}`}
        >
          {recipe.variants.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-label={`Use ${recipe.name}, ${name}`}
              className="rounded-s border border-hair px-1.5 text-xs leading-[22px] text-soft hover:border-copper hover:text-copper-ink"
              onClick={() => dispatch(takeRecipe(recipe, id, assets))}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      {isHere && (
        <SignButton
          name={`Remove the recipe ${recipe.name}; its tiles stay`}
          className="absolute! top-2 right-2 bg-raised! opacity-0 group-focus-within:opacity-100 group-hover:opacity-100"
          onClick={() => dispatch(run('Remove recipe', removeRecipe(recipe.id)))}
        >
          <Trash2 size={14} aria-hidden />
        </SignButton>
      )}
    </li>
  );
}
