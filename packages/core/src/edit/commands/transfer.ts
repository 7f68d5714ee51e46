import { clone } from '../../document/clone.js';
import { placeIn } from '../../document/bands.js';
import { pictureOf } from '../../document/card.js';
import { setPart } from './tiles.js';
import { setOwn, type SetFor } from './place.js';
import type { Command } from '../patch/change.js';
import type { Place, TileId } from '../../document/types.js';

/** What one tile can give to others. */
export type Transfer = 'look' | 'spans' | 'place' | 'motion';

export interface TransferOptions {
  readonly from: TileId;
  readonly to: readonly TileId[];
  readonly what: Transfer;
  readonly band: number;
  readonly setFor: SetFor;
}

/**
 * Gives tiles the look, the spans, the place (area, fit and layer) or the motion of another one. Looks
 * and motion hold in every band; spans and place in this band or in all.
 */
export function transfer({ from, to, what, band, setFor }: TransferOptions): Command {
  return (draft) => {
    const source = draft.tiles[from];
    if (!source) return;
    const place = placeIn(draft, source, band);
    const given: Partial<Place> =
      what === 'spans'
        ? { columnSpan: place.columnSpan, rowSpan: place.rowSpan }
        : { area: place.area, fit: clone(place.fit), layer: place.layer };
    for (const id of to) {
      const tile = draft.tiles[id];
      if (!tile || id === from) continue;
      if (what === 'look') {
        tile.look = clone(source.look);
        if (source.style === undefined) delete tile.style;
        else tile.style = source.style;
        const [given, taken] = [pictureOf(source), pictureOf(tile)];
        if (given && taken) setPart([id], taken.id, { tint: clone(given.tint) })(draft);
      } else if (what === 'motion') {
        if (source.motion) tile.motion = clone(source.motion);
        else delete tile.motion;
      } else setOwn(draft, id, clone(given), band, setFor);
    }
  };
}
