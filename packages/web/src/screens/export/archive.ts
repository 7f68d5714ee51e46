import type { CollectionDocument, Page } from '@noria/core';
import { zip, type Zippable } from 'fflate';
import { filmAddress } from '../../api/films';
import { originalAddress, variantAddress } from '../../api/pictures';
import { request } from '../../api/problem';
import { fontAddress } from '../../editor/engine/fonts';

const bytes = async (address: string) => new Uint8Array(await (await request(address)).arrayBuffer());
const utf8 = (text: string) => new TextEncoder().encode(text);

const packed = (files: Zippable) =>
  new Promise<Blob>((resolve, reject) => {
    // Pictures and fonts are compressed already.
    zip(files, { level: 0 }, (error, data) =>
      error ? reject(error) : resolve(new Blob([data], { type: 'application/zip' })),
    );
  });

/** The page with everything it needs: HTML, CSS, picture variants, fonts. */
export async function pageArchive(document: CollectionDocument, page: Page): Promise<Blob> {
  const texts = Object.entries(page.files).map(([path, text]) => [path, utf8(text)] as const);
  const assets = await Promise.all(
    page.assets.map(async (asset) => {
      if (asset.kind === 'font') return [asset.path, await bytes(fontAddress(asset.file))] as const;
      if (asset.kind === 'film') {
        const film = document.films?.[asset.film];
        if (!film) throw new Error(`The film ${asset.film} is missing from the collection.`);
        return [asset.path, await bytes(filmAddress(film))] as const;
      }
      const picture = document.pictures[asset.picture];
      if (!picture) throw new Error(`The picture ${asset.picture} is missing from the collection.`);
      return [asset.path, await bytes(variantAddress(picture, asset.inlineSize))] as const;
    }),
  );
  return packed(Object.fromEntries([...texts, ...assets]));
}

/** The collection itself, as Noria and its command line read it, with its pictures. */
export async function collectionArchive(document: CollectionDocument, fileName: string): Promise<Blob> {
  const pictures = await Promise.all(
    Object.values(document.pictures).map(
      async (picture) => [`pictures/${picture.file}`, await bytes(originalAddress(picture))] as const,
    ),
  );
  const films = await Promise.all(
    Object.values(document.films ?? {}).map(
      async (film) => [`films/${film.file}`, await bytes(filmAddress(film))] as const,
    ),
  );
  return packed(Object.fromEntries([[fileName, utf8(collectionText(document))], ...pictures, ...films]));
}

export const collectionText = (document: CollectionDocument) => `${JSON.stringify(document, null, 2)}\n`;
