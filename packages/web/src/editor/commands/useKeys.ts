import { useEffect } from 'react';
import { useAppDispatch } from '../hooks';
import { addPictures } from '../actions/pictures';
import { copiedText, deleteTiles, pasteText } from '../actions/tiles';
import { KEY_COMMANDS, keepsKeys } from './keys';

/** Listens for the keys of the Compose screen. */
export function useKeys(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || keepsKeys(event.target, event.key)) return;
      const command = KEY_COMMANDS.find(({ matches }) => matches(event));
      if (!command) return;
      event.preventDefault();
      dispatch(command.run(event));
    };
    // The clipboard's own events work without asking, and across collections and tabs.
    const onCopy = (event: ClipboardEvent) => {
      if (keepsKeys(event.target, 'c') || String(window.getSelection() ?? '') !== '') return;
      const text = dispatch(copiedText());
      if (text === null) return;
      event.clipboardData?.setData('text/plain', text);
      event.preventDefault();
      if (event.type === 'cut') dispatch(deleteTiles());
    };
    const onPaste = (event: ClipboardEvent) => {
      if (keepsKeys(event.target, 'v')) return;
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0) void dispatch(addPictures(files));
      else if (!dispatch(pasteText(event.clipboardData?.getData('text/plain') ?? ''))) return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKeyDown);
    window.addEventListener('copy', onCopy);
    window.addEventListener('cut', onCopy);
    window.addEventListener('paste', onPaste);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('copy', onCopy);
      window.removeEventListener('cut', onCopy);
      window.removeEventListener('paste', onPaste);
    };
  }, [dispatch]);
}
