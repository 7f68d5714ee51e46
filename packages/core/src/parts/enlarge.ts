import { pictureOf, withPart } from '../document/card.js';
import type { CollectionDocument, PicturePart, Tile } from '../document/types.js';

/** The set of pictures that open large where nobody names another. */
export const ALL_PICTURES = 'pictures';

/** The picture of a tile that can open large: it is there, and a press on it leads nowhere else. */
function opening(tile: Tile): PicturePart | null {
  const part = pictureOf(tile);
  return part && part.picture !== null && tile.link === undefined ? part : null;
}

/** A collection in which every picture that opens large says so itself. */
export function withEnlarged(document: CollectionDocument): CollectionDocument {
  if (document.enlarges !== 'all') return document;
  const tiles = Object.values(document.tiles).map((tile): [string, Tile] => {
    const part = opening(tile);
    return [
      tile.id,
      part && tile.kind === 'card'
        ? withPart(tile, { ...part, enlarges: part.enlarges ?? ALL_PICTURES })
        : tile,
    ];
  });
  return { ...document, tiles: Object.fromEntries(tiles) };
}

/** The set that a tile's picture opens large in; null: it does not, or there is none. */
export const enlargedSet = (tile: Tile): string | null => opening(tile)?.enlarges ?? null;

/** Whether any picture of a collection opens large, as `withEnlarged` gives it. */
export const hasEnlarged = ({ tiles }: CollectionDocument) =>
  Object.values(tiles).some((tile) => enlargedSet(tile) !== null);
