import { useAppSelector } from '../hooks';
import { selectBand, selectSetFor } from '../selectors';

/** Whether one sets values for a narrower band alone, so that what can’t be has to say that it holds everywhere. */
export const useEverywhere = (): boolean =>
  useAppSelector((state) => selectBand(state).index > 0 && selectSetFor(state) === 'band');
