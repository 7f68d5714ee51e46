import { fallbackBands } from './bands.js';
import { noise } from '../noise.js';
import { spanChoices, visibleShare, type SpanChoice } from './spans.js';
import { nextWall, pastWalls, roomBelow, smallChoices, wallsOf, type Walls } from './walls.js';

export interface MosaicItem {
  /** Inline ÷ block, above 0. */
  readonly aspect: number;
  /** Where it stays while the others are laid out around it; left out: nowhere. */
  readonly locked?: MosaicSlot;
}

export interface MosaicOptions {
  /** Square modules across, 2 or more. */
  readonly columns: number;
  /** px between modules, and the size of one module, px; they only say what a span's aspect is. */
  readonly gap: number;
  readonly moduleSize: number;
  /** The share of pictures that should be large, 0 to 1. */
  readonly shareOfLarge: number;
  /** The same seed, the same mosaic; another one for another. A whole number. */
  readonly seed: number;
  /** The most of a picture that may be cropped away, 0 to 1. */
  readonly mostCrop: number;
}

/** A slot in modules, from 0. */
export interface MosaicSlot {
  readonly column: number;
  readonly row: number;
  readonly columnSpan: number;
  readonly rowSpan: number;
}

export interface MosaicLayout {
  /** In the order of the items; together they cover every module once. */
  readonly slots: readonly MosaicSlot[];
  readonly rows: number;
  /** The part of each picture that shows, 0 to 1. */
  readonly visible: readonly number[];
}

/** How many unfinished mosaics are kept after each picture. */
const BEAM = 48;
/** What one thing costs beside one picture cropped away whole. */
const COST = { repeated: 0.25, share: 3, uneven: 0.03, chance: 0.5, beyond: 6 };

export interface State {
  /** Rows filled in each column. */
  readonly heights: Uint32Array;
  /** The picture whose lower edge a column ends with. */
  readonly bottom: Int32Array;
  readonly cost: number;
  readonly large: number;
  readonly placed: { readonly k: number; readonly slot: MosaicSlot; readonly before: State['placed'] } | null;
}

/**
 * A mosaic without a hole: pictures of any aspect on square modules, in reading order of where they
 * begin, little of each cropped, neighbours of different size, about as many large ones as asked for.
 *
 * A beam search fills the lowest gap from its left, picture by picture, and keeps the best unfinished
 * mosaics. At the end, pictures at the lower edge grow to make the last row whole. Where that can't
 * be, the pictures go into bands, each of which is whole, and none is locked. Time grows linearly with
 * the pictures.
 *
 * @throws RangeError when an option or aspect makes no sense
 */
export function layoutMosaic(items: readonly MosaicItem[], options: MosaicOptions): MosaicLayout {
  checkMosaic(items, options);
  const slots: MosaicSlot[] = [];
  let row = 0;
  for (let from = 0; from < items.length; from += STRETCH) {
    // A stretch of a few pictures at the end joins the one before.
    const to = items.length - from < STRETCH * 1.5 ? items.length : from + STRETCH;
    const inStretch = items.slice(from, to).map((item) => fromRow(item, row, options.columns));
    const stretch = layoutStretch(inStretch, { ...options, seed: options.seed + from });
    slots.push(...stretch.map((slot) => ({ ...slot, row: slot.row + row })));
    row += rowsOf(stretch);
    if (to === items.length) break;
  }
  return finish(slots, items, options);
}

/** An item as a stretch that begins in a row sees it; a lock that the stretch can't hold is no lock. */
function fromRow({ aspect, locked }: MosaicItem, row: number, columns: number): MosaicItem {
  if (!locked || locked.row < row || locked.column + locked.columnSpan > columns) return { aspect };
  return { aspect, locked: { ...locked, row: locked.row - row } };
}

/** How many pictures are laid out at a time; each stretch ends with a whole row. */
const STRETCH = 48;
/** How often a stretch is tried with other chances before it is put into bands. */
const TRIES = 8;

function layoutStretch(items: readonly MosaicItem[], options: MosaicOptions): readonly MosaicSlot[] {
  const choices = items.map(({ aspect }) => spanChoices(aspect, options));
  const walls = wallsOf(items);
  // Around locked pictures there may only be a mosaic that crops the others a little more.
  const extra = walls.slots.length > 0 ? [0, 0.15, 0.3, 0.5] : [0];
  for (const more of extra) {
    const within = { ...options, mostCrop: Math.min(1, options.mostCrop + more) };
    const tries = walls.slots.length > 0 ? TRIES * 3 : TRIES;
    for (let attempt = 0; attempt < tries; attempt++) {
      const found = search(items, choices, walls, within, noise(options.seed * TRIES + attempt));
      if (found) return found;
    }
  }
  return fallbackBands(items, options);
}

function search(
  items: readonly MosaicItem[],
  choices: readonly (readonly SpanChoice[])[],
  walls: Walls,
  options: MosaicOptions,
  random: () => number,
): MosaicSlot[] | null {
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
    for (const state of beam)
      expand(state, k, items, choices[k] as readonly SpanChoice[], walls, options, random, next);
    next.sort((a, b) => a.cost - b.cost);
    beam = next.slice(0, BEAM);
  }
  for (const state of beam) {
    const whole = evenOut(slotsOf(state, items), state, items, walls, options);
    if (whole) return whole;
  }
  return null;
}

function expand(
  state: State,
  k: number,
  items: readonly MosaicItem[],
  choices: readonly SpanChoice[],
  walls: Walls,
  options: MosaicOptions,
  random: () => number,
  into: State[],
): void {
  const { heights, bottom } = state;
  const { columns } = options;
  let column = 0;
  for (let c = 1; c < columns; c++) if ((heights[c] as number) < (heights[column] as number)) column = c;
  const row = heights[column] as number;
  let gap = 1;
  while (column + gap < columns && heights[column + gap] === row) gap++;
  const fitting = choices.filter(
    ({ columnSpan, rowSpan }) => columnSpan <= gap && rowSpan <= roomBelow(walls, column, columnSpan, row),
  );
  for (const choice of fitting.length > 0
    ? fitting
    : smallChoices(items[k] as MosaicItem, gap, column, row, walls, options)) {
    const { columnSpan, rowSpan } = choice;
    const nextHeights = heights.slice();
    const nextBottom = bottom.slice();
    nextHeights.fill(row + rowSpan, column, column + columnSpan);
    nextBottom.fill(k, column, column + columnSpan);
    const large = state.large + (choice.isLarge ? 1 : 0);
    const tooMany = large / (k + 1) - options.shareOfLarge;
    const share = Math.max(0, choice.isLarge ? tooMany : -tooMany);
    const slot = { column, row, columnSpan, rowSpan };
    const cost =
      state.cost +
      choice.crop +
      COST.beyond * Math.max(0, choice.crop - options.mostCrop) +
      COST.share * share +
      COST.repeated * (isRepeated(state, slot) ? 1 : 0) +
      COST.uneven * spread(nextHeights) +
      COST.chance * random();
    into.push(
      pastWalls(
        { heights: nextHeights, bottom: nextBottom, cost, large, placed: { k, slot, before: state.placed } },
        walls,
      ),
    );
  }
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

function spread(heights: Uint32Array): number {
  let [least, most] = [Infinity, 0];
  for (const height of heights) {
    least = Math.min(least, height);
    most = Math.max(most, height);
  }
  return most - least;
}

/** In the order of the items, those that are locked too. */
function slotsOf({ placed }: State, items: readonly MosaicItem[]): MosaicSlot[] {
  const slots = items.map(({ locked }) => locked);
  for (let at: State['placed'] = placed; at; at = at.before) slots[at.k] = at.slot;
  return slots as MosaicSlot[];
}

/**
 * Lets pictures at the lower edge grow down to one line, and those above a locked one down to it; null
 * where one of them is partly built over, or something is left open.
 */
function evenOut(
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
    if (1 - visibleShare((items[k] as MosaicItem).aspect, taller, options) > options.mostCrop) return null;
    grown[k] = taller;
    column += slot.columnSpan;
  }
  return grown;
}

const rowsOf = (slots: readonly MosaicSlot[]) =>
  slots.reduce((most, { row, rowSpan }) => Math.max(most, row + rowSpan), 0);

function finish(
  slots: readonly MosaicSlot[],
  items: readonly MosaicItem[],
  options: MosaicOptions,
): MosaicLayout {
  return {
    slots,
    rows: rowsOf(slots),
    visible: slots.map((slot, k) => visibleShare((items[k] as MosaicItem).aspect, slot, options)),
  };
}

function checkMosaic(
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
