import { bentoBox } from '../bento/box.js';
import { displays } from '../box/displays.js';
import { inlineSum } from '../box/sizes.js';
import { fluidColumns } from './columns.js';
import { ownBox, resolvedFrame } from '../level/boxes.js';
import type { Band } from '../document/bands.js';
import type { LevelBox, LevelInput } from '../arrangement.js';

/** As many columns as fit the inner width that the level turns out to have. */
export function fluidBox(input: LevelInput): LevelBox {
  const { document, band } = input;
  const made = new Map<number, LevelBox>();
  const at = (inner: number): LevelBox => {
    const columns = fluidColumns(document, band, inner);
    let level = made.get(columns.length);
    if (!level) {
      const resolved: Band = { ...band, arrangement: { ...band.arrangement, columns } };
      made.set(columns.length, (level = bentoBox({ ...input, band: resolved })));
    }
    return level;
  };
  const first = at(Math.max(0, band.at));
  return {
    box: ownBox(first.box.style, (inside) => {
      const { box } = at(inside.inlineSize);
      return displays[box.style.display as keyof typeof displays].fill(box, inside);
    }),
    measures: first.measures,
    cells: (laid) => at(laid.inlineSize - inlineSum(resolvedFrame(laid))).cells(laid),
  };
}
