import { px } from '../../engine/css/units.js';
import type { FluidColumns } from '../../document/types.js';

/**
 * As many columns as fit: none narrower than the minimum, none wider than the page, no more than the
 * limit, which the gap is linked to.
 */
export function fittingTracks(
  repeat: FluidColumns['repeat'],
  { minimum, most }: Pick<FluidColumns, 'minimum' | 'most'>,
  gap: number,
): string {
  const share =
    most === null
      ? px(minimum)
      : most === 1
        ? '100%'
        : `max(${px(minimum)}, (100% - ${px((most - 1) * gap)}) / ${most})`;
  return `repeat(${repeat}, minmax(min(100%, ${share}), 1fr))`;
}
