import { hearChanges } from './events';
import { addCollection, deleteCollection, listCollections, type ListedCollection } from './listedCollections';
import { answered, BY_PAGES, done, lists } from './lists';
import type { Page } from './pages';

/** Several changes that come together are one reason to read the list again. */
const QUIET_MS = 400;

/** The list of the collections of the workspace. */
export const collectionList = lists.injectEndpoints({
  endpoints: (build) => ({
    /** The last changed first, as they are now: changes of others come by themselves. */
    collections: build.infiniteQuery<Page<ListedCollection>, undefined, string | null>({
      infiniteQueryOptions: BY_PAGES,
      queryFn: ({ pageParam }) => answered(listCollections(pageParam)),
      providesTags: ['collections'],
      onCacheEntryAdded: async (_, entry) => {
        let timer: ReturnType<typeof setTimeout> | undefined;
        const stop = hearChanges((change) => {
          if (change !== 'again' && change.revision === null) {
            entry.updateCachedData((list) => ({
              ...list,
              pages: list.pages.map((page) => ({
                ...page,
                entries: page.entries.filter(({ id }) => id !== change.id),
              })),
            }));
          }
          clearTimeout(timer);
          timer = setTimeout(() => entry.dispatch(lists.util.invalidateTags(['collections'])), QUIET_MS);
        });
        await entry.cacheEntryRemoved;
        clearTimeout(timer);
        stop();
      },
    }),
    addCollection: build.mutation<{ readonly id: string }, { readonly name: string }>({
      queryFn: (body) => answered(addCollection(body)),
      invalidatesTags: ['collections'],
    }),
    deleteCollection: build.mutation<null, Pick<ListedCollection, 'id' | 'revision'>>({
      queryFn: (which) => done(deleteCollection(which)),
      invalidatesTags: ['collections'],
    }),
  }),
});
