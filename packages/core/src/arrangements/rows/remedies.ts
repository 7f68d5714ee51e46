import { scaled } from '../shared/remedies.js';
import { rowHeightsOf } from './values.js';
import type { Arrangement } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

/** Higher rows for what is squashed, lower ones for what looks soft. */
export function* rowsRemedies(arrangement: Arrangement, { kind }: Ailment): Generator<Remedy> {
  const { target, min, max, lastRow } = rowHeightsOf(arrangement);
  for (const px of scaled(target, kind)) {
    const least = typeof min === 'string' ? min : Math.min(min, px);
    const most = typeof max === 'string' ? max : Math.max(max, px);
    yield { does: `Rows of about ${px} px`, change: { values: { target: px, min: least, max: most } } };
  }
  if (kind === 'soft' && lastRow === 'fill-width')
    yield {
      does: 'A last row no higher than the others',
      change: { values: { lastRow: 'keep-height' } },
    };
}
