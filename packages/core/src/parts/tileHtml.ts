import { beforeTile, scrolls } from '../arrangements/questions.js';
import { levelOf } from '../document/levels.js';
import { enlargedSet } from './enlarge.js';
import { escapeHtml, hrefOf } from '../engine/css/escape.js';
import { headingLevels } from './headings.js';
import { wordsHtml } from './richText.js';
import type {
  Badge,
  CollectionDocument,
  FilmAsset,
  FilmTile,
  IconAsset,
  MarksTile,
  PictureAsset,
  PictureTile,
  Tile,
  TileId,
} from '../document/types.js';

/** How a picture is named in the page: the stage and the exported page reach its bytes differently. */
export interface PictureSources {
  readonly src: string;
  readonly srcset?: string;
  readonly sizes?: string;
}

export interface Sources {
  readonly picture: (picture: PictureAsset, tile: Tile) => PictureSources;
  /** The address of a picture that is always so many px wide. */
  readonly small: (picture: PictureAsset, inlineSize: number) => string;
  readonly film: (film: FilmAsset) => string;
}

/** A tile's element as HTML: the same on the stage and in the exported page. */
export function tileHtml(document: CollectionDocument, tile: Tile, sources: Sources): string {
  const is = `class="${tile.kind}" data-tile="${tile.id}"`;
  const badges = (tile.badges ?? []).map(badgeHtml);
  const cover = coverHtml(tile);
  switch (tile.kind) {
    case 'text': {
      const name = `h${headingLevels(document).get(tile.id) ?? 2}`;
      const heading = escapeHtml(tile.heading);
      const led =
        tile.link && heading ? `<a class="cover" href="${hrefOf(tile.link)}">${heading}</a>` : heading;
      return element('article', is, [
        tile.eyebrow && `<p class="eyebrow">${escapeHtml(tile.eyebrow)}</p>`,
        heading && `<${name}>${led}</${name}>`,
        ...wordsHtml(tile.body),
        !heading && cover,
        ...badges,
      ]);
    }
    case 'stat':
      return element('p', is, [
        `<strong>${escapeHtml(tile.figure)}</strong>`,
        tile.label && `<span>${escapeHtml(tile.label)}</span>`,
        cover,
        ...badges,
      ]);
    case 'quote': {
      const words = `<blockquote>${wordsHtml(tile.words).join('')}</blockquote>`;
      const source = tile.source && `<figcaption>${escapeHtml(tile.source)}</figcaption>`;
      return element('figure', is, [words, cover, ...badges, source]);
    }
    case 'marks':
      return marksHtml(document, tile, is, [cover, ...badges], sources);
    case 'action':
      return element('a', `${is} href="${hrefOf(tile.address)}"`, [escapeHtml(tile.label), ...badges]);
    case 'picture': {
      const picture = tile.picture === null ? undefined : document.pictures[tile.picture];
      const image = picture && imageHtml(picture, sources.picture(picture, tile));
      if (image && !hasFigure(tile)) return image(is);
      return element('figure', is, [
        image?.(''),
        cover,
        ...badges,
        captionHtml(tile),
        enlargeHtml(tile, picture),
      ]);
    }
    case 'film': {
      const film = tile.film === null ? undefined : document.films?.[tile.film];
      const poster = tile.poster === null ? undefined : document.pictures[tile.poster];
      const video =
        film &&
        filmHtml(tile, film, sources.film(film), poster ? sources.picture(poster, tile).src : undefined);
      return element('figure', is, [video, cover, ...badges, captionHtml(tile)]);
    }
    case 'group':
      return element('section', `${is}${scrollsHtml(document, tile.id)}`, [
        cover,
        ...tile.order.map((id) => levelTileHtml(document, tile.id, document.tiles[id] as Tile, sources)),
        ...badges,
      ]);
  }
}

/** What the keyboard needs of a level that is scrolled sideways in some band: a stop of its own, with a name. */
export function scrollsHtml(document: CollectionDocument, level: TileId | null): string {
  const { arrangement, bands } = levelOf(document, level);
  let carried = arrangement;
  const all = [arrangement, ...bands.map((band) => (carried = { ...carried, ...band.arrangement }))];
  if (!all.some(scrolls)) return '';
  const name = level === null ? document.name : (document.tiles[level]?.name ?? '');
  return ` tabindex="0" aria-label="${escapeHtml(name)}"`;
}

/** A tile of a level, after what its arrangement needs before it. */
export const levelTileHtml = (
  document: CollectionDocument,
  level: TileId | null,
  tile: Tile,
  sources: Sources,
): string => beforeTile(levelOf(document, level), level, tile) + tileHtml(document, tile, sources);

/** Whether a picture has something with it, or over it, so that its tile is a figure around it. */
export const hasFigure = (tile: PictureTile) =>
  tile.picture === null ||
  tile.caption !== '' ||
  (tile.badges ?? []).length > 0 ||
  (tile.zoom ?? 1) !== 1 ||
  (tile.tint?.strength ?? 0) > 0 ||
  tile.link !== undefined ||
  tile.enlarges !== undefined;

const captionHtml = ({ caption }: PictureTile | FilmTile) =>
  caption && `<figcaption>${escapeHtml(caption)}</figcaption>`;

/** The button over a picture that opens it large. */
function enlargeHtml(tile: PictureTile, picture: PictureAsset | undefined): string {
  const set = enlargedSet(tile);
  if (set === null || !picture) return '';
  const what = picture.alternativeText || tile.name;
  return `<button type="button" class="enlarge" data-set="${escapeHtml(set)}" aria-label="${escapeHtml(`Enlarge: ${what}`)}"></button>`;
}

/** A link over the whole tile, where there are no words that could be it. */
const coverHtml = ({ link, name, kind }: Tile) =>
  link !== undefined &&
  kind !== 'action' &&
  `<a class="cover" href="${hrefOf(link)}" aria-label="${escapeHtml(name)}"></a>`;

const badgeHtml = ({ words }: Badge, k: number) =>
  `<span class="badge" data-badge="${k + 1}">${escapeHtml(words)}</span>`;

type Part = string | false | undefined;

function element(name: string, attributes: string, parts: readonly Part[]): string {
  return `<${name} ${attributes}>${parts.filter(Boolean).join('')}</${name}>`;
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

function filmHtml({ plays }: FilmTile, film: FilmAsset, src: string, poster: string | undefined): string {
  const all = [
    `src="${escapeHtml(src)}"`,
    poster && `poster="${escapeHtml(poster)}"`,
    `width="${film.inlineSize}" height="${film.blockSize}"`,
    film.alternativeText && `aria-label="${escapeHtml(film.alternativeText)}"`,
    'muted loop playsinline',
    plays === 'itself' ? 'autoplay' : 'controls preload="metadata"',
  ];
  return `<video ${all.filter(Boolean).join(' ')}></video>`;
}

/** The list is the tile itself, unless there is something beside it. */
function marksHtml(
  document: CollectionDocument,
  { marks, markSize, showLabels }: MarksTile,
  is: string,
  beside: readonly Part[],
  sources: Sources,
): string {
  const items = marks.map(({ icon, picture, label, address }) => {
    const asset = picture === null ? undefined : document.pictures[picture];
    const drawn = icon === null ? undefined : document.icons?.[icon];
    const width = asset ? (markSize * asset.inlineSize) / asset.blockSize : markSize;
    const mark = asset
      ? `<img src="${escapeHtml(sources.small(asset, width))}" width="${Math.round(width)}" height="${markSize}" alt="">`
      : drawn
        ? iconHtml(drawn, markSize)
        : '';
    const words =
      label &&
      (showLabels ? `<span>${escapeHtml(label)}</span>` : `<span class="unseen">${escapeHtml(label)}</span>`);
    const inner = `${mark}${words}`;
    return `<li>${address ? `<a href="${hrefOf(address)}">${inner}</a>` : inner}</li>`;
  });
  const rest = beside.filter(Boolean);
  return rest.length === 0
    ? element('ul', is, items)
    : element('div', is, [`<ul>${items.join('')}</ul>`, ...rest]);
}

/** Icons are drawn with strokes of the ink's colour. */
function iconHtml({ shapes }: IconAsset, size: number): string {
  const drawn = shapes.map(([name, attributes]) => {
    const all = Object.entries(attributes).map(([key, value]) => ` ${key}="${escapeHtml(value)}"`);
    return `<${name}${all.join('')}></${name}>`;
  });
  return `<svg width="${size}" height="${size}" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.75" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">${drawn.join('')}</svg>`;
}
