import { displays } from '../../engine/box/displays.js';
import { inlineSum } from '../../engine/box/sizes.js';
import { customBox, resolvedFrame } from '../shared/boxes.js';
import { gridLevel } from '../shared/gridLevel.js';
import { fluidColumns } from './columns.js';
import { fluidWishes } from './wishes.js';
import type { LevelBox, LevelInput } from '../kind.js';

/** As many columns as fit the inner width that the level turns out to have. */
export function fluidBox(input: LevelInput): LevelBox {
  const { document, band } = input;
  const made = new Map<number, LevelBox>();
  const at = (inner: number): LevelBox => {
    const columns = fluidColumns(document, band, inner);
    let level = made.get(columns.length);
    if (!level)
      made.set(
        columns.length,
        (level = gridLevel(input, { columns, wishes: fluidWishes(document, band, columns), mapped: 0 })),
      );
    return level;
  };
  const first = at(Math.max(0, band.at));
  return {
    box: customBox(first.box.style, (inside) => {
      const { box } = at(inside.inlineSize);
      return displays[box.style.display as keyof typeof displays].fill(box, inside);
    }),
    measures: first.measures,
    cells: (laid) => at(laid.inlineSize - inlineSum(resolvedFrame(laid))).cells(laid),
  };
}
