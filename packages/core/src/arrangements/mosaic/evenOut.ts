import { rowsOf } from './rowsOf.js';
import { shownIn } from './spans.js';
import { nextWall, type Walls } from './walls.js';
import type { MosaicItem, MosaicOptions, MosaicSlot, State } from './types.js';

/**
 * Lets pictures at the lower edge grow down to one line, and those above a locked one down to it; null
 * where one of them is partly built over, or something is left open.
 */
export function evenOut(
  slots: MosaicSlot[],
  { heights, bottom }: State,
  items: readonly MosaicItem[],
  walls: Walls,
  options: MosaicOptions,
): MosaicSlot[] | null {
  const rows = Math.max(rowsOf(walls.slots), ...heights);
  const grown = [...slots];
  for (let column = 0; column < options.columns;) {
    const k = bottom[column] as number;
    const height = heights[column] as number;
    const next = nextWall(walls, column, height);
    // Under a wall that nobody reached, the wall has to be the last.
    if (next && next.row + next.rowSpan !== rows) return null;
    const end = next ? next.row : rows;
    if (height === end) {
      column++;
      continue;
    }
    const slot = grown[k];
    if (!slot || items[k]?.locked) return null;
    const isWhole =
      slot.column === column &&
      Array.from({ length: slot.columnSpan }, (_, i) => column + i).every(
        (each) => bottom[each] === k && (nextWall(walls, each, height)?.row ?? rows) === end,
      );
    if (!isWhole) return null;
    const taller = { ...slot, rowSpan: end - slot.row };
    if (1 - shownIn((items[k] as MosaicItem).aspect, taller, options) > options.mostCrop) return null;
    grown[k] = taller;
    column += slot.columnSpan;
  }
  return grown;
}
