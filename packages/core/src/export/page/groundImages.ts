import { LIMITS } from '../../document/limits.js';
import { bandsOf } from '../../document/bands.js';
import { pictureVariants } from './pictureSizes.js';
import { slotsAt } from './slots.js';
import type { PictureImage } from '../../parts/part.js';
import type { CollectionDocument, PictureAsset, Tile } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** How wide a page is taken to be at most where its grid has no maximum. */
const WIDEST_SCREEN = 1920;

/**
 * How pictures behind tiles go out: by density, in the variants that the largest slot of the tile in
 * any band asks for.
 * @param take says that a variant is used, and answers its path
 */
export function groundImages(
  document: CollectionDocument,
  measurer: TextMeasurer,
  take: (picture: PictureAsset, inlineSize: number) => string,
): PictureImage {
  const largest = (tile: Tile, aspect: number) =>
    Math.max(
      ...bandsOf(document).map(({ below, from }) => {
        const width = Math.max(Math.min(below - 1, WIDEST_SCREEN), from, LIMITS.narrowest);
        const slot = slotsAt(document, width, measurer).get(tile.id);
        return Math.max(slot?.inlineSize ?? 0, (slot?.blockSize ?? 0) * aspect);
      }),
    );
  return (picture, tile) => {
    const variants = pictureVariants(picture);
    const wide = largest(tile, picture.inlineSize / picture.blockSize);
    const at = (density: number) =>
      variants.find((size) => size >= wide * density) ?? variants.at(-1) ?? picture.inlineSize;
    const [one, two] = [at(1), at(2)];
    return one === two
      ? `url("${take(picture, one)}")`
      : `image-set(url("${take(picture, one)}") 1x, url("${take(picture, two)}") 2x)`;
  };
}
