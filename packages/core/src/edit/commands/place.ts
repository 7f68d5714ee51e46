import { placeIn } from '../../document/bands.js';
import { resolvedBands } from '../../arrangements/bands.js';
import { LIMITS } from '../../document/limits.js';
import { writeBand, type Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { Fit, OwnPlace, Pin, Place, TileId } from '../../document/types.js';

/** For which widths a value is set: for one band, or for every band alike. */
export type SetFor = 'band' | 'all';

export interface SetPlace {
  readonly tiles: readonly TileId[];
  /** The band in which the person works; 0 is the widest. */
  readonly band: number;
  readonly setFor: SetFor;
  readonly columnSpan?: number;
  readonly rowSpan?: number;
}

/**
 * Sets the spans of tiles. Values are whole numbers, pulled into 1 to the limit. In the widest band
 * narrower bands inherit them; set for all, every band loses its own.
 */
export function setSpan({ tiles, band, setFor, columnSpan, rowSpan }: SetPlace): Command {
  const values: Partial<Place> = {
    ...(columnSpan !== undefined && { columnSpan: clamp(columnSpan, LIMITS.span) }),
    ...(rowSpan !== undefined && { rowSpan: clamp(rowSpan, LIMITS.span) }),
  };
  return (draft) => {
    for (const id of tiles) {
      if (draft.tiles[id]) setOwn(draft, id, values, band, setFor);
    }
  };
}

/** Holds tiles at a cell of a band, which narrower ones inherit where its column is there, or lets them flow with a pin of null. */
export function setPin(tiles: readonly TileId[], band: number, pin: Pin | null): Command {
  return (draft) => {
    const columns = resolvedBands(draft)[band]?.columns.length ?? 1;
    for (const id of tiles) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      const { columnSpan } = placeIn(draft, tile, band);
      const held = pin && {
        column: clamp(Math.min(pin.column, columns - Math.min(columnSpan, columns) + 1), LIMITS.columns),
        row: clamp(pin.row, LIMITS.rows),
      };
      // A tile is held by its pin or by an area, not by both.
      const out = held && placeIn(draft, tile, band).area !== null ? { area: null } : {};
      if (band === 0) {
        Object.assign(tile.place, out, { pin: held });
        continue;
      }
      forgetIn(draft, band, id, ['pin']);
      // A pin that is inherited lets go only where the band says so.
      if (!held && !placeIn(draft, tile, band).pin) continue;
      const { derivedPin: _, ...own } = writeBand(draft, band).tiles[id] ?? {};
      writeBand(draft, band).tiles[id] = { ...own, ...out, pin: held };
    }
  };
}

/** Sets how tiles lie in their cells. */
export function setFit(tiles: readonly TileId[], fit: Partial<Fit>, band: number, setFor: SetFor): Command {
  return (draft) => {
    for (const id of tiles) {
      const tile = draft.tiles[id];
      if (tile) setOwn(draft, id, { fit: { ...placeIn(draft, tile, band).fit, ...fit } }, band, setFor);
    }
  };
}

/** Sets the layer of tiles: higher ones lie over lower ones in the same cells. */
export function setLayer(tiles: readonly TileId[], layer: number, band: number, setFor: SetFor): Command {
  const held = Math.min(LIMITS.layer, Math.max(-LIMITS.layer, Math.round(layer) || 0));
  return (draft) =>
    tiles.forEach((id) => draft.tiles[id] && setOwn(draft, id, { layer: held }, band, setFor));
}

/** Sets which tiles come first in what is seen; lower ones do. Reading order stays. */
export function setOrder(tiles: readonly TileId[], order: number, band: number, setFor: SetFor): Command {
  const held = Math.min(LIMITS.order, Math.max(-LIMITS.order, Math.round(order) || 0));
  return (draft) =>
    tiles.forEach((id) => draft.tiles[id] && setOwn(draft, id, { order: held }, band, setFor));
}

/** Hides tiles, or shows them again. What is hidden is not read out either. */
export function setHidden(tiles: readonly TileId[], hidden: boolean, band: number, setFor: SetFor): Command {
  return (draft) => tiles.forEach((id) => draft.tiles[id] && setOwn(draft, id, { hidden }, band, setFor));
}

/** Sets values of a tile's place in a band, or in all of them. Spans that are set by hand are not derived any more. */
export function setOwn(draft: Draft, id: TileId, values: Partial<Place>, band: number, setFor: SetFor) {
  const tile = draft.tiles[id];
  if (tile && (setFor === 'all' || band === 0)) Object.assign(tile.place, values);
  else {
    const own = { ...writeBand(draft, band).tiles[id], ...values };
    if ('columnSpan' in values || 'rowSpan' in values) delete own.derived;
    writeBand(draft, band).tiles[id] = own;
  }
  if (setFor === 'all') forgetPlace(draft, id, Object.keys(values) as (keyof Place)[]);
}

/** Takes back what a band sets of a tile's place, so that it is inherited again. */
export function inheritPlace(tile: TileId, band: number, values: readonly (keyof OwnPlace)[]): Command {
  return (draft) => forgetIn(draft, band, tile, values);
}

function forgetPlace(draft: Draft, id: TileId, values: readonly (keyof OwnPlace)[]) {
  draft.bands.forEach((_, k) => forgetIn(draft, k + 1, id, values));
}

function forgetIn(draft: Draft, band: number, id: TileId, values: readonly (keyof OwnPlace)[]) {
  const { tiles } = writeBand(draft, band);
  const own = tiles[id];
  if (!own) return;
  for (const value of values) delete own[value];
  if (!('columnSpan' in own) && !('rowSpan' in own)) delete own.derived;
  if (Object.keys(own).length === 0) delete tiles[id];
}

const clamp = (value: number, most: number) => Math.min(most, Math.max(1, Math.round(value) || 1));
