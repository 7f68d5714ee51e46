import { clone } from '../../document/clone.js';
import { pictureOf } from '../../document/card.js';
import { insertTile, setPart, setTile, type PartValues } from './tiles.js';
import { newCard } from '../../parts/newTile.js';
import { bestFit } from '../../geometry/assign.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, PictureAsset, PictureId, Tile, TileId } from '../../document/types.js';

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** Files in the order of the numbers in their names: 2 before 10. */
export function byNumberedName<F extends { readonly name: string }>(files: readonly F[]): F[] {
  return files.toSorted((a, b) => collator.compare(a.name, b.name));
}

/** The tiles of a level that a picture fills, in reading order, from the one pointed at on. */
export function pictureSlots({ order, tiles }: CollectionDocument, from: TileId | null): TileId[] {
  const start = from === null ? 0 : Math.max(0, order.indexOf(from));
  return order.slice(start).filter((id) => tiles[id] && pictureOf(tiles[id]));
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
        const part = pictureOf(draft.tiles[id] as Tile);
        if (part && part.picture !== picture.id) setPart([id], part.id, shownAnew(picture.id))(draft);
      }
      rest.forEach(({ id, picture }, k) => {
        const tile = newCard('picture', id, { picture: { picture: picture.id } });
        insertTile(draft, tile, position + k);
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
    const slots = Object.keys(aspects).flatMap((id) => {
      const tile = draft.tiles[id];
      const part = tile ? pictureOf(tile) : null;
      return tile && part?.picture ? [{ tile, part }] : [];
    });
    const shown = slots.map(({ tile, part: { id: _, ...part } }) => ({ part: clone(part), name: tile.name }));
    const given = bestFit(
      shown.map(({ part }) => {
        const asset = draft.pictures[part.picture ?? ''];
        return asset ? asset.inlineSize / asset.blockSize : 1;
      }),
      slots.map(({ tile }) => aspects[tile.id] ?? 1),
    );
    slots.forEach(({ tile, part }, k) => {
      const next = shown[given[k] ?? k];
      if (!next || next.part.picture === part.picture) return;
      const { picture, focalPoint, position, zoom, tint, caption } = next.part;
      setPart([tile.id], part.id, { picture, focalPoint, position, zoom, tint, caption })(draft);
      setTile([tile.id], { name: next.name })(draft);
    });
  };
}

/** A picture as it is shown where another one was: its subject is looked for in the middle again. */
export const shownAnew = (picture: PictureId): PartValues => ({
  picture,
  focalPoint: { x: 0.5, y: 0.5 },
  position: undefined,
  zoom: undefined,
});
