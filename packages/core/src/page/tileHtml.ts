import { escapeHtml } from './escape.js';
import type { Badge, CollectionDocument, PictureAsset, PictureTile, Tile } from '../document/types.js';

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
  const badges = (tile.badges ?? []).map(badgeHtml);
  switch (tile.kind) {
    case 'text': {
      const parts = [
        tile.eyebrow && `<p class="eyebrow">${escapeHtml(tile.eyebrow)}</p>`,
        tile.heading && `<h2>${escapeHtml(tile.heading)}</h2>`,
        ...paragraphs(tile.body),
      ];
      return element('article', is, [...parts, ...badges]);
    }
    case 'stat':
      return element('p', is, [
        `<strong>${escapeHtml(tile.figure)}</strong>`,
        tile.label && `<span>${escapeHtml(tile.label)}</span>`,
        ...badges,
      ]);
    case 'quote': {
      const words = `<blockquote>${paragraphs(tile.words).join('')}</blockquote>`;
      const source = tile.source && `<figcaption>${escapeHtml(tile.source)}</figcaption>`;
      return element('figure', is, [words, source, ...badges]);
    }
    case 'action':
      return element('a', `${is} href="${escapeHtml(tile.address || '#')}"`, [
        escapeHtml(tile.label),
        ...badges,
      ]);
    case 'picture': {
      const picture = tile.picture === null ? undefined : document.pictures[tile.picture];
      if (!picture) return element('figure', is, badges);
      const image = imageHtml(picture, source(picture, tile));
      if (!hasFigure(tile)) return image(is);
      const caption = tile.caption && `<figcaption>${escapeHtml(tile.caption)}</figcaption>`;
      return element('figure', is, [image(''), caption, ...badges]);
    }
    case 'group':
      return element('section', is, [
        ...tile.order.map((id) => tileHtml(document, document.tiles[id] as Tile, source)),
        ...badges,
      ]);
  }
}

/** Whether a picture has words with it, so that its tile is a figure around it. */
export const hasFigure = (tile: PictureTile) => tile.caption !== '' || (tile.badges ?? []).length > 0;

const badgeHtml = ({ words, inline, block }: Badge) =>
  `<span class="badge" data-at="${block} ${inline}">${escapeHtml(words)}</span>`;

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
