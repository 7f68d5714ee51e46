import { neighbour, type TileId } from '@noria/core';
import { entered, taken } from '../editorSlice';
import { selectInHand, selectLayout, selectTrail, selectView } from '../selectors';
import { announce } from '../../ui/notices/noticesSlice';
import type { AppThunk } from '../state';

/** Takes the nearest tile in a direction from the one in hand; the first one when none is. */
export const takeTowards =
  (dx: number, dy: number): AppThunk<TileId | null> =>
  (dispatch, getState) => {
    const state = getState();
    const { tiles } = selectLayout(state);
    const from = tiles.find(({ id }) => id === selectInHand(state).at(-1)?.id);
    const best = from ? neighbour(tiles, from, dx, dy) : tiles[0];
    if (!best) return null;
    dispatch(taken([best.id]));
    return best.id;
  };

/** Takes the nearest tile in a direction as well; one that is in hand already becomes the last. */
export const takeMoreTowards =
  (dx: number, dy: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const { tiles } = selectLayout(state);
    const inHand = selectInHand(state).map(({ id }) => id);
    const from = tiles.find(({ id }) => id === inHand.at(-1));
    const best = from ? neighbour(tiles, from, dx, dy) : tiles[0];
    if (!best) return;
    dispatch(taken([...inHand.filter((id) => id !== best.id), best.id]));
    dispatch(announce(`${selectInHand(getState()).length} tiles in hand.`));
  };

export const takeAll = (): AppThunk => (dispatch, getState) => {
  const { order } = selectView(getState());
  dispatch(taken(order));
  dispatch(announce(`${order.length} tiles in hand.`));
};

/** Lets go of what is in hand; with nothing in hand, leaves the group that one is in. */
export const letGo = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  if (selectInHand(state).length > 0) dispatch(taken([]));
  else if (selectTrail(state).length > 0) {
    const trail = selectTrail(state);
    dispatch(entered(trail.at(-2) ?? null));
    dispatch(taken([trail.at(-1) as TileId]));
    dispatch(announce('Out of the group.'));
  }
};
