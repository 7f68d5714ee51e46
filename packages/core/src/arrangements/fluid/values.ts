import { fields, number, oneOf, orNull } from '../../document/checks.js';
import { length } from '../../document/lengthCheck.js';
import { LIMITS } from '../../document/limits.js';
import type { Arrangement, FluidColumns, WrittenLength } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_FLUID: FluidColumns<number> = { repeat: 'auto-fit', min: 240, max: null, spansFrom: null };

export const fluidOf = <L extends WrittenLength>({
  fluid,
}: Pick<Arrangement<L>, 'fluid'>): FluidColumns<L | number> => fluid ?? ANY_FLUID;

/** What makes an arrangement one of as many columns as fit, with some values of it set. */
export const asManyAsFit = (
  arrangement: Pick<Arrangement, 'fluid'>,
  values: Partial<FluidColumns>,
): Pick<Arrangement, 'kind'> & Partial<Arrangement> => ({
  kind: 'fluid',
  fluid: { ...fluidOf(arrangement), ...values },
});

export const fluidValues: ValuesOfKind<'fluid'> = {
  field: 'fluid',
  read: fluidOf,
  check: fields(
    {
      repeat: oneOf(['auto-fit', 'auto-fill'], '“Few tiles”'),
      min: length(1, LIMITS.track, 'The column width'),
      max: orNull(number(1, LIMITS.columns, 'A greatest number of columns', true)),
      spansFrom: orNull(number(0, LIMITS.track, 'A width from which spans apply')),
    },
    'A fluid arrangement’s columns',
  ),
};
