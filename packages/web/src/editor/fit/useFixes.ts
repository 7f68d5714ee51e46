import type { Fix } from '@noria/core';
import { useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectSaved } from '../document/selectors';
import { warn } from '../../ui/notices/noticesSlice';
import { fitWorker } from './worker';

/** What puts a finding right in the collection as it is saved; null while it is worked out. */
export function useFixes(id: string): readonly Fix[] | null {
  const dispatch = useAppDispatch();
  const document = useAppSelector(selectSaved);
  const [known, setKnown] = useState<{ id: string; about: object; fixes: readonly Fix[] } | null>(null);
  useEffect(() => {
    let wanted = true;
    fitWorker()
      .fixes(document, id)
      .then((fixes) => wanted && setKnown({ id, about: document, fixes }))
      .catch((error: unknown) => {
        if (wanted)
          dispatch(
            warn(`Fixes could not be worked out: ${error instanceof Error ? error.message : String(error)}.`),
          );
      });
    return () => {
      wanted = false;
    };
  }, [dispatch, document, id]);
  return known?.id === id && known.about === document ? known.fixes : null;
}
