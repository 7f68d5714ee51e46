import { bandBearing, type BandBearing } from '../bearing.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { laidOver, overlaysIn } from './overlays.js';
import { bandOf, placeIn, saidPin } from '../../document/bands.js';
import { derivedBand, setColumns, placedTiles, widthsOf } from './bandLevel.js';
import { followsWider, isCorrected } from '../../document/derived.js';
import { likeness } from './spanChoices.js';
import { LEAST_SHOWN } from '../fit/pictureFindings.js';
import { writeBand } from '../../edit/commands/draft.js';
import type { Command } from '../../edit/patch/change.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** How many rows more than its words need a tile may take in one column. */
const MOST_MORE_ROWS = 8;

/** What of a band stays as it was set by hand. */
export interface Kept {
  readonly columns: boolean;
  readonly places: boolean;
}

/**
 * One column: every tile as many rows as its words need and its picture likes, those that are alike and
 * follow each other the same.
 */
export function stackedCommand(
  view: CollectionDocument,
  index: number,
  bearing: BandBearing,
  kept: Kept = { columns: false, places: false },
): Command {
  const band = resolvedBandOf(view, index);
  const rows = new Map<TileId, number>();
  const wider = placedTiles(view, resolvedBandOf(view, index - 1));
  const over = overlaysIn(view, index, new Map(wider.map(({ tile, area }) => [tile.id, area])));
  const under = new Set([...over.values()].map(({ base }) => base));
  let run: TileId[] = [];
  let last = '';
  for (const { tile, area } of placedTiles(view, band)) {
    if (over.has(tile.id)) continue;
    if (kept.places && isCorrected(view.bands[index - 1]?.tiles[tile.id])) continue;
    const alike = likeness(view, tile, { columns: area.columnSpan, rows: area.rowSpan });
    run = alike === last ? [...run, tile.id] : [tile.id];
    last = alike;
    const most = Math.max(
      bearing.down ? stackedRows(tile, area.rowSpan, bearing) : 1,
      rows.get(run[0] ?? '') ?? 1,
    );
    for (const id of run) rows.set(id, most);
  }
  return (draft) => {
    const own = writeBand(draft, index);
    if (!kept.columns) setColumns(own, 1, band);
    let row = 1;
    for (const [id, rowSpan] of rows) {
      const { pin, derivedPin: _, ...before } = own.tiles[id] ?? {};
      const isHeld = kept.places && pin !== undefined;
      const inherits = saidPin(view, view.tiles[id] as Tile, index - 1).pin !== null;
      own.tiles[id] = {
        ...before,
        ...(isHeld
          ? { pin }
          : under.has(id)
            ? { derivedPin: { column: 1, row } }
            : inherits && { derivedPin: null }),
        columnSpan: 1,
        rowSpan,
        derived: true,
      };
      for (const [above, overlay] of over) {
        if (overlay.base !== id) continue;
        const at = laidOver(overlay, { column: 1, row, columnSpan: 1, rowSpan }, bearing);
        const { pin: __, derivedPin: ___, ...others } = own.tiles[above] ?? {};
        const derivedPin = { column: at.column, row: at.row };
        own.tiles[above] = { ...others, columnSpan: 1, rowSpan: at.rowSpan, derived: true, derivedPin };
      }
      row += rowSpan;
    }
  };
}

/** How many rows suit a tile that has one column: no more than it had, but where words or its picture need them. */
function stackedRows(tile: Tile, had: number, bearing: BandBearing): number {
  const least = bearing.leastRows(tile, 1) ?? had;
  const wanted = Math.max(least, had);
  const shown = (rows: number) => bearing.shown(tile, { columns: 1, rows });
  const cost = (rows: number) => {
    const share = shown(rows);
    const lost = share < LEAST_SHOWN ? 10 * (LEAST_SHOWN - share) : 0;
    return lost + (1 - share) + 0.6 * Math.abs(Math.log(rows / wanted));
  };
  const most = shown(wanted) < LEAST_SHOWN ? least + MOST_MORE_ROWS : wanted;
  const some = Array.from({ length: most - least + 1 }, (_, k) => least + k);
  return some.reduce((one, other) => (cost(other) < cost(one) - 1e-9 ? other : one));
}

/** One column in a band: everything below each other, in reading order. */
export function stackBand(document: CollectionDocument, band: number, measurer: TextMeasurer): Command {
  const widths = widthsOf(document, null, band, measurer);
  const bearing = bandBearing(document, derivedBand(bandOf(document, band)), 1, widths, measurer);
  return stackedCommand(document, band, bearing);
}

/**
 * The wider band's placement as it is, pins and all: this band sets none of its own. Where bands are derived, its columns and spans are set in this one, so that they stay.
 */
export function keepStructure(document: CollectionDocument, band: number): Command {
  const wider = bandOf(document, band - 1).arrangement;
  return (draft) => {
    const own = writeBand(draft, band);
    for (const value of ['columns', 'rows', 'areas', 'flow', 'kind'] as const) delete own.arrangement[value];
    for (const [id, place] of Object.entries(own.tiles)) {
      for (const value of ['columnSpan', 'rowSpan', 'pin', 'derivedPin', 'area', 'order', 'derived'] as const)
        delete place[value];
      if (Object.keys(place).length === 0) delete own.tiles[id];
    }
    if (!followsWider(document)) return;
    own.arrangement.columns = [...wider.columns];
    for (const id of document.order) {
      const { columnSpan, rowSpan } = placeIn(document, document.tiles[id] as Tile, band - 1);
      own.tiles[id] = { ...own.tiles[id], columnSpan, rowSpan };
    }
  };
}
