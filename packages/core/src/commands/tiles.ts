import { newTile } from './newTile.js';
import type { Draft } from './draft.js';
import type { Command } from '../patch/change.js';
import type { CollectionLook, PictureAsset, Tile, TileId, TileKind, TileLook } from '../document/types.js';

/** Adds a tile of a kind at a position of the reading order; at its end when none is given. */
export function addTile(kind: TileKind, id: TileId, position?: number): Command {
  return (draft) => insert(draft, newTile(kind, id), position ?? draft.order.length);
}

/** Puts a copy of a tile right after it in reading order, free, with the same spans in every band. */
export function duplicateTile(original: TileId, id: TileId): Command {
  return (draft) => {
    const tile = draft.tiles[original];
    if (!tile) return;
    const copy = JSON.parse(JSON.stringify({ ...tile, id })) as Tile;
    insert(draft, { ...copy, place: { ...copy.place, pin: null } }, draft.order.indexOf(original) + 1);
    for (const band of draft.bands) {
      const own = band.tiles[original];
      if (!own) continue;
      const { pin: _pin, ...spans } = own;
      if (Object.keys(spans).length > 0) band.tiles[id] = spans;
    }
  };
}

/** Removes tiles, and what the bands say of them. Their pictures stay in the collection. */
export function removeTiles(ids: readonly TileId[]): Command {
  return (draft) => {
    const gone = new Set(ids);
    draft.order = draft.order.filter((id) => !gone.has(id));
    for (const id of ids) {
      delete draft.tiles[id];
      for (const band of draft.bands) delete band.tiles[id];
    }
  };
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

type Content<T> = T extends Tile ? Omit<T, 'id' | 'kind' | 'place' | 'look'> : never;
/** Fields of a tile's content, of whichever kind has them. */
export type ContentValues = Partial<UnionToIntersection<Content<Tile>>>;
type UnionToIntersection<U> = (U extends unknown ? (u: U) => void : never) extends (i: infer I) => void
  ? I
  : never;

/** Sets the name or content of tiles; a field that a tile's kind does not have is left out. */
export function setContent(ids: readonly TileId[], values: ContentValues): Command {
  return (draft) => {
    for (const id of ids) {
      const tile = draft.tiles[id];
      if (!tile) continue;
      for (const [field, value] of Object.entries(values)) {
        if (field in tile) Object.assign(tile, { [field]: value });
      }
    }
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

/** Adds a picture to the collection, and shows it in tiles that hold one. */
export function setPicture(ids: readonly TileId[], picture: PictureAsset): Command {
  return (draft) => {
    draft.pictures[picture.id] = { ...picture };
    setContent(ids, { picture: picture.id })(draft);
  };
}

/** Writes what a picture shows, for those who don't see it. */
export function setAlternativeText(picture: string, alternativeText: string): Command {
  return (draft) => {
    const asset = draft.pictures[picture];
    if (asset) asset.alternativeText = alternativeText;
  };
}

function insert(draft: Draft, tile: Tile, position: number) {
  if (Object.hasOwn(draft.tiles, tile.id)) throw new RangeError(`There is a tile “${tile.id}” already.`);
  draft.tiles[tile.id] = tile;
  draft.order.splice(position, 0, tile.id);
}
