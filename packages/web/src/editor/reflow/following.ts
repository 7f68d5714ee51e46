import { change, followsWider, patchCommand, type CollectionDocument } from '@noria/core';
import { useEffect } from 'react';
import { engine } from '../engine/engine';
import { amended, caughtUp } from '../document/documentSlice';
import { selectNeedle } from '../selectors';
import { useAppDispatch, useAppStore } from '../hooks';

/** Longer than this, ms, it would always be under way while one edits: it waits for as long a rest. */
const SLOW = 500;

/** What is worked out now; it never fails. */
let underWay: Promise<void> | null = null;
/** Begins what waits for a rest. */
let waiting: (() => void) | null = null;

/** Waits until derived bands are as the wider band is now. */
export async function followed(): Promise<void> {
  waiting?.();
  while (underWay) await underWay;
}

/** Whether derived bands are being brought up to the wider one. */
export const isFollowing = (): boolean => underWay !== null;

/** Keeps derived bands up to the wider one while a collection is open; what follows from an edit is one step with it. */
export function useFollowWider(): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  useEffect(() => {
    let wanted = true;
    let last: CollectionDocument | null = null;
    let took = 0;
    let timer = 0;
    const begin = () => {
      window.clearTimeout(timer);
      waiting = null;
      const { document, past } = store.getState().document;
      if (!wanted || underWay || !document) return;
      const began = performance.now();
      // What is only opened was changed at no width.
      const shown = past.length > 0 ? selectNeedle(store.getState()) : undefined;
      last = document;
      underWay = engine('work')
        .ask('followWider', document, [shown])
        .then((patch) => {
          took = performance.now() - began;
          if (!wanted || store.getState().document.document !== document) return;
          if (patch.length === 0) {
            dispatch(caughtUp());
            return;
          }
          const made = change(document, patchCommand(patch));
          last = made.document;
          dispatch(amended(made));
        })
        // Bands stay as they are; the next change is a new try.
        .catch(() => {
          if (store.getState().document.document === document) dispatch(caughtUp());
        })
        .finally(() => {
          underWay = null;
          next();
        });
    };
    const next = () => {
      const { document, isBehind } = store.getState().document;
      if (!wanted || underWay || !document || !isBehind || document === last) return;
      last = document;
      if (!followsWider(document)) return;
      window.clearTimeout(timer);
      if (took <= SLOW) {
        begin();
        return;
      }
      waiting = begin;
      timer = window.setTimeout(begin, took);
    };
    // Those of a collection that was just left may still be under way.
    if (underWay) void followed().then(next);
    else next();
    const stop = store.subscribe(next);
    return () => {
      wanted = false;
      waiting = null;
      window.clearTimeout(timer);
      stop();
    };
  }, [dispatch, store]);
}
