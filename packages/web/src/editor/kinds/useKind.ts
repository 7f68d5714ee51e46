import { setOfKind, type KindValues } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';

/** Sets values of a kind in the band of the needle, or in all. */
export function useKind<K extends keyof KindValues>(of: K) {
  const dispatch = useAppDispatch();
  const { index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const command = (values: Partial<KindValues[K]>) => setOfKind(of, values, index, setFor);
  return {
    command,
    set: (step: string, values: Partial<KindValues[K]>) => dispatch(runHere(step, command(values))),
  };
}
