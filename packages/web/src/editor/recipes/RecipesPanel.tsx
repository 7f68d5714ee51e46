import {
  colourOf,
  removeRecipe,
  STARTERS,
  starterAssets,
  tilesUsing,
  type Assets,
  type Recipe,
  nameIn,
  type TileId,
} from '@noria/core';
import { Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { StoredCollection } from '../../api/collections';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Panel } from '../../ui/Panel';
import { Button, SignButton } from '../../ui/Button';
import { run } from '../document/run';
import { selectShown } from '../document/selectors';
import { canMakeRecipe, recipeFromHand, takeRecipe } from '../actions/recipes';
import { shown } from '../editorSlice';
import { selectSelected } from '../selectors';
import { recipeList } from '../../api/recipeList';
import '../lists';
import { sameTogether } from './sameTogether';
import { Naming } from '../../ui/Naming';
import { RecipePreview } from './RecipePreview';

const NONE: readonly StoredCollection[] = [];

/** Whether a recipe is one to begin with, as it came. */
const isStarter = (recipe: Recipe) => {
  const starter = STARTERS.find(({ id }) => id === recipe.id);
  return starter !== undefined && JSON.stringify(starter) === JSON.stringify(recipe);
};

const shortened = (name: string) => (name.length > 24 ? `${name.slice(0, 22)}…` : name);

/** The recipes of the collection and the starters, as they look; pressing one uses it. */
export function RecipesPanel() {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const selected = useAppSelector(selectSelected);
  const own = Object.values(document.recipes ?? {});
  const starters = STARTERS.filter(({ id }) => !document.recipes?.[id]);
  const here = useAppSelector((state) => state.document.id);
  const { data: collections = NONE } = recipeList.useRecipesQuery(undefined);
  const others = useMemo(() => {
    return sameTogether(collections.filter(({ id }) => id !== here)).filter(
      ({ recipe }) => !document.recipes?.[recipe.id] && !isStarter(recipe),
    );
  }, [collections, here, document.recipes]);
  // What was just added is selected, and the next one is added too.
  const [added, setAdded] = useState<TileId | null>(null);
  const adds = selected.length === 0 || (selected.length === 1 && selected[0]?.id === added);
  const take = (recipe: Recipe, variant: string | null, assets: Assets) =>
    setAdded(dispatch(takeRecipe({ recipe, variant, assets, adds })));
  const name = selected.length === 1 ? nameIn(document, selected[0]?.id ?? '') : null;
  return (
    <Panel name="Recipes" title="Recipes" onClose={() => dispatch(shown(null))}>
      <p className="text-sm text-soft">
        {adds
          ? `Press a recipe to add ${added === null ? 'a' : 'another'} tile that uses it.`
          : `Press a recipe to use it for ${name ?? `the ${selected.length} selected tiles`}. Words and pictures stay.`}
      </p>
      {adds && name !== null && (
        <Button className="justify-self-start" onClick={() => setAdded(null)}>
          Change {shortened(name)} instead
        </Button>
      )}
      {!adds && canMakeRecipe(selected) && !selected.every(({ recipe }) => recipe) && (
        <Naming
          verb={selected.length === 1 ? 'Make one of it' : `Make one of the ${selected.length} tiles`}
          name="Name of the recipe"
          onName={(words) => dispatch(recipeFromHand(words))}
        />
      )}
      {own.length > 0 && (
        <>
          <h3 className="text-sm font-semibold">In this collection</h3>
          <ul className="grid gap-2">
            {own.map((recipe) => (
              <RecipeItem key={recipe.id} recipe={recipe} assets={document} onTake={take} />
            ))}
          </ul>
        </>
      )}
      {others.length > 0 && (
        <>
          <h3 className="text-sm font-semibold">In other collections</h3>
          <ul className="grid gap-2">
            {others.map(({ recipe, from: [{ id, document: of }] }) => (
              <RecipeItem
                key={`${id} ${recipe.id}`}
                recipe={recipe}
                assets={of}
                from={of.name}
                onTake={take}
              />
            ))}
          </ul>
        </>
      )}
      <h3 className="text-sm font-semibold">Starters</h3>
      <ul className="grid gap-2">
        {starters.map((recipe) => (
          <RecipeItem key={recipe.id} recipe={recipe} assets={starterAssets} onTake={take} />
        ))}
      </ul>
    </Panel>
  );
}

interface RecipeItemProps {
  readonly recipe: Recipe;
  readonly assets: Assets;
  /** The collection that it is in, where that is another. */
  readonly from?: string;
  readonly onTake: (recipe: Recipe, variant: string | null, assets: Assets) => void;
}

function RecipeItem({ recipe, assets, from, onTake }: RecipeItemProps) {
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
        onClick={() => onTake(recipe, null, assets)}
      >
        <span
          className="block rounded-s p-2"
          style={{ background: colourOf(document.namedLooks, document.look.background) }}
        >
          <RecipePreview
            recipe={recipe}
            variant={null}
            assets={assets}
            around={document}
            samples={samples}
            width={232}
            height={108}
          />
        </span>
        <span className="flex items-baseline justify-between gap-2 px-1">
          <span className="truncate font-semibold">{recipe.name}</span>
          {from !== undefined && <span className="truncate text-xs text-faint">{from}</span>}
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
              onClick={() => onTake(recipe, id, assets)}
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
