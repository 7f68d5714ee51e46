import { fluidOf } from './values.js';
import type { Arrangement } from '../../document/types.js';
import type { Ailment, Remedy } from '../kind.js';

/** Other numbers of fluid columns: fewer at most, or wider ones. */
export function* fluidRemedies(arrangement: Arrangement, { kind, figures }: Ailment): Generator<Remedy> {
  const { minimum } = fluidOf(arrangement);
  if (kind === 'squashed') {
    const need = Math.ceil(Number(figures.need));
    if (need > minimum)
      yield { does: `Columns of at least ${need} px`, change: { values: { minimum: need } } };
  }
  if (kind !== 'stray' && kind !== 'hole' && kind !== 'squashed' && kind !== 'over-cropped') return;
  for (let most = 6; most >= 1; most--)
    yield { does: `At most ${most} ${most === 1 ? 'column' : 'columns'}`, change: { values: { most } } };
}
