import type { CollectionDocument, Page } from '@noria/core';
import { zip, type Zippable } from 'fflate';
import PQueue from 'p-queue';
import { filmAddress } from '../../api/films';
import { originalAddress, fileAddress } from '../../api/pictures';
import { request, ServerProblem } from '../../api/problem';
import { fontAddress, shippedFontAddress, subsetAddress } from '../../api/fonts';

/**
 * How many files are asked for at once: a size of a picture may be made only then, and the time that a
 * request is given runs from when it is sent.
 */
const AT_ONCE = 4;
const bytes = async ({ address, ask }: Wanted) =>
  new Uint8Array(await (await request(address, ask)).arrayBuffer());
const utf8 = (text: string) => new TextEncoder().encode(text);

const packed = (files: Zippable) =>
  new Promise<Blob>((resolve, reject) => {
    // Pictures and fonts are compressed already.
    zip(files, { level: 0 }, (error, data) =>
      error ? reject(error) : resolve(new Blob([data], { type: 'application/zip' })),
    );
  });

/** An archive, and what could not be put in it, by its name: it is in the library no more. */
export interface Archive {
  readonly blob: Blob;
  readonly missing: readonly string[];
}

/** The files that are there, by path, and the names of those that are in the library no more. */
async function gathered(
  files: readonly Wanted[],
): Promise<{ readonly there: Zippable; readonly missing: string[] }> {
  const missing = new Set<string>();
  const there: Zippable = {};
  const queue = new PQueue({ concurrency: AT_ONCE });
  const take = async (file: Wanted) => {
    try {
      there[file.path] = await bytes(file);
    } catch (error) {
      // What fails ends the archive: nothing more is asked for.
      if (!(error instanceof ServerProblem) || error.status !== 404) {
        queue.clear();
        throw error;
      }
      missing.add(file.name);
    }
  };
  await Promise.all(files.map((file) => queue.add(() => take(file))));
  return { there, missing: [...missing] };
}

interface Wanted {
  readonly path: string;
  readonly address: string;
  /** How it is asked for; left out: plainly. */
  readonly ask?: RequestInit;
  readonly name: string;
}

/** The page with everything it needs: HTML, CSS, picture variants, fonts. */
export async function pageArchive(document: CollectionDocument, page: Page): Promise<Archive> {
  const texts = Object.entries(page.files).map(([path, text]) => [path, utf8(text)] as const);
  const { there, missing } = await gathered(
    page.assets.map((asset): Wanted => {
      const { path } = asset;
      if (asset.kind === 'font') return { path, address: shippedFontAddress(asset.file), name: asset.file };
      if (asset.kind === 'ownFont') {
        const ask = {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ characters: asset.characters }),
        };
        return { path, address: subsetAddress(asset.face), ask, name: asset.face.file };
      }
      if (asset.kind === 'film') {
        const film = document.films?.[asset.film];
        if (!film) throw new Error(`The film ${asset.film} is missing from the collection.`);
        return { path, address: filmAddress(film), name: film.name };
      }
      const picture = document.pictures[asset.picture];
      if (!picture) throw new Error(`The picture ${asset.picture} is missing from the collection.`);
      return { path, address: fileAddress(picture, asset.inlineSize), name: picture.name };
    }),
  );
  return { blob: await packed({ ...Object.fromEntries(texts), ...there }), missing };
}

/** The collection itself, as Noria and its command line read it, with its pictures, films and fonts. */
export async function collectionArchive(document: CollectionDocument, fileName: string): Promise<Archive> {
  const { there, missing } = await gathered([
    ...Object.values(document.pictures).map((picture) => ({
      path: `pictures/${picture.file}`,
      address: originalAddress(picture),
      name: picture.name,
    })),
    ...Object.values(document.films ?? {}).map((film) => ({
      path: `films/${film.file}`,
      address: filmAddress(film),
      name: film.name,
    })),
    ...Object.values(document.families ?? {}).flatMap(({ faces }) =>
      faces.map((face) => ({ path: `fonts/${face.file}`, address: fontAddress(face), name: face.file })),
    ),
  ]);
  return { blob: await packed({ [fileName]: utf8(collectionText(document)), ...there }), missing };
}

export const collectionText = (document: CollectionDocument) => `${JSON.stringify(document, null, 2)}\n`;
