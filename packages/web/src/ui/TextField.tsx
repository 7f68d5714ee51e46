import type { InputHTMLAttributes } from 'react';
import { useName } from './Rows';
import { FieldNote, useTyping } from './typing';

type Own = Pick<
  InputHTMLAttributes<HTMLInputElement>,
  'list' | 'placeholder' | 'title' | 'autoFocus' | 'inputMode'
>;

interface TextFieldProps extends Own {
  /** Left out: the label of its row. */
  readonly name?: string;
  readonly value: string;
  /** Why a text can’t be taken, and what can; null: it can. */
  readonly problem?: (text: string) => string | null;
  /** Takes a text; a text that it answers says why it could not. */
  readonly onSet: (text: string) => unknown;
  /** Whether nothing is a value too. */
  readonly takesNothing?: boolean;
  readonly className?: string;
}

/** A short text that is applied as one. */
export function TextField({
  name,
  value,
  problem,
  onSet,
  takesNothing,
  className = '',
  ...own
}: TextFieldProps) {
  const named = useName(name);
  const { input, amiss, note } = useTyping({
    value,
    ...(problem && { problem }),
    apply: onSet,
    ...(takesNothing && { takesNothing }),
  });
  return (
    <span className="relative block min-w-0">
      <input
        {...own}
        {...named}
        {...input}
        className={`h-[26px] w-full min-w-0 rounded-s bg-field px-2 placeholder:text-faint ${amiss ? 'outline-2 outline-amiss' : ''} ${className}`}
        onFocus={(event) => event.target.select()}
      />
      <FieldNote id={note}>{amiss}</FieldNote>
    </span>
  );
}
