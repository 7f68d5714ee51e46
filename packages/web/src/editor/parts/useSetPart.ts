import { isAddress, LIMITS, setPart, type PartValues } from '@noria/core';
import { useAppDispatch } from '../hooks';
import { warn } from '../../ui/notices/noticesSlice';
import { runHere } from '../here';
import type { PartProps } from './partProps';

/** Sets a field of a part, after a look at whether it can be kept; words that are typed are one step. */
export function useSetPart({ part, ids }: Pick<PartProps, 'part' | 'ids'>) {
  const dispatch = useAppDispatch();
  return (field: keyof PartValues, label: string, value: unknown, isTyped = true) => {
    if (field === 'address' && typeof value === 'string' && !isAddress(value)) {
      dispatch(warn('A link leads to https://…, mailto:, tel:, #part or a relative address.'));
      return;
    }
    if (typeof value === 'string' && value.length > LIMITS.words) {
      dispatch(
        warn(
          `${label}: ${value.length} characters; at most ${LIMITS.words} are kept. Nothing was changed: shorten the words first.`,
        ),
      );
      return;
    }
    const key = isTyped ? `${ids.join(' ')} ${part.id} ${field}` : null;
    dispatch(runHere(label, setPart(ids, part.id, { [field]: value }), key));
  };
}
