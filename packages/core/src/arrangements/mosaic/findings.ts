import { placeIn } from '../../document/bands.js';
import { areSame } from '../../geometry/relations.js';
import type { KindFinding, LevelStretch } from '../kind.js';
import type { Tile } from '../../document/types.js';

/** Locked pictures that no mosaic of so many modules was found around. */
export function* mosaicFindings({ view, band, first }: LevelStretch): Generator<KindFinding> {
  for (const tile of first.tiles) {
    const { slot } = placeIn(view, view.tiles[tile.id] as Tile, band);
    if (slot === null || areSame(slot, tile)) continue;
    yield {
      kind: 'lock lost',
      tiles: [tile.id],
      badness: 1,
      said: {
        column: slot.column,
        row: slot.row,
        columns: slot.columnSpan,
        rows: slot.rowSpan,
        of: first.columns.length,
      },
    };
  }
}
