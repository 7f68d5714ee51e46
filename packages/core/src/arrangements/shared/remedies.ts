import { LIMITS } from '../../document/limits.js';
import type { ColumnCount, WrittenLength } from '../../document/types.js';

/** Larger sizes where there is too little room, smaller ones where a picture has too few px; none of a length that follows the page. */
export function scaled(px: WrittenLength, kind: string): readonly number[] {
  if (typeof px === 'string') return [];
  const factors =
    kind === 'squashed' || kind === 'clipped' ? [1.15, 1.35, 1.6] : kind === 'soft' ? [0.87, 0.74, 0.6] : [];
  return factors.map((factor) => Math.min(LIMITS.track, Math.max(1, Math.round(px * factor))));
}

/** Another number of columns, and what a button says of it. */
type Other = readonly [does: string, values: Partial<ColumnCount>];

/**
 * Fewer columns where they are too narrow, more where pictures are stretched over too few.
 * @param need the least width of a column that would do, px
 * @param what one column, as a person reads it
 */
export function* otherCounts(
  { count, min, max }: ColumnCount,
  kind: string,
  need: number,
  what: { readonly one: string; readonly many: string; readonly title: string },
): Generator<Other> {
  const said = (number: number) => `${number} ${number === 1 ? what.one : what.many}`;
  if (kind === 'squashed' || kind === 'clipped') {
    if (count !== null) {
      for (let fewer = count - 1; fewer >= 1; fewer--) yield [said(fewer), { count: fewer }];
      return;
    }
    const least = Math.ceil(need);
    if (kind === 'squashed' && (typeof min === 'string' || least > min))
      yield [`${what.title} of at least ${least} px`, { min: least }];
    for (let fewer = Math.min(max ?? 6, 6) - 1; fewer >= 1; fewer--)
      yield [`At most ${said(fewer)}`, { max: fewer }];
  }
  if (kind === 'soft') {
    if (count !== null) {
      for (let more = count + 1; more <= Math.min(LIMITS.columns, count + 3); more++)
        yield [said(more), { count: more }];
    } else if (max !== null) {
      for (let more = max + 1; more <= Math.min(LIMITS.columns, max + 3); more++)
        yield [`At most ${said(more)}`, { max: more }];
    }
  }
}
