import type { CollectionDocument, PictureAsset } from '@noria/core';
import PQueue from 'p-queue';
import { addCollection } from '../../api/listedCollections';
import { toAsset, uploadToLibrary } from '../../api/pictures';
import type { Opened, ReadGrid, Tell } from './readFiles';

/** How many pictures go to the library at once. */
const AT_ONCE = 3;

/**
 * Makes a collection of what was opened, its pictures first.
 * @param which of the grids of a page
 * @returns its id
 * @throws Error where the server takes a picture or the collection not; nothing is made then
 */
export async function makeCollection(
  opened: Opened,
  which: number,
  tell: Tell,
  signal: AbortSignal,
): Promise<string> {
  const document = opened.kind === 'page' ? (opened.grids[which] as ReadGrid).document : opened.document;
  const fileOf = (picture: PictureAsset) =>
    opened.kind === 'page' ? opened.byHash[picture.hash] : opened.pictures[picture.file];
  const queue = new PQueue({ concurrency: AT_ONCE });
  const all = Object.entries(document.pictures);
  const pictures: Record<string, PictureAsset> = { ...document.pictures };
  let done = 0;
  await Promise.all(
    all.map(([id, picture]) =>
      queue.add(async () => {
        signal.throwIfAborted();
        const file = fileOf(picture);
        if (file) pictures[id] = known(picture, toAsset(await uploadToLibrary(file, signal)));
        tell('Adding pictures to the library', ++done / all.length);
      }),
    ),
  );
  signal.throwIfAborted();
  const made: CollectionDocument = { ...document, pictures };
  return (await addCollection({ document: made })).id;
}

/** A picture as the library has it, under the names that the page has for it. */
const known = ({ id, name, alternativeText }: PictureAsset, asset: PictureAsset): PictureAsset => ({
  ...asset,
  id,
  name,
  alternativeText: alternativeText === '' ? asset.alternativeText : alternativeText,
});
