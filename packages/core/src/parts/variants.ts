import type { PictureAsset } from '../document/types.js';

/** Where a picture variant lies in the page's folder. Variants go out as WebP. */
export const variantPath = ({ file }: Pick<PictureAsset, 'file'>, inlineSize: number) =>
  `pictures/${file.replace(/\.[^.]+$/, '')}-${inlineSize}.webp`;
