import {
  addFromRecipe,
  addVariant,
  applyRecipe,
  makeRecipeOf,
  releaseTiles,
  resetToRecipe,
  setVariant,
  starterAssets,
  updateRecipe,
  type Assets,
  type Recipe,
  type Tile,
  type TileId,
} from '@noria/core';
import { newId } from '../../api/ids';
import { announce } from '../../ui/notices/noticesSlice';
import { tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import { selectSelected, selectView } from '../selectors';
import { freshId } from './freshId';
import { named } from './named';
import { nextPosition } from './tiles';
import { COMMAND_WORDS } from '../commands/words';
import type { AppThunk } from '../state';

const fresh = ({ kind }: { kind: Parameters<typeof freshId>[0] }) => freshId(kind);

interface Taken {
  readonly recipe: Recipe;
  readonly variant: string | null;
  /** Left out: those of the starters. */
  readonly assets?: Assets;
  /** Whether it becomes a tile of its own whatever is selected; left out: where nothing is. */
  readonly adds?: boolean;
}

/** Lets the selected tiles use a recipe, or adds a tile that does; answers which was added. */
export const takeRecipe =
  ({ recipe, variant, assets = starterAssets, adds }: Taken): AppThunk<TileId | null> =>
  (dispatch, getState) => {
    const state = getState();
    const tiles = selectSelected(state);
    const use = { recipe, variant, assets, freshId: fresh };
    if (!(adds ?? tiles.length === 0)) {
      dispatch(
        runHere(
          'Use recipe',
          applyRecipe(
            tiles.map(({ id }) => id),
            use,
          ),
        ),
      );
      dispatch(announce(`${named(tiles, selectView(state))}: ${recipe.name} is used.`));
      return null;
    }
    let root = '';
    dispatch(
      runHere(
        'Add from recipe',
        addFromRecipe({
          ...use,
          position: nextPosition(state),
          freshId: (part) => {
            const id = fresh(part);
            if (part.id === recipe.root) root = id;
            return id;
          },
        }),
      ),
    );
    dispatch(tilesSelected([root]));
    dispatch(announce(`${recipe.name} was added and selected.`));
    return root;
  };

/** Whether one recipe can be made of tiles: of any one, or of several cards. */
export const canMakeRecipe = (tiles: readonly Tile[]): boolean =>
  tiles.length === 1 || (tiles.length > 1 && tiles.every(({ kind }) => kind === 'card'));

/** Makes a recipe of the selected tiles; cards of other parts or looks than the first become its variants. */
export const recipeFromHand =
  (name: string): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const tiles = selectSelected(state);
    if (!canMakeRecipe(tiles)) return;
    const id = newId(name, 'recipe');
    const ids = tiles.map((tile) => tile.id);
    dispatch(
      runHere(
        'Make recipe',
        makeRecipeOf(ids, id, name, (variant) => newId(variant, 'variant')),
      ),
    );
    const variants = selectView(getState()).recipes?.[id]?.variants.length ?? 0;
    const more = variants > 0 ? `, with ${variants} ${variants === 1 ? 'variant' : 'variants'}` : '';
    const use = tiles.length === 1 ? 'uses' : 'use';
    dispatch(announce(`The recipe ${name} was made${more}; ${named(tiles, selectView(state))} ${use} it.`));
  };

export const variantFromHand =
  (name: string): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const [tile] = selectSelected(state);
    const recipe = tile?.recipe && selectView(state).recipes?.[tile.recipe.recipe];
    if (!tile || !recipe) return;
    const id = newId(name, 'variant');
    dispatch(runHere('Add variant', addVariant(tile.id, id, name)));
  };

const onHand =
  (step: string, command: (ids: readonly string[]) => ReturnType<typeof releaseTiles>): AppThunk =>
  (dispatch, getState) => {
    dispatch(runHere(step, command(selectSelected(getState()).map(({ id }) => id))));
  };

export const showVariant = (variant: string | null) => onHand('Variant', (ids) => setVariant(ids, variant));
export const unlinkSelected = () => onHand(COMMAND_WORDS.unlinkRecipe, releaseTiles);
export const resetSelected = (fields?: readonly string[]) =>
  onHand(COMMAND_WORDS.resetToRecipe, (ids) => resetToRecipe(ids, fields));

/** Changes the recipe into what the selected tile has become; the others follow. */
export const updateFromSelected = (): AppThunk => (dispatch, getState) => {
  const [tile] = selectSelected(getState());
  if (!tile) return;
  dispatch(runHere(COMMAND_WORDS.updateRecipe, updateRecipe(tile.id, fresh)));
  dispatch(announce('The recipe was changed; every tile that uses it follows.'));
};
