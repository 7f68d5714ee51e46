import { clone, type Command, type FilmId, type PictureId } from '@noria/core';
import { useState } from 'react';
import { readFilm, uploadFilm } from '../../api/filmUpload';
import { uploadPicture } from '../../api/pictures';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { useAppDispatch } from '../hooks';
import { runHere } from '../here';
import { PART } from './fields';

/** Uploads a film with its poster, and runs what it is for as one step. */
export function useAddFilm() {
  const dispatch = useAppDispatch();
  const [busy, setBusy] = useState(false);
  /**
   * @param command what it is for, once the collection has both
   * @returns whether it is there
   */
  const add = async (
    file: File | undefined,
    command: (film: FilmId, poster: PictureId) => Command,
  ): Promise<boolean> => {
    if (!file) return false;
    setBusy(true);
    try {
      const read = await readFilm(file);
      const film = await uploadFilm(file, read);
      const poster = await uploadPicture(read.poster);
      dispatch(
        runHere(PART.film.label, (draft) => {
          (draft.films ??= {})[film.id] = clone(film);
          draft.pictures[poster.id] = clone(poster);
          command(film.id, poster.id)(draft);
        }),
      );
      dispatch(announce(`${film.name} was added to the tile.`));
      return true;
    } catch (error) {
      dispatch(warn(error instanceof Error ? error.message : String(error)));
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { busy, add };
}
