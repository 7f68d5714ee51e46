import type { PictureAsset } from '../document/types.js';

/** Whether a picture is a drawing, which is as sharp at any size: it goes out as it is. */
export const isDrawing = ({ mediaType }: { readonly mediaType: PictureAsset['mediaType'] }): boolean =>
  mediaType === 'image/svg+xml';

/** Where a picture variant lies in the page's folder. Variants go out as WebP, drawings as they are. */
export const variantPath = (picture: Pick<PictureAsset, 'file' | 'mediaType'>, inlineSize: number) =>
  isDrawing(picture)
    ? `pictures/${picture.file}`
    : `pictures/${picture.file.replace(/\.[^.]+$/, '')}-${inlineSize}.webp`;
