import { clone } from '../../document/clone.js';
import { bandAt, bandOf, type Band } from '../../document/bands.js';
import { bandBelow } from './bandBelow.js';
import { beginning, lowestFrom } from './search.js';
import { LIMITS } from '../../document/limits.js';
import type { Command } from '../../edit/patch/change.js';
import type { ArrangementValues, CollectionDocument, NarrowerBand } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/**
 * Puts breakpoints where the columns stop working, as few as are enough: from a width at which the
 * widest band works, downwards to the first px at which a tile is squashed, clipped or cropped too
 * far; below it the derived columns that reach down the furthest, and so on to the narrowest width.
 * Gaps, padding and rows are as they were at those widths; placements and breakpoints are new.
 * @returns the bands, from wide to narrow
 * @throws whatever the measurer throws
 */
export function findBreakpoints(
  document: CollectionDocument,
  measurer: TextMeasurer,
  freshId: (position: number) => string,
): NarrowerBand[] {
  let made: CollectionDocument = { ...document, bands: [] };
  const search = beginning(made, measurer);
  let low = lowestFrom(search, made, search.start);
  while (low > LIMITS.narrowest && made.bands.length < LIMITS.bands) {
    const wider = bandOf(made, made.bands.length);
    const below = Math.min(LIMITS.widest, low);
    const band = { id: freshId(made.bands.length), below, arrangement: {}, tiles: {} };
    const carried = { ...band, arrangement: carriedOver(document, below - 1, wider) };
    const next = bandBelow(search, made, carried);
    made = next.document;
    low = next.low;
  }
  return [...made.bands];
}

/** The breakpoints that were found, as a command. */
export const breakpointsCommand =
  (bands: readonly NarrowerBand[]): Command =>
  (draft) => {
    draft.bands = clone(bands);
  };

/** What a new band takes over of what held at its widths before, where that is not inherited. */
function carriedOver(original: CollectionDocument, width: number, wider: Band): Partial<ArrangementValues> {
  const { arrangement } = bandAt(original, width);
  const values = ['autoRows', 'columnGap', 'rowGap', 'padding', 'maxInlineSize'] as const;
  return Object.fromEntries(
    values
      .filter((value) => JSON.stringify(arrangement[value]) !== JSON.stringify(wider.arrangement[value]))
      .map((value) => [value, arrangement[value]]),
  );
}
