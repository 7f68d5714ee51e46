/**
 * Width of one of `columns` even columns: (W − (n−1)·g) / n, in px; never below 0.
 * @param inner px inside the padding
 */
export function evenColumn(inner: number, columns: number, gap: number): number {
  return Math.max(0, (inner - (columns - 1) * gap) / columns);
}
