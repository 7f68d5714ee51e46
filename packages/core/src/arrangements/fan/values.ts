import { fields, number, oneOf } from '../../document/checks.js';
import { LIMITS } from '../../document/limits.js';
import type { Arrangement, FanCards } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_FAN: FanCards = {
  axis: 'inline',
  inlineSize: 420,
  blockSize: 480,
  strip: 160,
  open: 'last',
};

export const fanOf = ({ fan }: Pick<Arrangement, 'fan'>): FanCards => fan ?? ANY_FAN;

/** Which of the cards lies open until another is opened. */
export const openAtRest = ({ open }: FanCards, count: number) => (open === 'first' ? 0 : count - 1);

export const fanValues: ValuesOfKind<'fan'> = {
  field: 'fan',
  read: fanOf,
  check: fields(
    {
      axis: oneOf(['inline', 'block'], 'The axis'),
      inlineSize: number(1, LIMITS.track, 'The card width'),
      blockSize: number(1, LIMITS.track, 'The card height'),
      strip: number(0, LIMITS.track, 'A strip'),
      open: oneOf(['first', 'last'], 'The open card'),
    },
    'A fan',
  ),
};
