import { emptyIconsOf, pictureOf, type Tile, type TileId } from '@noria/core';
import { announce } from '../../ui/notices/noticesSlice';
import { choosing, croppingChosen, entered, tilesSelected, writingIn, type WordsPlace } from '../editorSlice';
import { selectShown } from '../document/selectors';
import { selectSelected, selectTrail } from '../selectors';
import { groupsAround, placeBeside, placeToBegin } from './places';
import { wordsAt } from './onStage';
import type { AppThunk } from '../state';

/** Writes in words of a tile on the stage, on the level that it is on. */
const writeIn =
  (place: WordsPlace): AppThunk =>
  (dispatch, getState) => {
    const around = groupsAround(selectShown(getState()), place.tile);
    if (around.join(' ') !== selectTrail(getState()).join(' ')) {
      dispatch(entered(null));
      around.forEach((group) => dispatch(entered(group)));
    }
    dispatch(tilesSelected([place.tile]));
    dispatch(writingIn(place));
  };

/** Whether a tile is a picture or a row of icons that is still to be chosen, and says nothing yet. */
const isToChoose = (tile: Tile): boolean => {
  const part = pictureOf(tile);
  return part ? part.picture === null && part.caption === '' : emptyIconsOf(tile) !== null;
};

/** Writes in the first words of the tile selected last; a picture or icons that it lacks come first. */
export const writeInSelected = (): AppThunk => (dispatch, getState) => {
  const tile = selectSelected(getState()).at(-1);
  const first = tile && placeToBegin(tile);
  if (tile && isToChoose(tile)) dispatch(choosing(true));
  else if (first) dispatch(writeIn(first));
  else if (tile)
    dispatch(announce('This tile has no words. Add a part for them in the settings, under Content.'));
};

/** Writes in the words under a pointer; elsewhere moves the picture that fills the tile, or writes in its first words. */
export const writeUnder =
  (id: TileId, point: { readonly x: number; readonly y: number }): AppThunk =>
  (dispatch, getState) => {
    const tile = selectShown(getState()).tiles[id];
    if (!tile) return;
    const part = wordsAt(id, point);
    const first = placeToBegin(tile);
    if (part !== null) dispatch(writeIn({ tile: id, part }));
    else if (pictureOf(tile)?.picture) dispatch(croppingChosen(true));
    else if (isToChoose(tile)) dispatch(choosing(true));
    else if (first) dispatch(writeIn(first));
  };

/** Goes on to the next words, or back; answers whether there are any. */
export const writeBeside =
  (by: 1 | -1): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { writing } = getState().editor;
    const next = writing && placeBeside(selectShown(getState()), writing, by);
    if (next) dispatch(writeIn(next));
    return next !== null;
  };
