import { shownIn, type SpanChoice } from './spans.js';
import type { MosaicItem, MosaicOptions, MosaicSlot, State } from './types.js';

/** Locked pictures, which the others are laid out around. */
export interface Walls {
  readonly slots: readonly MosaicSlot[];
  /** Which picture each is. */
  readonly items: readonly number[];
}

export function wallsOf(items: readonly MosaicItem[]): Walls {
  const locked = items.flatMap(({ locked: slot }, k) => (slot ? [{ slot, k }] : []));
  return { slots: locked.map(({ slot }) => slot), items: locked.map(({ k }) => k) };
}

/** The first wall in a column at a row or below it. */
export function nextWall({ slots }: Walls, column: number, row: number): MosaicSlot | undefined {
  let first: MosaicSlot | undefined;
  for (const slot of slots) {
    if (column < slot.column || column >= slot.column + slot.columnSpan || slot.row < row) continue;
    if (!first || slot.row < first.row) first = slot;
  }
  return first;
}

/** How many rows are free from a row on, in all of the columns. */
export function roomBelow(walls: Walls, column: number, columnSpan: number, row: number): number {
  let room = Infinity;
  if (walls.slots.length === 0) return room;
  for (let c = column; c < column + columnSpan; c++)
    room = Math.min(room, (nextWall(walls, c, row)?.row ?? Infinity) - row);
  return room;
}

/** A mosaic whose columns go on under the walls that they have come to. */
export function pastWalls(state: State, { slots, items }: Walls): State {
  if (slots.length === 0) return state;
  const heights = state.heights.slice();
  const bottom = state.bottom.slice();
  for (let found = true; found;) {
    found = false;
    slots.forEach(({ column, columnSpan, row, rowSpan }, k) => {
      for (let c = column; c < column + columnSpan; c++) {
        if (heights[c] !== row) continue;
        heights[c] = row + rowSpan;
        bottom[c] = items[k] as number;
        found = true;
      }
    });
  }
  return { ...state, heights, bottom };
}

/** What fits a gap above a wall that is too low for every span that a picture would choose. */
export function smallChoices(
  { aspect }: MosaicItem,
  { column, row, gap }: { readonly column: number; readonly row: number; readonly gap: number },
  walls: Walls,
  options: MosaicOptions,
): SpanChoice[] {
  const found: SpanChoice[] = [];
  for (let columnSpan = 1; columnSpan <= Math.min(gap, 4); columnSpan++) {
    const room = Math.min(3, roomBelow(walls, column, columnSpan, row));
    for (let rowSpan = 1; rowSpan <= room; rowSpan++) {
      const crop = 1 - shownIn(aspect, { columnSpan, rowSpan }, options);
      found.push({ columnSpan, rowSpan, crop, isLarge: columnSpan * rowSpan >= 4 });
    }
  }
  return found;
}
