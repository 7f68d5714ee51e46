/**
 * The cheapest way to give every row a column of its own: the Hungarian algorithm with potentials, in
 * O(rows² × columns) (Kuhn 1955; Jonker and Volgenant 1987).
 * @param costs a row for each to be given, as many columns or more; finite numbers
 * @returns the column of each row
 * @throws RangeError when there are fewer columns than rows
 */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  if (rows > columns) throw new RangeError(`${rows} can’t each have one of ${columns}.`);
  const ofRow = new Float64Array(rows + 1);
  const ofColumn = new Float64Array(columns + 1);
  /** The row that has a column; row and column 0 stand for none. */
  const rowOf = new Int32Array(columns + 1);
  const before = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    rowOf[0] = row;
    let column = 0;
    const least = new Float64Array(columns + 1).fill(Infinity);
    const done = new Uint8Array(columns + 1);
    do {
      done[column] = 1;
      const at = rowOf[column] as number;
      const costsHere = costs[at - 1] as readonly number[];
      let step = Infinity;
      let next = 0;
      for (let k = 1; k <= columns; k++) {
        if (done[k]) continue;
        const reduced = (costsHere[k - 1] as number) - (ofRow[at] as number) - (ofColumn[k] as number);
        if (reduced < (least[k] as number)) {
          least[k] = reduced;
          before[k] = column;
        }
        if ((least[k] as number) < step) {
          step = least[k] as number;
          next = k;
        }
      }
      for (let k = 0; k <= columns; k++) {
        if (done[k]) {
          ofRow[rowOf[k] as number] = (ofRow[rowOf[k] as number] as number) + step;
          ofColumn[k] = (ofColumn[k] as number) - step;
        } else least[k] = (least[k] as number) - step;
      }
      column = next;
    } while (rowOf[column] !== 0);
    do {
      const from = before[column] as number;
      rowOf[column] = rowOf[from] as number;
      column = from;
    } while (column !== 0);
  }
  const given = new Array<number>(rows).fill(-1);
  for (let k = 1; k <= columns; k++) {
    const row = rowOf[k] as number;
    if (row > 0) given[row - 1] = k - 1;
  }
  return given;
}

/**
 * Gives pictures to slots so that as little as possible is cropped over all: wide ones to wide slots,
 * tall to tall. With `cover`, what a picture of aspect a loses in a slot of aspect s is
 * `1 − min(a/s, s/a)`.
 * @param pictures, slots aspects, inline ÷ block, above 0
 * @returns the picture of each slot, null for a slot that gets none
 */
export function bestFit(pictures: readonly number[], slots: readonly number[]): (number | null)[] {
  const loss = (a: number, s: number) => 1 - Math.min(a / s, s / a);
  if (slots.length <= pictures.length) return assign(slots.map((s) => pictures.map((a) => loss(a, s))));
  const slotOf = assign(pictures.map((a) => slots.map((s) => loss(a, s))));
  return slots.map((_, slot) => {
    const picture = slotOf.indexOf(slot);
    return picture === -1 ? null : picture;
  });
}
