import { bringing, setLookFor, type OwnFamily, type TileId } from '@noria/core';
import { warn } from '../../ui/notices/noticesSlice';
import { run } from '../document/run';
import { LOOK } from '../fields/fields';
import { runHere } from '../here';
import { selectBand, selectSetFor, selectView } from '../selectors';
import { addFonts } from './addFonts';
import type { AppThunk } from '../state';

/** Adds font files to the library; families of the collection that is open get what was added to them. */
export const addFontsHere =
  (files: readonly File[]): AppThunk<Promise<OwnFamily[]>> =>
  async (dispatch, getState) => {
    const added = await dispatch(addFonts(files));
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
    return added;
  };

/** Adds font files that were dropped; a card that they fell on takes the first family for its heading type. */
export const dropFonts =
  (files: readonly File[], onto: TileId | null): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const [family] = await dispatch(addFontsHere(files));
    if (!family) return;
    if (onto === null || selectView(getState()).tiles[onto]?.kind !== 'card') {
      // Nothing on the stage shows that it came.
      dispatch(warn(`${family.name} is among the fonts now. Choose it as a family of headings or words.`));
      return;
    }
    const { index } = selectBand(getState());
    const chosen = setLookFor([onto], { headingFamily: family.name }, index, selectSetFor(getState()));
    dispatch(runHere(LOOK.headingFamily.label, bringing(family, chosen)));
  };
