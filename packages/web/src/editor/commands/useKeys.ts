import { useEffect } from 'react';
import { useAppStore } from '../hooks';
import { copiedText, deleteTiles, pasteText } from '../actions/tiles';
import { ofPictures } from './acts';
import { isPressed } from './command';
import { isInDialog, keepsKeys } from './keepsKeys';
import { commandListToggled, writingIn } from '../editorSlice';
import { takeBackTyped } from '../../ui/typing';
import { COMMANDS } from './registry';
import { typeAhead } from './typedAhead';
import { pasteWords } from '../writing/pasteWords';

/** The command that a press is for; undefined: none. */
export const pressedCommand = (event: KeyboardEvent) =>
  Object.values(COMMANDS).find((command) => isPressed(command, event));

/** Listens for the keys of the editor. */
export function useKeys(): void {
  const { dispatch, getState } = useAppStore();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      // What is still coming takes what is typed: no key of it is a command.
      const { commandList, writing } = getState().editor;
      if (commandList ? !isInDialog(event.target) : writing && !keepsKeys(event.target)) {
        if (event.key === 'Escape') dispatch(commandList ? commandListToggled(false) : writingIn(null));
        else if (writing && event.key === 'Tab') typeAhead('\t');
        else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey) typeAhead(event.key);
        else return;
        event.preventDefault();
        return;
      }
      const command = pressedCommand(event);
      if (!command) return;
      const isKept = keepsKeys(event.target, event.key);
      if (isKept && (!command.whileTyping || isInDialog(event.target))) return;
      event.preventDefault();
      // What is typed and not applied is what was done last.
      if (command === COMMANDS.undo && takeBackTyped(event.target)) return;
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
      if (files.length > 0) dispatch(ofPictures((pictures) => pictures.addPictures(files))());
      else {
        const text = event.clipboardData?.getData('text/plain') ?? '';
        if (!dispatch(pasteText(text)) && !dispatch(pasteWords(text))) return;
      }
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
  }, [dispatch, getState]);
}
