import { noise } from '../../geometry/noise.js';
import { checkMosaic } from './checkMosaic.js';
import { fallbackStripes } from './stripes.js';
import { rowsOf } from './rowsOf.js';
import { searchMosaic } from './searchMosaic.js';
import { spanChoices, shownIn } from './spans.js';
import { wallsOf } from './walls.js';
import type { MosaicItem, MosaicLayout, MosaicOptions, MosaicSlot } from './types.js';

export type * from './types.js';

/**
 * A mosaic without a hole: pictures of any aspect on square modules, in reading order of where they
 * begin, little of each cropped, neighbours of different size, about as many large ones as asked for.
 *
 * A beam search fills the lowest gap from its left, picture by picture, and keeps the best unfinished
 * mosaics. At the end, pictures at the lower edge grow to make the last row whole. Where that can't
 * be, the pictures go into stripes, each of which is whole, and none is locked. Time grows linearly with
 * the pictures.
 *
 * @throws RangeError when an option or aspect makes no sense
 */
export function layoutMosaic(items: readonly MosaicItem[], options: MosaicOptions): MosaicLayout {
  checkMosaic(items, options);
  const slots: MosaicSlot[] = [];
  let row = 0;
  for (let from = 0; from < items.length; from += STRETCH) {
    // A stretch of a few pictures at the end joins the one before.
    const to = items.length - from < STRETCH * 1.5 ? items.length : from + STRETCH;
    const inStretch = items.slice(from, to).map((item) => fromRow(item, row, options.columns));
    const stretch = layoutStretch(inStretch, { ...options, seed: options.seed + from });
    slots.push(...stretch.map((slot) => ({ ...slot, row: slot.row + row })));
    row += rowsOf(stretch);
    if (to === items.length) break;
  }
  return finish(slots, items, options);
}

/** An item as a stretch that begins in a row sees it; a lock that the stretch can't hold is no lock. */
function fromRow({ aspect, locked }: MosaicItem, row: number, columns: number): MosaicItem {
  if (!locked || locked.row < row || locked.column + locked.columnSpan > columns) return { aspect };
  return { aspect, locked: { ...locked, row: locked.row - row } };
}

/** How many pictures are laid out at a time; each stretch ends with a whole row. */
const STRETCH = 48;
/** How often a stretch is tried with other chances before it is put into stripes. */
const TRIES = 8;

function layoutStretch(items: readonly MosaicItem[], options: MosaicOptions): readonly MosaicSlot[] {
  const choices = items.map(({ aspect }) => spanChoices(aspect, options));
  const walls = wallsOf(items);
  // Around locked pictures there may only be a mosaic that crops the others a little more.
  const extra = walls.slots.length > 0 ? [0, 0.15, 0.3, 0.5] : [0];
  for (const more of extra) {
    const within = { ...options, mostCrop: Math.min(1, options.mostCrop + more) };
    const tries = walls.slots.length > 0 ? TRIES * 3 : TRIES;
    for (let attempt = 0; attempt < tries; attempt++) {
      const found = searchMosaic({
        items,
        choices,
        walls,
        options: within,
        random: noise(options.seed * TRIES + attempt),
      });
      if (found) return found;
    }
  }
  return fallbackStripes(items, options);
}

function finish(
  slots: readonly MosaicSlot[],
  items: readonly MosaicItem[],
  options: MosaicOptions,
): MosaicLayout {
  return {
    slots,
    rows: rowsOf(slots),
    visible: slots.map((slot, k) => shownIn((items[k] as MosaicItem).aspect, slot, options)),
  };
}
