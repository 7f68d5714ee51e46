import {
  carryLook,
  carryLookEverywhere,
  setBandLook,
  setBandTypeSizes,
  type BandLook,
  type Command,
  type TileId,
  type TypeSize,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor, selectView } from '../selectors';

/**
 * One value of looks as a band has it: set in it alone or everywhere, as one has chosen. A type size
 * that grows, or follows a name, holds everywhere.
 * @param ids the tiles; null: the collection, of which a band sets type sizes alone
 */
export function useBandLook<F extends keyof BandLook>(field: F, ids: readonly TileId[] | null) {
  const dispatch = useAppDispatch();
  const { bands } = useAppSelector(selectView);
  const { index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const [first = ''] = ids ?? [];
  const own = (k: number): BandLook[F] | undefined => {
    const look: BandLook | undefined = ids === null ? bands[k]?.typeSizes : bands[k]?.looks?.[first];
    return look?.[field];
  };
  let value: BandLook[F] | undefined;
  for (let k = 0; k < index; k++) value = own(k) ?? value;
  const command = (next: BandLook[F] | TypeSize, everywhere: Command): Command => {
    if (index > 0 && setFor === 'band' && typeof next !== 'object' && !isName(next)) {
      const look = { [field]: next } as BandLook;
      return ids === null ? setBandTypeSizes(look, index) : setBandLook(ids, look, index);
    }
    return (draft) => {
      everywhere(draft);
      if (setFor === 'all') carryLookEverywhere(ids, [field])(draft);
    };
  };
  return {
    /** What bands set; left out: nothing, it is as everywhere. */
    value,
    setHere: index > 0 && own(index - 1) !== undefined,
    carry: () => {
      dispatch(runHere('Carry', carryLook(ids, index, [field])));
    },
    command,
    set: (step: string, next: BandLook[F] | TypeSize, everywhere: Command) => {
      dispatch(runHere(step, command(next, everywhere)));
    },
  };
}

const isName = (value: unknown) => typeof value === 'string' && value.startsWith('{');
