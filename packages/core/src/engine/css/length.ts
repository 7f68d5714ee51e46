/**
 * Lengths that may hold a share of a basis still to be known (CSS Values 4, section 10).
 * A plain number is CSS px; a calculation is resolved once the basis is known.
 */
export type Length = number | Calculation;

export type Calculation =
  | { readonly of: 'percent'; readonly percent: number }
  | { readonly of: 'sum' | 'min' | 'max'; readonly parts: readonly Length[] }
  | { readonly of: 'product'; readonly factor: number; readonly part: Length };

export const percent = (value: number): Calculation => ({ of: 'percent', percent: value });

/** Whether a length holds a percentage, so that it needs a basis. */
export function hasPercent(length: Length): boolean {
  if (typeof length === 'number') return false;
  if (length.of === 'percent') return true;
  return length.of === 'product' ? hasPercent(length.part) : length.parts.some(hasPercent);
}

/**
 * The length in px.
 * @param basis px that 100 % stands for; NaN when it is not known, and then percentages count as 0
 */
export function resolveLength(length: Length, basis: number): number {
  if (typeof length === 'number') return length;
  switch (length.of) {
    case 'percent':
      return Number.isNaN(basis) ? 0 : (basis * length.percent) / 100;
    case 'product':
      return length.factor * resolveLength(length.part, basis);
    case 'sum':
      return length.parts.reduce<number>((sum, part) => sum + resolveLength(part, basis), 0);
    case 'min':
      return Math.min(...length.parts.map((part) => resolveLength(part, basis)));
    case 'max':
      return Math.max(...length.parts.map((part) => resolveLength(part, basis)));
  }
}

/** The sum of two lengths, folded where both are px. */
export function addLengths(a: Length, b: Length): Length {
  if (typeof a === 'number' && typeof b === 'number') return a + b;
  return { of: 'sum', parts: [a, b] };
}

/** A length times a number, folded where it is px. */
export function scaleLength(length: Length, factor: number): Length {
  return typeof length === 'number' ? length * factor : { of: 'product', factor, part: length };
}

/** Browsers count in 64ths of a px; sums that have to come out even come out as theirs do. */
const UNITS = 64;
export const toUnits = (length: number) => Math.floor(length * UNITS + 1e-6) / UNITS;
