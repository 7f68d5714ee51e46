import { useCallback, useEffect, useRef, useState } from 'react';
import { asManyAs, withBeginning, withNext } from '../../api/pages';
import {
  listPictures,
  type LibraryPicture,
  type PicturePage,
  type PictureQuestion,
} from '../../api/pictures';
import { useAppSelector } from '../hooks';

const TYPING_PAUSE = 180;
const A_PAGE = 60;
const hashOf = ({ hash }: LibraryPicture) => hash;

/** The pictures of the library that a search finds, page by page; null until the first are here. */
export function usePictures(search: string, wanted = true, only: PictureQuestion['only'] = 'all') {
  const question = `${only} ${search}`;
  const [found, setFound] = useState<(PicturePage & { readonly of: string }) | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const changes = useAppSelector(({ uploads, later }) => uploads.changes + later.arrived);
  /** Counts up with every question, so that an answer to an older one is passed over. */
  const asked = useRef(0);
  const shown = useRef(0);
  const load = useCallback(
    async (after: string | null = null) => {
      const number = ++asked.current;
      try {
        const limit = after === null ? asManyAs(shown.current, A_PAGE) : A_PAGE;
        const page = await listPictures({ search, only }, after, limit);
        if (number !== asked.current) return;
        setFound((before) => {
          const isSame = before?.of === question;
          const known = isSame ? before : null;
          const now = after === null ? withBeginning(known, page, hashOf) : withNext(known, page, hashOf);
          shown.current = now.entries.length;
          return { ...page, ...now, of: question };
        });
        setTrouble(null);
      } catch (error) {
        if (number === asked.current) setTrouble(error instanceof Error ? error.message : String(error));
      }
    },
    [search, only, question],
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
