import {
  DETAIL_INLINE_SIZE,
  detailOf,
  picturesBehindWords,
  type CollectionDocument,
  type Details,
} from '@noria/core';
import { join } from 'node:path';
import sharp from 'sharp';

/** Every px of the pictures that words stand on; those whose files are not in the folder are left out. */
export async function detailsIn(pictures: string, document: CollectionDocument): Promise<Details> {
  const read = picturesBehindWords(document).map(async ({ hash, file }) => {
    const { data, info } = await sharp(join(pictures, file))
      .resize({ width: DETAIL_INLINE_SIZE, withoutEnlargement: true })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return [hash, detailOf({ columns: info.width, rows: info.height, bytes: data })] as const;
  });
  const found = await Promise.allSettled(read);
  return new Map(
    found.flatMap((each) => {
      const [hash, detail] = each.status === 'fulfilled' ? each.value : [];
      return hash !== undefined && detail ? [[hash, detail] as const] : [];
    }),
  );
}
