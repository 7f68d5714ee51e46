import { clone } from '../../document/clone.js';
import { insertTile } from './tiles.js';
import { newTile } from '../../parts/newTile.js';
import { bestFit } from '../../geometry/assign.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, PictureAsset, PictureTile, TileId } from '../../document/types.js';

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** Files in the order of the numbers in their names: 2 before 10. */
export function byNumberedName<F extends { readonly name: string }>(files: readonly F[]): F[] {
  return files.toSorted((a, b) => collator.compare(a.name, b.name));
}

/** The picture tiles of a level in reading order, from the one pointed at on. */
export function pictureSlots({ order, tiles }: CollectionDocument, from: TileId | null): TileId[] {
  const start = from === null ? 0 : Math.max(0, order.indexOf(from));
  return order.slice(start).filter((id) => tiles[id]?.kind === 'picture');
}

export interface PlacePictures {
  readonly pictures: readonly PictureAsset[];
  /** The tiles to fill, in reading order. */
  readonly slots: readonly TileId[];
  /** The aspect of each slot, inline ÷ block; left out: pictures go to slots in order. */
  readonly aspects?: readonly number[];
  /** Ids for tiles that are made for the rest. */
  readonly freshId: () => TileId;
  /** Where those come in reading order. */
  readonly position: number;
}

/**
 * Fills picture tiles with pictures, in order or by best fit; the rest become new tiles. A tile that
 * shows another picture than before looks for its subject in the middle again.
 * @returns the command, and the tiles that show the pictures
 */
export function placePictures({ pictures, slots, aspects, freshId, position }: PlacePictures): {
  readonly command: Command;
  readonly tiles: readonly TileId[];
} {
  const given = aspects
    ? bestFit(
        pictures.map(({ inlineSize, blockSize }) => inlineSize / blockSize),
        aspects,
      )
    : slots.map((_, k) => (k < pictures.length ? k : null));
  const taken = slots.flatMap((id, k) => {
    const at = given[k] ?? null;
    const picture = at === null ? undefined : pictures[at];
    return picture ? [{ id, picture }] : [];
  });
  const rest = pictures.flatMap((picture, k) => (given.includes(k) ? [] : [{ id: freshId(), picture }]));
  return {
    tiles: [...taken, ...rest].map(({ id }) => id),
    command: (draft) => {
      for (const picture of pictures) draft.pictures[picture.id] = clone(picture);
      for (const { id, picture } of taken) {
        const tile = draft.tiles[id];
        if (tile?.kind !== 'picture' || tile.picture === picture.id) continue;
        tile.picture = picture.id;
        tile.focalPoint = { x: 0.5, y: 0.5 };
        delete tile.position;
        delete tile.zoom;
      }
      rest.forEach(({ id, picture }, k) => {
        const tile = newTile('picture', id) as PictureTile;
        insertTile(draft, { ...tile, name: picture.name.slice(0, 200), picture: picture.id }, position + k);
      });
    },
  };
}

/**
 * Deals the pictures of several tiles out among them anew, so that as little as possible is cropped
 * over all. Each takes its focal point along.
 * @param aspects of the tiles' slots, inline ÷ block, by tile
 */
export function fitPictures(aspects: Readonly<Record<TileId, number>>): Command {
  return (draft) => {
    const tiles = Object.keys(aspects).flatMap((id) => {
      const tile = draft.tiles[id];
      return tile?.kind === 'picture' && tile.picture !== null ? [tile] : [];
    });
    const shown = tiles.map(({ picture, focalPoint, position, zoom, tint, caption, name }) =>
      clone({ picture, focalPoint, position, zoom, tint, caption, name }),
    );
    const given = bestFit(
      shown.map(({ picture }) => {
        const asset = draft.pictures[picture ?? ''];
        return asset ? asset.inlineSize / asset.blockSize : 1;
      }),
      tiles.map(({ id }) => aspects[id] ?? 1),
    );
    tiles.forEach((tile, k) => {
      const next = shown[given[k] ?? k];
      if (!next || next.picture === tile.picture) return;
      delete tile.position;
      delete tile.zoom;
      delete tile.tint;
      Object.assign(
        tile,
        Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)),
      );
    });
  };
}
