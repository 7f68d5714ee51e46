import {
  carryTypeSizes,
  carryTypeSizesEverywhere,
  setBandTypeSizes,
  setTypeSizes,
  type Command,
  type TileId,
  type TypeSize,
  type TypeSizes,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor, selectView } from '../selectors';

/** Type sizes as a band has them: a number of px may be set in it alone, everything else holds in all. */
export function useTypeSize(field: keyof TypeSizes, ids: readonly TileId[] | null) {
  const dispatch = useAppDispatch();
  const { bands } = useAppSelector(selectView);
  const { index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const [first = ''] = ids ?? [];
  const own = (k: number) => (ids === null ? bands[k]?.typeSizes : bands[k]?.tileTypeSizes?.[first])?.[field];
  let value: number | null = null;
  for (let k = 0; k < index; k++) value = own(k) ?? value;
  const command = (size: TypeSize, everywhere: Command): Command => {
    if (index > 0 && setFor === 'band' && typeof size === 'number') {
      return ids === null
        ? setBandTypeSizes({ [field]: size }, index)
        : setTypeSizes(ids, { [field]: size }, index);
    }
    return (draft) => {
      everywhere(draft);
      if (setFor === 'all') carryTypeSizesEverywhere(ids, [field])(draft);
    };
  };
  return {
    /** What bands set; null: nothing, it is as everywhere. */
    value,
    setHere: index > 0 && own(index - 1) !== undefined,
    carry: () => {
      dispatch(runHere('Carry', carryTypeSizes(ids, index, [field])));
    },
    command,
    set: (step: string, size: TypeSize, everywhere: Command) => {
      dispatch(runHere(step, command(size, everywhere)));
    },
  };
}
