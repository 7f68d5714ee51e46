import { bandBearing, type BandBearing } from '../bearing.js';
import { resolvedBandOf } from '../../arrangements/bands.js';
import { bandOf, placeIn } from '../../document/bands.js';
import { derivedBand, setColumns, placedTiles, widthsOf } from './bandLevel.js';
import { LEAST_SHOWN } from '../fit/pictureFindings.js';
import { writeBand } from '../../edit/commands/draft.js';
import type { Command } from '../../edit/patch/change.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** How many rows more than its words need a tile may take in one column. */
const MOST_MORE_ROWS = 8;

/** One column: every tile as many rows as its words need and its picture likes. */
export function stackedCommand(view: CollectionDocument, index: number, bearing: BandBearing): Command {
  const band = resolvedBandOf(view, index);
  const rows = new Map<TileId, number>();
  for (const { tile, area } of placedTiles(view, band)) {
    const least = bearing.leastRows(tile, 1) ?? area.rowSpan;
    const some = Array.from({ length: MOST_MORE_ROWS + 1 }, (_, k) => least + k);
    const wanted = Math.max(least, area.rowSpan);
    const cost = (each: number) => {
      const shown = bearing.shown(tile, { columns: 1, rows: each });
      const lost = shown < LEAST_SHOWN ? 10 * (LEAST_SHOWN - shown) : 0;
      return lost + (1 - shown) + 0.6 * Math.abs(Math.log(each / wanted));
    };
    const best = some.reduce((one, other) => (cost(other) < cost(one) - 1e-9 ? other : one));
    rows.set(tile.id, bearing.down ? best : 1);
  }
  return (draft) => {
    const own = writeBand(draft, index);
    setColumns(own, 1, band);
    for (const [id, rowSpan] of rows) {
      const { pin: _, ...before } = own.tiles[id] ?? {};
      own.tiles[id] = { ...before, columnSpan: 1, rowSpan, derived: true };
    }
  };
}

/** One column in a band: everything below each other, in reading order. */
export function stackBand(document: CollectionDocument, band: number, measurer: TextMeasurer): Command {
  const widths = widthsOf(document, null, band, measurer);
  return stackedCommand(
    document,
    band,
    bandBearing(document, derivedBand(bandOf(document, band)), 1, widths, measurer),
  );
}

/** The wider band's placement as it is: this band sets none of its own, and pins are held where they were. */
export function keepStructure(document: CollectionDocument, band: number): Command {
  return (draft) => {
    const own = writeBand(draft, band);
    for (const value of ['columns', 'rows', 'areas', 'flow', 'kind'] as const) delete own.arrangement[value];
    for (const [id, place] of Object.entries(own.tiles)) {
      for (const value of ['columnSpan', 'rowSpan', 'pin', 'area', 'order', 'derived'] as const)
        delete place[value];
      if (Object.keys(place).length === 0) delete own.tiles[id];
    }
    for (const id of Object.keys(document.tiles)) {
      const { pin } = placeIn(document, document.tiles[id] as Tile, band - 1);
      if (pin) own.tiles[id] = { ...own.tiles[id], pin: { ...pin } };
    }
  };
}
