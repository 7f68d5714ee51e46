import { describe, expect, test } from '@jest/globals';
import { STARTERS, type Recipe } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { undo } from '../document/run';
import { spanTiles } from './place';
import {
  updateFromSelected,
  recipeFromHand,
  unlinkSelected,
  resetSelected,
  showVariant,
  takeRecipe,
  variantFromHand,
} from './recipes';
import { selectView } from '../selectors';

const open = () =>
  composeStore(
    stats([
      [1, 1],
      [1, 1],
      [2, 1],
    ]),
  );
const recipeOf = (compose: ReturnType<typeof open>, wanted: string): Recipe => {
  const recipes = Object.values(selectView(compose.store.getState()).recipes ?? {});
  const recipe = recipes.find(({ name }) => name === wanted);
  if (!recipe) throw new Error(`There is no recipe ${wanted}.`);
  return recipe;
};

describe('recipes', () => {
  test('one is made of the selected tile under a free id, and that tile uses it', () => {
    const compose = open();
    const { take, run, document } = compose;
    take('t1');
    run(recipeFromHand('Größe'));
    take('t2');
    run(recipeFromHand('Größe'));
    const ids = Object.keys(document().recipes ?? {});
    expect(ids).toHaveLength(2);
    expect(document().tiles.t1?.recipe?.recipe).toBe(ids[0]);
    expect(document().tiles.t2?.recipe?.recipe).toBe(ids[1]);
  });

  test('selected tiles take it; with none selected it becomes a tile of its own', () => {
    const compose = open();
    const { take, run, document, selected, said } = compose;
    take('t1');
    run(recipeFromHand('Beds'));
    const recipe = recipeOf(compose, 'Beds');
    take('t2', 't3');
    run(takeRecipe({ recipe, variant: null }));
    expect(document().tiles.t3?.recipe).toMatchObject({ recipe: recipe.id });
    expect(said()).toBe('2 tiles: Beds is used.');
    take();
    run(takeRecipe({ recipe, variant: null }));
    expect(document().order).toHaveLength(4);
    expect(selected()).toEqual([document().order.at(-1)]);
    // What was added is selected, and one more is added all the same where that is asked for.
    const next = run(takeRecipe({ recipe, variant: null, adds: true }));
    expect(document().order).toHaveLength(5);
    expect(selected()).toEqual([next]);
    run(undo(2));
    expect(document().order).toHaveLength(3);
  });

  test('the selected tile changes it for all, goes back to it, and lets go of it', () => {
    const compose = open();
    const { take, run, document, store } = compose;
    take('t1');
    run(recipeFromHand('Beds'));
    take('t2');
    run(takeRecipe({ recipe: recipeOf(compose, 'Beds'), variant: null }));
    take('t1');
    run(spanTiles({ columnSpan: 3 }));
    run(updateFromSelected());
    run(resetSelected());
    const { id } = recipeOf(compose, 'Beds');
    expect(document().tiles.t1?.recipe?.recipe).toBe(id);
    run(unlinkSelected());
    expect(document().tiles.t1?.recipe).toBeUndefined();
    expect(document().tiles.t2?.recipe?.recipe).toBe(id);
    expect(store.getState().notices.warning).toBeNull();
  });

  test('a variant is added of the selected tile, and shown by it', () => {
    const compose = open();
    const { take, run, document } = compose;
    take('t1');
    run(recipeFromHand('Beds'));
    run(variantFromHand('Night'));
    run(variantFromHand('Night'));
    const { variants } = recipeOf(compose, 'Beds');
    expect(new Set(variants.map(({ id }) => id)).size).toBe(2);
    const [first] = variants;
    run(showVariant(first?.id ?? null));
    expect(document().tiles.t1?.recipe).toMatchObject({ variant: first?.id });
  });

  test('with nothing selected nothing is made, changed or let go', () => {
    const { run, steps } = open();
    [
      recipeFromHand('A'),
      variantFromHand('A'),
      updateFromSelected(),
      unlinkSelected(),
      resetSelected(),
    ].forEach((act) => run(act));
    expect(steps()).toEqual([]);
  });

  test.each(STARTERS.slice(0, 6).map((recipe) => [recipe.name, recipe] as const))(
    '“%s” that ships comes in as one step',
    (_, recipe) => {
      const { run, steps, selected, document } = open();
      run(takeRecipe({ recipe, variant: null }));
      expect(steps()).toEqual(['Add from recipe']);
      expect(document().tiles[selected()[0] ?? '']?.recipe?.recipe).toBeDefined();
    },
  );
});
