/** What a card holds, by what its parts have and not by what they are called. */

import type { Card, IconsPart, MediaPart, Part, PartId, PicturePart, Tile } from './types.js';

const NONE: readonly Part[] = [];

/** The parts of a tile in the order in which they are read, hidden ones too; a group has none. */
export const partsOf = (tile: Tile): readonly Part[] => (tile.kind === 'card' ? tile.parts : NONE);

/** A card without its parts that are not shown; the same object where all are. */
export const shownCard = (card: Card): Card =>
  card.parts.some(({ hidden }) => hidden)
    ? { ...card, parts: card.parts.filter(({ hidden }) => !hidden) }
    : card;

/** The parts of a tile that are shown, in the order in which they are read. */
export const shownParts = (tile: Tile): readonly Part[] =>
  tile.kind === 'card' ? shownCard(tile).parts : NONE;

/** The picture or film that fills a tile, because it is all that is in it; null where there is more, or none. */
export function mediaOf(tile: Tile): MediaPart | null {
  const [only, ...others] = shownParts(tile);
  if (others.length > 0) return null;
  return only && 'focalPoint' in only ? only : null;
}

/** The picture part that fills a tile, chosen already or not; null where there is none. */
export function pictureOf(tile: Tile): PicturePart | null {
  const media = mediaOf(tile);
  return media && 'picture' in media ? media : null;
}

/** The row of icons that is all that a tile shows, and has none yet; null where there is no such row. */
export function emptyIconsOf(tile: Tile): IconsPart | null {
  const [only, ...others] = shownParts(tile);
  return others.length === 0 && only && 'icons' in only && only.icons.length === 0 ? only : null;
}

/** A card in which one part is another. */
export const withPart = (card: Card, part: Part): Card => ({
  ...card,
  parts: card.parts.map((each) => (each.id === part.id ? part : each)),
});

/** The part of that id; undefined where there is none. */
export const partIn = (tile: Tile | undefined, id: PartId): Part | undefined =>
  tile && partsOf(tile).find((part) => part.id === id);
