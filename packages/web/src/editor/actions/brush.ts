import { tileName, transfer, type TileId, type Transfer } from '@noria/core';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { brushTaken } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectSelected, selectSetFor, selectView } from '../selectors';
import { named } from './named';
import { COMMAND_WORDS } from '../commands/words';
import type { AppThunk } from '../state';

export const TRANSFERS: Readonly<Record<Transfer, string>> = {
  look: 'look',
  spans: 'spans',
  place: 'place',
  motion: 'motion',
};

const COPIES = { look: 'copyLook', spans: 'copySpans', place: 'copyPlace', motion: 'copyMotion' } as const;

/** Takes the look of the selected tile, or another thing of it, to be put on others. */
export const takeBrush =
  (what: Transfer): AppThunk =>
  (dispatch, getState) => {
    const [from] = selectSelected(getState());
    if (!from) {
      dispatch(warn('Select the tile to copy from first.'));
      return;
    }
    dispatch(brushTaken({ from: from.id, what }));
    dispatch(
      announce(
        `The ${TRANSFERS[what]} of ${tileName(from, selectView(getState()))} is copied. Press tiles to apply it.`,
      ),
    );
  };

/** Puts what was taken on tiles; answers whether anything was. */
export const putOn =
  (ids: readonly TileId[]): AppThunk<boolean> =>
  (dispatch, getState) => {
    const state = getState();
    const { brush } = state.editor;
    const view = selectView(state);
    if (!brush || !view.tiles[brush.from]) return false;
    const to = ids.filter((id) => id !== brush.from);
    if (to.length === 0) return true;
    const { from, what } = brush;
    const band = selectBand(state).index;
    dispatch(
      runHere(COMMAND_WORDS[COPIES[what]], transfer({ from, to, what, band, setFor: selectSetFor(state) })),
    );
    dispatch(
      announce(
        `${named(
          to.flatMap((id) => view.tiles[id] ?? []),
          view,
        )}: ${TRANSFERS[what]} copied.`,
      ),
    );
    return true;
  };

/** Gives the look of the tile that was selected first to all others selected. */
export const giveToSelected =
  (what: Transfer): AppThunk =>
  (dispatch, getState) => {
    const [from, ...to] = selectSelected(getState());
    if (!from || to.length === 0) {
      dispatch(takeBrush(what));
      return;
    }
    dispatch(brushTaken({ from: from.id, what }));
    dispatch(putOn(to.map(({ id }) => id)));
    dispatch(brushTaken(null));
  };
