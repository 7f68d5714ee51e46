import { element, type PageElement } from '../engine/html/node.js';
import { behindIn, type Behind } from '../look/paints.js';
import type { CollectionDocument, Tile } from '../document/types.js';
import type { Sources } from './part.js';

const idOf = (behind: Behind) => (behind.kind === 'film' ? behind.film : behind.picture);

/** How the rules of a tile find what lies behind its contents. */
export const behindSelector = (behind: Behind) => `[data-behind="${idOf(behind)}"]`;

/**
 * The pictures and films behind a tile’s contents that are elements: those that it has in any band, each
 * once; the style sheet says which of them shows. They are decoration, and say nothing.
 */
export function behindElements(document: CollectionDocument, tile: Tile, sources: Sources): PageElement[] {
  const fills = [tile.look.fill, ...document.bands.map(({ looks }) => looks?.[tile.id]?.fill)];
  const found = new Map<string, Behind>();
  for (const fill of fills) {
    const behind = behindIn(fill);
    if (behind) found.set(idOf(behind), behind);
  }
  return [...found.values()].flatMap((behind) => {
    const own = { class: 'behind', 'data-behind': idOf(behind) };
    if (behind.kind === 'picture') {
      const picture = document.pictures[behind.picture];
      if (!picture) return [];
      const { src, srcset, sizes } = sources.picture(picture, tile);
      return [
        element('img', {
          ...own,
          src,
          srcset: srcset || undefined,
          sizes: sizes || undefined,
          width: picture.inlineSize,
          height: picture.blockSize,
          alt: '',
          ...(srcset && { loading: 'lazy', decoding: 'async' }),
        }),
      ];
    }
    const film = document.films?.[behind.film];
    return film
      ? [
          element('video', {
            ...own,
            src: sources.film(film),
            width: film.inlineSize,
            height: film.blockSize,
            'aria-hidden': 'true',
            muted: true,
            loop: true,
            autoplay: true,
            playsinline: true,
          }),
        ]
      : [];
  });
}
