import { useCallback, useEffect, useState } from 'react';
import { listPictures, type LibraryPicture } from '../../api/pictures';
import { useAppSelector } from '../../store/hooks';

const TYPING_PAUSE = 180;

/** The pictures of the library that a search finds; null until they are here. */
export function usePictures(search: string, wanted = true) {
  const [pictures, setPictures] = useState<readonly LibraryPicture[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const changes = useAppSelector(({ uploads }) => uploads.changes);
  const load = useCallback(
    () =>
      listPictures(search).then(
        (all) => {
          setPictures(all);
          setTrouble(null);
        },
        (error: unknown) => setTrouble(error instanceof Error ? error.message : String(error)),
      ),
    [search],
  );
  useEffect(() => {
    if (!wanted) return undefined;
    const timer = window.setTimeout(() => void load(), search === '' ? 0 : TYPING_PAUSE);
    return () => window.clearTimeout(timer);
  }, [load, search, wanted, changes]);
  return { pictures, trouble, load };
}
