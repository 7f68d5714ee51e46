import { tileName, groupTiles, ungroup } from '@noria/core';
import { announce } from '../../ui/notices/noticesSlice';
import { entered, tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectSelected, selectView } from '../selectors';
import { freshId } from './freshId';
import { COMMAND_WORDS } from '../commands/words';
import type { AppThunk } from '../state';

/** Puts the selected tiles into a new group. */
export const groupSelected = (): AppThunk => (dispatch, getState) => {
  const tiles = selectSelected(getState());
  if (tiles.length === 0) return;
  const id = freshId('group');
  const ids = tiles.map((tile) => tile.id);
  if (!dispatch(runHere(COMMAND_WORDS.group, groupTiles(ids, id, selectBand(getState()).index)))) return;
  dispatch(tilesSelected([id]));
  dispatch(
    announce(`${tiles.length} ${tiles.length === 1 ? 'tile' : 'tiles'} in a group. Press Enter to open it.`),
  );
};

/** Ungroups the selected groups. */
export const ungroupSelected = (): AppThunk => (dispatch, getState) => {
  const groups = selectSelected(getState()).filter(({ kind }) => kind === 'group');
  if (groups.length === 0) return;
  const inside = groups.flatMap((group) => (group.kind === 'group' ? group.order : []));
  dispatch(runHere(COMMAND_WORDS.ungroup, (draft) => groups.forEach(({ id }) => ungroup(id)(draft))));
  dispatch(tilesSelected(inside));
  dispatch(announce(`Ungrouped; ${inside.length} tiles selected.`));
};

/** Opens the selected group. */
export const openSelectedGroup = (): AppThunk => (dispatch, getState) => {
  const [tile] = selectSelected(getState());
  if (tile?.kind !== 'group') return;
  dispatch(entered(tile.id));
  if (tile.order[0] !== undefined) dispatch(tilesSelected([tile.order[0]]));
  dispatch(announce(`In the group “${tileName(tile, selectView(getState()))}”. Escape leaves it.`));
};
