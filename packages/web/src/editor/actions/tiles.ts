import {
  addDressed,
  assignArea,
  duplicateTile,
  pasteTiles,
  removeTiles,
  swapTiles,
  tilesFromText,
  tilesToText,
  titleOf,
  type TileId,
  type TileStart,
} from '@noria/core';
import { outcome } from '../document/run';
import { announce } from '../../ui/notices/noticesSlice';
import { drawnChosen, tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectSelected, selectSetFor, selectView } from '../selectors';
import { freshId } from './freshId';
import { named } from './named';
import { COMMAND_WORDS } from '../commands/words';
import type { AppThunk } from '../state';

/** Where a new tile comes in reading order: after the selected ones, else at the end. */
export const nextPosition = (state: Parameters<typeof selectView>[0]) => {
  const { order } = selectView(state);
  const last = Math.max(-1, ...selectSelected(state).map(({ id }) => order.indexOf(id)));
  return last === -1 ? order.length : last + 1;
};

export const addNewTile =
  (kind: TileStart): AppThunk =>
  (dispatch, getState) => {
    const id = freshId(kind);
    if (!dispatch(runHere('Add tile', addDressed(kind, id, nextPosition(getState()))))) return;
    dispatch(drawnChosen(kind));
    dispatch(tilesSelected([id]));
    dispatch(announce(`${titleOf(kind)} tile added and selected.`));
  };

export const duplicateTiles = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  const tiles = selectSelected(state);
  if (tiles.length === 0) return;
  const band = selectBand(state).index;
  let view = selectView(state);
  const copies: TileId[] = [];
  const commands = tiles.map((tile) => {
    const command = duplicateTile(view, tile.id, band, (each) => {
      const id = freshId(each.kind);
      if (each.id === tile.id) copies.push(id);
      return id;
    });
    view = outcome(view, command) ?? view;
    return command;
  });
  if (!dispatch(runHere(COMMAND_WORDS.duplicate, (draft) => commands.forEach((command) => command(draft)))))
    return;
  dispatch(tilesSelected(copies));
  dispatch(announce(`${named(tiles, view)} duplicated; the copy is selected.`));
};

export const deleteTiles = (): AppThunk => (dispatch, getState) => {
  const tiles = selectSelected(getState());
  if (tiles.length === 0) return;
  const name = named(tiles, selectView(getState()));
  dispatch(runHere(COMMAND_WORDS.delete, removeTiles(tiles.map(({ id }) => id))));
  dispatch(tilesSelected([]));
  dispatch(announce(`${name} deleted. Undo brings ${tiles.length === 1 ? 'it' : 'them'} back.`));
};

/** The selected tiles as text for the clipboard; null when none is. */
export const copiedText = (): AppThunk<string | null> => (dispatch, getState) => {
  const tiles = selectSelected(getState());
  if (tiles.length === 0) return null;
  dispatch(announce(`${named(tiles, selectView(getState()))} copied.`));
  return tilesToText(
    selectView(getState()),
    tiles.map(({ id }) => id),
  );
};

/** Puts tiles from the clipboard’s text in; answers whether there were any. */
export const pasteText =
  (text: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const clip = tilesFromText(text);
    if (!clip) return false;
    const outer = new Set(clip.order);
    const ids: TileId[] = [];
    const command = pasteTiles(clip, nextPosition(getState()), (tile) => {
      const id = freshId(tile.kind);
      if (outer.has(tile.id)) ids.push(id);
      return id;
    });
    if (!dispatch(runHere('Paste', command))) return true;
    dispatch(tilesSelected(ids));
    dispatch(announce(`${ids.length === 1 ? 'A tile was' : `${ids.length} tiles were`} pasted.`));
    return true;
  };

export const swapWith =
  (a: TileId, b: TileId): AppThunk =>
  (dispatch) => {
    dispatch(runHere('Swap', swapTiles(a, b)));
  };

/** Puts the selected tiles into an area of this band, or out of any. */
export const putInArea =
  (area: string | null): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const ids = selectSelected(state).map(({ id }) => id);
    dispatch(runHere('Area', assignArea(ids, area, selectBand(state).index, selectSetFor(state))));
  };
