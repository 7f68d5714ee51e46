import { fluidOf } from './fluid/values.js';
import { kindOf } from './index.js';
import { widthOf } from './shared/widthOf.js';
import type { Band } from '../document/bands.js';
import type { Arrangement, ColumnCount, WrittenLength } from '../document/types.js';

/** The page width from which so many columns fit, px; Infinity where they never do. */
export const widthForColumns = (arrangement: Arrangement, columns: number): number =>
  widthOf((here) => kindOf(here).columnCount(here) ?? fluidOf(here), arrangement, columns);

/** A page width from which there is a column more, px. */
export interface ColumnChange {
  readonly width: number;
  readonly columns: number;
}

/** The most changes that are listed in one band. */
const MOST_CHANGES = 64;
/** Wider pages are not looked at, px. */
const WIDEST = 100_000;

/** The page widths inside of a band from which there is a column more, from narrow to wide, px. */
export function columnChanges({
  arrangement,
  from,
  below,
}: Pick<Band, 'arrangement' | 'from' | 'below'>): ColumnChange[] {
  if (kindOf(arrangement).columnCount(arrangement)?.count !== null) return [];
  const changes: ColumnChange[] = [];
  for (let columns = 2; changes.length < MOST_CHANGES; columns++) {
    const width = widthForColumns(arrangement, columns);
    if (width >= Math.min(below, WIDEST)) return changes;
    if (width > from) changes.push({ width, columns });
  }
  return changes;
}

/** How many columns there are where their number is given, or follows the width; null: neither. */
export const columnCountOf = <L extends WrittenLength>(
  arrangement: Arrangement<L>,
): ColumnCount<L | number> | null => kindOf(arrangement).columnCount(arrangement);
