import { fields, oneOf } from '../../document/checks.js';
import { length } from '../../document/lengthCheck.js';
import { LIMITS } from '../../document/limits.js';
import type { Arrangement, FanCards, WrittenLength } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_FAN: FanCards<number> = {
  axis: 'inline',
  inlineSize: 420,
  blockSize: 480,
  strip: 160,
  open: 'last',
};

export const fanOf = <L extends WrittenLength>({ fan }: Pick<Arrangement<L>, 'fan'>): FanCards<L | number> =>
  fan ?? ANY_FAN;

/** Which of the cards lies open until another is opened. */
export const openAtRest = ({ open }: Pick<FanCards, 'open'>, count: number) =>
  open === 'first' ? 0 : count - 1;

export const fanValues: ValuesOfKind<'fan'> = {
  field: 'fan',
  read: fanOf,
  check: fields(
    {
      axis: oneOf(['inline', 'block'], 'The axis'),
      inlineSize: length(1, LIMITS.track, 'The card width'),
      blockSize: length(1, LIMITS.track, 'The card height'),
      strip: length(0, LIMITS.track, 'A strip'),
      open: oneOf(['first', 'last'], 'The open card'),
    },
    'A fan',
  ),
};
