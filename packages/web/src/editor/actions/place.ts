import { hasCells, moveInOrder, placeIn, setFit, setLayer, setSpan, type Fit, tileName } from '@noria/core';
import { interfaceOf } from '../kinds';
import { nameOf } from '../kinds/words';
import { announce } from '../../ui/notices/noticesSlice';
import { runHere } from '../here';
import { selectBand, selectSelected, selectLayout, selectSetFor, selectView } from '../selectors';
import { named } from './named';
import { COMMAND_WORDS } from '../commands/words';
import type { AppThunk } from '../state';

/** Sets a span of all selected tiles. */
export const spanTiles =
  (span: { columnSpan?: number; rowSpan?: number }): AppThunk =>
  (dispatch, getState) => {
    const tiles = selectSelected(getState());
    if (tiles.length === 0) return;
    const band = selectBand(getState());
    const setFor = selectSetFor(getState());
    dispatch(
      runHere('Span', setSpan({ tiles: tiles.map(({ id }) => id), band: band.index, setFor, ...span })),
    );
    dispatch(sayPlace());
  };

/** Grows or shrinks the span of all selected tiles, each from its own. */
export const growTiles =
  (columns: number, rows: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const band = selectBand(state);
    const view = selectView(state);
    const setFor = selectSetFor(state);
    const tiles = selectSelected(state);
    if (tiles.length === 0) return;
    const { spans } = interfaceOf(band.arrangement);
    if (spans === 'none' || (spans === 'columns' && columns === 0)) {
      dispatch(announce(`In ${nameOf(band.arrangement.kind)} the size of a tile is not by spans.`));
      return;
    }
    const most = band.columns.length;
    const commands = tiles.map((tile) => {
      const place = placeIn(view, tile, band.index);
      const columnSpan = Math.min(most, Math.max(1, Math.min(place.columnSpan, most) + columns));
      return setSpan({
        tiles: [tile.id],
        band: band.index,
        setFor,
        ...(columns !== 0 && { columnSpan }),
        ...(rows !== 0 && { rowSpan: Math.max(1, place.rowSpan + rows) }),
      });
    });
    dispatch(runHere('Span', (draft) => commands.forEach((command) => command(draft))));
    dispatch(sayPlace());
  };

/** Holds the selected tiles where they are, or lets them flow when all are held. */
export const pinTiles = (): AppThunk => (dispatch, getState) => {
  const state = getState();
  const { index: band, arrangement } = selectBand(state);
  const tiles = selectSelected(state);
  if (tiles.length === 0) return;
  const view = selectView(state);
  const laid = new Map(selectLayout(state).tiles.map((tile) => [tile.id, tile]));
  const places = tiles.map((tile) => placeIn(view, tile, band));
  const { holding } = interfaceOf(arrangement);
  if (!holding) {
    dispatch(announce(`In ${nameOf(arrangement.kind)} tiles are not pinned.`));
    return;
  }
  const holds = !places.every((place) => Boolean(place[holding.by]));
  dispatch(runHere(holding.step(holds), holding.command(tiles, laid, band, selectSetFor(state), holds)));
  dispatch(announce(`${named(tiles, view)} ${holding.said(holds)}.`));
};

/** Moves the selected tiles earlier (−1) or later (+1) in reading order. */
export const reorderTiles =
  (by: -1 | 1): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const { order } = selectView(state);
    const ids = selectSelected(state).map(({ id }) => id);
    const first = order.findIndex((id) => ids.includes(id));
    if (first === -1) return;
    dispatch(runHere('Order', moveInOrder(ids, first + by)));
    const position = selectView(getState()).order.findIndex((id) => ids.includes(id)) + 1;
    dispatch(announce(`Number ${position} of ${order.length} in reading order.`));
  };

/** Sets how the selected tiles lie in their cells. */
export const fitTiles =
  (fit: Partial<Fit>): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const ids = selectSelected(state).map(({ id }) => id);
    dispatch(runHere('Fit', setFit(ids, fit, selectBand(state).index, selectSetFor(state))));
  };

/** Lifts the selected tiles over others in the same cells (1), or lowers them (−1). */
export const layerTiles =
  (by: -1 | 1): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const band = selectBand(state).index;
    const tiles = selectSelected(state);
    const setFor = selectSetFor(state);
    const commands = tiles.map((tile) =>
      setLayer([tile.id], placeIn(selectView(state), tile, band).layer + by, band, setFor),
    );
    if (commands.length === 0) return;
    dispatch(
      runHere(by === 1 ? COMMAND_WORDS.forward : COMMAND_WORDS.backward, (draft) =>
        commands.forEach((command) => command(draft)),
      ),
    );
    dispatch(
      announce(
        `${named(tiles, selectView(state))} ${by === 1 ? 'brought forward' : 'sent backward'} by a layer.`,
      ),
    );
  };

/** Says where the selected tile is now. */
export const sayPlace =
  (also = ''): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const [tile] = selectSelected(state);
    const { tiles, coverage } = selectLayout(state);
    const at = tiles.find(({ id }) => id === tile?.id);
    if (!tile || !at) return;
    const { kind } = selectBand(state).arrangement;
    const view = selectView(state);
    const name = tileName(tile, view);
    if (!hasCells(kind)) {
      const { order } = view;
      dispatch(
        announce(`“${name}”: number ${order.indexOf(tile.id) + 1} of ${order.length} in reading order.`),
      );
      return;
    }
    const holes =
      coverage.holes.length === 0
        ? 'no holes'
        : `${coverage.holes.length} ${coverage.holes.length === 1 ? 'hole' : 'holes'}`;
    dispatch(
      announce(
        `“${name}”: ${at.columnSpan} by ${at.rowSpan}, column ${at.column}, row ${at.row}; ${holes}.${also}`,
      ),
    );
  };
