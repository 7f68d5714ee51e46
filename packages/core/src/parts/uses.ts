import { namedIn } from '../look/named.js';
import type { CollectionDocument, FilmId, IconId, PictureId, Tile, TileId } from '../document/types.js';

/** The pictures that a tile shows, in it or behind it. */
export function picturesIn(tile: Tile): PictureId[] {
  const { fill } = tile.look;
  const behind = typeof fill === 'object' && fill.kind === 'picture' ? [fill.picture] : [];
  const shown =
    tile.kind === 'picture'
      ? [tile.picture]
      : tile.kind === 'film'
        ? [tile.poster]
        : tile.kind === 'marks'
          ? tile.marks.map(({ picture }) => picture)
          : [];
  return [...shown, ...behind].filter((id) => id !== null);
}

export const filmIn = (tile: Tile): FilmId | null => (tile.kind === 'film' ? tile.film : null);

export const iconsIn = (tile: Tile): IconId[] =>
  tile.kind === 'marks' ? tile.marks.flatMap(({ icon }) => icon ?? []) : [];

/** The named looks that a value refers to, however deep. */
export function namedLooksIn(value: unknown): string[] {
  const id = namedIn(value);
  if (id !== null) return [id];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(namedLooksIn) : [];
}

/** The tiles of a collection that show a picture, by its hash. */
export const tilesShowing = ({ tiles, pictures }: CollectionDocument, hash: string): TileId[] =>
  Object.values(tiles)
    .filter((tile) => picturesIn(tile).some((id) => pictures[id]?.hash === hash))
    .map(({ id }) => id);
