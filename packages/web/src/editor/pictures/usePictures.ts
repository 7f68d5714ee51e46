import { skipToken } from '@reduxjs/toolkit/query/react';
import { useEffect, useRef, useState } from 'react';
import { useEntries } from '../../api/useEntries';
import type { LibraryPicture, PictureQuestion } from '../../api/pictures';
import { useAppDispatch, useAppSelector } from '../hooks';
import { pictureList } from '../../api/pictureList';
import '../lists';

const TYPING_PAUSE = 180;
const hashOf = ({ hash }: LibraryPicture) => hash;

/** The pictures of the library that a search finds, page by page; null until the first are here. */
export function usePictures(search: string, wanted = true, only: PictureQuestion['only'] = 'all') {
  const dispatch = useAppDispatch();
  const settled = useSettled(search);
  const list = pictureList.usePicturesInfiniteQuery(wanted ? { search: settled, only } : skipToken);
  const changes = useAppSelector(({ uploads, later }) => uploads.changes + later.arrived);
  // What changed before this was shown is in the answer already.
  const known = useRef(changes);
  useEffect(() => {
    if (changes === known.current) return;
    known.current = changes;
    dispatch(pictureList.util.invalidateTags(['pictures']));
  }, [dispatch, changes]);
  const { entries, more } = useEntries(list, hashOf);
  return {
    pictures: entries ?? null,
    /** The page that was read last says how many there are. */
    found: list.data?.pages.at(-1) ?? null,
    trouble: list.error?.message ?? null,
    more,
  };
}

/** Words when their typing has paused; none at once. */
function useSettled(words: string): string {
  const [settled, setSettled] = useState(words);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(words), words === '' ? 0 : TYPING_PAUSE);
    return () => clearTimeout(timer);
  }, [words]);
  return settled;
}
