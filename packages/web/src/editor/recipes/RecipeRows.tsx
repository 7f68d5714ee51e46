import { recipeDifferences, tilesUsing, type Tile } from '@noria/core';
import { X } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { Button, SignButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { Naming } from '../../ui/Naming';
import { Row } from '../../ui/Rows';
import {
  canMakeRecipe,
  recipeFromHand,
  resetSelected,
  showVariant,
  variantFromHand,
} from '../actions/recipes';
import type { Field } from '../fields/field';
import { LOOK } from '../fields/fields';
import { CommandButton } from '../commands/CommandButton';
import { shown } from '../editorSlice';
import { selectSavedView, selectShared } from '../selectors';

/** The recipe that the selected tile uses: its variants, what the tile has otherwise, and what can be done. */
export function RecipeRows({ tiles }: { tiles: readonly [Tile, ...Tile[]] }) {
  const dispatch = useAppDispatch();
  const { recipes } = useAppSelector(selectShared);
  const saved = useAppSelector(selectSavedView);
  const [tile] = tiles;
  const use = tile.recipe;
  const recipe = use && recipes[use.recipe];
  if (!recipe) {
    return (
      <Row label="Recipe">
        <div className="flex gap-1">
          <Button className="h-[26px]! px-2!" onClick={() => dispatch(shown('recipes'))}>
            Use recipe…
          </Button>
          {canMakeRecipe(tiles) && (
            <Naming
              verb="Make one"
              {...(tiles.length > 1 && { called: `Make one of the ${tiles.length} tiles` })}
              name="Name of the recipe"
              onName={(name) => dispatch(recipeFromHand(name))}
            />
          )}
        </div>
      </Row>
    );
  }
  const differences = recipeDifferences(recipes, tile);
  const isWhole = use.tile === recipe.root;
  const uses = tilesUsing(saved, recipe.id).filter((each) => each.recipe?.tile === recipe.root).length;
  return (
    <>
      <Row label="Recipe">
        <button
          type="button"
          aria-label={`Recipe, ${recipe.name}`}
          className="flex h-[26px] min-w-0 items-center justify-between gap-2 rounded-s bg-field px-2 text-left"
          onClick={() => dispatch(shown('recipes'))}
        >
          <span className="truncate">{recipe.name}</span>
          <span className="flex-none text-xs text-faint">
            {differences.length === 0
              ? `${uses} ${uses === 1 ? 'use' : 'uses'}`
              : `${differences.length} own ${differences.length === 1 ? 'value' : 'values'}`}
          </span>
        </button>
      </Row>
      {recipe.variants.length > 0 && isWhole && (
        <Row label="Variant">
          <Choice
            value={use.variant ?? 'plain'}
            choices={[
              { value: 'plain', label: 'Base' },
              ...recipe.variants.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChoose={(id) => dispatch(showVariant(id === 'plain' ? null : id))}
          />
        </Row>
      )}
      <Fold
        title="Own changes"
        says={differences.length > 0 ? differences.map(({ field }) => words(field)).join(', ') : 'none'}
      >
        {differences.map(({ of, field }) => (
          <div key={`${of} ${field}`} className="flex items-center justify-between gap-2 pl-3">
            <span className="text-sm">{words(field)} differs</span>
            <SignButton
              className="size-6!"
              name={`${words(field)}: reset to the recipe`}
              onClick={() => dispatch(resetSelected([field]))}
            >
              <X size={13} aria-hidden />
            </SignButton>
          </div>
        ))}
        <div className="flex flex-wrap gap-1 pt-1">
          {differences.length > 0 && (
            <>
              <CommandButton command="resetToRecipe" />
              <CommandButton command="updateRecipe" look="copper" />
              <Naming
                verb="New variant"
                name="Name of the variant"
                onName={(name) => dispatch(variantFromHand(name))}
              />
            </>
          )}
          <CommandButton command="unlinkRecipe" />
        </div>
      </Fold>
    </>
  );
}

/** Fields of looks by their names, `parts/heading/level` as “Heading level”. */
const words = (field: string) =>
  (LOOK as Readonly<Record<string, Field>>)[field]?.label ??
  field
    .replace(/^parts\//, '')
    .replaceAll('/', ' ')
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .replace(/^./, (letter) => letter.toUpperCase());
