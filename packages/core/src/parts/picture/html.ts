import { escapeHtml } from '../../engine/css/escape.js';
import { attributes } from '../shared/html.js';
import type { Card, PictureAsset, PicturePart } from '../../document/types.js';
import type { PictureSources } from '../part.js';

/** A picture's element, with attributes of its own before the others. */
export function imageHtml(picture: PictureAsset, sources: PictureSources, own: string): string {
  const all = attributes(
    own,
    `src="${escapeHtml(sources.src)}"`,
    sources.srcset && `srcset="${escapeHtml(sources.srcset)}"`,
    sources.sizes && `sizes="${escapeHtml(sources.sizes)}"`,
    `width="${picture.inlineSize}" height="${picture.blockSize}"`,
    `alt="${escapeHtml(picture.alternativeText)}"`,
    sources.srcset && 'loading="lazy" decoding="async"',
  );
  return `<img ${all}>`;
}

/** The button over a picture that opens it large. */
export function enlargeHtml(
  tile: Card,
  { enlarges }: PicturePart,
  picture: PictureAsset | undefined,
): string {
  if (enlarges === undefined || !picture || tile.link !== undefined) return '';
  const what = picture.alternativeText || tile.name;
  return `<button type="button" class="enlarge" data-set="${escapeHtml(enlarges)}" aria-label="${escapeHtml(`Enlarge: ${what}`)}"></button>`;
}
