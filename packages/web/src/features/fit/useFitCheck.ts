import type { CollectionDocument } from '@noria/core';
import { useEffect } from 'react';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { selectShown } from '../document';
import { checked, couldNotCheck, forgotten } from './fitSlice';
import { fitWorker } from './worker';

/**
 * Keeps the fit check going while a collection is open: what is shown is checked, one check at a time,
 * and what changed meanwhile is checked next.
 */
export function useFitCheck(): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  useEffect(() => {
    let wanted = true;
    let busy = false;
    let last: CollectionDocument | null = null;
    const next = () => {
      const state = store.getState();
      if (!wanted || busy || !state.document.document) return;
      const document = selectShown(state);
      if (document === last) return;
      const isTrial = document !== state.document.document;
      busy = true;
      last = document;
      fitWorker()
        .check(document)
        .then(({ report, ms }) => {
          if (wanted) dispatch(checked({ report, ms, about: document, isTrial }));
        })
        .catch((error: unknown) => {
          if (wanted) dispatch(couldNotCheck(error instanceof Error ? error.message : String(error)));
        })
        .finally(() => {
          busy = false;
          next();
        });
    };
    next();
    const stop = store.subscribe(next);
    return () => {
      wanted = false;
      stop();
      dispatch(forgotten());
    };
  }, [dispatch, store]);
}
