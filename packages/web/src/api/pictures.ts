import { isDrawing, pictureVariants, type PictureAsset } from '@noria/core';
import { fileId } from './ids';
import { everyPage, type Page } from './pages';
import { request } from './problem';
import { workspacePath } from './workspace';

const pictures = () => workspacePath('pictures');

export const originalAddress = ({ hash }: Pick<PictureAsset, 'hash'>) => `${pictures()}/${hash}`;
const variantAddress = ({ hash }: Pick<PictureAsset, 'hash'>, inlineSize: number) =>
  `${pictures()}/${hash}/${inlineSize}`;

type Sized = Pick<PictureAsset, 'hash' | 'inlineSize' | 'mediaType'>;

/** A variant of a picture; a drawing itself, which has none. */
export const fileAddress = (picture: Sized, inlineSize: number) =>
  isDrawing(picture) ? originalAddress(picture) : variantAddress(picture, inlineSize);

/** The smallest variant that is still sharp over so many device px. */
export function addressFor(picture: Sized, devicePx: number): string {
  const sizes = pictureVariants(picture);
  return fileAddress(picture, sizes.find((size) => size >= devicePx) ?? (sizes.at(-1) as number));
}

/** A picture of the workspace's library. */
export interface LibraryPicture {
  readonly hash: string;
  readonly name: string;
  readonly mediaType: PictureAsset['mediaType'];
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly byteSize: number;
  readonly colours: readonly string[];
  readonly raster: string | null;
  readonly placeholder: string | null;
  readonly alternativeText: string;
  /** Names that it came under again. */
  readonly aliases: readonly string[];
  readonly createdAt: string;
  /** How many tiles show it. */
  readonly uses: number;
}

export interface PictureUse {
  readonly id: string;
  readonly name: string;
  readonly tiles: readonly string[];
}

/** Which pictures of the library are asked for. */
export interface PictureQuestion {
  readonly search?: string;
  readonly only?: 'all' | 'unused' | 'silent';
}

export interface PicturePage extends Page<LibraryPicture> {
  /** How many there are in all, and how many of them have no alternative text. */
  readonly total: number;
  readonly silent: number;
}

/** A page of the library, the newest first. */
export async function listPictures(
  { search = '', only = 'all' }: PictureQuestion,
  after: string | null = null,
  limit = 60,
): Promise<PicturePage> {
  const query = new URLSearchParams({ limit: String(limit), only });
  if (search.trim() !== '') query.set('search', search.trim());
  if (after !== null) query.set('after', after);
  return (await (await request(`${pictures()}?${query.toString()}`)).json()) as PicturePage;
}

/** Every picture of the library. */
export const allPictures = (): Promise<LibraryPicture[]> =>
  everyPage((after) => listPictures({}, after, 200));

export async function picturesUses(hash: string): Promise<PictureUse[]> {
  return (await (await request(`${pictures()}/${hash}/uses`)).json()) as PictureUse[];
}

/** The address of what a picture is called and shows, and what is sent there. */
export const pictureDetails = (
  hash: string,
  values: { readonly name?: string; readonly alternativeText?: string },
) => ({ method: 'PATCH', path: `${pictures()}/${hash}`, body: values });

export async function deletePicture(hash: string, evenUsed: boolean): Promise<void> {
  await request(`${pictures()}/${hash}${evenUsed ? '?evenUsed=true' : ''}`, { method: 'DELETE' });
}

const EXTENSIONS: Readonly<Record<PictureAsset['mediaType'], string>> = {
  'image/jpeg': 'jpeg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
  'image/gif': 'gif',
  'image/svg+xml': 'svg',
};

/** A picture of the library as a collection holds it. */
export function toAsset(picture: Omit<LibraryPicture, 'uses' | 'createdAt'>): PictureAsset {
  const { hash, mediaType, inlineSize, blockSize, alternativeText, colours, raster, placeholder } = picture;
  const name = picture.name.replace(/\.[^.]{1,5}$/, '').slice(0, 80) || 'Picture';
  const id = fileId(name, 'picture', hash);
  return {
    id,
    name,
    file: `${id}.${EXTENSIONS[mediaType]}`,
    hash,
    mediaType,
    inlineSize,
    blockSize,
    alternativeText,
    ...(colours.length > 0 && { colours }),
    ...(raster !== null && { raster }),
    ...(placeholder !== null && { placeholder }),
  };
}

/** Uploads a picture to the library; the same bytes twice are one. */
export async function uploadToLibrary(file: File, signal?: AbortSignal): Promise<LibraryPicture> {
  const form = new FormData();
  form.append('picture', file);
  // Many wait for their turn on the server, so there is no hurry.
  const patience = AbortSignal.timeout(300_000);
  const response = await request(pictures(), {
    method: 'POST',
    body: form,
    signal: signal ? AbortSignal.any([signal, patience]) : patience,
  });
  return { ...((await response.json()) as LibraryPicture), uses: 0 };
}

export const uploadPicture = async (file: File): Promise<PictureAsset> =>
  toAsset(await uploadToLibrary(file));
