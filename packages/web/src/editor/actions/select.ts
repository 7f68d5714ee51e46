import { neighbour, type TileId } from '@noria/core';
import { entered, tilesSelected } from '../editorSlice';
import { selectSelected, selectLayout, selectTrail, selectView } from '../selectors';
import { announce } from '../../ui/notices/noticesSlice';
import type { AppThunk } from '../state';

/** Selects the nearest tile in a direction from the selected one; the first one when none is. */
export const selectTowards =
  (dx: number, dy: number): AppThunk<TileId | null> =>
  (dispatch, getState) => {
    const state = getState();
    const { tiles } = selectLayout(state);
    const from = tiles.find(({ id }) => id === selectSelected(state).at(-1)?.id);
    const best = from ? neighbour(tiles, from, dx, dy) : tiles[0];
    if (!best) return null;
    dispatch(tilesSelected([best.id]));
    return best.id;
  };

/** Takes the nearest tile in a direction as well; one that is selected already becomes the last. */
export const selectMoreTowards =
  (dx: number, dy: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const { tiles } = selectLayout(state);
    const selected = selectSelected(state).map(({ id }) => id);
    const from = tiles.find(({ id }) => id === selected.at(-1));
    const best = from ? neighbour(tiles, from, dx, dy) : tiles[0];
    if (!best) return;
    dispatch(tilesSelected([...selected.filter((id) => id !== best.id), best.id]));
    dispatch(announce(`${selectSelected(getState()).length} tiles selected.`));
  };

export const selectAll = (): AppThunk => (dispatch, getState) => {
  const { order } = selectView(getState());
  dispatch(tilesSelected(order));
  dispatch(announce(`${order.length} tiles selected.`));
};

/** Lets go of what is selected; with nothing selected, leaves the group that one is in. */
export const deselectTiles = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  if (selectSelected(state).length > 0) dispatch(tilesSelected([]));
  else if (selectTrail(state).length > 0) {
    const trail = selectTrail(state);
    dispatch(entered(trail.at(-2) ?? null));
    dispatch(tilesSelected([trail.at(-1) as TileId]));
    dispatch(announce('Left the group.'));
  }
};
