import {
  addDressed,
  areasMeet,
  cellsOf,
  holdsCells,
  placeNewAt,
  placeIn,
  placeOver,
  setSpan,
  titleOf,
  type CollectionDocument,
  type Command,
  type GridArea,
  type ResolvedBand,
  type Tile,
  type TileId,
  type TileStart,
} from '@noria/core';
import { outcome } from '../document/run';
import { announce } from '../../ui/notices/noticesSlice';
import { drawnChosen, tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectSavedView } from '../selectors';
import { freshId } from './freshId';
import { named } from './named';
import type { AppThunk } from '../state';

/** What drawing a tile at cells would do. */
export interface Drawing {
  /** Null: it can’t be drawn there. */
  readonly command: Command | null;
  /** What becomes of the tiles that are there; null: there are none. */
  readonly says: string | null;
}

/**
 * Adds a tile at cells: free where the flow leads it there, else pinned. Tiles that are there move on;
 * one that is pinned stays, and nothing is drawn over it unless one says so.
 * @param wantsOver whether it lies over the tiles that are there
 */
export const drawing =
  (kind: TileStart, id: TileId, cells: GridArea, wantsOver = false): AppThunk<Drawing> =>
  (_, getState) => {
    const state = getState();
    const view = selectSavedView(state);
    const band = selectBand(state);
    const over = wantsOver && holdsCells(band.arrangement.kind);
    const there = tilesAt(view, band, cells);
    const add = addDressed(kind, id);
    const added = outcome(view, add);
    if (!added) return { command: add, says: null };
    const command = (over ? overCommand : placeNewAt)(added, id, band, cells, 'band');
    const whole: Command = (draft) => {
      add(draft);
      command(draft);
    };
    if (there.length === 0) return { command: whole, says: null };
    if (over) return { command: whole, says: `lies over ${named(there, view)}` };
    const held = there.filter((tile) => placeIn(view, tile, band.index).pin);
    if (held.length > 0) {
      const stays = held.length === 1 ? 'is pinned here' : 'are pinned here';
      return { command: null, says: `${named(held, view)} ${stays}; with Alt the new tile lies over` };
    }
    return { command: whole, says: `moves ${named(there, view)} on` };
  };

function overCommand(view: CollectionDocument, id: TileId, band: ResolvedBand, cells: GridArea): Command {
  const { columnSpan, rowSpan } = cells;
  const span = setSpan({ tiles: [id], band: band.index, setFor: 'band', columnSpan, rowSpan });
  const lie = placeOver(outcome(view, span) ?? view, id, band, cells);
  return (draft) => {
    span(draft);
    lie(draft);
  };
}

/** The tiles whose cells some cells meet. */
function tilesAt(view: CollectionDocument, band: ResolvedBand, cells: GridArea): Tile[] {
  const areas = cellsOf(view, band);
  return view.order.flatMap((id, k) => {
    const area = areas[k];
    return area && area.columnSpan > 0 && areasMeet(area, cells) ? (view.tiles[id] ?? []) : [];
  });
}

/** Adds a tile of a kind at cells that were pointed at or drawn. */
export const drawTile =
  (kind: TileStart, cells: GridArea, over = false): AppThunk =>
  (dispatch) => {
    const id = freshId(kind);
    const { command, says } = dispatch(drawing(kind, id, cells, over));
    if (!command) {
      dispatch(announce(`Nothing was drawn: ${says}.`));
      return;
    }
    if (!dispatch(runHere('Draw tile', command))) return;
    dispatch(drawnChosen(kind));
    dispatch(tilesSelected([id]));
    const drawn = `${titleOf(kind)} tile of ${cells.columnSpan} by ${cells.rowSpan} drawn and selected`;
    dispatch(announce(says ? `${drawn}; it ${says}.` : `${drawn}.`));
  };
