import { fields, number, oneOf } from '../../document/checks.js';
import { length } from '../../document/lengthCheck.js';
import { LIMITS } from '../../document/limits.js';
import { countChecks } from '../shared/countChecks.js';
import type { Arrangement, MasonryLanes, WrittenLength } from '../../document/types.js';
import type { ValuesOfKind } from '../kind.js';

export const ANY_MASONRY: MasonryLanes<number> = {
  direction: 'block',
  laneSize: 200,
  count: null,
  min: 240,
  max: null,
  order: 'balanced',
  tolerance: 16,
};

export const masonryOf = <L extends WrittenLength>({
  masonry,
}: Pick<Arrangement<L>, 'masonry'>): MasonryLanes<L | number> => ({
  ...ANY_MASONRY,
  ...masonry,
});

/** What makes an arrangement one of lanes, with some values of it set. */
export const asLanes = (
  arrangement: Pick<Arrangement, 'masonry'>,
  values: Partial<MasonryLanes>,
): Pick<Arrangement, 'kind'> & Partial<Arrangement> => ({
  kind: 'masonry',
  masonry: { ...masonryOf(arrangement), ...values },
});

/** Whether an arrangement is lanes that tiles run along, so that it may be wider than its page. */
export const isAlong = ({ kind, masonry }: Pick<Arrangement, 'kind' | 'masonry'>) =>
  kind === 'masonry' && masonry?.direction === 'inline';

/** How many lanes there are where tiles run along them: their number does not follow the width. */
export const laneCountOf = ({ count }: Pick<MasonryLanes, 'count'>) => count ?? 2;

/** How far behind the shortest a lane may be, px, for CSS Grid 3’s `flow-tolerance`. */
export const toleranceOf = ({ order, tolerance }: Pick<MasonryLanes, 'order' | 'tolerance'>) =>
  order === 'in-turn' ? Infinity : tolerance;

export const masonryValues: ValuesOfKind<'masonry'> = {
  field: 'masonry',
  read: masonryOf,
  check: fields(
    {
      direction: oneOf(['block', 'inline'], 'The direction of lanes'),
      laneSize: length(1, LIMITS.track, 'The lane height'),
      ...countChecks('lanes'),
      order: oneOf(['in-turn', 'balanced'], 'The order of lanes'),
      tolerance: number(0, LIMITS.track, 'A tolerance'),
    },
    'Masonry',
    ['direction', 'laneSize'],
  ),
};
