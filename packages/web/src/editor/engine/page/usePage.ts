import type { CollectionDocument, Page } from '@noria/core';
import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../../hooks';
import { newestNext } from '../newestNext';
import { warn } from '../../../ui/notices/noticesSlice';
import type { Writer } from './page.worker';

let worker: Remote<Writer> | null = null;

/** The worker that writes pages; started when it is first needed. */
function writer(): Remote<Writer> {
  worker ??= wrap<Writer>(new Worker(new URL('./page.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}

export interface WrittenPage {
  /** The page as it was last written, and the collection it was written of; null before there is one. */
  readonly last: { readonly page: Page; readonly of: CollectionDocument } | null;
  /** What to say in the place of the page while it is not, or not yet, that of the collection; null when it is. */
  readonly words: string | null;
}

/**
 * The page of a collection, written beside the screen: one at a time, and the newest next. Until that
 * is there, the one of before stays.
 */
export function usePage(document: CollectionDocument): WrittenPage {
  const dispatch = useAppDispatch();
  const [last, setLast] = useState<WrittenPage['last']>(null);
  const [failed, setFailed] = useState<CollectionDocument | null>(null);
  const [ask] = useState(newestNext);
  useEffect(() => {
    ask(
      () => writer().write(document),
      (page) => setLast({ page, of: document }),
      (error) => {
        setFailed(document);
        dispatch(warn(trouble(error)));
      },
    );
  }, [dispatch, document, ask]);
  if (last?.of === document) return { last, words: null };
  return { last, words: failed === document ? 'The page could not be written.' : 'Writing the page…' };
}

const trouble = (error: unknown) =>
  `The page could not be written: ${error instanceof Error ? error.message : String(error)}. Nothing was changed; reload Noria and try again.`;
