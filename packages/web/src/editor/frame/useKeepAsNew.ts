import { useNavigate } from 'react-router';
import { useAppDispatch } from '../hooks';
import { keepAsNew } from '../saving/asNew';
import { useAttempt } from './useAttempt';

/** Saves what is on this screen as a new collection, and goes there. */
export function useKeepAsNew(): () => void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const attempt = useAttempt();
  return () =>
    attempt(async () => {
      const copy = await dispatch(keepAsNew());
      if (copy) await navigate(`/collections/${copy}/compose`);
    });
}
