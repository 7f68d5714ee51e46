import type { CollectionDocument } from '@noria/core';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../hooks';
import { facesOf } from './faces';
import { fontsCame } from './fontsSlice';
import { loadFaces } from './measurer';

const LONGEST_WAIT_MS = 4000;

/**
 * Fetches the fonts of a collection, and those that it comes to use: what was laid out before they were there
 * is laid out anew.
 * @returns whether its words can be measured, or have been waited for long enough
 */
export function useFonts(of: CollectionDocument | null, id: string | null): boolean {
  const dispatch = useAppDispatch();
  const [readyOf, setReadyOf] = useState<string | null>(null);
  useEffect(() => {
    if (!of || id === null) return undefined;
    let wanted = true;
    const done = () => wanted && setReadyOf(id);
    // Words are measured from the first layout on, so their fonts come before it; but not at any price.
    const timer = window.setTimeout(done, LONGEST_WAIT_MS);
    void loadFaces(document.fonts, facesOf(of)).then((came) => {
      if (came) dispatch(fontsCame());
      done();
    });
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [dispatch, of, id]);
  return readyOf === id;
}
