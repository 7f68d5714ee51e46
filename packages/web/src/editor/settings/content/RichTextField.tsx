import type { Words } from '@noria/core';
import { EditorContent } from '@tiptap/react';
import { useRef } from 'react';
import { giveFocusBack } from '../../../ui/typing';
import { TextMarks } from './TextMarks';
import { useRichText } from './useRichText';

interface RichTextFieldProps {
  readonly name: string;
  readonly value: Words;
  readonly onType: (value: Words) => void;
}

const IN_SETTINGS =
  'rich relative min-h-[62px] max-h-[220px] overflow-y-auto px-2 py-1.5 wrap-break-word whitespace-break-spaces outline-none';

/** Words with paragraphs, lists, weight, emphasis and links. */
export function RichTextField({ name, value, onType }: RichTextFieldProps) {
  const written = useRef(value);
  const before = useRef(value);
  const editor = useRichText({
    name,
    value,
    className: IN_SETTINGS,
    onFocus: () => void (before.current = written.current),
    onType: (words) => {
      written.current = words;
      onType(words);
    },
    // As every field of words: Escape restores them, and Ctrl + Enter leaves them as they are.
    onKey: (event, dom) => {
      const isDone = event.key === 'Enter' && (event.ctrlKey || event.metaKey);
      if (event.key !== 'Escape' && !isDone) return false;
      event.preventDefault();
      event.stopPropagation();
      if (!isDone && written.current !== before.current) onType(before.current);
      giveFocusBack(dom);
      return true;
    },
  });
  return (
    <div className="rounded-s bg-field focus-within:outline-2 focus-within:outline-copper">
      <div className="border-b border-hair p-0.5">
        <TextMarks editor={editor} />
      </div>
      <EditorContent editor={editor} />
    </div>
  );
}
