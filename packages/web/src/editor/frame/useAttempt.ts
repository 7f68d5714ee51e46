import { useAppDispatch } from '../hooks';
import { warn } from '../../ui/notices/noticesSlice';

/** Does what may fail, and says why when it does. */
export function useAttempt(): (work: () => Promise<unknown>) => void {
  const dispatch = useAppDispatch();
  return (work) => {
    work().catch((error: unknown) => dispatch(warn(error instanceof Error ? error.message : String(error))));
  };
}
