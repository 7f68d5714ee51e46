import { LIMITS } from '../document/limits.js';
import { writeBand } from './draft.js';
import type { Command } from '../patch/change.js';
import type { TileId, TypeSizes } from '../document/types.js';

const held = (size: number) =>
  Math.min(LIMITS.typeSize.most, Math.max(LIMITS.typeSize.least, Math.round(size * 100) / 100));

const heldSizes = ({ headingSize, bodySize }: TypeSizes): TypeSizes => ({
  ...(headingSize !== undefined && { headingSize: held(headingSize) }),
  ...(bodySize !== undefined && { bodySize: held(bodySize) }),
});

/**
 * Sets type sizes of tiles, px: in a narrower band they hold there and are carried from there, in the
 * widest they are the tiles' own.
 */
export function setTypeSizes(ids: readonly TileId[], sizes: TypeSizes, band: number): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (band === 0) Object.assign(tile.look, heldSizes(sizes));
      else {
        const own = writeBand(draft, band);
        own.tileTypeSizes = {
          ...own.tileTypeSizes,
          [id]: { ...own.tileTypeSizes?.[id], ...heldSizes(sizes) },
        };
      }
    }
  };
}

/** Sets type sizes of the whole collection in a band, px. */
export function setBandTypeSizes(sizes: TypeSizes, band: number): Command {
  return (draft) => {
    if (band === 0) Object.assign(draft.look, heldSizes(sizes));
    else {
      const own = writeBand(draft, band);
      own.typeSizes = { ...own.typeSizes, ...heldSizes(sizes) };
    }
  };
}

/** Lets every band carry type sizes of tiles, or of the collection with null. */
export function carryTypeSizesEverywhere(
  ids: readonly TileId[] | null,
  values: readonly (keyof TypeSizes)[],
): Command {
  return (draft) => draft.bands.forEach((_, k) => carryTypeSizes(ids, k + 1, values)(draft));
}

/** Takes back type sizes that a band sets, of tiles, or of the collection with null. */
export function carryTypeSizes(
  ids: readonly TileId[] | null,
  band: number,
  values: readonly (keyof TypeSizes)[],
): Command {
  return (draft) => {
    const own = writeBand(draft, band);
    if (ids === null) {
      for (const value of values) delete own.typeSizes?.[value];
      if (own.typeSizes && Object.keys(own.typeSizes).length === 0) delete own.typeSizes;
      return;
    }
    for (const id of ids) {
      const sizes = own.tileTypeSizes?.[id];
      if (!sizes || !own.tileTypeSizes) continue;
      for (const value of values) delete sizes[value];
      if (Object.keys(sizes).length === 0) delete own.tileTypeSizes[id];
    }
    if (own.tileTypeSizes && Object.keys(own.tileTypeSizes).length === 0) delete own.tileTypeSizes;
  };
}
