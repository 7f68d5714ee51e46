/** What the page says of itself beside its tiles. */

import type { PictureId } from './ids.js';

/** What part of the page an area is, as HTML names it; none: it is no landmark. */
export type Landmark = 'header' | 'nav' | 'main' | 'aside' | 'footer' | 'none';

/** What is left out is not written; the title is the name of the collection then. */
export interface PageData {
  readonly title?: string;
  readonly description?: string;
  /** Where the page will stand: an `https:` or `http:` address. */
  readonly address?: string;
  /** Shown where the page is shared. */
  readonly picture?: PictureId;
  /** In the tab of the browser. */
  readonly icon?: PictureId;
  /** Without a main heading that is not seen; left out: one is written where no tile has one. */
  readonly heading?: 'none';
  /** By the names of areas; left out: by what an area is called. */
  readonly landmarks?: Readonly<Record<string, Landmark>>;
}

export const LANDMARKS: readonly Landmark[] = ['header', 'nav', 'main', 'aside', 'footer', 'none'];

/** What areas of common names are. */
const CALLED: ReadonlyMap<string, Landmark> = new Map([
  ['header', 'header'],
  ['nav', 'nav'],
  ['navigation', 'nav'],
  ['main', 'main'],
  ['content', 'main'],
  ['aside', 'aside'],
  ['sidebar', 'aside'],
  ['side', 'aside'],
  ['footer', 'footer'],
]);

/** What an area is in the page: as the collection says, else by its name. */
export const landmarkOf = (page: PageData | undefined, area: string): Landmark =>
  (page?.landmarks && Object.hasOwn(page.landmarks, area)
    ? page.landmarks[area]
    : CALLED.get(area.toLowerCase())) ?? 'none';

/** Whether a page can stand at an address. */
export function isPageAddress(text: string): boolean {
  if (!/^https?:\/\/\S+$/.test(text)) return false;
  try {
    return new URL(text).hostname !== '';
  } catch {
    return false;
  }
}
