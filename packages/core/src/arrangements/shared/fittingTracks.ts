import { lengthCss, timesCss, type WrittenLength } from '../../engine/css/writtenLength.js';
import type { FluidColumns } from '../../document/types.js';

/**
 * As many columns as fit: none narrower than the minimum, none wider than the page, no more than the
 * limit, which the gap is linked to.
 */
export function fittingTracks(
  repeat: FluidColumns['repeat'],
  { min, max }: Pick<FluidColumns, 'min' | 'max'>,
  gap: WrittenLength,
): string {
  const share =
    max === null
      ? lengthCss(min)
      : max === 1
        ? '100%'
        : `max(${lengthCss(min)}, (100% - ${timesCss(max - 1, gap)}) / ${max})`;
  return `repeat(${repeat}, minmax(min(100%, ${share}), 1fr))`;
}
