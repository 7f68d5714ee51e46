import { useRef, type ChangeEvent, type KeyboardEvent } from 'react';
import { useName } from './Rows';
import { giveFocusBack } from './typing';

interface WordsFieldProps {
  /** Left out: the label of its row. */
  readonly name?: string;
  readonly value: string;
  readonly lines?: number;
  readonly hint?: string;
  readonly onType: (value: string) => void;
}

const LOOK =
  'w-full min-w-0 rounded-s bg-field px-2 py-[3px] outline-none placeholder:text-faint focus-visible:outline-2 focus-visible:outline-copper';

/**
 * Words that take effect while they are typed. Enter gives the focus back (with Ctrl where it begins a new
 * line); Escape restores what they were, and gives it back too.
 */
export function WordsField({ name, value, lines = 1, hint, onType }: WordsFieldProps) {
  const before = useRef(value);
  const common = {
    ...useName(name),
    placeholder: hint,
    value,
    onFocus: () => void (before.current = value),
    onChange: ({ target }: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => onType(target.value),
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      if (event.key === 'Escape') {
        event.preventDefault();
        event.stopPropagation();
        if (value !== before.current) onType(before.current);
      } else if (event.key !== 'Enter' || (lines > 1 && !event.ctrlKey && !event.metaKey)) return;
      else event.preventDefault();
      giveFocusBack(event.currentTarget);
    },
  };
  return lines > 1 ? (
    <textarea {...common} rows={lines} className={`${LOOK} resize-none`} />
  ) : (
    <input {...common} className={`${LOOK} h-[26px]`} />
  );
}
