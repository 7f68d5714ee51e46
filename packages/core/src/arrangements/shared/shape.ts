import type { CollectionDocument, Tile, WholePlace } from '../../document/types.js';

/** Inline ÷ block of a tile that has a shape of its own: a picture or a film; null for others. */
export function aspectOf({ pictures, films }: CollectionDocument, tile: Tile): number | null {
  const shown =
    tile.kind === 'picture' && tile.picture !== null
      ? pictures[tile.picture]
      : tile.kind === 'film' && tile.film !== null
        ? films?.[tile.film]
        : undefined;
  if (shown) return shown.inlineSize / shown.blockSize;
  return tile.kind === 'picture' || tile.kind === 'film' ? 4 / 3 : null;
}

/** Inline ÷ block that a tile asks for where only pictures have a shape: others by their spans. */
export const shapeOf = (
  document: CollectionDocument,
  tile: Tile,
  { columnSpan, rowSpan }: Pick<WholePlace, 'columnSpan' | 'rowSpan'>,
): number => aspectOf(document, tile) ?? columnSpan / rowSpan;
