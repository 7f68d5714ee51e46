import type { Command } from '../patch/change.js';
import type { TileId } from '../../document/types.js';

/** Sets the least width at which tiles are legible, px; null: by what is in them. */
export function setNeverBelow(ids: readonly TileId[], px: number | null): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (px === null) delete tile.minimumWidth;
      else tile.minimumWidth = Math.max(1, Math.round(px));
    }
  };
}

/** Says whether tiles belong with the next one in reading order. */
export function setWithNext(ids: readonly TileId[], belongs: boolean): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (belongs) tile.keepWithNext = true;
      else delete tile.keepWithNext;
    }
  };
}

/** Sets by what the page asks how wide it is. */
export function setQueries(queries: 'container' | 'media'): Command {
  return (draft) => {
    if (queries === 'container') delete draft.queries;
    else draft.queries = queries;
  };
}

/** Says whether every picture opens large in the page. */
export function setEnlarges(enlarges: 'all' | null): Command {
  return (draft) => {
    if (enlarges === null) delete draft.enlarges;
    else draft.enlarges = enlarges;
  };
}
