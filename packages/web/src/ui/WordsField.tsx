import { useName } from './Rows';

interface WordsFieldProps {
  /** Left out: the label of its row. */
  readonly name?: string;
  readonly value: string;
  readonly lines?: number;
  readonly hint?: string;
  readonly onType: (value: string) => void;
}

/** Words that take effect while they are typed. */
export function WordsField({ name, value, lines = 1, hint, onType }: WordsFieldProps) {
  const common = {
    ...useName(name),
    placeholder: hint,
    value,
    className:
      'w-full min-w-0 rounded-s bg-field px-2 py-[3px] outline-none placeholder:text-faint focus-visible:outline-2 focus-visible:outline-copper',
  };
  return lines > 1 ? (
    <textarea
      {...common}
      rows={lines}
      className={`${common.className} resize-none`}
      onChange={(event) => onType(event.target.value)}
    />
  ) : (
    <input
      {...common}
      className={`${common.className} h-[26px]`}
      onChange={(event) => onType(event.target.value)}
    />
  );
}
