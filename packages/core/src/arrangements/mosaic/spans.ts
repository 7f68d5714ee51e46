import { visibleShare } from '../../geometry/visibleShare.js';
import type { MosaicOptions, MosaicSlot } from './types.js';

/** A span that a picture might take, and how much of it would be cropped away, 0 to 1. */
export interface SpanChoice {
  readonly columnSpan: number;
  readonly rowSpan: number;
  readonly crop: number;
  readonly isLarge: boolean;
}

/** From how many modules on a picture counts as large. */
const LARGE = 4;
/** The most modules in each axis. */
const LONGEST = 4;

/** Inline ÷ block of a slot, its inner gaps included. */
export function slotAspect(
  { columnSpan, rowSpan }: Pick<MosaicSlot, 'columnSpan' | 'rowSpan'>,
  { moduleSize, gap }: Pick<MosaicOptions, 'moduleSize' | 'gap'>,
): number {
  const size = (span: number) => span * moduleSize + (span - 1) * gap;
  return size(columnSpan) / size(rowSpan);
}

/** The part of a picture that shows in a slot that it fills. */
export const shownIn = (
  aspect: number,
  slot: Pick<MosaicSlot, 'columnSpan' | 'rowSpan'>,
  options: Pick<MosaicOptions, 'moduleSize' | 'gap'>,
): number => visibleShare(aspect, slotAspect(slot, options));

/** Every span within the crop limit, least cropped first; at least the three best, so that there is always one. */
export function spanChoices(aspect: number, options: MosaicOptions): SpanChoice[] {
  const all: SpanChoice[] = [];
  for (let columnSpan = 1; columnSpan <= Math.min(LONGEST, options.columns); columnSpan++) {
    for (let rowSpan = 1; rowSpan <= LONGEST - 1; rowSpan++) {
      const crop = 1 - shownIn(aspect, { columnSpan, rowSpan }, options);
      all.push({ columnSpan, rowSpan, crop, isLarge: columnSpan * rowSpan >= LARGE });
    }
  }
  all.sort((a, b) => a.crop - b.crop || a.columnSpan * a.rowSpan - b.columnSpan * b.rowSpan);
  const within = all.filter(({ crop }) => crop <= options.mostCrop);
  const kept = within.length >= 3 ? within : all.slice(0, 3);
  // A gap of one module must always have something to go into it.
  const narrow = kept.some(({ columnSpan }) => columnSpan === 1)
    ? []
    : all.filter(({ columnSpan }) => columnSpan === 1).slice(0, 2);
  return [...kept, ...narrow];
}
