import { evenColumn } from './evenColumn.js';

/**
 * How many rows make the modules of a box square, as nearly as whole rows can: such that
 * (H − (r − 1)·g) ÷ r ≈ (W − (c − 1)·g) ÷ c.
 * @param inlineSize, blockSize px inside the padding
 * @throws RangeError when there is no column or no room
 * @example squareRows({ inlineSize: 1200, blockSize: 597, columns: 12, gap: 0 }) // 6
 */
export function squareRows({
  inlineSize,
  blockSize,
  columns,
  gap,
}: {
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly columns: number;
  readonly gap: number;
}): number {
  if (!(columns >= 1) || !(inlineSize > 0) || !(blockSize > 0))
    throw new RangeError('Square modules need at least one column and a box with room in it.');
  const side = evenColumn(inlineSize, columns, gap);
  const exact = (blockSize + gap) / (side + gap);
  const off = (rows: number) => Math.abs(evenColumn(blockSize, rows, gap) - side);
  const [less, more] = [Math.max(1, Math.floor(exact)), Math.max(1, Math.ceil(exact))];
  return off(more) < off(less) ? more : less;
}
