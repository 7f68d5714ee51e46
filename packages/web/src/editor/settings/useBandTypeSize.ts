import {
  inheritLook,
  inheritLookEverywhere,
  setBandTypeSizes,
  setCollectionLook,
  type Command,
  type TypeSize,
  type TypeSizes,
} from '@noria/core';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppSelector } from '../hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor, selectView } from '../selectors';

/**
 * A type size of the collection as a band has it: set in it alone or everywhere, as one has chosen. One
 * that grows, or follows a name, holds everywhere.
 */
export function useBandTypeSize(field: keyof TypeSizes) {
  const dispatch = useAppDispatch();
  const setFor = useAppSelector(selectSetFor);
  // Plain values, so that what shows them rests while tiles are only moved.
  const { index, value, setHere } = useAppSelector((state) => {
    const { bands } = selectView(state);
    const here = selectBand(state).index;
    const own = (k: number): number | undefined => bands[k]?.typeSizes?.[field];
    let inherited: number | undefined;
    for (let k = 0; k < here; k++) inherited = own(k) ?? inherited;
    return { index: here, value: inherited, setHere: here > 0 && own(here - 1) !== undefined };
  }, shallowEqual);
  const command = (next: TypeSize): Command => {
    if (index > 0 && setFor === 'band' && typeof next === 'number')
      return setBandTypeSizes({ [field]: next }, index);
    return (draft) => {
      setCollectionLook({ [field]: next })(draft);
      if (setFor === 'all') inheritLookEverywhere(null, [field])(draft);
    };
  };
  return {
    /** What bands set; left out: nothing, it is as everywhere. */
    value,
    setHere,
    inherit: () => {
      dispatch(runHere('Inherit', inheritLook(null, index, [field])));
    },
    command,
    set: (step: string, next: TypeSize) => {
      dispatch(runHere(step, command(next)));
    },
  };
}
