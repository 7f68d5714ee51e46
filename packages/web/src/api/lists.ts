import { createApi, fakeBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Page } from './pages';
import { ServerAway } from './problem';

/** Why something was not answered, as the store keeps it. */
export interface Trouble {
  readonly message: string;
  /** The server does not answer at all, so it is asked again. */
  readonly isAway: boolean;
}

/** The answer to a question as lists keep it. */
export async function answered<Data>(asked: Promise<Data>): Promise<{ data: Data } | { error: Trouble }> {
  try {
    return { data: await asked };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return { error: { message, isAway: error instanceof ServerAway } };
  }
}

/** Of what is done and answers nothing. */
export const done = (asked: Promise<void>) => answered(asked.then(() => null));

/** Pages one after the other, each asked for by the `next` of the one before. */
export const BY_PAGES = {
  initialPageParam: null as string | null,
  getNextPageParam: ({ next }: Page<unknown>) => next,
};

/**
 * What the server lists: asked once for all that show it, and again when it changed. Each list comes with
 * the views that need it.
 */
export const lists = createApi({
  reducerPath: 'lists',
  baseQuery: fakeBaseQuery<Trouble>(),
  tagTypes: ['collections', 'pictures'],
  refetchOnMountOrArgChange: true,
  endpoints: () => ({}),
});
