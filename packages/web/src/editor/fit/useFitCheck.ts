import type { CollectionDocument } from '@noria/core';
import { useEffect } from 'react';
import { useAppDispatch, useAppStore } from '../hooks';
import { selectShown } from '../document/selectors';
import { checked, couldNotCheck, forgotten } from './fitSlice';
import { engine } from '../engine/engine';

/** How much longer the check rests than it took while something is dragged, so that the drag keeps its pace. */
const REST = 4;

/**
 * Keeps the fit check going while a collection is open: what is shown is checked, one check at a time,
 * and what changed meanwhile is checked next; at once when it is an edit, after a rest when it is only
 * tried.
 */
export function useFitCheck(): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  useEffect(() => {
    let wanted = true;
    let busy = false;
    let last: CollectionDocument | null = null;
    let rests = 0;
    let timer = 0;
    const next = () => {
      const state = store.getState();
      if (!wanted || busy || !state.document.document) return;
      const document = selectShown(state);
      if (document === last) return;
      const isTrial = document !== state.document.document;
      const wait = rests - performance.now();
      window.clearTimeout(timer);
      if (isTrial && wait > 0) {
        timer = window.setTimeout(next, wait);
        return;
      }
      busy = true;
      last = document;
      engine('check')
        .ask('check', document, [])
        .then(({ report, ms }) => {
          rests = performance.now() + ms * REST;
          if (wanted) dispatch(checked({ report, about: document, isTrial }));
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
      window.clearTimeout(timer);
      stop();
      dispatch(forgotten());
    };
  }, [dispatch, store]);
}
