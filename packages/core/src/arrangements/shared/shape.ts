import { mediaOf } from '../../document/card.js';
import type { CollectionDocument, Tile, WholePlace } from '../../document/types.js';

/** Inline ÷ block of a tile that has a shape of its own: a picture or a film; null for others. */
export function aspectOf({ pictures, films }: CollectionDocument, tile: Tile): number | null {
  const media = mediaOf(tile);
  if (!media) return null;
  const shown = 'film' in media ? films?.[media.film ?? ''] : pictures[media.picture ?? ''];
  return shown ? shown.inlineSize / shown.blockSize : 4 / 3;
}

/** Inline ÷ block that a tile asks for where only pictures have a shape: others by their spans. */
export const shapeOf = (
  document: CollectionDocument,
  tile: Tile,
  { columnSpan, rowSpan }: Pick<WholePlace, 'columnSpan' | 'rowSpan'>,
): number => aspectOf(document, tile) ?? columnSpan / rowSpan;
