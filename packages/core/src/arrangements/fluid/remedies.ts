import { fluidOf } from './values.js';
import type { Arrangement } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

/** Other numbers of fluid columns: fewer at most, or wider ones. */
export function* fluidRemedies(arrangement: Arrangement, { kind, figures }: Ailment): Generator<Remedy> {
  const { min } = fluidOf(arrangement);
  if (kind === 'squashed') {
    const need = Math.ceil(Number(figures.need));
    if (typeof min === 'string' || need > min)
      yield { does: `Columns of at least ${need} px`, change: { values: { min: need } } };
  }
  if (kind !== 'stray' && kind !== 'hole' && kind !== 'squashed' && kind !== 'over-cropped') return;
  for (let max = 6; max >= 1; max--)
    yield { does: `At most ${max} ${max === 1 ? 'column' : 'columns'}`, change: { values: { max } } };
}
