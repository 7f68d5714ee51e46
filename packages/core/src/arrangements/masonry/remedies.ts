import { otherCounts, scaled } from '../shared/remedies.js';
import { isAlong, masonryOf } from './values.js';
import type { Arrangement } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

const LANE = { one: 'lane', many: 'lanes', title: 'Lanes' };

/** Fewer and wider lanes for what is squashed, more for what looks soft; higher ones where tiles run along. */
export function* masonryRemedies(
  arrangement: Arrangement,
  { kind, figures, tiles: [tile = ''] }: Ailment,
): Generator<Remedy> {
  const lanes = masonryOf(arrangement);
  if (kind === 'hole') {
    for (let span = Number(figures.columns) - 1; span >= 1; span--)
      yield {
        does: span === 1 ? 'Over one lane' : `Over ${span} lanes`,
        change: { tile, columnSpan: span },
      };
    for (const by of [-1, 1, -2, 2, -3, 3])
      yield {
        does: `Read it ${Math.abs(by)} ${by < 0 ? 'earlier' : 'later'}`,
        isTaste: true,
        change: { tile, laterBy: by },
      };
    return;
  }
  if (isAlong(arrangement)) {
    const needed = kind === 'clipped' ? [Math.ceil(Number(figures.need) / Number(figures.rows ?? 1))] : [];
    for (const px of [...needed, ...scaled(lanes.laneSize, kind)])
      yield { does: `Lanes of ${px} px`, change: { values: { laneSize: px } } };
    return;
  }
  const span = Math.max(1, Number(figures.columns ?? 1));
  for (const [does, values] of otherCounts(lanes, kind, Number(figures.need) / span, LANE))
    yield { does, change: { values } };
}
