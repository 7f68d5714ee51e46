import { kindTitle, neighbour, placeIn, type CollectionDocument, type Tile, type TileId } from '@noria/core';
import { entered, tilesSelected } from '../editorSlice';
import { selectBand, selectSelected, selectLayout, selectTrail, selectView } from '../selectors';
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

/** Selects from the tile selected last to this one, in reading order; what was selected before stays. */
export const selectThrough =
  (id: TileId): AppThunk =>
  (dispatch, getState) => {
    const { order } = selectView(getState());
    const selected = selectSelected(getState()).map((tile) => tile.id);
    const [from, to] = [order.indexOf(selected.at(-1) ?? id), order.indexOf(id)];
    const range = order.slice(Math.min(from, to), Math.max(from, to) + 1);
    // The one that was pressed is the last, from which the next range goes on.
    const inTurn = from <= to ? range : range.toReversed();
    dispatch(tilesSelected([...selected.filter((each) => !range.includes(each)), ...inTurn]));
    dispatch(announce(`${selectSelected(getState()).length} tiles selected.`));
  };

/** What tiles can have in common with the selected ones; the same text is the same. */
const LIKENESS = {
  kind: (tile: Tile) => kindTitle(tile),
  recipe: (tile: Tile) => (tile.recipe ? `${tile.recipe.recipe} ${tile.recipe.variant ?? ''}` : null),
  span: (tile: Tile, view: CollectionDocument, band: number) => {
    const { columnSpan, rowSpan } = placeIn(view, tile, band);
    return `${columnSpan} ${rowSpan}`;
  },
  look: (tile: Tile) => JSON.stringify(Object.entries(tile.look).toSorted()),
} satisfies Record<string, (tile: Tile, view: CollectionDocument, band: number) => string | null>;

/** Selects all tiles on the level that have the kind, recipe, span or look of one of the selected ones. */
export const selectLike =
  (what: keyof typeof LIKENESS): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const view = selectView(state);
    const { index } = selectBand(state);
    const of = (tile: Tile) => LIKENESS[what](tile, view, index);
    const selected = selectSelected(state);
    const wanted = new Set(selected.map(of).filter((each) => each !== null));
    const rest = view.order.filter((id) => {
      const tile = view.tiles[id];
      return tile && !selected.includes(tile) && wanted.has(of(tile) ?? '');
    });
    dispatch(tilesSelected([...rest, ...selected.map(({ id }) => id)]));
    dispatch(announce(`${rest.length + selected.length} tiles selected.`));
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
