import type { CollectionDocument } from '@noria/core';
import { useEffect } from 'react';
import { useAppDispatch, useAppStore } from '../hooks';
import { selectShown } from '../document/selectors';
import { checked, couldNotCheck, forgotten } from './fitSlice';
import { followed, isFollowing } from '../reflow/following';
import { engine } from '../engine/engine';

/** How much longer the check rests than it took while something is dragged, so that the drag keeps its pace. */
const REST = 4;

/** How long derived bands are waited for, ms. */
const PATIENCE = 500;

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
    let seen: CollectionDocument | null = null;
    let seenAt = 0;
    const next = () => {
      const state = store.getState();
      if (!wanted || busy || !state.document.document) return;
      const document = selectShown(state);
      if (document === last) return;
      const isTrial = document !== state.document.document;
      if (document !== seen) {
        seen = document;
        seenAt = performance.now();
      }
      // What narrower bands will be is checked, not what they were.
      const follows = !isTrial && isFollowing() ? seenAt + PATIENCE - performance.now() : 0;
      const wait = isTrial ? rests - performance.now() : follows;
      window.clearTimeout(timer);
      if (follows > 0) void followed().then(next);
      if (wait > 0) {
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
