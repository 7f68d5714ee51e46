import { withContents } from '../../document/levels.js';
import { clone } from '../../document/clone.js';
import { partIn, partsOf } from '../../document/card.js';
import { partKindOf } from '../../parts/index.js';
import { dressedTile, newTile, type TileStart } from '../../parts/newTile.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import { LIMITS } from '../../document/limits.js';
import type {
  Badge,
  CollectionLook,
  Motion,
  Part,
  PartId,
  PictureAsset,
  Tile,
  TileId,
  TileLook,
} from '../../document/types.js';

/** Adds a tile at a position of the reading order; at its end when none is given. */
export function addTile(what: TileStart, id: TileId, position?: number): Command {
  return (draft) => insertTile(draft, newTile(what, id), position ?? draft.order.length);
}

/** The same as one does by hand: it begins dressed for what it is to be. */
export function addDressed(what: TileStart, id: TileId, position?: number): Command {
  return (draft) => insertTile(draft, dressedTile(what, id), position ?? draft.order.length);
}

/** Puts a tile that is not there yet into the reading order. */
export function insertTile(draft: Draft, tile: Tile, position: number): void {
  if (Object.hasOwn(draft.tiles, tile.id)) throw new RangeError(`There is a tile “${tile.id}” already.`);
  draft.tiles[tile.id] = tile as Draft['tiles'][string];
  draft.order.splice(position, 0, tile.id);
}

/** Removes tiles with what is in them, and what the bands say of them. Their pictures stay. */
export function removeTiles(ids: readonly TileId[]): Command {
  return (draft) => {
    const here = ids.filter((id) => draft.order.includes(id));
    draft.order = draft.order.filter((id) => !here.includes(id));
    forgetTiles(
      draft,
      here.flatMap((each) => withContents(draft, each)),
    );
  };
}

/** Takes tiles out that no order holds any more, with what the bands say of them. */
export function forgetTiles(draft: Draft, ids: readonly TileId[]): void {
  for (const id of ids) {
    delete draft.tiles[id];
    forgetInBands(draft, id);
  }
}

function forgetInBands({ bands }: Draft, id: TileId): void {
  for (const band of bands) {
    delete band.tiles[id];
    if (band.groups) delete band.groups[id];
    if (band.looks) delete band.looks[id];
  }
}

/** Moves tiles, kept in their order, to where the first of them comes at `position` (from 0). */
export function moveInOrder(ids: readonly TileId[], position: number): Command {
  return (draft) => {
    const moving = new Set(ids);
    const moved = draft.order.filter((id) => moving.has(id));
    const rest = draft.order.filter((id) => !moving.has(id));
    const at = Math.min(rest.length, Math.max(0, position));
    draft.order = [...rest.slice(0, at), ...moved, ...rest.slice(at)];
  };
}

/** What a tile is called, where it leads and how it moves; undefined takes each off. */
export interface TileValues {
  readonly name?: string | undefined;
  readonly link?: string | undefined;
  readonly motion?: Motion | undefined;
}

/** Sets the name, the link or the motion of tiles. */
export function setTile(ids: readonly TileId[], values: TileValues): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      for (const [field, value] of Object.entries(values)) write(tile, field, value);
    }
  };
}

/** Fields of a part, of whichever kind has them; undefined takes one off that may be left out. */
export type PartValues = {
  readonly [Field in FieldOf<Part>]?: ValueOf<Part, Field> | undefined;
};
type FieldOf<P> = P extends Part ? Exclude<keyof P, 'id' | 'kind'> : never;
type ValueOf<P, Field extends PropertyKey> =
  P extends Readonly<Partial<Record<Field, infer Value>>> ? Value : never;

/** Sets fields of a part of cards; one that its kind does not have is left out. */
export function setPart(ids: readonly TileId[], part: PartId, values: PartValues): Command {
  return (draft) => {
    for (const id of ids) {
      const own = partIn(draft.tiles[id], part);
      if (!own) continue;
      const { fields, optional = [] } = partKindOf(own);
      for (const [field, value] of Object.entries(values)) {
        if (Object.hasOwn(fields, field) && (value !== undefined || optional.includes(field)))
          write(own, field, value);
      }
    }
  };
}

function write(on: object, field: string, value: unknown): void {
  if (value === undefined) delete (on as Record<string, unknown>)[field];
  else Object.assign(on, { [field]: value });
}

/** Sets how much tiles matter beside others, 1 to 5; undefined: by what is in them. */
export function setWeight(ids: readonly TileId[], weight: number | undefined): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      if (weight === undefined) delete tile.weight;
      else tile.weight = Math.min(5, Math.max(1, Math.round(weight)));
    }
  };
}

/** Sets the badges of a tile; an empty list takes them off. */
export function setBadges(id: TileId, badges: readonly Badge[]): Command {
  return (draft) => {
    const tile = draft.tiles[id];
    if (!tile) return;
    if (badges.length === 0) delete tile.badges;
    else tile.badges = badges.slice(0, LIMITS.badges).map((badge) => ({ ...badge }));
  };
}

/** Sets the look of tiles; `undefined` puts a type size back to the collection's. */
export function setLook(
  ids: readonly TileId[],
  values: { [K in keyof TileLook]?: TileLook[K] | undefined },
): Command {
  return (draft) => {
    for (const id of ids) {
      const look: Record<string, unknown> | undefined = draft.tiles[id]?.look;
      if (!look) continue;
      for (const [field, value] of Object.entries(values)) {
        if (value === undefined) delete look[field];
        else look[field] = value;
      }
    }
  };
}

export function setCollectionLook(values: Partial<CollectionLook>): Command {
  return (draft) => void Object.assign(draft.look, values);
}

export function renameCollection(name: string): Command {
  return (draft) => void (draft.name = name);
}

/** Adds a picture to the collection, and shows it in tiles that have a place for one. */
export function setPicture(ids: readonly TileId[], picture: PictureAsset): Command {
  return (draft) => {
    draft.pictures[picture.id] = clone(picture);
    for (const id of ids) {
      const part = partsOf(draft.tiles[id] as Tile).find((each) => 'picture' in each);
      if (part) setPart([id], part.id, { picture: picture.id })(draft);
    }
  };
}

/** Writes what a picture shows, for those who don't see it. */
export function setAlternativeText(picture: string, alternativeText: string): Command {
  return (draft) => {
    const asset = draft.pictures[picture];
    if (asset) asset.alternativeText = alternativeText;
  };
}
