import { LIMITS } from '../../document/limits.js';
import { writeBand, type Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { BandLook, TileId, TypeSizes } from '../../document/types.js';

const held = (size: number) =>
  Math.min(LIMITS.typeSize.max, Math.max(LIMITS.typeSize.min, Math.round(size * 100) / 100));

const withHeldSizes = <L extends TypeSizes>({ headingSize, bodySize, ...rest }: L) => ({
  ...rest,
  ...(headingSize !== undefined && { headingSize: held(headingSize) }),
  ...(bodySize !== undefined && { bodySize: held(bodySize) }),
});

/**
 * Sets how the contents of tiles lie and how large their type is, px: in a narrower band it holds
 * there and is inherited from there, in the widest it is the tiles' own look.
 */
export function setBandLook(ids: readonly TileId[], look: BandLook, band: number): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (band === 0) Object.assign(tile.look, withHeldSizes(look));
      else {
        const own = writeBand(draft, band);
        own.looks = { ...own.looks, [id]: { ...own.looks?.[id], ...withHeldSizes(look) } };
      }
    }
  };
}

/** Sets type sizes of the whole collection in a band, px. */
export function setBandTypeSizes(sizes: TypeSizes, band: number): Command {
  return (draft) => {
    if (band === 0) Object.assign(draft.look, withHeldSizes(sizes));
    else {
      const own = writeBand(draft, band);
      own.typeSizes = { ...own.typeSizes, ...withHeldSizes(sizes) };
    }
  };
}

/** Lets every band inherit what it sets of the looks of tiles, or of the collection's type with null. */
export function inheritLookEverywhere(
  ids: readonly TileId[] | null,
  values: readonly (keyof BandLook)[],
): Command {
  return (draft) => draft.bands.forEach((_, k) => inheritLook(ids, k + 1, values)(draft));
}

/** Takes back what a band sets of the looks of tiles, or of the collection's type with null. */
export function inheritLook(
  ids: readonly TileId[] | null,
  band: number,
  values: readonly (keyof BandLook)[],
): Command {
  return (draft) => {
    const own = writeBand(draft, band);
    if (ids === null) {
      if (dropped(own.typeSizes, values)) delete own.typeSizes;
      return;
    }
    for (const id of ids) if (own.looks && dropped(own.looks[id], values)) delete own.looks[id];
    if (own.looks && Object.keys(own.looks).length === 0) delete own.looks;
  };
}

/** Deletes values, and answers whether nothing is left. */
function dropped(
  look: NonNullable<Draft['bands'][number]['looks']>[string] | undefined,
  values: readonly (keyof BandLook)[],
): boolean {
  if (!look) return false;
  for (const value of values) delete look[value];
  return Object.keys(look).length === 0;
}
