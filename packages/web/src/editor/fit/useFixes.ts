import type { Fix } from '@noria/core';
import { useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectSaved } from '../document/selectors';
import { warn } from '../../ui/notices/noticesSlice';
import { engine } from '../engine/engine';

/** What puts a finding right in the collection as it is saved; null while it is worked out. */
export function useFixes(id: string): readonly Fix[] | null {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectSaved);
  const [known, setKnown] = useState<{ id: string; about: object; fixes: readonly Fix[] } | null>(null);
  useEffect(() => {
    const cancel = new AbortController();
    engine('work')
      .ask('fixes', document, [id], cancel.signal)
      .then((fixes) => setKnown({ id, about: document, fixes }))
      .catch((error: unknown) => {
        if (!cancel.signal.aborted)
          dispatch(
            warn(`Fixes could not be calculated: ${error instanceof Error ? error.message : String(error)}.`),
          );
      });
    return () => cancel.abort();
  }, [dispatch, document, id]);
  return known?.id === id && known.about === document ? known.fixes : null;
}
