import { colourOf, STARTERS, starterAssets, type Assets, type Recipe } from '@noria/core';
import { DropdownMenu } from 'radix-ui';
import { useMemo } from 'react';
import { takeRecipe } from '../actions/recipes';
import { selectShown } from '../document/selectors';
import { useAppDispatch, useAppSelector } from '../hooks';
import { RecipePreview } from './RecipePreview';

/** As many as stand beside what a tile begins as. */
const MOST = 8;

/** Recipes as they look, in a menu: those of the collection first, then some to begin with. */
export function AddRecipes({ onAdd }: { onAdd: () => void }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectShown);
  const samples = useMemo(() => Object.values(document.pictures).slice(0, 4), [document.pictures]);
  const assets: Assets = document;
  const own = Object.values(document.recipes ?? {}).map((recipe) => ({ recipe, assets }));
  const starters = STARTERS.filter(({ id }) => !document.recipes?.[id]).map((recipe) => ({
    recipe,
    assets: starterAssets,
  }));
  const add = (recipe: Recipe, assets: Assets) => {
    onAdd();
    dispatch(takeRecipe({ recipe, variant: null, assets, adds: true }));
  };
  return (
    <DropdownMenu.Group className="grid grid-cols-2 content-start gap-1">
      <DropdownMenu.Label className="col-span-2 px-1 pt-1 text-xs text-faint">
        From a recipe, with a finished look
      </DropdownMenu.Label>
      {[...own, ...starters].slice(0, MOST).map(({ recipe, assets }) => (
        <DropdownMenu.Item
          key={recipe.id}
          textValue={recipe.name}
          className="grid gap-1 rounded-s p-1 outline-none data-[highlighted]:bg-copper-wash data-[highlighted]:text-copper-ink"
          onSelect={() => add(recipe, assets)}
        >
          <span
            className="block rounded-[3px] p-1"
            style={{ background: colourOf(document.namedLooks, document.look.background) }}
          >
            <RecipePreview
              recipe={recipe}
              variant={null}
              assets={assets}
              around={document}
              samples={samples}
              width={112}
              height={62}
            />
          </span>
          <span className="truncate text-[11.5px]">{recipe.name}</span>
        </DropdownMenu.Item>
      ))}
    </DropdownMenu.Group>
  );
}
