import { isDrawing, writeForm, type CollectionDocument, type Form, type PageAsset } from '@noria/core';
import { copyFile, mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import subsetFont from 'subset-font';
import { CliError, why } from './CliError.js';
import { writeText } from './files.js';
import { shippedFolder } from './fonts.js';
import type { ReadCollection } from './readDocument.js';

/**
 * Writes a collection in one of its forms into a folder, with pictures and fonts.
 * @param pictures the folder that holds the collection's pictures
 * @returns how many files were written
 * @throws CliError when a picture is missing or can't be read
 */
export async function exportPage(
  { document, measurer }: ReadCollection,
  pictures: string,
  out: string,
  form: Form,
): Promise<number> {
  const page = writeForm(form, document, measurer);
  const paths = [...page.assets.map(({ path }) => path), ...Object.keys(page.files)];
  for (const folder of new Set(['.', ...paths.map((path) => dirname(path))])) {
    const path = join(out, folder);
    await mkdir(path, { recursive: true }).catch((error: unknown) => {
      throw new CliError(`The folder ${path} can’t be made: ${why(error)}.`);
    });
  }
  for (const asset of page.assets) await writeAsset(document, asset, pictures, out);
  for (const [path, text] of Object.entries(page.files)) await writeText(join(out, path), text);
  return page.assets.length + Object.keys(page.files).length;
}

async function writeAsset(
  document: CollectionDocument,
  asset: PageAsset,
  pictures: string,
  out: string,
): Promise<void> {
  const to = join(out, asset.path);
  if (asset.kind === 'font') {
    await copyFile(join(shippedFolder(asset.family), asset.file), to);
    return;
  }
  if (asset.kind === 'ownFont') {
    const bytes = await readFile(join(pictures, '..', 'fonts', asset.face.file));
    await writeFile(to, await subsetFont(bytes, asset.characters, { targetFormat: 'woff2' }));
    return;
  }
  if (asset.kind === 'film') {
    const from = join(pictures, '..', 'films', document.films?.[asset.film]?.file ?? '');
    await copyFile(from, to).catch(() => {
      throw new CliError(`There is no film ${from}. Films lie in a folder “films” beside the collection.`);
    });
    return;
  }
  const picture = document.pictures[asset.picture];
  const from = join(pictures, picture?.file ?? '');
  try {
    if (picture && isDrawing(picture)) await copyFile(from, to);
    else
      await sharp(from, { density: 300 })
        .resize({ width: asset.inlineSize })
        .webp({ quality: 84 })
        .toFile(to);
  } catch (error) {
    throw new CliError(
      `The picture ${from} can’t be used (${why(error)}). Pictures lie in a folder “pictures” beside the collection.`,
    );
  }
}
