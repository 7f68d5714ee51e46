import type { CollectionDocument, Finding, TileId } from '@noria/core';
import { entered, findingOpened, needleMoved, shown, tilesSelected } from '../editorSlice';
import { selectShown } from '../document/selectors';
import { announce } from '../../ui/notices/noticesSlice';
import type { AppThunk } from '../state';

/** The groups that lead to one, outermost first. */
function trailTo({ order, tiles }: CollectionDocument, level: TileId | null): TileId[] {
  const search = (ids: readonly TileId[]): TileId[] | null => {
    for (const id of ids) {
      const tile = tiles[id];
      if (tile?.kind !== 'group') continue;
      if (id === level) return [id];
      const inside = search(tile.order);
      if (inside) return [id, ...inside];
    }
    return null;
  };
  return level === null ? [] : (search(order) ?? []);
}

/** Goes where a finding is worst, selects its tiles, and opens it in the list of findings. */
export const showFinding =
  (finding: Finding): AppThunk =>
  (dispatch, getState) => {
    dispatch(needleMoved(finding.worst));
    dispatch(entered(null));
    for (const id of trailTo(selectShown(getState()), finding.level)) dispatch(entered(id));
    dispatch(tilesSelected(finding.tiles));
    dispatch(shown('findings'));
    dispatch(findingOpened(finding.id));
    dispatch(announce(`${finding.worst} px: ${finding.title}. ${finding.reason}`));
  };
