import type { PictureAsset } from '../document/types.js';

/** A picture whose alternative text has to be escaped. */
export const hut: PictureAsset = {
  id: 'hut',
  name: 'Hut',
  file: 'hut.webp',
  hash: 'a'.repeat(64),
  mediaType: 'image/webp',
  inlineSize: 1800,
  blockSize: 1200,
  alternativeText: 'A hut & its "window"',
};
