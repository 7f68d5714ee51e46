import type { CollectionDocument, Form, Page } from '@noria/core';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../hooks';
import { warn } from '../../ui/notices/noticesSlice';
import { engine } from './engine';

export interface WrittenPage {
  /** The page as it was last written, and the collection it was written of; null before there is one. */
  readonly last: { readonly page: Page; readonly of: CollectionDocument; readonly form: Form } | null;
  /** What to say in the place of the page while it is not, or not yet, that of the collection; null when it is. */
  readonly words: string | null;
}

/**
 * The page of a collection, written beside the screen: one at a time, and the newest next. Until that
 * is there, the one of before stays.
 * @param form in which it is written; left out: a whole page
 */
export function usePage(document: CollectionDocument, form: Form = 'page'): WrittenPage {
  const dispatch = useAppDispatch();
  const [last, setLast] = useState<WrittenPage['last']>(null);
  const [failed, setFailed] = useState<CollectionDocument | null>(null);
  useEffect(() => {
    const cancel = new AbortController();
    engine('work')
      .ask('page', document, [form], cancel.signal)
      .then(
        (page) => setLast({ page, of: document, form }),
        (error: unknown) => {
          if (cancel.signal.aborted) return;
          setFailed(document);
          dispatch(warn(trouble(error)));
        },
      );
    return () => cancel.abort();
  }, [dispatch, document, form]);
  if (last?.of === document && last.form === form) return { last, words: null };
  return { last, words: failed === document ? 'The page could not be written.' : 'Writing the page…' };
}

const trouble = (error: unknown) =>
  `The page could not be written: ${error instanceof Error ? error.message : String(error)}. Nothing was changed; reload Noria and try again.`;
