import {
  inheritLook,
  inheritLookEverywhere,
  setBandLook,
  setBandTypeSizes,
  type BandLook,
  type Command,
  type TileId,
  type TypeSize,
} from '@noria/core';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppSelector } from '../hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor, selectView } from '../selectors';

/**
 * One value of looks as a band has it: set in it alone or everywhere, as one has chosen. A type size
 * that grows, or follows a name, holds everywhere.
 * @param ids the tiles; null: the collection, of which a band sets type sizes alone
 */
export function useBandLook<F extends keyof BandLook>(field: F, ids: readonly TileId[] | null) {
  const dispatch = useAppDispatch();
  const setFor = useAppSelector(selectSetFor);
  const [first = ''] = ids ?? [];
  // Plain values, so that what shows them rests while tiles are only moved.
  const { index, value, setHere } = useAppSelector((state) => {
    const { bands } = selectView(state);
    const here = selectBand(state).index;
    const own = (k: number): BandLook[F] | undefined => {
      const look: BandLook | undefined = ids === null ? bands[k]?.typeSizes : bands[k]?.looks?.[first];
      return look?.[field];
    };
    let inherited: BandLook[F] | undefined;
    for (let k = 0; k < here; k++) inherited = own(k) ?? inherited;
    return { index: here, value: inherited, setHere: here > 0 && own(here - 1) !== undefined };
  }, shallowEqual);
  const command = (next: BandLook[F] | TypeSize, everywhere: Command): Command => {
    if (index > 0 && setFor === 'band' && typeof next !== 'object' && !isName(next)) {
      const look = { [field]: next } as BandLook;
      return ids === null ? setBandTypeSizes(look, index) : setBandLook(ids, look, index);
    }
    return (draft) => {
      everywhere(draft);
      if (setFor === 'all') inheritLookEverywhere(ids, [field])(draft);
    };
  };
  return {
    /** What bands set; left out: nothing, it is as everywhere. */
    value,
    setHere,
    inherit: () => {
      dispatch(runHere('Inherit', inheritLook(ids, index, [field])));
    },
    command,
    set: (step: string, next: BandLook[F] | TypeSize, everywhere: Command) => {
      dispatch(runHere(step, command(next, everywhere)));
    },
  };
}

const isName = (value: unknown) => typeof value === 'string' && value.startsWith('{');
