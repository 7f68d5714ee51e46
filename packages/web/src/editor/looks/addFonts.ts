import { bringing, type OwnFamily } from '@noria/core';
import { familiesFrom, libraryFonts, uploadFont, type LibraryFont } from '../../api/ownFonts';
import { plainFaces } from '../engine/faces';
import { loadFaces } from '../engine/measurer';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { run } from '../document/run';
import type { AppThunk } from '../state';

/**
 * Stores font files in the library. Families of the collection that is open get what was added to them.
 * @returns the families that the files are of
 */
export const addFonts =
  (files: readonly File[]): AppThunk<Promise<OwnFamily[]>> =>
  async (dispatch, getState) => {
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
    const added = familiesFrom(await libraryFonts().catch(() => stored)).filter(({ name }) =>
      names.has(name),
    );
    const known = getState().document.document?.families ?? {};
    for (const family of added) {
      if (Object.hasOwn(known, family.name))
        dispatch(
          run(
            'Add fonts',
            bringing(family, () => undefined),
          ),
        );
    }
    void loadFaces(document.fonts, plainFaces({ families: byName(added) }, [...names]));
    dispatch(announce(`Added to the fonts: ${[...names].join(', ')}.`));
    return added;
  };

/** Families as a collection keeps them. */
export const byName = (families: readonly OwnFamily[]): Readonly<Record<string, OwnFamily>> =>
  Object.fromEntries(families.map((family) => [family.name, family]));
