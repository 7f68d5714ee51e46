import {
  addTile,
  duplicateTile,
  moveInOrder,
  moveToCell,
  neighbour,
  placeIn,
  removeTiles,
  setPin,
  setSpan,
  type TileId,
  type TileKind,
} from '@noria/core';
import { run, selectShown } from '../document';
import { announce } from '../notices';
import { taken } from './composeSlice';
import { selectBand, selectInHand, selectLayout, selectSetFor } from './selectors';
import type { AppThunk } from '../../store/store';

/** “Beds” or “3 tiles”. */
const named = (tiles: readonly { readonly name: string }[]) =>
  tiles.length === 1 ? `“${tiles[0]?.name}”` : `${tiles.length} tiles`;

const freshId = (kind: string) => `${kind}-${crypto.randomUUID().slice(0, 8)}`;

/** Sets a span of all tiles in hand. */
export const spanTiles =
  (span: { columnSpan?: number; rowSpan?: number }): AppThunk =>
  (dispatch, getState) => {
    const tiles = selectInHand(getState());
    if (tiles.length === 0) return;
    const band = selectBand(getState());
    const setFor = selectSetFor(getState());
    dispatch(run('Span', setSpan({ tiles: tiles.map(({ id }) => id), band: band.index, setFor, ...span })));
    dispatch(sayPlace());
  };

/** Grows or shrinks the span of all tiles in hand, each from its own. */
export const growTiles =
  (columns: number, rows: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const band = selectBand(state);
    const document = selectShown(state);
    const setFor = selectSetFor(state);
    const tiles = selectInHand(state);
    if (tiles.length === 0) return;
    const most = band.arrangement.columns.length;
    const commands = tiles.map((tile) => {
      const place = placeIn(document, tile, band.index);
      const columnSpan = Math.min(most, Math.max(1, Math.min(place.columnSpan, most) + columns));
      return setSpan({
        tiles: [tile.id],
        band: band.index,
        setFor,
        ...(columns !== 0 && { columnSpan }),
        ...(rows !== 0 && { rowSpan: Math.max(1, place.rowSpan + rows) }),
      });
    });
    dispatch(run('Span', (draft) => commands.forEach((command) => command(draft))));
    dispatch(sayPlace());
  };

/** Moves the tile in hand by so many cells. */
export const stepTile =
  (columns: number, rows: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const [tile] = selectInHand(state);
    const at = selectLayout(state).tiles.find(({ id }) => id === tile?.id);
    if (!tile || !at) return;
    const cell = { column: at.column + columns, row: at.row + rows };
    if (
      cell.column < 1 ||
      cell.row < 1 ||
      cell.column + at.columnSpan - 1 > selectLayout(state).columns.length
    )
      return;
    dispatch(run('Move', moveToCell(selectShown(state), tile.id, selectBand(state).index, cell).command));
    dispatch(sayPlace());
  };

/** Holds the tiles in hand where they are, or lets them flow when all are held. */
export const pinTiles = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  const band = selectBand(state).index;
  const tiles = selectInHand(state);
  if (tiles.length === 0) return;
  const held = tiles.every((tile) => placeIn(selectShown(state), tile, band).pin);
  const places = new Map(
    selectLayout(state).tiles.map((tile) => [tile.id, { column: tile.column, row: tile.row }]),
  );
  dispatch(
    run(held ? 'Free' : 'Pin', (draft) =>
      tiles.forEach(({ id }) => setPin([id], band, held ? null : (places.get(id) ?? null))(draft)),
    ),
  );
  dispatch(announce(`${named(tiles)} ${held ? 'free, flowing in order' : 'pinned here'}.`));
};

/** Moves the tiles in hand earlier (−1) or later (+1) in reading order. */
export const reorderTiles =
  (by: -1 | 1): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const { order } = selectShown(state);
    const ids = selectInHand(state).map(({ id }) => id);
    const first = order.findIndex((id) => ids.includes(id));
    if (first === -1) return;
    dispatch(run('Order', moveInOrder(ids, first + by)));
    const position = selectShown(getState()).order.findIndex((id) => ids.includes(id)) + 1;
    dispatch(announce(`Number ${position} of ${order.length} in reading order.`));
  };

export const addNewTile =
  (kind: TileKind): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const id = freshId(kind);
    const last = Math.max(
      -1,
      ...selectInHand(state).map((tile) => selectShown(state).order.indexOf(tile.id)),
    );
    dispatch(run('Add tile', addTile(kind, id, last === -1 ? undefined : last + 1)));
    dispatch(taken([id]));
    dispatch(announce(`A ${kind} tile was added and is in hand.`));
  };

export const duplicateTiles = (): AppThunk => (dispatch, getState) => {
  const tiles = selectInHand(getState());
  if (tiles.length === 0) return;
  const copies = tiles.map((tile) => ({ of: tile.id, id: freshId(tile.kind) }));
  dispatch(run('Duplicate', (draft) => copies.forEach((copy) => duplicateTile(copy.of, copy.id)(draft))));
  dispatch(taken(copies.map(({ id }) => id)));
  dispatch(announce(`${named(tiles)} duplicated; the copy is in hand.`));
};

export const deleteTiles = (): AppThunk => (dispatch, getState) => {
  const tiles = selectInHand(getState());
  if (tiles.length === 0) return;
  dispatch(run('Delete', removeTiles(tiles.map(({ id }) => id))));
  dispatch(taken([]));
  dispatch(announce(`${named(tiles)} deleted. Undo brings ${tiles.length === 1 ? 'it' : 'them'} back.`));
};

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

/** Says where the tile in hand is now. */
export const sayPlace = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  const [tile] = selectInHand(state);
  const { tiles, coverage } = selectLayout(state);
  const at = tiles.find(({ id }) => id === tile?.id);
  if (!tile || !at) return;
  const holes =
    coverage.holes.length === 0
      ? 'no holes'
      : `${coverage.holes.length} ${coverage.holes.length === 1 ? 'hole' : 'holes'}`;
  dispatch(
    announce(
      `“${tile.name}”: ${at.columnSpan} by ${at.rowSpan}, column ${at.column}, row ${at.row}; ${holes}.`,
    ),
  );
};
