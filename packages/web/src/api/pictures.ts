import { pictureVariants, type PictureAsset } from '@noria/core';
import { WORKSPACE } from './collections';
import { request } from './problem';

const pictures = `/api/workspaces/${WORKSPACE}/pictures`;

export const originalAddress = ({ hash }: PictureAsset) => `${pictures}/${hash}`;
export const variantAddress = ({ hash }: PictureAsset, inlineSize: number) =>
  `${pictures}/${hash}/${inlineSize}`;

/** The smallest variant that is still sharp over so many device px. */
export function addressFor(picture: PictureAsset, devicePx: number): string {
  const sizes = pictureVariants(picture);
  return variantAddress(picture, sizes.find((size) => size >= devicePx) ?? (sizes.at(-1) as number));
}

export async function uploadPicture(file: File, taken: readonly string[]): Promise<PictureAsset> {
  const form = new FormData();
  form.append('picture', file);
  const response = await request(pictures, { method: 'POST', body: form });
  const stored = (await response.json()) as Pick<
    PictureAsset,
    'hash' | 'mediaType' | 'inlineSize' | 'blockSize'
  >;
  const extension = stored.mediaType.replace('image/', '');
  const name = file.name.replace(/\.[^.]+$/, '').slice(0, 80) || 'Picture';
  const slug =
    name
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^[^a-z]+|-$/g, '')
      .slice(0, 50) || 'picture';
  const id =
    [slug, ...Array.from({ length: taken.length }, (_, k) => `${slug}-${k + 2}`)].find(
      (each) => !taken.includes(each),
    ) ?? slug;
  const { hash, mediaType, inlineSize, blockSize } = stored;
  return {
    id,
    name,
    file: `${id}.${extension}`,
    hash,
    mediaType,
    inlineSize,
    blockSize,
    alternativeText: '',
  };
}
