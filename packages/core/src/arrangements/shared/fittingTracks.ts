import { px } from '../../engine/css/units.js';
import type { FluidColumns } from '../../document/types.js';

/**
 * As many columns as fit: none narrower than the minimum, none wider than the page, no more than the
 * limit, which the gap is linked to.
 */
export function fittingTracks(
  repeat: FluidColumns['repeat'],
  { min, max }: Pick<FluidColumns, 'min' | 'max'>,
  gap: number,
): string {
  const share =
    max === null ? px(min) : max === 1 ? '100%' : `max(${px(min)}, (100% - ${px((max - 1) * gap)}) / ${max})`;
  return `repeat(${repeat}, minmax(min(100%, ${share}), 1fr))`;
}
