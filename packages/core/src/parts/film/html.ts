import { escapeHtml } from '../../engine/css/escape.js';
import { attributes } from '../shared/html.js';
import type { CollectionDocument, FilmPart, Tile } from '../../document/types.js';
import type { Sources } from '../part.js';

/** A film's element; nothing where no film is chosen. */
export function filmHtml(
  part: FilmPart,
  document: CollectionDocument,
  tile: Tile,
  sources: Sources,
): string | undefined {
  const film = part.film === null ? undefined : document.films?.[part.film];
  const poster = part.poster === null ? undefined : document.pictures[part.poster];
  if (!film) return undefined;
  const all = attributes(
    `src="${escapeHtml(sources.film(film))}"`,
    poster && `poster="${escapeHtml(sources.picture(poster, tile).src)}"`,
    `width="${film.inlineSize}" height="${film.blockSize}"`,
    film.alternativeText && `aria-label="${escapeHtml(film.alternativeText)}"`,
    'muted loop playsinline',
    part.plays === 'itself' ? 'autoplay' : 'controls preload="metadata"',
  );
  return `<video ${all}></video>`;
}
