import { lowestGap, unevenness } from '../../geometry/skyline.js';
import { evenOut } from './evenOut.js';
import { pastWalls, roomBelow, smallChoices, type Walls } from './walls.js';
import type { SpanChoice } from './spans.js';
import type { MosaicItem, MosaicOptions, MosaicSlot, State } from './types.js';

/** How many unfinished mosaics are kept after each picture. */
const BEAM = 48;
/** What one thing costs beside one picture cropped away whole. */
const COST = { repeated: 0.25, share: 3, uneven: 0.03, chance: 0.5, beyond: 6 };

/** What is searched. */
export interface MosaicSearch {
  readonly items: readonly MosaicItem[];
  /** The spans that each picture might take, least cropped first. */
  readonly choices: readonly (readonly SpanChoice[])[];
  readonly walls: Walls;
  readonly options: MosaicOptions;
  /** From 0 to 1. */
  readonly random: () => number;
}

/** A mosaic without a hole, by a beam search; null where none was found. */
export function searchMosaic(asked: MosaicSearch): MosaicSlot[] | null {
  const { items, walls, options } = asked;
  const { columns } = options;
  let beam: State[] = [
    pastWalls(
      {
        heights: new Uint32Array(columns),
        bottom: new Int32Array(columns).fill(-1),
        cost: 0,
        large: 0,
        placed: null,
      },
      walls,
    ),
  ];
  for (let k = 0; k < items.length; k++) {
    if (items[k]?.locked) continue;
    const next: State[] = [];
    for (const state of beam) for (const found of grown(state, k, asked)) next.push(found);
    next.sort((a, b) => a.cost - b.cost);
    beam = next.slice(0, BEAM);
  }
  for (const state of beam) {
    const whole = evenOut(slotsOf(state, items), state, items, walls, options);
    if (whole) return whole;
  }
  return null;
}

/** Every way to put the next picture into the lowest gap of an unfinished mosaic. */
function* grown(state: State, k: number, asked: MosaicSearch): Generator<State> {
  const { items, walls, options } = asked;
  const choices = asked.choices[k] as readonly SpanChoice[];
  const { column, row, columns: gap } = lowestGap(state.heights);
  const fitting = choices.filter(
    ({ columnSpan, rowSpan }) => columnSpan <= gap && rowSpan <= roomBelow(walls, column, columnSpan, row),
  );
  const item = items[k] as MosaicItem;
  for (const choice of fitting.length > 0
    ? fitting
    : smallChoices(item, { column, row, gap }, walls, options)) {
    const { columnSpan, rowSpan } = choice;
    const heights = state.heights.slice().fill(row + rowSpan, column, column + columnSpan);
    const bottom = state.bottom.slice().fill(k, column, column + columnSpan);
    const large = state.large + (choice.isLarge ? 1 : 0);
    const slot = { column, row, columnSpan, rowSpan };
    const cost = state.cost + costOf({ state, slot, choice, heights, share: large / (k + 1) }, asked);
    const placed = { k, slot, before: state.placed };
    yield pastWalls({ heights, bottom, cost, large, placed }, walls);
  }
}

interface Placed {
  readonly state: State;
  readonly slot: MosaicSlot;
  readonly choice: SpanChoice;
  readonly heights: Uint32Array;
  /** Of large pictures so far. */
  readonly share: number;
}

/** What it costs to have put a picture into a slot. */
function costOf({ state, slot, choice, heights, share }: Placed, { options, random }: MosaicSearch): number {
  const tooMany = share - options.shareOfLarge;
  return (
    choice.crop +
    COST.beyond * Math.max(0, choice.crop - options.mostCrop) +
    COST.share * Math.max(0, choice.isLarge ? tooMany : -tooMany) +
    COST.repeated * (isRepeated(state, slot) ? 1 : 0) +
    COST.uneven * unevenness(heights) +
    COST.chance * random()
  );
}

/** Whether the picture before or the one above has the same size. */
function isRepeated({ placed, bottom }: State, slot: MosaicSlot): boolean {
  const same = (other: MosaicSlot) => other.columnSpan === slot.columnSpan && other.rowSpan === slot.rowSpan;
  if (placed && same(placed.slot)) return true;
  const above = bottom[slot.column] as number;
  if (above < 0) return false;
  let at: State['placed'] = placed;
  for (let back = 0; at && back < 12; back++, at = at.before) {
    const { column, columnSpan, row, rowSpan } = at.slot;
    const isAbove = column <= slot.column && slot.column < column + columnSpan && row + rowSpan === slot.row;
    if (isAbove) return same(at.slot);
  }
  return false;
}

/** In the order of the items, those that are locked too. */
function slotsOf({ placed }: State, items: readonly MosaicItem[]): MosaicSlot[] {
  const slots = items.map(({ locked }) => locked);
  for (let at: State['placed'] = placed; at; at = at.before) slots[at.k] = at.slot;
  return slots as MosaicSlot[];
}
