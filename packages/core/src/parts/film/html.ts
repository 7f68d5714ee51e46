import { element, type PageElement } from '../../engine/html/node.js';
import type { CollectionDocument, FilmPart, Tile } from '../../document/types.js';
import type { Sources } from '../part.js';

/** A film's element; nothing where no film is chosen. */
export function videoOf(
  part: FilmPart,
  document: CollectionDocument,
  tile: Tile,
  sources: Sources,
): PageElement | undefined {
  const film = part.film === null ? undefined : document.films?.[part.film];
  const poster = part.poster === null ? undefined : document.pictures[part.poster];
  if (!film) return undefined;
  return element('video', {
    src: sources.film(film),
    poster: poster && sources.picture(poster, tile).src,
    width: film.inlineSize,
    height: film.blockSize,
    'aria-label': film.alternativeText || undefined,
    muted: true,
    loop: true,
    playsinline: true,
    ...(part.playback === 'automatic' ? { autoplay: true } : { controls: true, preload: 'metadata' }),
  });
}
