/** What a card holds, by what its parts have and not by what they are called. */

import type { Card, MediaPart, Part, PartId, PicturePart, Tile } from './types.js';

const NONE: readonly Part[] = [];

/** The parts of a tile in the order in which they are read; a group has none. */
export const partsOf = (tile: Tile): readonly Part[] => (tile.kind === 'card' ? tile.parts : NONE);

/** The picture or film that fills a tile, because it is all that is in it; null where there is more, or none. */
export function mediaOf(tile: Tile): MediaPart | null {
  if (tile.kind !== 'card' || tile.parts.length !== 1) return null;
  const [only] = tile.parts;
  return only && 'focalPoint' in only ? only : null;
}

/** The picture part that fills a tile, chosen already or not; null where there is none. */
export function pictureOf(tile: Tile): PicturePart | null {
  const media = mediaOf(tile);
  return media && 'picture' in media ? media : null;
}

/** A card in which one part is another. */
export const withPart = (card: Card, part: Part): Card => ({
  ...card,
  parts: card.parts.map((each) => (each.id === part.id ? part : each)),
});

/** The part of that id; undefined where there is none. */
export const partIn = (tile: Tile | undefined, id: PartId): Part | undefined =>
  tile && partsOf(tile).find((part) => part.id === id);
