import type { OwnFamily } from '@noria/core';
import { byName, familiesFrom, libraryFonts, uploadFont, type LibraryFont } from '../../api/ownFonts';
import { plainFaces } from '../engine/faces';
import { loadFaces } from '../engine/measurer';
import { announce, warn } from '../../ui/notices/noticesSlice';
import type { AppThunk } from '../state';

/**
 * Stores font files in the library.
 * @returns the families that the files are of, with all their files
 */
export const addFonts =
  (files: readonly File[]): AppThunk<Promise<OwnFamily[]>> =>
  async (dispatch) => {
    const stored: LibraryFont[] = [];
    for (const file of files) {
      try {
        stored.push(await uploadFont(file));
      } catch (error) {
        dispatch(warn(error instanceof Error ? error.message : String(error)));
      }
    }
    if (stored.length === 0) return [];
    const names = new Set(stored.map(({ family }) => family));
    const all = await libraryFonts().catch(() => stored);
    const added = familiesFrom(all).filter(({ name }) => names.has(name));
    void loadFaces(document.fonts, plainFaces({ families: byName(added) }, [...names]));
    dispatch(announce(`Added to the fonts: ${[...names].join(', ')}.`));
    return added;
  };
