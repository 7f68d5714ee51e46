import type { Words } from '@noria/core';
import { useEditor, type Editor } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import { EDITOR_PARTS, fromEditor, toEditor } from './editorWords';

interface RichText {
  readonly name: string;
  readonly value: Words;
  readonly className: string;
  readonly onType: (value: Words) => void;
  readonly onFocus?: () => void;
  /** Deals with a key before the editor does; answers whether it has. */
  readonly onKey?: (event: KeyboardEvent, dom: HTMLElement) => boolean;
}

/** An editor of words with marks; its undo is the collection’s. */
export function useRichText({ name, value, className, onType, onFocus, onKey }: RichText): Editor {
  const written = useRef(value);
  const editor = useEditor({
    extensions: EDITOR_PARTS,
    content: toEditor(value),
    // The editor's own style sheet goes when the one before it goes, and spaces would not be kept.
    injectCSS: false,
    editorProps: {
      attributes: { 'aria-label': name, 'aria-multiline': 'true', role: 'textbox', class: className },
      // The editor would swallow undo and redo, which are the collection’s.
      handleDOMEvents: {
        keydown: (_, event) => (event.ctrlKey || event.metaKey) && 'zy'.includes(event.key.toLowerCase()),
      },
      handleKeyDown: ({ dom }, event) => onKey?.(event, dom) ?? false,
    },
    onFocus: () => onFocus?.(),
    onUpdate: ({ editor: at }) => {
      const words = fromEditor(at.getJSON());
      written.current = words;
      onType(words);
    },
  });
  useEffect(() => {
    // What came from elsewhere, such as an undo, is shown; what was just typed here stays as it is.
    if (JSON.stringify(written.current) === JSON.stringify(value)) return;
    written.current = value;
    editor.commands.setContent(toEditor(value), { emitUpdate: false });
  }, [editor, value]);
  return editor;
}
