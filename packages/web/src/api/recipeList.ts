import { listRecipes, type StoredCollection } from './collections';
import { answered, lists } from './lists';

/** The library of recipes. */
export const recipeList = lists.injectEndpoints({
  endpoints: (build) => ({
    /** The collections that have recipes. */
    recipes: build.query<readonly StoredCollection[], undefined>({ queryFn: () => answered(listRecipes()) }),
  }),
});
