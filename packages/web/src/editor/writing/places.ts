import {
  allTiles,
  partKindOf,
  plainWords,
  shownParts,
  type CollectionDocument,
  type Part,
  type TextPart,
  type Tile,
  type TileId,
} from '@noria/core';
import type { WordsPlace } from '../editorSlice';

/** The words of a part that are written on the stage, and the field that they are in; null where it has none. */
export function writtenIn(
  part: Part,
): { readonly field: 'words' | 'caption'; readonly words: string } | null {
  if ('words' in part)
    return { field: 'words', words: typeof part.words === 'string' ? part.words : plainWords(part.words) };
  return 'caption' in part ? { field: 'caption', words: part.caption } : null;
}

const isAsked = (part: Part): boolean => {
  const written = writtenIn(part);
  return written !== null && (written.words !== '' || !partKindOf(part).isExtra);
};

/** Whether a part’s words can have paragraphs, lists and marks. */
export const isRich = (part: Part): part is TextPart =>
  partKindOf(part).slots.some(({ field, takesRich }) => field === 'words' && takesRich === true);

/** Where words of a tile are written, in the order in which they are read. */
export const placesIn = (tile: Tile): readonly WordsPlace[] =>
  shownParts(tile)
    .filter(isAsked)
    .map(({ id }) => ({ tile: tile.id, part: id }));

/** Where one begins to write in a tile: in its first words, or in those that it could have; null: it can have none. */
export function placeToBegin(tile: Tile): WordsPlace | null {
  const possible = shownParts(tile).find((part) => writtenIn(part) !== null);
  return placesIn(tile)[0] ?? (possible ? { tile: tile.id, part: possible.id } : null);
}

/**
 * The words after or before others, in reading order over the tiles of the collection, in groups too.
 * @returns null after the last and before the first
 */
export function placeBeside(document: CollectionDocument, at: WordsPlace, by: 1 | -1): WordsPlace | null {
  const tile = document.tiles[at.tile];
  if (!tile) return null;
  // One that was passed over and is written in all the same has its place too.
  const own = shownParts(tile).filter((part) => part.id === at.part || isAsked(part));
  const beside = own[own.findIndex(({ id }) => id === at.part) + by];
  if (beside) return { tile: tile.id, part: beside.id };
  const all = allTiles(document);
  for (let k = all.indexOf(tile.id) + by; k >= 0 && k < all.length; k += by) {
    const next = document.tiles[all[k] as TileId];
    const found = next && placesIn(next).at(by === 1 ? 0 : -1);
    if (found) return found;
  }
  return null;
}

/** The groups around a tile, outermost first. */
export function groupsAround({ tiles }: Pick<CollectionDocument, 'tiles'>, id: TileId): readonly TileId[] {
  const around = Object.values(tiles).find((tile) => tile.kind === 'group' && tile.order.includes(id));
  return around ? [...groupsAround({ tiles }, around.id), around.id] : [];
}
