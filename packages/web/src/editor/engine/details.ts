import {
  DETAIL_INLINE_SIZE,
  detailOf,
  picturesBehindWords,
  type CollectionDocument,
  type Detail,
  type Details,
  type PictureAsset,
} from '@noria/core';
import { addressFor } from '../../api/pictures';

/** So long one is waited for, ms; words on it are told by a few px of it meanwhile. */
const PATIENCE_MS = 4000;

async function read(picture: PictureAsset): Promise<Detail | null> {
  const response = await fetch(addressFor(picture, DETAIL_INLINE_SIZE), {
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!response.ok) throw new Error(`${response.status}`);
  const bitmap = await createImageBitmap(await response.blob());
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext('2d');
  if (!context) return null;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return detailOf({ columns: width, rows: height, bytes: context.getImageData(0, 0, width, height).data });
}

/** Every px of the pictures that words stand on; what can’t be fetched or decoded is left out, and tried again. */
export function detailsReader(): (document: CollectionDocument) => Promise<Details> {
  /** Nothing for a picture that lets something through. */
  let known = new Map<string, Detail | null>();
  let details: Details = new Map();
  return async (document) => {
    const wanted = new Map(picturesBehindWords(document).map((picture) => [picture.hash, picture]));
    const found = await Promise.all(
      [...wanted].map(async ([hash, picture]) => {
        const detail = known.get(hash);
        return [hash, detail === undefined ? await read(picture).catch(() => undefined) : detail] as const;
      }),
    );
    const now = new Map(found.flatMap(([hash, detail]) => (detail === undefined ? [] : [[hash, detail]])));
    const isSame = now.size === known.size && [...now].every(([hash, detail]) => known.get(hash) === detail);
    // The same details are the same object: what was worked out of them stands.
    if (!isSame) {
      known = now;
      details = new Map([...now].flatMap(([hash, detail]) => (detail ? [[hash, detail]] : [])));
    }
    return details;
  };
}
