import type { CollectionDocument, PictureTile, Tile } from '../document/types.js';

/** The set of pictures that open large where nobody names another. */
export const ALL_PICTURES = 'pictures';

/** Whether a picture can open large: it is there, and a press on it leads nowhere else. */
const canOpen = (tile: Tile): tile is PictureTile =>
  tile.kind === 'picture' && tile.picture !== null && tile.link === undefined;

/** A collection in which every picture that opens large says so itself. */
export function withEnlarged(document: CollectionDocument): CollectionDocument {
  if (document.enlarges !== 'all') return document;
  const tiles = Object.values(document.tiles).map((tile): [string, Tile] => [
    tile.id,
    canOpen(tile) ? { ...tile, enlarges: tile.enlarges ?? ALL_PICTURES } : tile,
  ]);
  return { ...document, tiles: Object.fromEntries(tiles) };
}

/** The set that a picture opens large in; null: it does not. */
export const enlargedSet = (tile: PictureTile): string | null =>
  canOpen(tile) ? (tile.enlarges ?? null) : null;

/** Whether any picture of a collection opens large, as `withEnlarged` gives it. */
export const hasEnlarged = ({ tiles }: CollectionDocument) =>
  Object.values(tiles).some((tile) => tile.kind === 'picture' && enlargedSet(tile) !== null);
