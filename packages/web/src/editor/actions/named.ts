import { tileName, type CollectionDocument, type Tile } from '@noria/core';

/** “Beds” or “3 tiles”. */
export const named = (tiles: readonly Tile[], document: CollectionDocument): string =>
  tiles.length === 1 && tiles[0] ? `“${tileName(tiles[0], document)}”` : `${tiles.length} tiles`;
