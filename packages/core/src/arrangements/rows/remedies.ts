import { scaled } from '../shared/remedies.js';
import { rowHeightsOf } from './values.js';
import type { Arrangement } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

/** Higher rows for what is squashed, lower ones for what looks soft. */
export function* rowsRemedies(arrangement: Arrangement, { kind }: Ailment): Generator<Remedy> {
  const { target, min, max, lastRow } = rowHeightsOf(arrangement);
  for (const px of scaled(target, kind))
    yield {
      does: `Rows of about ${px} px`,
      change: { values: { target: px, min: Math.min(min, px), max: Math.max(max, px) } },
    };
  if (kind === 'soft' && lastRow === 'fill-width')
    yield {
      does: 'A last row no higher than the others',
      change: { values: { lastRow: 'keep-height' } },
    };
}
