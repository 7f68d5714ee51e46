/** A picture in a row gallery. */
export interface RowItem {
  /** Inline ÷ block, above 0. */
  readonly aspect: number;
  /** Natural block size in picture px; Infinity or left out: it may grow without limit. */
  readonly naturalBlockSize?: number;
  /** A row must begin here. */
  readonly breakBefore?: boolean;
}

/** What becomes of a last row that is not full. */
export type LastRow =
  /** At the target height, not filled up. */
  | 'as-is'
  /** Filled up as every other. */
  | 'fill-width'
  /** Filled up unless it would be higher than the target. */
  | 'keep-height';

export interface RowsOptions {
  /** Inner width, px, above 0. */
  readonly inlineSize: number;
  readonly columnGap: number;
  readonly rowGap: number;
  /** px, above 0. */
  readonly targetBlockSize: number;
  readonly minBlockSize: number;
  readonly maxBlockSize: number;
  readonly lastRow: LastRow;
  /** How much larger than its own px a picture may be shown: 1 is not at all. */
  readonly mostUpscale: number;
}

export interface LaidRow {
  /** Index of its first picture. */
  readonly first: number;
  readonly count: number;
  readonly blockSize: number;
  /** Whether it is exactly as wide as the gallery. */
  readonly isFull: boolean;
}

export interface RowsLayout {
  readonly rows: readonly LaidRow[];
  /** x, y, inline size and block size of every picture, px, four numbers each. */
  readonly boxes: Float64Array;
  readonly blockSize: number;
}

/** A row out of its bounds costs as much as this many rows that are off by a factor e. */
const OUT_OF_BOUNDS = 1000;

/**
 * A row gallery: rows of pictures of equal height, each row exactly as wide as the gallery. Of all
 * ways to break, the one whose heights lie closest to the target, over all rows together: the sum of
 * the squares of ln(height ÷ target) is least (dynamic programming over the breaks, as Knuth and
 * Plass break paragraphs). The height of a row of k pictures is (W − (k−1)·g) ÷ Σ aspect.
 *
 * Time grows with pictures × pictures in a row.
 *
 * @throws RangeError when a size or aspect is not a number above 0
 */
export function layoutRows(items: readonly RowItem[], options: RowsOptions): RowsLayout {
  checkRows(items, options);
  const count = items.length;
  const { inlineSize, columnGap, rowGap, targetBlockSize, minBlockSize } = options;
  const aspects = new Float64Array(count + 1);
  for (let k = 0; k < count; k++) aspects[k + 1] = (aspects[k] as number) + (items[k] as RowItem).aspect;

  // The cheapest way to break before each picture, and where its last row begins.
  const cost = new Float64Array(count + 1).fill(Infinity);
  const from = new Int32Array(count + 1);
  cost[0] = 0;
  const least = Math.max(1, Math.min(minBlockSize, targetBlockSize));
  for (let end = 1; end <= count; end++) {
    let cap = Infinity;
    for (let first = end - 1; first >= 0; first--) {
      cap = Math.min(cap, capOf(items[first] as RowItem, options.mostUpscale));
      const inRow = end - first;
      const blockSize =
        (inlineSize - (inRow - 1) * columnGap) / ((aspects[end] as number) - (aspects[first] as number));
      const total = (cost[first] as number) + rowCost(blockSize, cap, end === count, options);
      // On a draw the earlier break wins: fuller rows come first.
      if (total <= (cost[end] as number)) {
        cost[end] = total;
        from[end] = first;
      }
      if ((items[first] as RowItem).breakBefore) break;
      // A row this low only gets lower with more in it.
      if (blockSize < least / 2 && inRow > 1) break;
    }
  }

  const rows: LaidRow[] = [];
  for (let end = count; end > 0; end = from[end] as number) {
    const first = from[end] as number;
    rows.push(finishRow(items, aspects, first, end, end === count, options));
  }
  rows.reverse();
  const boxes = new Float64Array(count * 4);
  let y = 0;
  for (const row of rows) {
    let x = 0;
    for (let k = row.first; k < row.first + row.count; k++) {
      const width = row.blockSize * (items[k] as RowItem).aspect;
      boxes.set([x, y, width, row.blockSize], k * 4);
      x += width + columnGap;
    }
    y += row.blockSize + rowGap;
  }
  return { rows, boxes, blockSize: Math.max(0, y - rowGap) };
}

const capOf = ({ naturalBlockSize = Infinity }: RowItem, mostUpscale: number) =>
  naturalBlockSize * mostUpscale;

function rowCost(blockSize: number, cap: number, isLast: boolean, options: RowsOptions): number {
  const { targetBlockSize, minBlockSize, maxBlockSize, lastRow } = options;
  if (blockSize <= 0) return OUT_OF_BOUNDS * 100;
  if (isLast && lastRow !== 'fill-width' && blockSize >= targetBlockSize) return 0;
  const off = Math.log(blockSize / targetBlockSize) ** 2;
  const bound = Math.min(maxBlockSize, cap);
  const beyond =
    blockSize < minBlockSize ? minBlockSize / blockSize : blockSize > bound ? blockSize / bound : 1;
  return off + (beyond > 1 ? OUT_OF_BOUNDS * Math.log(beyond) : 0);
}

function finishRow(
  items: readonly RowItem[],
  aspects: Float64Array,
  first: number,
  end: number,
  isLast: boolean,
  { inlineSize, columnGap, targetBlockSize, lastRow, mostUpscale }: RowsOptions,
): LaidRow {
  const count = end - first;
  const full =
    Math.max(0, inlineSize - (count - 1) * columnGap) /
    ((aspects[end] as number) - (aspects[first] as number));
  let cap = Infinity;
  for (let k = first; k < end; k++) cap = Math.min(cap, capOf(items[k] as RowItem, mostUpscale));
  let blockSize = Math.min(full, cap);
  if (isLast && lastRow !== 'fill-width' && full > targetBlockSize)
    blockSize = Math.min(targetBlockSize, cap);
  return { first, count, blockSize, isFull: blockSize === full };
}

function checkRows(items: readonly RowItem[], options: RowsOptions): void {
  const { inlineSize, columnGap, rowGap, targetBlockSize, minBlockSize, maxBlockSize, mostUpscale } = options;
  const positive = { inlineSize, targetBlockSize, maxBlockSize, mostUpscale };
  for (const [name, value] of Object.entries(positive)) {
    if (!(value > 0)) throw new RangeError(`${name} is a number above 0; this is ${String(value)}.`);
  }
  for (const [name, value] of Object.entries({ columnGap, rowGap, minBlockSize })) {
    if (!(value >= 0 && value < Infinity))
      throw new RangeError(`${name} is a number of px, 0 or more; this is ${String(value)}.`);
  }
  items.forEach(({ aspect }, k) => {
    if (!(aspect > 0 && aspect < Infinity)) {
      throw new RangeError(`The aspect of picture ${k + 1} is a number above 0; this is ${String(aspect)}.`);
    }
  });
}
