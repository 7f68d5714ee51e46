import { landmarkOf, type Landmark } from '../../document/page.js';
import type { CollectionDocument, TileId } from '../../document/types.js';
import type { PageElement } from '../../engine/html/node.js';

/** Elements that say nothing which a landmark’s element in their place would not. */
const PLAIN: ReadonlySet<string> = new Set(['section', 'article', 'p']);

/**
 * Which tiles of the page are landmarks: of each area that is one, the first tile that lies in it in the
 * widest band. There is one main content at most (HTML, section 4.4.14), header and footer likewise.
 */
export function landmarksOf({ order, tiles, page }: CollectionDocument): ReadonlyMap<TileId, Landmark> {
  const found = new Map<TileId, Landmark>();
  const areas = new Set<string>();
  const taken = new Set<Landmark>();
  for (const id of order) {
    const area = tiles[id]?.place.area;
    if (area == null || areas.has(area)) continue;
    areas.add(area);
    const landmark = landmarkOf(page, area);
    const isOnce = landmark === 'main' || landmark === 'header' || landmark === 'footer';
    if (landmark === 'none' || (isOnce && taken.has(landmark))) continue;
    taken.add(landmark);
    found.set(id, landmark);
  }
  return found;
}

/** A tile’s element as a landmark; one that says something of its own, such as a picture or a link, stays it. */
export const asLandmark = (element: PageElement, landmark: Landmark | undefined): PageElement =>
  landmark === undefined || !PLAIN.has(element.name) ? element : { ...element, name: landmark };
