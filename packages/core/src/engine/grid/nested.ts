import type { AxisItem } from './axisItem.js';

/**
 * Items of a subgrid as items of the grid around it: their contributions grow by the subgrid's edges
 * where they touch these, and by half of the difference of the gaps elsewhere.
 */
export function nested(
  items: readonly AxisItem[],
  start: number,
  span: number,
  [before, after]: readonly [number, number],
  half: number,
  isReversed: boolean,
): AxisItem[] {
  // May be negative here: what a wider gap outside takes, one further out may give back.
  const inner = items.flatMap((item): AxisItem[] => {
    // The edges of a subgrid in a subgrid of one track say nothing outside.
    if (item.isEdge && span === 1) return [];
    const extra = (item.start === 0 ? before : half) + (item.start + item.span === span ? after : half);
    return [
      {
        start: start + (isReversed ? span - item.start - item.span : item.start),
        span: item.span,
        minContentContribution: () => item.minContentContribution() + extra,
        maxContentContribution: () => item.maxContentContribution() + extra,
        minimumContribution: (tracks, at, more) => item.minimumContribution(tracks, at, more + extra),
      },
    ];
  });
  // The subgrid itself counts as empty, but for its edges in the outermost tracks.
  const edge = (at: number, size: number) => {
    if (size === 0) return;
    const ask = () => size;
    inner.push({
      start: at,
      span: 1,
      isEdge: true,
      minContentContribution: ask,
      maxContentContribution: ask,
      minimumContribution: ask,
    });
  };
  if (span === 1) edge(start, before + after);
  else {
    edge(start, isReversed ? after : before);
    edge(start + span - 1, isReversed ? before : after);
  }
  return inner;
}
