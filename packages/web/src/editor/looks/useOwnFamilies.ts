import type { OwnFamily } from '@noria/core';
import { useCallback, useEffect, useState } from 'react';
import { familiesFrom, libraryFonts, type LibraryFont } from '../../api/ownFonts';
import { addFonts } from './addFonts';
import { useAppDispatch } from '../hooks';

/** The families of the library, read anew whenever this is shown; null until they are here. */
export function useOwnFamilies() {
  const dispatch = useAppDispatch();
  const [fonts, setFonts] = useState<readonly LibraryFont[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = useCallback(
    () =>
      libraryFonts().then(setFonts, (error: unknown) =>
        setTrouble(error instanceof Error ? error.message : String(error)),
      ),
    [],
  );
  useEffect(() => void read(), [read]);
  const add = useCallback(
    async (files: readonly File[]): Promise<OwnFamily[]> => {
      const added = await dispatch(addFonts(files));
      await read();
      return added;
    },
    [dispatch, read],
  );
  return { fonts, families: fonts && familiesFrom(fonts), trouble, add, read };
}
