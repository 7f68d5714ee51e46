import { escapeHtml } from './escape.js';
import type { CollectionDocument, PictureAsset, Tile } from '../document/types.js';

/** How a picture is named in the page: the stage and the exported page reach its bytes differently. */
export interface PictureSources {
  readonly src: string;
  readonly srcset?: string;
  readonly sizes?: string;
}

export type PictureSource = (picture: PictureAsset, tile: Tile) => PictureSources;

/** A tile's element as HTML: the same on the stage and in the exported page. */
export function tileHtml(document: CollectionDocument, tile: Tile, source: PictureSource): string {
  const is = `class="${tile.kind}" data-tile="${tile.id}"`;
  switch (tile.kind) {
    case 'text': {
      const parts = [
        tile.eyebrow && `<p class="eyebrow">${escapeHtml(tile.eyebrow)}</p>`,
        tile.heading && `<h2>${escapeHtml(tile.heading)}</h2>`,
        ...paragraphs(tile.body),
      ];
      return element('article', is, parts);
    }
    case 'stat':
      return element('p', is, [
        `<strong>${escapeHtml(tile.figure)}</strong>`,
        tile.label && `<span>${escapeHtml(tile.label)}</span>`,
      ]);
    case 'quote': {
      const words = `<blockquote>${paragraphs(tile.words).join('')}</blockquote>`;
      return element('figure', is, [
        words,
        tile.source && `<figcaption>${escapeHtml(tile.source)}</figcaption>`,
      ]);
    }
    case 'action':
      return `<a ${is} href="${escapeHtml(tile.address || '#')}">${escapeHtml(tile.label)}</a>`;
    case 'picture': {
      const picture = tile.picture === null ? undefined : document.pictures[tile.picture];
      if (!picture) return element('figure', is, []);
      const image = imageHtml(picture, source(picture, tile));
      if (!tile.caption) return image(is);
      return element('figure', is, [image(''), `<figcaption>${escapeHtml(tile.caption)}</figcaption>`]);
    }
  }
}

function element(name: string, attributes: string, parts: readonly (string | false)[]): string {
  return `<${name} ${attributes}>${parts.filter(Boolean).join('')}</${name}>`;
}

/** A blank line parts two paragraphs. */
function paragraphs(text: string): string[] {
  return text
    .split(/\n\s*\n/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => `<p>${escapeHtml(part)}</p>`);
}

const imageHtml = (picture: PictureAsset, sources: PictureSources) => (attributes: string) => {
  const all = [
    attributes,
    `src="${escapeHtml(sources.src)}"`,
    sources.srcset && `srcset="${escapeHtml(sources.srcset)}"`,
    sources.sizes && `sizes="${escapeHtml(sources.sizes)}"`,
    `width="${picture.inlineSize}" height="${picture.blockSize}"`,
    `alt="${escapeHtml(picture.alternativeText)}"`,
    sources.srcset && 'loading="lazy" decoding="async"',
  ];
  return `<img ${all.filter(Boolean).join(' ')}>`;
};
