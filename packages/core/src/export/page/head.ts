import { pictureVariants } from './pictureSizes.js';
import { element, htmlOf, type PageElement } from '../../engine/html/node.js';
import type { CollectionDocument, PictureAsset } from '../../document/types.js';

/** The widest that a picture is shared, px. */
const SHARED = 1280;

/** Makes a picture a file beside the page; answers its path. */
export type TakePicture = (picture: PictureAsset, inlineSize: number) => string;

/**
 * What the page says of itself in its head, line by line: HTML’s own elements, and the properties of the
 * Open Graph protocol where a picture is shared with it. A picture can be found from elsewhere only by its whole
 * address, so that needs the address of the page.
 */
export function headOf(document: CollectionDocument, take: TakePicture): string {
  const { page = {}, pictures, name } = document;
  const { description, address } = page;
  const title = page.title ?? name;
  const shared = page.picture === undefined ? undefined : pictures[page.picture];
  const icon = page.icon === undefined ? undefined : pictures[page.icon];
  const lines: (PageElement | undefined)[] = [
    element('title', {}, [title]),
    description === undefined ? undefined : element('meta', { name: 'description', content: description }),
    address === undefined ? undefined : element('link', { rel: 'canonical', href: address }),
    icon && element('link', { rel: 'icon', href: take(icon, pictureVariants(icon)[0] ?? icon.inlineSize) }),
    ...(shared ? sharing(shared, { title, description, address }, take) : []),
  ];
  return lines.flatMap((line) => (line ? [`  ${htmlOf(line)}\n`] : [])).join('');
}

function sharing(
  picture: PictureAsset,
  said: {
    readonly title: string;
    readonly description: string | undefined;
    readonly address: string | undefined;
  },
  take: TakePicture,
): PageElement[] {
  const variants = pictureVariants(picture);
  const inlineSize = variants.findLast((size) => size <= SHARED) ?? variants[0] ?? picture.inlineSize;
  const path = take(picture, inlineSize);
  const properties: Record<string, string | number | undefined> = {
    'og:type': 'website',
    'og:title': said.title,
    'og:description': said.description,
    'og:url': said.address,
    'og:image': said.address === undefined ? path : new URL(path, said.address).href,
    'og:image:width': inlineSize,
    'og:image:height': Math.round((picture.blockSize * inlineSize) / picture.inlineSize),
    'og:image:alt': picture.alternativeText || undefined,
  };
  return Object.entries(properties).flatMap(([property, content]) =>
    content === undefined ? [] : [element('meta', { property, content })],
  );
}
