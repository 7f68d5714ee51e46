import { element, type Attributes, type PageElement } from '../../engine/html/node.js';
import type { Card, CollectionDocument, PictureAsset, PicturePart, Tile } from '../../document/types.js';
import type { PictureSources } from '../part.js';

/** Whether a tile is as wide as what it holds in any band: a picture that has not come yet would move it. */
const isAsWideAsItsPicture = ({ bands }: CollectionDocument, { id, place }: Tile): boolean =>
  [place, ...bands.map(({ tiles }) => tiles[id])].some(
    (each) => each?.fit && each.fit.inline !== 'stretch' && each.fit.inlineSize === null,
  );

/** A picture's element, with attributes of its own before the others. */
export const imageOf = (
  document: CollectionDocument,
  tile: Tile,
  picture: PictureAsset,
  sources: PictureSources,
  own: Attributes = {},
): PageElement =>
  element('img', {
    ...own,
    src: sources.src,
    srcset: sources.srcset || undefined,
    sizes: sources.sizes || undefined,
    width: picture.inlineSize,
    height: picture.blockSize,
    alt: picture.alternativeText,
    ...(sources.srcset && {
      loading: isAsWideAsItsPicture(document, tile) ? undefined : 'lazy',
      decoding: 'async',
    }),
  });

/** The button over a picture that opens it large. */
export function enlargeButton(
  tile: Card,
  { enlarges, caption }: PicturePart,
  picture: PictureAsset | undefined,
): PageElement | undefined {
  if (enlarges === undefined || !picture || tile.link !== undefined) return undefined;
  const what = picture.alternativeText || tile.name || caption || picture.name;
  return element('button', {
    type: 'button',
    class: 'enlarge',
    'data-set': enlarges,
    'aria-label': `Enlarge: ${what}`,
  });
}
