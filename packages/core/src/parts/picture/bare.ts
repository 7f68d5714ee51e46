import { pictureOf } from '../../document/card.js';
import { veils } from '../../look/paints.js';
import type { Tile } from '../../document/types.js';

/** Whether a tile's element is its picture itself: nothing is with it, or over it. */
export function isBarePicture(tile: Tile): boolean {
  const part = pictureOf(tile);
  return (
    part !== null &&
    part.picture !== null &&
    part.caption === '' &&
    (tile.badges ?? []).length === 0 &&
    (part.zoom ?? 1) === 1 &&
    !veils(part.tint) &&
    tile.link === undefined &&
    part.enlarges === undefined
  );
}
