import type { MosaicItem, MosaicOptions } from './types.js';

/** @throws RangeError when an option or an aspect makes no sense */
export function checkMosaic(
  items: readonly MosaicItem[],
  { columns, gap, moduleSize, shareOfLarge, seed, mostCrop }: MosaicOptions,
): void {
  if (!Number.isInteger(columns) || columns < 2 || columns > 64) {
    throw new RangeError(`A mosaic has 2 to 64 modules across; this is ${String(columns)}.`);
  }
  if (!(moduleSize > 0) || !(gap >= 0))
    throw new RangeError(`A module is a number of px above 0, a gap 0 or more.`);
  if (!Number.isInteger(seed)) throw new RangeError(`A seed is a whole number; this is ${String(seed)}.`);
  for (const [name, value] of Object.entries({ shareOfLarge, mostCrop })) {
    if (!(value >= 0 && value <= 1))
      throw new RangeError(`${name} is a share from 0 to 1; this is ${String(value)}.`);
  }
  items.forEach(({ aspect }, k) => {
    if (!(aspect > 0 && aspect < Infinity)) {
      throw new RangeError(`The aspect of picture ${k + 1} is a number above 0; this is ${String(aspect)}.`);
    }
  });
}
