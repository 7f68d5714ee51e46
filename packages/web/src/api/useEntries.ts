import { useCallback, useMemo } from 'react';
import { entriesOf, type Page } from './pages';

interface FoundPages<Entry> {
  readonly data?: { readonly pages: readonly Page<Entry>[] } | undefined;
  readonly hasNextPage: boolean;
  readonly isFetching: boolean;
  readonly fetchNextPage: () => unknown;
}

/**
 * The entries of the pages that have come; undefined before the first.
 * @returns `more` fetches the next page, and is another function with every page; null: there is none
 */
export function useEntries<Entry>(found: FoundPages<Entry>, idOf: (entry: Entry) => string) {
  const { data, hasNextPage, isFetching, fetchNextPage } = found;
  const entries = useMemo(() => data && entriesOf(data.pages, idOf), [data, idOf]);
  const more = useCallback(() => {
    if (!isFetching) fetchNextPage();
  }, [isFetching, fetchNextPage]);
  return { entries, more: hasNextPage ? more : null };
}
