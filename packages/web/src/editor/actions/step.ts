import { hasCells, movesAtAllWidths, rearrange, type Pin } from '@noria/core';
import { announce } from '../../ui/notices/noticesSlice';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSelected, selectView } from '../selectors';
import { reorderTiles, sayPlace } from './place';
import type { AppThunk } from '../state';
/** Moves the selected tiles by so many cells. */
export const stepSelected =
  (columns: number, rows: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const view = selectView(state);
    const tiles = selectSelected(state);
    const [tile] = tiles;
    const layout = selectLayout(state);
    const at = layout.tiles.find(({ id }) => id === tile?.id);
    if (!tile || !at) return;
    const band = selectBand(state);
    if (!hasCells(band.arrangement.kind)) {
      dispatch(reorderTiles(columns + rows > 0 ? 1 : -1));
      return;
    }
    const cell = { column: at.column + columns, row: at.row + rows };
    const outside =
      cell.column < 1 || cell.row < 1 || cell.column + at.columnSpan - 1 > layout.columns.length;
    if (outside) return;
    const isThatWay = (one: Pin) => (one.column - at.column) * columns > 0 || (one.row - at.row) * rows > 0;
    const { cell: to, command } = rearrange(view, band, {
      tiles: tiles.map(({ id }) => id),
      cell,
      accepts: isThatWay,
    });
    if (to === null) {
      dispatch(
        announce(
          'There is no place for it that way without a hole. Pin it, or place it over others with Alt and a drag.',
        ),
      );
      return;
    }
    const isWide = band.index > 0 && movesAtAllWidths(view, band);
    dispatch(runHere('Move', command));
    dispatch(sayPlace(isWide ? ' It moved at all widths.' : ''));
  };
