import { useCallback, useEffect, useRef, useState } from 'react';
import { listPictures, type PicturePage, type PictureQuestion } from '../../api/pictures';
import { useAppSelector } from '../../store/hooks';

const TYPING_PAUSE = 180;

/** The pictures of the library that a search finds, page by page; null until the first are here. */
export function usePictures(search: string, wanted = true, only: PictureQuestion['only'] = 'all') {
  const [found, setFound] = useState<PicturePage | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const changes = useAppSelector(({ uploads, later }) => uploads.changes + later.arrived);
  /** Counts up with every question, so that an answer to an older one is passed over. */
  const asked = useRef(0);
  const shown = useRef(0);
  const load = useCallback(
    async (after: string | null = null) => {
      const number = ++asked.current;
      // What is read anew is as long as what was shown, so that nothing one looks at goes away.
      const limit = after === null ? Math.min(200, Math.max(60, shown.current)) : 60;
      try {
        const page = await listPictures({ search, only }, after, limit);
        if (number !== asked.current) return;
        setFound((before) => {
          const entries = after === null ? page.entries : [...(before?.entries ?? []), ...page.entries];
          shown.current = entries.length;
          return { ...page, entries };
        });
        setTrouble(null);
      } catch (error) {
        if (number === asked.current) setTrouble(error instanceof Error ? error.message : String(error));
      }
    },
    [search, only],
  );
  useEffect(() => {
    if (!wanted) return undefined;
    const timer = window.setTimeout(() => void load(), search === '' ? 0 : TYPING_PAUSE);
    return () => window.clearTimeout(timer);
  }, [load, search, wanted, changes]);
  const next = found?.next ?? null;
  const more = useCallback(() => (next === null ? undefined : void load(next)), [load, next]);
  return { pictures: found?.entries ?? null, found, trouble, load, more: next === null ? null : more };
}
