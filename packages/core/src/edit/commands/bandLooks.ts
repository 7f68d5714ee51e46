import { LIMITS } from '../../document/limits.js';
import { clone } from '../../document/clone.js';
import { writeBand, type Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import { setLook } from './tiles.js';
import type { SetFor } from './place.js';
import type { BandLook, TileId, TileLook, TypeSizes } from '../../document/types.js';

const held = (size: number) =>
  Math.min(LIMITS.typeSize.max, Math.max(LIMITS.typeSize.min, Math.round(size * 100) / 100));

const withHeldSizes = <L extends Pick<BandLook, 'headingSize' | 'bodySize'>>(look: L): L => {
  const { headingSize, bodySize } = look;
  return {
    ...look,
    ...(typeof headingSize === 'number' && { headingSize: held(headingSize) }),
    ...(typeof bodySize === 'number' && { bodySize: held(bodySize) }),
  };
};

/**
 * Sets looks of tiles: in a narrower band it holds there and is inherited from there, in the widest it
 * is the tiles' own look. Null takes a value away.
 */
export function setBandLook(ids: readonly TileId[], look: BandLook, band: number): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (band === 0) {
        Object.assign(tile.look, clone(withHeldSizes(look)));
        for (const [field, value] of Object.entries(look))
          if (value === null) delete (tile.look as Record<string, unknown>)[field];
      } else {
        const own = writeBand(draft, band);
        own.looks = { ...own.looks, [id]: { ...own.looks?.[id], ...clone(withHeldSizes(look)) } };
      }
    }
  };
}

/** Looks to set; what is undefined is to be as the collection has it, or none. */
export type LookChange = { readonly [F in keyof TileLook]?: TileLook[F] | undefined };

/** What a tile may be without; everything else that a band lets go of is inherited. */
const NONE: readonly (keyof TileLook)[] = [
  'border',
  'outerShadow',
  'innerShadow',
  'fade',
  'align',
  'direction',
  'writingDirection',
];

/** Sets looks of tiles in one band, or in every band alike. */
export function setLookFor(
  ids: readonly TileId[],
  values: LookChange,
  band: number,
  setFor: SetFor,
): Command {
  const fields = Object.keys(values) as (keyof TileLook)[];
  if (band === 0 || setFor === 'all')
    return (draft) => {
      setLook(ids, values)(draft);
      if (setFor === 'all') inheritLookEverywhere(ids, fields)(draft);
    };
  return (draft) => {
    const { tilePadding, radius } = draft.look;
    const usual: BandLook = { padding: tilePadding, radius };
    const inherited = fields.filter(
      (field) => values[field] === undefined && !(field in usual) && !NONE.includes(field),
    );
    inheritLook(ids, band, inherited)(draft);
    const set = fields.filter((field) => !inherited.includes(field));
    setBandLook(
      ids,
      Object.fromEntries(set.map((field) => [field, values[field] ?? usual[field] ?? null])),
      band,
    )(draft);
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
