import {
  lengthAt,
  lengthTrouble,
  LENGTH_LIKE,
  typedLength,
  type Command,
  type WrittenLength,
} from '@noria/core';
import { useAppDispatch, useAppSelector } from '../hooks';
import { NumberField } from '../../ui/NumberField';
import { runHere, tryHere } from '../here';
import { selectNeedle } from '../selectors';
import type { SetNumberProps } from './SetNumber';

export interface SetLengthProps extends Omit<SetNumberProps, 'value' | 'command'> {
  /** Null: several values. */
  readonly value: WrittenLength | null;
  /** Whether it may be a share: it is known of what. */
  readonly shares?: boolean;
  readonly command: (value: WrittenLength) => Command;
}

/** A length of the collection: px, or any CSS length that is typed. With shares, the basis says of what. */
export function SetLength({
  field,
  name = field.label,
  unit = field.unit,
  value,
  shares = false,
  command,
  ...number
}: SetLengthProps) {
  const dispatch = useAppDispatch();
  const page = useAppSelector(selectNeedle);
  const problem = (text: string) => {
    const typed = typedLength(text);
    if (typed === null) return `${LENGTH_LIKE}.`;
    // What the file would not take is said here already.
    return lengthTrouble(typed, { least: field.least, most: field.most, what: field.label, shares });
  };
  return (
    <NumberField
      {...number}
      {...(name !== null && { name })}
      {...(unit !== undefined && { unit })}
      value={value === null ? null : lengthAt(value, page, number.basis)}
      least={field.least}
      most={field.most}
      onSet={(px) => dispatch(runHere(field.label, command(px)))}
      onTry={(px) => dispatch(tryHere(px === null ? null : command(px)))}
      written={{
        text: typeof value === 'string' ? value : null,
        reads: (text) => typedLength(text) !== null,
        problem,
        onSet: (text) => dispatch(runHere(field.label, command(typedLength(text) ?? 0))),
      }}
    />
  );
}
