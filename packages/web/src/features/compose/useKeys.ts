import { useEffect } from 'react';
import { useAppDispatch } from '../../store/hooks';
import { KEY_COMMANDS, keepsKeys } from './keys';

/** Listens for the keys of the Compose screen. */
export function useKeys(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || keepsKeys(event.target)) return;
      const command = KEY_COMMANDS.find(({ matches }) => matches(event));
      if (!command) return;
      event.preventDefault();
      dispatch(command.run(event));
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [dispatch]);
}
