import { shownParts } from '../../document/card.js';
import { typeSizeOf } from '../../look/named.js';
import { partKindOf } from '../../parts/index.js';
import { plainWords } from '../../parts/richText.js';
import type { Known } from '../../look/painted.js';
import type { CollectionLook, Part, Tile } from '../../document/types.js';

/** The least contrast of words to what is behind them, and of large ones (WCAG 2.2, 1.4.3). */
export const LEAST_CONTRAST = 4.5;
export const LEAST_CONTRAST_LARGE = 3;

/** What is large: 18 pt, or 14 pt where it is bold (WCAG 2.2, “large scale”), px; and what is bold. */
const LARGE = 24;
const LARGE_BOLD = 14 * (96 / 72);
const BOLD = 700;

type Looks = Pick<Known, 'namedLooks'> & { readonly look: Pick<CollectionLook, 'headingSize'> };

/** The contrast that the words of a tile need, 3 or 4.5: the less where all of them are large at every width. */
export function contrastNeed({ namedLooks, look }: Looks, tile: Tile): number {
  const said = shownParts(tile).filter(isSaid);
  const areLarge = said.every((part) => {
    const { largeWeight, headingTimes = 1 } = partKindOf(part);
    if (largeWeight === undefined) return false;
    const own = tile.look.headingSize;
    const size = typeSizeOf(namedLooks, own ?? look.headingSize);
    const px =
      (typeof size === 'number' ? size : Math.min(size.from, size.to)) *
      (own === undefined ? headingTimes : 1);
    return px >= LARGE || (px >= LARGE_BOLD && (tile.look.headingWeight ?? largeWeight) >= BOLD);
  });
  return said.length > 0 && areLarge ? LEAST_CONTRAST_LARGE : LEAST_CONTRAST;
}

/** Whether a part shows words of its own. */
const isSaid = (part: Part): boolean =>
  ('words' in part && plainWords(part.words) !== '') || ('caption' in part && part.caption.trim() !== '');
