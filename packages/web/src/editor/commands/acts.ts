import { evenTracks, insertTrack, pictureBehind, pictureOf, setArrangement } from '@noria/core';
import { openSelectedGroup } from '../actions/groups';
import { deselectTiles } from '../actions/select';
import { swapWith } from '../actions/tiles';
import { brushTaken, croppingChosen, needleMoved, shown, tilesSelected, type Showing } from '../editorSlice';
import { runHere } from '../here';
import { whenUsed } from '../../ui/lazily';
import { writeInSelected } from '../writing/write';
import {
  selectBand,
  selectBands,
  selectSelected,
  selectLayout,
  selectLooks,
  selectNeedle,
  selectSetFor,
} from '../selectors';
import type { AppThunk, RootState } from '../state';

const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
export const arrows = (modifier = '') => Object.keys(ARROWS).map((key) => modifier + key);
export const towards = (act: (dx: number, dy: number) => AppThunk<unknown>) => (event?: KeyboardEvent) =>
  act(...(ARROWS[event?.key ?? ''] ?? ([0, 0] as const)));

export const DIGITS = Array.from({ length: 9 }, (_, k) => `Digit${k + 1}`);
export const digit = (event?: KeyboardEvent) => Number(event?.code.slice('Digit'.length) ?? 1);

export const some = (state: RootState) => selectSelected(state).length > 0;
export const two = (state: RootState) => selectSelected(state).length === 2;
export const aGroup = (state: RootState) => selectSelected(state).some(({ kind }) => kind === 'group');
/** Whether one of the selected tiles is linked to a recipe. */
export const ofARecipe = (state: RootState) =>
  selectSelected(state).some(({ recipe }) => recipe !== undefined);
export const aCard = (state: RootState) => selectSelected(state).at(-1)?.kind === 'card';
/** One tile that a picture fills. */
export const aPicture = (state: RootState): boolean => {
  const [only, ...others] = selectSelected(state);
  return only !== undefined && others.length === 0 && Boolean(pictureOf(only)?.picture);
};

/** One tile whose picture, a part or its fill, can be moved in it. */
export const aPlacedPicture = (state: RootState): boolean => {
  const [only, ...others] = selectSelected(state);
  if (only === undefined || others.length > 0) return false;
  const { look } = selectLooks(state).tiles[only.id] ?? only;
  return pictureBehind(look.fill) !== null || aPicture(state);
};

export const crop = (): AppThunk => (dispatch) => void dispatch(croppingChosen(true));

/** Shows a panel; its key closes it again. */
export const show =
  (what: Showing) =>
  (event?: KeyboardEvent): AppThunk =>
  (dispatch, getState) =>
    void dispatch(shown(event && getState().editor.showing === what ? null : what));

/** Shows the recipes with nothing selected: one that is chosen there is a new tile. */
export const fromRecipe = (): AppThunk => (dispatch) => {
  dispatch(tilesSelected([]));
  dispatch(shown('recipes'));
};

/** To the next narrower (1) or wider (−1) band: its widest or narrowest width. */
export const toBand =
  (by: 1 | -1): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    const state = getState();
    const to = selectBands(state)[selectBand(state).index + by];
    if (to) dispatch(needleMoved(by === 1 ? to.below - 1 : to.from));
  };

export const moveNeedle =
  (by: 1 | -1) =>
  (event?: KeyboardEvent): AppThunk =>
  (dispatch, getState) =>
    void dispatch(needleMoved(selectNeedle(getState()) + by * (event?.shiftKey ? 20 : 1)));

/** Escape puts down what is put on tiles before it lets go of them. */
export const deselect = (): AppThunk => (dispatch, getState) => {
  if (getState().editor.brush) dispatch(brushTaken(null));
  else dispatch(deselectTiles());
};

/** What is seldom the first thing that is done: its script comes beside. */
function inScript<Script>(read: () => Promise<Script>) {
  const withScript = whenUsed(read);
  return (act: (script: Script) => AppThunk<unknown>): (() => AppThunk<unknown>) =>
    () =>
    (dispatch) =>
      withScript((script) => dispatch(act(script)));
}

export const ofRecipe = inScript(() => import('../actions/recipes'));
export const ofPictures = inScript(() => import('../actions/pictures'));

export const swap = (): AppThunk => (dispatch, getState) => {
  const [first, second] = selectSelected(getState());
  if (first && second) dispatch(swapWith(first.id, second.id));
};

export const addTrack =
  (axis: 'column' | 'row', words: string): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    const state = getState();
    const layout = selectLayout(state);
    const index = axis === 'column' ? layout.columns.length : layout.rows.length;
    const band = selectBand(state).index;
    dispatch(runHere(words, insertTrack({ axis, index, band, setFor: selectSetFor(state) })));
  };

export const even =
  (axis: 'column' | 'row', words: string): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    const state = getState();
    dispatch(
      runHere(words, evenTracks({ axis, band: selectBand(state).index, setFor: selectSetFor(state) })),
    );
  };

export const flow =
  (value: 'dense' | 'sparse', words: string): (() => AppThunk) =>
  () =>
  (dispatch, getState) => {
    const state = getState();
    dispatch(runHere(words, setArrangement({ flow: value }, selectBand(state).index, selectSetFor(state))));
  };

/** Writes in the words of the selected tile; a group is opened. */
export const writeOrOpen = (): AppThunk => (dispatch, getState) =>
  dispatch(aGroup(getState()) ? openSelectedGroup() : writeInSelected());

/** Enter belongs to buttons, but for a selected tile. */
export const isOnTile = ({ target }: KeyboardEvent) =>
  target === document.body ||
  (target instanceof HTMLElement && target.matches('[data-tile-hand][aria-pressed=true]'));
